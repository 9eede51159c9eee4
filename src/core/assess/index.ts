/** A sheet in, an appraisal out: composition of what the rooms know. */
export * from './rules';
export * from './appraise';
