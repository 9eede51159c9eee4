// Several of them
export const nextVisit = 'Next visit';

// Going
export const itWasNotHandedOver = 'It was not handed over: try again.';
export const itWasNotOpenedTry = 'It was not opened: try again.';
export const itHasGone = 'It has gone';
export const somethingWasOpenWhen = 'Something was open when it went, because:';
export const openAgain = 'Open again';
export const goneWritesNothing = 'This job was handed over. What is typed here is stored once it is open again.';
export const beforeItGoes = 'Before it goes';
export const nothingIsOpen = 'Nothing is open: it can go.';
export const stillOpen = 'Still open';
export const whyAllTheSame = 'Why it goes all the same';
export const sayWhoIsHere = 'Say who is here to hand it over';
export const handOverAs = (who: string): string => `Hand over as ${who}`;

// hand-over
export const handOver = 'Hand over';
export const handedOverBy = (by: string, moment: string): string => `Handed over by ${by} on ${moment}`;
export const puttingItTogether = 'Putting it together…';
export const notPutTogether = 'It could not be put together. Try again in a moment.';
export const pitchNotKnown = 'pitch not known';
export const gaugeNotKnown = 'gauge not known';
export const linksNotCounted = 'links not counted';
export const countOfLinks = (driveLinks: number): string => `${driveLinks} links`;
export const whatBecameOfIt = 'What became of it';
export const newParts = 'New:';
export const forNextTime = 'For next time';
export const edgeIsDownNow = (edgeDown: string): string => `Edge ${edgeDown} is down now.`;
export const nobodySaidWhichEdge = 'Nobody said which edge is down now.';
export const whatToTellThem = 'What to tell them';
export const papers = 'Papers';
export const givenBefore = 'Given before';
export const customersPage = 'Customer’s page';
export const page = 'Page';
export const pageToPrint = (name: string): string => `${name}, page to print`;
export const asPdf = (name: string): string => `${name} as PDF`;
export const nextVisitForACalendar = 'Next visit for a calendar';
export const handOverDocument = 'Hand-over document';
export const benchSheet = 'Bench sheet';
export const proofStands = (state: string): string => `Proof: ${state}.`;
