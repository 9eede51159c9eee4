/** A page that has a job open holds this, shared with others that have: it brings in what was typed there itself. */
export const jobLock = (job: string): string => `serrata:job:${job}`;
