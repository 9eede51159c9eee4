/** A sheet in, an appraisal out: composition of what the rooms know. */
export * from './assess';
