/** What a store tells of itself, as changes of the shop. */
export const STORE_CHANGES = {
  /** Guards were missing or changed, and were put right. */
  mended: 'store.mended',
  /** The chain of records was gone, and began anew. */
  begunAnew: 'store.begun-anew',
  /** A backup was put in its place. */
  putBack: 'store.put-back',
} as const;

/** Whom Serrata names for what it wrote by itself. */
export const BY_ITSELF = 'Serrata';
