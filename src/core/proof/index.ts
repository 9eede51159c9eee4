/** The saw proved: the test cut as foreseen and as measured, oil and chips, and what a failure leads back to. */
export * from './predicted';
export * from './checks';
export * from './proof';
