import { plural } from '../plural';

// Several of them
export const minutesLong = (minutes: number): string => `${minutes} min`;
export const whatAilsIt = 'What ails it';

// JobPage
export const goToAStep = 'go to a step, by the key that stands beside it';
export const goToTheNextBest = 'go to the next best measurement';
export const enterAReading = 'take it, and go on to the next field';
export const nextToolInALength = 'in a length: the next tool, for this kind of reading and for what stands there';

// Opening
export const opening = 'Opening…';
export const nextIs = (what: string): string => `Next: ${what}`;

// StepList
export const notNeeded = 'not needed';
export const step = 'Step';
export const done = 'done';
export const open = 'open';

// StepZone
export const steps = 'Steps';
export const noSawNamed = 'no saw named';

// Conflict
export const writtenMeanwhile = (by: string, text: string, text2: string): string =>
  `${by} wrote “${text}” here meanwhile; you wrote “${text2}”.`;
export const keep = (more: string): string => `Keep ${more}`;
export const putInstead = (more: string): string => `Put ${more}`;
export const itEmpty = 'it empty';

// Guided
export const count = (count: number, count2: number): string => `${count} of ${count2}`;

// ReadWith
export const measured = 'Measured with';
export const wasMeasured = ' measured';

// Photos
export const noPicture = (name: string): string => `${name} is no picture: a PNG or JPEG would be right.`;
export const pictureNotTakenAway = 'The picture was not taken away: try again.';
export const photographs = 'Photographs';
export const picturesKept = 'PNG or JPEG, kept with the job';
export const photograph = (number: number, by: string): string => `Photograph ${number}, by ${by}`;
export const photographWaits = (by: string): string => `Photograph by ${by}, not in the shop yet`;
export const takePhotographAway = (number: number): string => `Take photograph ${number} away`;
export const sending = (sending: number): string => `Sending ${sending}…`;
export const addAPicture = 'Add a picture';

// shrink
export const pictureNotMadeSmaller = 'The picture cannot be made smaller.';

// MeasuringPlan
export const measuringPlan = 'Measuring plan';
export const nothingIsAsked =
  'Nothing is asked for. Say what was brought and what the saw does, and the shortest way to know stands here.';

// plates
export const driveSprocket = 'Drive sprocket';
export const chain = 'Chain';
export const barGroove = 'Bar groove';
export const nose = 'Nose';
export const hardNoseNoSprocket = 'hard nose, no sprocket';
export const theRuleWasNotJudged = (rule: string): string => `The rule ${rule} was not judged.`;
export const pitch = 'pitch';
export const gauge = 'gauge';
export const driveLinks = 'links';
export const mount = 'mount';
export const oilHole = 'oil';
export const kickback = 'class';
export const pair = 'pair';

// job-store
export const savingFailed = 'Saving failed.';
export const browserKeepsNothing = 'This browser keeps nothing: do not close the page before all is saved.';

// Ails
export const whyAndWhatElse = 'Why, and what else';

// Next
export const measureNext = 'Measure next';
export const measureNextIn = 'Measure next ·';
export const goThere = 'Go there';
export const toDecideTheJob = (planSummary: string): string => `To decide the job: ${planSummary}.`;
export const stopNoReadingIsWaited = 'Stop: no reading is waited for';

// Saving
export const saved = 'Saved';
export const saving = 'Saving…';
export const notSavedKeptHere = 'Not saved: kept here, will retry';
export const refusedKeptHereNotSaved = 'Refused: kept here, not saved';
export const writtenElsewhereToo = (places: number): string =>
  plural(places, { one: 'One place was written elsewhere too.', other: '# places were written elsewhere too.' });
export const choose = 'Choose';
export const tryNow = 'Try now';

// Tag
export const doesNotBelongTogether = 'Does not belong together';
export const judgedAsItWent = (moment: string): string =>
  `Judged as it went, by the rules of ${moment}. By those in force it would be judged otherwise: its papers say how.`;
export const nothingMeasuredYet = 'Nothing measured yet';
export const verdictsAppearHere =
  'Verdicts appear here with the first readings. Begin where you like; a stamp is read in seconds.';

// Strip
export const noVerdictYet = 'No verdict yet';
export const nextReading = (what: string): string => `Next: ${what}`;

// TagZone
export const tagVerdicts = 'Tag: verdicts';

// Verdicts
export const soFar = 'So far: ';
export const stillToDo = (work: string): string => `Still to do: ${work}.`;
export const isDone = (work: string): string => `Done: ${work}.`;
export const found = (verdict: string): string => `Found: ${verdict}.`;
export const planKeepsWhatIsCondemned =
  'What stands condemns it, and the signed plan does not renew it: look at the plan again.';
export const comesWithTheNewBar = 'Comes with the new bar.';
export const newOneOfThePlan = 'A new one, by the signed plan.';
export const andMoreUnderDecide = (count: number): string => `and ${count} more, under Decide.`;
export const speaksAgainstIt = 'Speaks against it';
export const saidAbove = 'Said above.';
export const makeItAgain = 'Make it again';
export const restsOn = 'rests on';
export const limit = 'limit';
export const doubt = 'this figure';
export const sureToBeWithin = (figure: string): string => `${figure} % sure to be within the limit`;
export const sureToBeBeyond = (figure: string): string => `${figure} % sure to be beyond the limit`;
export const tooCloseToCall = (figure: string): string => `${figure} % that it is within the limit: too close to call`;

// WhyUnsure
export const whySoUnsure = 'Why so unsure, and what would help';
export const stopped = 'Stopped.';
export const itCouldNotBeDrawn = (message: string): string => `It could not be drawn: ${message}`;
export const drawTenTimesAsMany = 'Draw ten times as many';
export const drawingTimes = (wholeNumber: string): string => `Drawing ${wholeNumber} times`;
export const stop = 'Stop';
export const drawAgain = 'Draw again';
export const whatMovesIt = 'What moves it';
export const stopAnotherReadingChangesNothing = 'Stop: another reading changes nothing.';
export const noneWouldMakeItSurer = 'Stop: these move it, but none of them read again would be surer than what stands.';
export const whatAnotherReadingWouldBuy = 'What another reading would buy';

// others/
export const othersHere = 'Also on this job';
export const isAtStep = (who: string, step: string): string => `${who}: ${step}`;
export const isTypingInto = (who: string, name: string): string => `${who} is typing: ${name}`;
export const typesHere = (who: string): string => `${who} is typing here`;
export const somebody = 'Somebody';
export const changedElsewhere = 'Changed by somebody else';
export const cameIn = (by: string, name: string): string => `${by}: ${name}`;
export const andMore = (count: number): string => `and ${count} more`;
export const rulesWereChanged = 'The rules of the shop were changed.';
export const becameOf = (part: string, now: string, was: string): string => `${part}: ${now}; it was ${was}.`;
export const seen = 'Seen';
