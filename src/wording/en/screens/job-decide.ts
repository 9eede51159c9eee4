import { plural } from '../plural';

// FitRules
export const notKnown = 'not known';
export const holds = 'holds';
export const broken = 'broken';

// PartVerdict
export const andMore = (count: number): string => `and ${count} more`;
export const againstIt = 'Against it:';
export const restsOn = 'rests on';
export const against = 'against';
export const limit = (limitSource: string): string => `limit: ${limitSource}`;
export const restsOnAsSeen = (named: string): string => `rests on ${named}, as seen`;

// Plans
export const whatIfOneClick = 'What if? One click on a part’s choice; the rest follows.';
export const onTheShelf = 'on the shelf';
export const toBeOrdered = 'to be ordered';
export const fromTheSupplier = (days: number): string =>
  plural(days, { one: 'from the supplier in # working day', other: 'from the supplier in # working days' });
export const yourOwnChoice = 'Your own choice';
export const between = 'Between';
export const withTheBar = ': with the bar';
export const anHour = 'an hour';
export const amountBetween = (amount: string, amount2: string, amount3: string): string =>
  `${amount} (${amount2} to ${amount3})`;
export const minutesLong = (minutes: number): string => `${minutes} min`;
export const hourNotToldApart = ' Its hour is not to be told apart from the cheapest.';
export const chosen = 'Chosen';
export const chooseThis = 'Choose this';
export const whatIsMissed = 'What is missed for a plan';
export const noPlanYet = (why: string): string => `No plan yet: ${why}.`;
export const sayIt = (what: string): string => `Go to: ${what}`;
export const noPlanIsPossible = 'No plan is possible as it stands.';
export const combinationsAreRuledOut = (count: number): string =>
  plural(count, { one: '# combination is ruled out', other: '# combinations are ruled out' });
export const today = 'today';
export const runs = 'runs';
export const takes = 'takes';

// SignOff
export const changedSinceItWasSigned = 'Changed since it was signed';
export const signedAs = (part: string): string => `${part}: signed as`;
export const andNow = ', now';
export const itWasNotSignedOff = 'It was not signed off: try again.';
export const signOff = 'Sign off';
export const signedOffBy = 'Signed off by';
export const onMoment = (moment: string): string => `on ${moment}.`;
export const because = (reason: string): string => `, because: ${reason}`;
export const readingsHaveComeInSince =
  ' Readings have come in since: what was signed is kept, and these verdicts are newer.';
export const stillUndecidedItCan = (list: string): string =>
  `Still undecided: ${list}. It can be signed off so; the record will say it.`;
export const signedWithItToday = (choices: string, amount: string): string =>
  `Signed with it: ${choices} ${amount} today.`;
export const forTheCustomer = (list: string): string => `For the customer: ${list}`;
export const anotherCostsNoMore = 'Another plan costs no more today and no more an hour. Why this one?';
export const showItAsItStands = 'Show it as it stands now';
export const openAgain = 'Open again';
export const sayWhoIsHere = 'Say who is here to sign off';
export const signOffAs = (who: string): string => `Sign off as ${who}`;
export const toTheOrderSlip = 'To the order slip';

// use-plans
export const plansNotMade = 'The plans could not be made. Try again.';

// decide
export const decide = 'Decide';
export const adviceNoCertificate = 'Advice to a competent technician, no certificate. The saw maker’s limits win.';
export const plans = 'Plans';
export const whatEachCostsToday = 'what each costs today and for an hour’s running; rates and lives are set under Shop';
export const plansWaitForStoring = 'The plans are made when everything is stored…';
export const askTheSupplier = 'ask the supplier for the chain too';
export const doesTheSetBelongTogether = 'Does the set belong together?';

// TwoWays
export const bothWays = 'Both ways of saving it: a new nose, or a new bar';
export const allElseAlike = 'The other parts are done alike in both.';
export const newNose = 'New nose';
export const newBar = 'New bar';
export const way = 'Way';
export const paidToday = 'Today';
export const part = 'Part';
export const barThenLasts = 'The bar then lasts';
export const noseThenLasts = 'The nose then lasts';
export const hours = (hours: number): string => `about ${hours < 10 ? hours.toFixed(1) : Math.round(hours)} h`;
export const aTechnicianSigns = 'A technician or an owner signs the verdicts off, and opens them again.';
