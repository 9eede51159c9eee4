/** What becomes of a job and its parts: as it came, as planned, as it went out. */
export * from './moment';
export * from './story';
