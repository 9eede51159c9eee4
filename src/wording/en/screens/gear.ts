import { plural } from '../plural';

// GearPage
export const gear = 'Gear';
export const findASaw = 'A saw, its tag, or whose it is';
export const find = 'Find';
export const lastInTheShop = 'Last in the shop';
export const found = (count: number): string => plural(count, { one: '# saw', other: '# saws' });
export const customers = 'Customers';
export const noSawAnswers = 'No saw answers that';
export const noSawsYet = 'No saw came with the last jobs';
export const sawsComeWithJobs = 'A saw is known from the first job that it comes with.';
export const showTheLast = 'Show those that were here last';

// SawRows
export const saw = 'Saw';
export const numbers = 'Numbers';
export const firstDue = 'Reaches its limit first';
export const lastJob = 'Last job';
export const notKnownYet = 'not known yet';
export const nothingToForesee = 'nothing measured to foresee by';

// CustomerPage
export const countOfSaws = (count: number): string => plural(count, { one: '# saw', other: '# saws' });
export const jobsOfCustomer = 'Jobs of this customer';
export const noSawOfThis = 'No saw of this customer is known';

// Due
export const dueWithinAYear = 'Due within a year';
export const nothingDue = 'Nothing of these saws is due within a year, as far as it was measured.';
export const dueOfThisPage = 'Of the saws of this page. The list and the calendar hold those of all.';
export const asCsv = 'As CSV';
export const asCalendar = 'Into a calendar';

// NumbersOf
export const bar = 'Bar';
export const toOrder = 'To order';
export const partsDisagree =
  'Chain, bar and sprocket of this set do not belong together: settle that at its next job before anything is ordered.';
export const classNotKnown =
  'Kickback class not known: low-kickback chain is never replaced by standard without a recorded choice.';

export const told = 'Told';
export const measuredByNobody = 'measured by nobody';
export const toldAs = (marks: string): string => `${marks}, told`;

// SawPage
export const heldToBeAnother = (why: string): string => `Held to be another than the one before: ${why}.`;
export const onItNow = 'On it now';
export const wasOnIt = 'Was on it';
export const jobs = 'Jobs';
export const mount = (mount: string): string => `mount ${mount}`;
export const mostRpm = (rpm: number): string => `${rpm} rpm at most`;
export const numbersForNextTime = 'The numbers for next time';
export const chain = 'Chain';
export const sprocket = 'Drive sprocket';
export const onTheShelf = (count: number): string => `${count} on the shelf`;
export const noChainOnTheList = 'No chain of the list has all three numbers.';
export const since = (day: string): string => `since ${day}`;
export const fromUntil = (from: string, until: string): string => `${from} to ${until}`;
export const fittedNew = 'fitted new';
export const foundOnIt = 'found on it';
export const looks = (count: number): string => plural(count, { one: 'looked at once', other: 'looked at # times' });
export const aboutHours = (hours: string, u: string): string => `about ${hours} running hours ± ${u}`;
export const noLookYet = 'not measured since it went on';
export const earlierJobsAreThere = 'Earlier jobs are in the store; these are the newest.';
export const wentOnNew = (parts: string): string => `new: ${parts}`;
export const nothingDone = 'nothing done to its parts';
export const stillHere = 'still here';
export const wentOut = (day: string): string => `went out ${day}`;

// Chains that go in turn
export const chainsInTurn = 'Chains that go in turn';
export const inTurnWithIt = 'In turn with it';
export const goesInTurn = (turns: number): string => `one of ${turns} that go in turn`;
export const chainsRan = (chains: number): string => `${chains} chains ran on it, as far as the records go`;
export const inTurnMeans =
  'Chains that are worn in turn on one sprocket: none of them is gone while another is on. A job finds the one whose cutters changed least since they were measured; where that is wrong, say so at the job below.';
export const chainsThatGoInTurn = 'These go in turn';
export const heldToBeGone = 'held to be gone';
export const chainSince = (day: string): string => `chain since ${day}`;
export const sharedInTurn = (turns: number): string => `${turns} chains that go in turn share them.`;
export const cameWithChain = (chain: string): string => `Came with ${chain}.`;
export const cameWithAnotherChain = 'Came with a chain that goes alone.';
export const whichChainOf = (tag: string): string => `Which chain came with ${tag}`;
export const anotherOfThem = 'It was another';
export const chainItCameWith = 'The chain that it came with';
export const noneOfThem = 'none of them: a chain of its own';

// PiecePage
export const fromItsLastLook = (hours: string): string => `That is ${hours} from its last look.`;
export const measuredTimes = (count: number): string =>
  plural(count, { one: 'Measured once.', other: 'Measured # times.' });
export const measuredOf = (what: string): string => `Measured: ${what}`;
export const notOnItAnyMore = 'Not on the saw any more.';
export const hoursTold = (hours: string): string => `The saw runs ${hours} hours a week, as told.`;
export const hoursThought = (hours: string): string =>
  `Nobody said how much the saw runs: it is thought to run ${hours} hours a week. Say so at its next job.`;
export const nothingMeasured = 'Nothing of it was measured yet';
export const measuredAtItsNextJob = 'What its next job measures begins its life here.';
export const day = 'Day';
export const hours = 'Hours';
export const value = 'Value';
export const job = 'Job';
export const noLimit = 'No limit can be told: it hangs on the pitch, which is not settled.';
export const isStraightLine =
  'A straight line through what was measured as it came, with the doubt of readings and hours; it leans on the shop’s figures, the more the fewer looks there are. Work that was done is part of the wear.';
export const adviceNotCertificate = 'A forecast is for planning. What is measured at the bench decides.';
export const edgeDown = (came: string, went: string): string => `edge down: came ${came}, went ${went}`;

// LifeChart
export const lifeChart = (said: string): string => `Plot. ${said}`;
export const limit = 'limit';
export const asItCame = 'as it came';
export const afterWork = 'measured after work';
export const foreseen = 'foreseen, eight times in ten within the band';

// what is said beyond the jobs
export const mend = 'Mend';
export const enterASaw = 'Enter a saw';
export const enterACustomer = 'Enter a customer';
export const isOneWith = 'Two records of one saw';
export const recordItIsOneWith = 'The record that stays';
export const mergeMeans =
  'The jobs of this record go to the one that stays, and its pieces with them. It can be undone there.';
export const makeThemOne = 'Make them one';
export const fetchingTheSaws = 'Fetching the saws of this customer';
export const sawsNotFetched = 'The saws of this customer could not be fetched. Close this and try again.';
export const noOtherSaw = 'No other saw of this customer is in use.';
export const whatItIsCalled = 'What it is called';
export const writeWhatItIsCalled = 'Write what the saw is called.';
export const tagOnIt = 'Tag on it';
export const itsMount = 'Bar mount';
export const itsMostRpm = 'Most revolutions a minute';
export const rpmAsNumber = 'Four or five figures, such as 13500, or nothing.';
export const offeredNoMore = 'Offered no more, at take-in and at the counter';
export const retired = 'offered no more';
export const customerName = 'Name';
export const writeTheName = 'Write the customer’s name.';
export const howReached = 'How they are reached';
export const save = 'Save';
export const enter = 'Enter';
export const itWasNotSaved = 'It was not saved. Try again.';
export const tagOnThePiece = 'Tag on the piece';
export const writeItsTag = 'Write its tag';
export const tagged = (tag: string): string => `tag ${tag}`;
export const putOnAnother = 'It went to another saw';
export const sawItWentTo = 'The saw that it went to';
export const moveMeans =
  'What was measured of it goes along, and its life goes on there. What was on that saw makes room.';
export const putItThere = 'Put it there';
export const cameFrom = (saw: string): string => `came from ${saw}`;
export const cameAsAnother = 'Another came';
export const isTheOneBefore = 'It is the one before';
export const wasSaid = 'Said of it';
export const byOn = (who: string, day: string): string => `${who}, ${day}`;
export const undo = 'Undo';
export const undoneBy = (who: string, day: string): string => `undone by ${who}, ${day}`;

// ScanTag
export const scanATag = 'Scan a tag';
export const readingTheCode = 'Reading the code';
export const noCodeInIt =
  'There is no code to read in that picture: go nearer, hold it flat, and keep it in the light.';
export const codeOfPiece = (piece: string): string => `Code that opens the page: ${piece}`;

// SawListForm
export const takeInAListOfSaws = 'Take in a list of saws';
export const listOfSawsHas =
  'CSV with a header row and one saw a row: customer and saw, and where the list has them tag, bar mount, most rpm, pitch, gauge and links.';
export const theListOfSaws = 'The list of saws';
export const whichHeadingIsWhich = 'Which heading is which';
export const sayWhichColumn = (columns: string): string => `Say which heading is ${columns}.`;
export const rowsThatStayOut = 'Rows that stay out';
export const cannotBeRead = (count: number): string =>
  plural(count, { one: '# row cannot be read and stays out', other: '# rows cannot be read and stay out' });
export const lineOfList = (line: number): string => `line ${line}`;
export const moreRows = (count: number): string => plural(count, { one: 'and # more', other: 'and # more' });
export const tooManySaws = (count: number, most: number): string =>
  `The list has ${count} saws; ${most} are taken in at once: divide it.`;
export const layingBeside = 'Laying it beside the saws that are known';
export const wouldBring = (saws: number, customers: number, known: number): string =>
  [
    plural(saws, { one: '# new saw', other: '# new saws' }),
    customers > 0 && plural(customers, { one: '# new customer', other: '# new customers' }),
    known > 0 && plural(known, { one: '# known already, left as it is', other: '# known already, left as they are' }),
  ]
    .filter(Boolean)
    .join(', ');
export const numbersAreTold =
  'Their numbers are told by the list and measured by nobody: the counter begins with them as with a bar’s stamp.';
export const takeThemIn = (count: number): string => plural(count, { one: 'Take in # saw', other: 'Take in # saws' });
export const listsTakenIn = 'Lists taken in';

// Models
export const sawModels = 'Models of saws';
export const modelsAre = (count: number): string =>
  `What is usual for ${plural(count, { one: '# model', other: '# models' })} with a bar of each length, as this shop wrote it: told, measured by nobody. A call that names a model begins with it.`;
export const enterAModel = 'Enter a model';
export const takeInAListOfModels = 'Take in a list of models';
export const noModelsYet = 'No models yet';
export const modelsComeSo =
  'Enter one, take in a list, or let a new model begin with what was measured on saws of that name.';
export const mendModel = (model: string): string => `Mend ${model}`;
export const modelName = 'Model';
export const modelBar = 'Bar, such as 45 cm';
export const writeTheModel = 'Write what the model is called.';
export const pitch = 'Pitch';
export const gauge = 'Gauge';
export const links = 'Links';
export const noPitch = 'Such as .325, 3/8 or 3/8LP, or nothing.';
export const noGauge = 'Such as .050 or 1.3, or nothing.';
export const noLinks = 'A count, such as 72, or nothing.';
export const itsSprocket = 'Drive sprocket';
export const itsTeeth = 'Teeth';
export const itsSplines = 'Splines';
export const notKnown = 'not known';
export const countBetween = (from: number, to: number): string => `A count from ${from} to ${to}, or nothing.`;
export const modelOfferedNoMore = 'Offered no more at the counter';
export const takeWhatWasMeasured = 'Take what was measured on saws of that name';
export const nothingMeasuredOn = (name: string): string => `Nothing was measured yet on a saw called ${name}.`;
export const measuredOn = (saws: number): string =>
  plural(saws, {
    one: 'As measured on # saw of that name: look it over.',
    other: 'The commonest of # saws of that name: look it over.',
  });
export const itWasNotFetched = 'It could not be fetched. Try again.';
export const teethOf = (count: number): string => plural(count, { one: '# tooth', other: '# teeth' });
export const splinesOf = (count: number): string => plural(count, { one: '# spline', other: '# splines' });
export const listOfModelsHas =
  'CSV with a header row and one model with one bar a row: model, and where the list has them bar, mount, pitch, gauge, links, sprocket (spur or rim), teeth and splines.';
export const theListOfModels = 'The list of models';
export const tooManyModels = (count: number, most: number): string =>
  `The list has ${count} models; ${most} are taken in at once: divide it.`;
export const takeInModels = (count: number): string =>
  plural(count, { one: 'Take in # model', other: 'Take in # models' });

// AllSawsPage
export const allSaws = 'All saws';
export const sawTagOrOwner = 'A saw, its tag, or whose it is';
export const retiredToo = 'retired, too';
export const show = 'Show';
export const noSawAnswersThat = 'No saw answers that';
export const showAllSaws = 'Show all saws';
export const tagHeading = 'Tag';
export const whoseHeading = 'Whose it is';
export const mountHeading = 'Mount';
export const mostRpmHeading = 'Most rpm';
export const jobsHeading = 'Jobs';
export const standsHeading = 'In use';
export const inUse = 'in use';

// AllCustomersPage
export const allCustomers = 'All customers';
export const customerHeading = 'Customer';
export const contactHeading = 'Contact';
export const sawsHeading = 'Saws';
export const countOfCustomers = (count: number): string => plural(count, { one: '# customer', other: '# customers' });
export const customerAsked = 'A customer';
export const noCustomerAnswers = 'No customer answers that';
export const showAllCustomers = 'Show all customers';

// ModelsPage
export const modelHeading = 'Model';
export const pitchHeading = 'Pitch';
export const gaugeHeading = 'Gauge';
export const linksHeading = 'Links';
export const countOfModels = (count: number): string => plural(count, { one: '# model', other: '# models' });
