// AddPerson
export const whoIsAtTheBench = 'Who is at the bench?';
export const theNameWasNotSaved = 'The name was not saved.';
export const name = 'Name';
export const writeTheName = 'Write the name that readings are to be stored under.';
export const comeToTheBench = 'Come to the bench';

// Band
export const bench = 'Bench';
export const counter = 'Counter';
export const stock = 'Stock';
export const gear = 'Gear';
export const practice = 'Practice';
export const shop = 'Shop';
export const serrataToTheBench = 'Serrata, to the Bench';
export const unit = 'Unit';
export const darkBench = 'Dark bench';
export const goTo = (name: string): string => `go to ${name}`;
export const switchUnit = 'switch between mm and in';
export const places = 'Places';

// KeySheet
export const then = 'then';
export const thisSheet = 'this sheet';
export const keys = 'Keys';
export const here = 'Here';
export const everywhere = 'Everywhere';

// SearchBox
export const searchLabel = 'Search customers, saws, jobs and parts';
export const search = 'Search  ( / )';
export const searchEverything = 'search customers, saws, jobs and parts';

// SearchFinder
export const nothingBeginsWith = (typed: string): string => `Nothing begins with “${typed}”.`;
export const found = 'Found';

// StoreTrouble
export const backupWasPutBack =
  'A backup was put back since this page was opened. Load the page again to see what stands now.';

// Trouble
export const viewNotDrawn = 'This view could not be drawn';
export const faultIsOurs =
  'The fault is Serrata’s, not yours. What was entered is stored or kept in this browser, and nothing that was typed is thrown away.';
export const drawItAgain = 'Draw it again';
export const toTheBench = 'To the Bench';

// WhoIsHere
export const atTheBench = 'At the bench';
export const whoIsHere = 'Who is here?';
export const somebodyElse = 'Somebody else…';

// api
export const theServerAnswered = (status: number): string => `The server answered ${status}.`;

// form
export const saving = 'Saving…';

// keys
export const closeWhatIsOpen = 'close what is open; leave a field, so that keys are commands again';

// later
export const fetchingThisView = 'Fetching this view…';
export const viewNotFetched = 'This view could not be fetched: the server cannot be reached. What was typed is kept.';
export const tryAgain = 'Try again';

// opened
export const fetchingThisForm = 'Fetching this form…';

// server-data
export const theSearchFailed = 'The search failed.';
