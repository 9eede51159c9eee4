import { plural } from '../plural';

// Several of them

// About
export const noSuchCurrencyOrZone = 'this currency or time zone does not exist';
export const currency = 'Currency';
export const timeZone = 'Time zone';
export const priceOnTheCustomersPage = 'Price on the customer’s page';
export const nameOfTheShop = 'Name of the shop';
export const datesAndNumbersAreWritten = 'Dates and numbers are written';
export const unitOfLengths = 'Lengths are shown in';
export const millimetres = 'millimetres';
export const inches = 'inches';
export const so = 'So:';
export const writtenDown = 'Written down. Pages that are opened from now on show it.';
export const writeItDown = 'Write it down';

// Changed
export const changed = 'Changed';
export const byOn = (by: string, day: string): string => `, by ${by}, ${day}`;

// Codes
export const notForgotten = 'It was not forgotten. Try again.';
export const aCodeOnADrive =
  'A code on a drive link stands for pitch and gauge, sometimes for a whole loop with its links and class, in its maker’s own system. Write down what was measured once: from then on the stamp reader knows it, in jobs and at the counter.';
export const theNextMarkedChain = 'The next marked chain that is measured can teach one.';
export const noCodeLearnedYet = 'No code learned yet';
export const pitchNotSaid = 'pitch not said';
export const gaugeNotSaid = 'gauge not said';
export const links = (count: number): string => `${count} links`;
export const replacedBy = (part: string): string => `replaced by ${part}`;
export const linksOfTheLoop = 'Links of the loop';
export const linksAreACount = 'A whole number of links, 20 to 400.';
export const kickbackClass = 'Kickback class';
export const replacedByLabel = 'Replaced by';
export const learnedBy = (by: string): string => `learned by ${by}`;
export const forget = 'Forget';
export const forgetCode = (code: string): string => `Forget ${code}`;
export const writeTheCode = 'Write the code as it stands on the drive link.';
export const code = 'Code';
export const pitch = 'Pitch';
export const notSaid = 'not said';
export const gauge = 'Gauge';
export const note = 'Note';
export const learnIt = 'Learn it';

// LimitEffect
export const effectNotKnown = 'What it would change cannot be said just now.';
export const lookingAtTheOpenJobs = 'Looking at the open jobs…';
export const changesNothing = (jobs: number): string =>
  plural(jobs, { one: 'Changes nothing in # open job.', other: 'Changes nothing in # open jobs.' });
export const changesSome = (count: number, jobs: number): string => `Changes ${count} of ${jobs} open jobs:`;
export const becomes = (part: string, named: string, toLowerCase2: string): string =>
  `${part}: ${named} becomes ${toLowerCase2}.`;
export const theCheapestHourBecomes = (choices: string): string => `The cheapest hour becomes: ${choices}`;
export const leastToday = (more: string, amount: string): string => `Least today ${more} by ${amount}.`;
export const andMore = (count: number): string => `and ${count} more`;

// LimitList
export const bar = 'Bar';
export const chain = 'Chain';
export const driveSprocket = 'Drive sprocket';
export const tension = 'Tension';
export const testCut = 'Test cut';
export const nextVisit = 'Next visit';
export const pricesWhereTheShelfHas = 'Prices where the shelf has none';
export const minutes = 'Minutes';
export const workAndLives = 'Work and lives';
export const other = 'Other';
export const find = 'Find';
export const chainLifeMinutes = 'chain, life, minutes…';
export const depthChainPlay = 'depth, chain, play…';
export const tryFewerOfThem = 'Try fewer of them, or one of a part.';
export const nothingByTheseWords = 'Nothing by these words';

// LimitRow
export const limitNotSaved = 'The limit was not saved.';
export const limitNotPutBack = 'The limit was not put back.';
export const sourceOf = (limitName: string): string => `Source of ${limitName}, where it is a maker’s figure`;
export const whereFrom = 'where it comes from';
export const makersSource = 'maker’s source';
export const save = 'Save';
export const backToValue = (value: string): string => `Back to ${value}`;

// SchoolChoices
export const practitionersDisagreeOnThese =
  'Practitioners disagree on these. What is chosen here is followed on the work card and in the verdicts; the other school is not wrong.';

// ShopPage
export const shop = 'Shop';

// Supplier
export const asUsual = 'as usual';
export const verySlow = 'very slow';
export const lateWithOrders = 'late with orders';
export const outOfStock = 'out of stock';
export const notToBeReached = 'not to be reached';
export const aStandInThatShips =
  'A stand-in that ships with Serrata. The counter asks it for price and delivery of what the shelf lacks. As usual it takes about a second, finds its shelf empty for some chains and is not to be reached for others; orders for a job it confirms with a day.';
export const simulatedSupplier = 'The simulated supplier is';
export const notStoredUnreachable = 'It was not stored: the server cannot be reached.';

// index
export const limits = 'Limits';
export const ratesAndLives = 'Rates and lives';
export const figures = 'Figures';
export const instruments = 'Instruments';
export const about = 'About';
export const codes = 'Codes';
export const schools = 'Schools';
export const supplier = 'Supplier';
export const backup = 'Backup';
export const records = 'Records';

// limits
export const defaultsOfAShop =
  'Defaults of a shop, not of the trade. Where the saw’s maker gives a figure, write it here with its source: it wins. Signed-off verdicts keep the limits they were made with.';

// rates
export const whatPlansAreReckoned =
  'What plans are reckoned with. They are invented until the shop sets them: write your own, and see first what they change in the open jobs. Money is in the smallest unit of the currency.';

// LimitList
export const contents = 'Contents';
export const notTheDefault = 'Not the default here';
export const insteadOf = (own: string, usual: string): string => `${own}, instead of ${usual}`;
