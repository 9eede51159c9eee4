/**
 * What changes are about: a job, the shelf, the gear, the rules a shop judges by (limits, schools, codes, studies), the
 * shop itself and its people, and who may come in.
 */
export const TOPICS = ['job', 'stock', 'gear', 'rules', 'shop', 'door'] as const;
export type Topic = (typeof TOPICS)[number];

/** Something that changed in the store. */
export interface Change {
  readonly topic: Topic;
  /** The job it is about; empty for what there is once. */
  readonly subject: string;
}
