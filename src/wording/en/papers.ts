// Several of them
export const forCustomer = (customer: string): string => `For ${customer}`;
export const notKnown = 'not known';
export const pitch = 'Pitch';
export const gauge = 'Gauge';
export const driveLinks = 'Drive links';
export const edge = (edge: string): string => `Edge ${edge}`;

// At the foot, and beside what was given
export const restsOn = (code: string): string => `Records ${code}`;
export const asGiven = (moment: string, by: string, code: string): string =>
  [`As it was given by ${by} on ${moment}`, ...(code === '' ? [] : [`records ${code}`])].join(' · ');
export const notJudged = 'not judged';
export const judgedOtherwiseNow = (part: string, then: string, now: string, why: string): string =>
  then === now ? `${part}: judged for another reason by now. ${why}` : `${part}: ${then} then, ${now} by now. ${why}`;
export const sinceItWasGiven = 'Since it was given';

// condemned
export const noPartOfThisJob = 'No part of this job was condemned.';
export const condemned = (part: string): string => `${part}: condemned`;
export const condemnedPart = 'Condemned part';
export const itDoesNotGoBack =
  'It does not go back on a saw. Whoever keeps it should make it unfit to be fitted again.';
export const measuredByTheLimits =
  'Measured by the limits of this shop; where the maker of the saw gives a limit, that one wins.';
export const condemnedPartNote = 'Condemned-part note';

// customer
export const notRight = 'not right';
export const whatWasFound = 'What was found';
export const asItCame = 'as it came';
export const asItGoes = 'as it goes';
export const newPart = 'new part';
export const threeNumbersForTheNext = 'Three numbers for the next chain';
export const edgeDownNow = 'Edge down now';
export const chainLiftsAtMidBar = 'Chain lifts at mid-bar';
export const proof = 'Proof';
export const testCutDeep = (length: string): string => `Test cut ${length} deep`;
export const off = (length: string, more: string): string => `${length} to the ${more}`;
export const asItGoesOut = 'As it goes out';
export const yourSaw = 'Your saw';
export const newParts = (list: string): string => `New: ${list}.`;
export const soThatItStaysSo = 'So that it stays so';
export const nextVisit = (day: string): string => `Next visit: ${day}`;
export const customersPage = 'Customer’s page';
export const newOldCondemned = (word: string): string => `${word}, the old one was condemned`;
export const condemnedWord = 'condemned';
export const sound = 'sound';
export const watch = 'watch';
export const open = 'open';
export const found = 'found';
export const foundDoneNow = (found: string, done: string, now: string): string => `${found} Done: ${done}. Now: ${now}`;
export const inch = 'inch';
export const work = 'Work';
export const workAndParts = 'Work and parts';
export const together = 'Together';

// rails
export const lowerRail = (edge: string, isMeasuredAgain: boolean, must: string): string =>
  `Edge ${edge}: the lower rail along the bar as it came${isMeasuredAgain ? ' and as it goes' : ''}${must}.`;
export const leastOf = (length: string): string => `least ${length}`;
export const railAsItCame = 'as it came';
export const railAsItGoes = 'as it goes';
export const must = (length: string): string => `; it must be ${length}`;
export const floor = 'floor';
export const tail = 'tail';
export const nose = 'nose';

// slip
export const noneOnTheShelf = 'On the shelf: none that fits. Order by what stands above.';
export const onTheShelf = 'On the shelf';
export const part = 'Part';
export const number = 'Number';
export const left = 'Left';
export const price = 'Price';
export const countLeft = (quantity: number): string => `${quantity} left`;
export const partsOfThePlan = 'Parts of the plan';
export const stands = 'Stands';
export const noOrderYet = 'No order yet';
export const kickbackClass = (kickbackClass: string): string => `Kickback class: ${kickbackClass}`;
export const sequence = (sequence: string): string => `Sequence: ${sequence}`;
export const orderSlip = 'Order slip';
export const orderSlipChainLoop = 'Order slip · chain loop';
export const checked = 'Checked';
export const orderNamed = (named: string): string => `Order: ${named}`;
export const followTheSawMakersApproved =
  'Follow the saw maker’s approved combinations and the local rules on kickback class. Check the tension again after the first minutes of a new chain.';
export const holds = 'holds';
export const broken = 'broken';

// tag
export const noSawNamed = 'no saw named';
export const promisedFor = (day: string): string => `Promised for ${day}`;
export const written = (day: string): string => `Written ${day}`;
export const codeThatOpensJob = (reference: string): string => `Code that opens job ${reference}`;
export const benchTag = 'Bench tag';

// work-card
export const stayOff = 'stay off';
export const nearOff = 'near off';
export const farOff = 'far off';
export const nothingIsToBeDone = 'Nothing is to be done on this bar.';
export const barIsUndecided = 'What is to be done with this bar is not decided yet.';
export const noMetalHasToCome = 'No metal has to come off this bar.';
export const inThisOrder = 'In this order';
export const atEveryService = 'At every service';
export const measureAgain = 'Measure again';
export const deburring = 'Deburring';
export const levelling = (school: string): string => `Levelling: ${school}`;
export const workCard = 'Work card';
export const bar = (verdict: string): string => `Bar: ${verdict}`;

/** Where a part lies that is on no shelf of this shop. */
export const liesAt = (shop: string): string => `on the shelf of ${shop}`;
