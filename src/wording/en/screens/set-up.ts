import { list } from '../sentence';

// SetUpPage
export const setUp = 'Set-up';
export const beginAShop = 'Begin your shop';
export const eachCanBeLeft =
  'Each of these can be left for later: Shop, Set-up leads back here. The first job needs none of them.';
export const toTheBench = 'To the bench';
export const itemName = {
  shop: 'The shop',
  people: 'People',
  limits: 'Limits',
  rates: 'Rates',
  stock: 'Stock list',
  saws: 'Saws',
  'sign-in': 'Sign-in',
} as const;
export const stateWord = { done: 'done', open: 'open', left: 'left' } as const;
export const leaveIt = 'Leave it';
export const takeItUpAgain = 'Take it up again';
export const asTheyStand = 'They are right as they stand';
export const onward = 'Next';
export const limitsSay =
  'Every judgement is made by these. Each begins at a default, with where it comes from; makers’ limits go before them.';
export const ratesSay =
  'Plans are reckoned with these: hours, prices, lives. The defaults are nobody’s prices: put in your own.';
export const stockSays =
  'A stock list in CSV, from whatever keeps it now, is taken in under Stock: columns are matched, wrong rows are shown and mended before anything is stored.';
export const toStock = 'To Stock';
export const sawsSay =
  'A list of customers and their saws in CSV is taken in under Gear. Saws also come by themselves, with their first job.';
export const toGear = 'To Gear';
export const notSettled = 'It was not written down.';

// DemoMark
export const demo = 'Demo';
export const thisIsADemo = 'This is a demo shop';
export const everythingIsInvented =
  'Everything in it is invented: people, customers, saws, parts, prices. Try whatever you like. One press leaves it for an empty shop of your own; the demo is kept under Shop, Backup, and can be put back.';
export const leaveTheDemo = 'Begin an empty shop';
export const leaving = 'Making it empty…';
export const notLeft = 'The demo was not left.';

// FirstSteps
export const firstSteps = 'Three things to try';
export const enough = 'Enough of this';
export const stepReading = (tag: string): string =>
  `Open ${tag}, step Bar, and type a smaller depth: the rail moves and the verdict changes while you type.`;
export const stepWhy = (tag: string): string =>
  `Open ${tag}, step Why: what ails it, how sure that is, and what to look at next.`;
export const orPractise = 'Or learn to judge on parts that cost nothing: a first round of practice.';
export const stepCounter = 'At the Counter, type 72 links and a pitch: it says what fits, and what to ask the caller.';

// Shop
export const stillOpen = (items: readonly string[]): string => `Still open of the set-up: ${list(items)}.`;
export const toTheSetUp = 'Set-up';
