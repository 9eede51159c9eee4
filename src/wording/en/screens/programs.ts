export const title = 'Serrata for other programs';
export const forPrograms = 'For other programs';
export const howItWorks =
  'Each request shows a token, Authorization: Bearer …, that an owner makes under Shop, People. What it writes bears the name of the token. Where nobody signs in, none is needed. Lengths are millimetres; documents are the open formats that Serrata reads and writes by hand as well.';
export const theDescription = 'The description as OpenAPI 3.1';
export const anyone = 'anyone';
export const aboutOperation = (who: string, taken: string, answered: string): string =>
  `Who may: ${who}.${taken === '' ? '' : ` Takes: ${taken}.`} Answers with: ${answered}.`;
export const refusals =
  'A refusal has a code, a sentence, and where a document was not understood the problems one by one; a fault of Serrata’s own also the number of the request in its log.';

/** What each operation does. */
export const operationSays = {
  findAnything: 'Finds customers, saws, pieces, jobs and parts by the beginnings of their words.',
  findCustomers: 'Finds customers by name, with their saws.',
  assess: 'Assesses a bench sheet by the limits in force, and stores nothing.',
  takeInJob: 'Takes in a job, with a bench sheet or without. Sent again with the same id it is taken in once.',
  readSheet: 'The bench sheet of a job as it stands.',
  readAssessment: 'The assessment of a job as it stands.',
  readHandOver: 'The hand-over of a job as a document.',
  prepareHandOver: 'The hand-over as it would be written now, and the revision to send with it.',
  handOver: 'Hands a job over. Where something is open a note says why it goes all the same.',
  listStock: 'The stock list, a thousand parts at a time: next is sent as from.',
  listDue: 'What is due of a customer’s saws, a line each.',
  dueCalendar: 'The same as a calendar.',
  readHealth: 'How the store, its disk and its backups are.',
} as const;
