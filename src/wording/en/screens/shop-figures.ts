import { plural } from '../plural';

export const from = 'Taken in from';
export const until = 'until';
export const show = 'Show';
export const print = 'Print';
export const lookingAtThem = 'Looking at the records';
export const figuresNotFetched = 'The records could not be looked at. Try again.';
export const jobsOf = (jobs: number, from: string, until: string): string =>
  `${plural(jobs, { one: '# job', other: '# jobs' })} taken in from ${from} until ${until}`;
export const onlyTheNewest = 'There are more than are looked at: the newest of them tell.';

// LearnedFigures
export const whatRecordsTeach = 'What the records teach';
export const tooLittleYet =
  'Too little was measured twice yet: a figure is told once two acts or pieces tell it. The figures in force stay.';
export const figure = 'Figure';
export const byTheRecords = 'By the records';
export const eightInTen = 'Eight times in ten between';
export const toldBy = 'Told by';
export const inForce = 'In force';
export const inForceAlready = 'in force';
export const between = (from: string, until: string): string => `${from} to ${until}`;
export const takeOver = 'Take over';
export const takeOverOf = (figure: string): string => `Take over: ${figure}`;
export const insteadOf = (figure: string, offered: string, was: string, count: number): string =>
  `${figure}: ${offered} instead of ${was}, as ${plural(count, { one: '# record tells', other: '# records tell' })} it.`;
export const notTakenOver = 'It was not taken over. Try again.';

// Lives
export const howLongPartsLast = 'How long parts last';
export const halfLast = (middle: number, from: number, until: number): string =>
  `half of them last longer than ${middle} running hours; that is known to ${from} to ${until}.`;
export const noEndKnown = 'too few have ended to tell.';
export const endedAndGoing = (ended: number, going: number): string => `${ended} ended, ${going} in use.`;
export const livesOfFitted =
  'Of parts that a job put on new. One in use has lasted so long at least, and counts as that.';

// Forecasts
export const howForecastsDid = 'How forecasts did';
export const noneForeseen = 'Nothing was measured twice on one piece yet.';
export const heldOf = (held: number, foreseen: number, percent: number): string =>
  `${held} of ${foreseen} came within the band, ${percent} %.`;
export const eightInTenWouldBe = 'Eighty per cent is what the band promises.';

// Doing
export const howTheShopDid = 'How the shop did';
export const jobsByState = (open: number, signedOff: number, handedOver: number): string =>
  `${open} open, ${signedOff} signed off, ${handedOver} handed over.`;
export const daysHere = (middle: number, nineInTen: number): string =>
  `Half were here less than ${middle.toFixed(1)} days, nine in ten less than ${nineInTen.toFixed(1)}.`;
export const savedAndRenewed = (saved: number, renewed: number): string =>
  `worked on and kept ${plural(saved, { one: 'once', other: '# times' })}, put on new ${plural(renewed, { one: 'once', other: '# times' })}.`;

export const causesFound = 'Found behind complaints:';
export const causeOften = (cause: string, jobs: number): string =>
  `${cause} (${plural(jobs, { one: '# job', other: '# jobs' })})`;
