/** The language as its tag (BCP 47) has it. */
export const language = 'en' as const;

// Titles of pages
export const bench = 'Bench';
export const counter = 'Counter';
export const stock = 'Stock';
export const gear = 'Gear';
export const practice = 'Practice';
export const practiceRound = 'A round of practice';
export const sawModels = 'Models of saws';
export const shop = 'Shop';
export const orderSlip = 'Order slip';
export const piece = (saw: string): string => `A part of ${saw}`;
export const job = (tag: string): string => `Job ${tag}`;

// 404
export const notHere = 'Not here';
export const nothingIsHere = 'There is nothing here';
export const addressLeadsNowhere =
  'The address may be mistyped, or the job belongs to another store. Jobs are found on the Bench, or by their tag in the search.';
export const toTheBench = 'To the Bench';

// 500
export const wentWrong = 'Something went wrong';
export const wentWrongHere = 'Something went wrong here';
export const pageNotMade =
  'The page could not be made. What was typed is stored, and what was not sent yet is kept in this browser. Try again; if it stays so, the server’s own messages name the reason.';
export const numberOfRequest = (id: string): string => `In the log it is request ${id}.`;

// Without the shop
export const offlineJob = 'Job';
export const keptHere = 'Kept in this browser';
