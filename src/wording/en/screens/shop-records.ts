// Records
export const areAllAsTheyWere = 'Are all records as they were written?';
export const notLookedYet = 'Nobody has gone through them yet.';
export const lookedThrough = (moment: string): string => `Gone through on ${moment}.`;
export const goThroughNow = 'Go through them now';
export const goingThrough = 'Going through them…';
export const notGoneThrough = 'They could not be gone through.';
export const keptElsewhere = 'The store is kept on another machine: they are gone through there.';
export const whatItIs =
  'Readings, sign-offs, hand-overs, movements, orders, studies and changes of limits are never changed. Each is linked to the one before it, so that whoever changes one with the file in hand changes all that follow, and is seen. They are gone through once a day, with every backup, and here.';
export const doWhat =
  'Put a backup back that was made before, or keep this store and take it for what it is: what stands above is no longer proof.';

// The code
export const codeNow = 'Papers printed now carry the code';
export const countSince = (count: number, moment: string): string => `${count} records since ${moment}`;
export const aCodeFromAPaper = 'A code from a paper';
export const findIt = 'Find it';
export const notFound = 'It could not be looked for.';
export const foundRecord = (seq: number, record: string, moment: string, by: string): string =>
  `Record ${seq} of this store is ${record} of ${moment}${by === '' ? '' : `, by ${by}`}. What was written before it can be held against this paper.`;
export const noSuchRecord =
  'This store has no record with that code. Either it was typed wrongly, or the paper comes from another store, or the records were changed since.';
export const codeLooksLike = 'A number and three groups of four, as it stands at the foot of a paper.';
