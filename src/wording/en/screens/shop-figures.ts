import type { NearMiss } from '../../../core/fit';
import type { Stay } from '../../../core/life';
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
  `mended and kept ${plural(saved, { one: 'once', other: '# times' })}, put on new ${plural(renewed, { one: 'once', other: '# times' })}.`;

export const causesFound = 'Found behind complaints:';
export const causeOften = (cause: string, jobs: number): string =>
  `${cause} (${plural(jobs, { one: '# job', other: '# jobs' })})`;

export const nearMissesCaught = 'Wrong parts nearly bought, and caught:';
export const nearMissOften = (miss: string, jobs: number): string =>
  `${miss} (${plural(jobs, { one: '# job', other: '# jobs' })})`;
export const nearMissName: Record<NearMiss, string> = {
  'chain-pitch-is-sprocket-pitch': 'chain and drive sprocket of different pitch',
  'chain-pitch-is-bar-pitch': 'chain and bar of different pitch',
  'chain-pitch-is-nose-pitch': 'chain and nose of different pitch',
  'chain-gauge-is-bar-gauge': 'chain and groove of different gauge',
  'chain-links-are-bar-links': 'chain and bar for different counts of links',
  'family-and-gauge-meet': 'a pitch with a gauge that it is hardly made in',
  'bar-mount-is-saw-mount': 'a bar with another mount than the saw’s',
  'oil-hole-is-saw-oil-hole': 'a bar whose oil hole is not where the saw’s is',
  'kickback-not-stepped-up': 'a chain that kicks harder than suits its operator',
  'sprocket-is-saws': 'a drive sprocket of another kind than the saw’s',
  'mark-says-otherwise': 'a mark that names another number than was settled',
  'mouth-passes-for-wider': 'a worn groove mouth that passes for a wider gauge',
};

// Kept
export const moneyKept = 'Money kept by mending parts';
export const nothingWorkedOn = 'No part was mended and kept in this time.';
export const keptBy = (times: number, money: string): string =>
  `${plural(times, { one: '# part', other: '# parts' })} mended and kept: ${money}.`;
export const keptInAll = (money: string): string => `${money} in all.`;
export const keptHow =
  'A new part and its fitting less the work, by the prices, minutes and rates in force. Cleaning, filing and what is done at every service are not counted.';

// Overrides
export const whereOverridden = 'Where verdicts were overridden';
export const noneWent = 'No part went in this time.';
export const stayName: Record<Stay, string> = {
  'by-verdict': 'Stayed by their verdict',
  undecided: 'Stayed undecided',
  against: 'Stayed though condemned',
};
export const stayedAndAgain = (parts: number, again: number, condemned: number): string =>
  again === 0
    ? `${plural(parts, { one: '# part', other: '# parts' })}; none came again yet.`
    : `${plural(parts, { one: '# part', other: '# parts' })}; of ${again} that came again ${plural(condemned, { one: 'one was', other: condemned === 0 ? 'none was' : '# were' })} condemned then.`;
export const wentNew = 'Put on new';
export const renewedOf = (condemned: number, notCondemned: number): string =>
  `${plural(condemned, { one: '# part', other: '# parts' })} that ${condemned === 1 ? 'was' : 'were'} condemned, ${notCondemned} that ${notCondemned === 1 ? 'was' : 'were'} not. How those would have done nobody knows.`;
export const ofThePieces = 'Of the saws that were looked at; what came of a part is looked for in all later jobs.';

// Paces
export const howLongWorkTakes = 'How long work takes';
export const tooFewTimes = 'No operation was ticked off by itself four times yet.';
export const minutesFor = (middle: string, from: string, until: string): string =>
  `${middle} min, known to ${from} to ${until}.`;
export const timesDone = (count: number): string => `${count} times.`;
export const howMinutesAreTold =
  'From what the same person wrote last on the job to the tick. Less than half a minute was written down afterwards, more than an hour and a half held something else too: neither counts. Nor does work of somebody who wrote on another job between.';

// Drift
export const driftFactor = 'Drift of test cuts';
export const driftByCuts = (factor: string, low: string, high: string, cuts: number): string =>
  `${factor} times the plain model (${low} to ${high}, 95 %), by all ${cuts} test cuts there are. It counts by itself.`;
export const driftNotYet = (cuts: number, needed: number): string =>
  `${plural(cuts, { one: '# test cut is', other: '# test cuts are' })} logged; from ${needed} on they tell a factor. The plain model is in force.`;
