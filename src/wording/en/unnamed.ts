/** Stands for the name in the record while nobody has said who is at the bench. */
export const UNNAMED = 'not said';
