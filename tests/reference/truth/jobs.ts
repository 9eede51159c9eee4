import type { Appraisal } from '../../../src/core/assess';
import { type Askable, type WrittenBenchSheet } from '../../../src/core/sheet';
import { stationOf } from '../../../src/core/declared';
import { inOrder, minutesOf, type NextMeasurement } from '../../../src/core/next';
import { stationsAt } from './bars';
import { hand, type Hand, type Written } from './hand';
import { judged } from './judged';
import type { Random } from './random';

export type Parts = Omit<WrittenBenchSheet, 'format' | 'version'>;

/** A saw as it is in truth: what condemns each part, if anything does. */
export interface Saw {
  readonly crack: { readonly bar: boolean; readonly chain: boolean };
  readonly bow: number;
  readonly depth: number;
  readonly width: number;
  readonly nose: 'free' | 'seized';
  readonly cutter: number;
  readonly growth: number;
  readonly wear: number;
}

/** A saw as shops see them when somebody brings one: every second has a part that is finished (shop's figures). */
export function anySaw({ between, chance }: Random): Saw {
  return {
    crack: { bar: chance(0.03), chain: chance(0.05) },
    bow: chance(0.08) ? between(0.7, 1.5) : between(0, 0.2),
    depth: chance(0.25) ? between(4.8, 5.8) : between(6.4, 8),
    width: chance(0.2) ? between(1.9, 2.2) : between(1.32, 1.55),
    nose: chance(0.1) ? 'seized' : 'free',
    cutter: chance(0.4) ? between(3, 3.8) : between(4.4, 7),
    growth: chance(0.12) ? between(3.3, 4) : between(0.3, 2.2),
    wear: chance(0.4) ? between(0.6, 0.9) : between(0, 0.35),
  };
}

/** Whether each part is finished in truth. */
export const finished = (saw: Saw) => ({
  bar: saw.crack.bar || saw.bow > 0.5 || saw.depth < 6 || saw.width - 1.27 > 0.5 || saw.nose === 'seized',
  chain: saw.crack.chain || saw.cutter < 4 || saw.growth > 3,
  driveSprocket: saw.wear > 0.5,
});

/** What stands on the sheet before anything is measured: stamps and counts. */
export const begun = (): Parts => ({
  job: { brought: ['whole-saw'] },
  bar: {
    stamp: '.325 .050 72DL',
    nose: 'sprocket',
    noseReplaceable: false,
    checks: {},
    edges: { A: { stations: [] }, B: { stations: [] } },
  },
  chain: { stamp: '.325 .050', driveLinks: [72, 72], driveLinkThickness: '1.27 mm', chassis: 'large', checks: {} },
  driveSprocket: { pitch: '325' },
});

export const PARTS = ['bar', 'chain', 'driveSprocket'] as const;

export type Hands = Readonly<Record<'rod' | 'caliper' | 'tape' | 'blade', Hand>>;

/** The tools of one job. */
export const handsOf = (random: Random): Hands => ({
  rod: hand('depth-rod', random),
  caliper: hand('caliper', random),
  tape: hand('tape', random),
  blade: hand('feeler', random),
});

/** Repeats of two readings of one place by one tool. */
function repeated(before: Written | undefined, now: Written): Written {
  const of = (each: Written): string[] => (typeof each === 'object' && 'repeats' in each ? [...each.repeats] : []);
  const instrument = (now as { instrument: 'caliper' }).instrument;
  return { instrument, repeats: [...(before ? of(before) : []), ...of(now)] };
}

/** What is said of parts that come again: whether each is the one of the last service. */
export type SaidSame = Readonly<Record<(typeof PARTS)[number], boolean>>;

/** Takes one reading of a saw and writes it down; false where it is nothing of the kind. */
function take(
  saw: Saw,
  { measure, at }: NextMeasurement,
  parts: Parts,
  hands: Hands,
  said: SaidSame | undefined,
): boolean {
  const [bar, chain, sprocket] = [parts.bar!, parts.chain!, parts.driveSprocket!];
  const edges = bar.edges!;
  const station = stationOf(measure);
  if (station) {
    const stations = edges[station.edge]!.stations!;
    const own = (stations[station.station] ??= { at: `${Math.round(at ?? 200)} mm` });
    if (station.field === 'near' || station.field === 'far')
      own[station.field] = repeated(own[station.field], hands.rod.read(saw.depth));
    else if (station.field === 'mouth' || station.field === 'deep')
      own[station.field] = repeated(own[station.field], hands.caliper.read(saw.width));
    else if (station.field === 'square') own.square = 'level';
    else return false;
    if (station.field === 'deep') own.deepAt = '3 mm';
    return true;
  }
  const { rod, caliper, tape, blade } = hands;
  const edge = () => stationsAt(5).map((s) => ({ at: `${s} mm`, near: rod.read(saw.depth), far: rod.read(saw.depth) }));
  const tapes = () => ({ joints: 60, closed: tape.read(495), pulled: tape.read(495 * (1 + saw.growth / 100)) });
  const acts: Partial<Record<Askable, () => void>> = {
    'bar.checks.crack': () => (bar.checks!.crack = saw.crack.bar ? 'yes' : 'no'),
    'bar.checks.bow': () => (bar.checks!.bow = repeated(bar.checks!.bow, blade.read(saw.bow))),
    'bar.checks.railLine': () => (bar.checks!.railLine = 'even'),
    'bar.thickness': () => (bar.thickness = '4.5 mm'),
    'chain.topPlateAngleLeft': () => (chain.topPlateAngleLeft = 30),
    'chain.topPlateAngleRight': () => (chain.topPlateAngleRight = 30),
    'bar.checks.noseTurns': () => (bar.checks!.noseTurns = saw.nose),
    'bar.checks.straightEdge': () => (bar.checks!.straightEdge = saw.width - 1.27 > 0.5 ? 'gap-closes' : 'gap-stays'),
    'bar.edges.A.stations': () => (edges.A!.stations = [...(edges.A!.stations ?? []), ...edge()]),
    'bar.edges.B.stations': () => (edges.B!.stations = [...(edges.B!.stations ?? []), ...edge()]),
    'bar.edges.A.stands': () => (edges.A!.stands = 'yes'),
    'bar.edges.B.stands': () => (edges.B!.stands = 'yes'),
    'bar.edges.mouth': () => {
      const stations = edges.A!.stations!;
      (stations[0] ??= { at: '40 mm' }).mouth = caliper.read(saw.width);
    },
    'chain.checks.crack': () => (chain.checks!.crack = saw.crack.chain ? 'yes' : 'no'),
    'chain.cuttersLeft': () => (chain.cuttersLeft = [...(chain.cuttersLeft ?? []), caliper.read(saw.cutter)]),
    'chain.pushPull': () => {
      const before = chain.pushPull;
      const now = tapes();
      chain.pushPull = before
        ? { joints: 60, closed: repeated(before.closed, now.closed), pulled: repeated(before.pulled, now.pulled) }
        : now;
    },
    'driveSprocket.wear': () => (sprocket.wear = repeated(sprocket.wear, blade.read(saw.wear))),
    'saw.sameBar': () => (parts.saw!.sameBar = said!.bar),
  };
  const act = acts[measure];
  act?.();
  return act !== undefined;
}

const isDecided = ({ verdicts }: Appraisal): boolean => PARTS.every((part) => verdicts[part].action !== 'undecided');

/** Chooses among what could be measured next. */
export type Policy = (next: readonly NextMeasurement[], random: Random) => NextMeasurement | undefined;

/** The card of a shop that measures all in one order. */
const CARD: readonly Askable[] = [
  'bar.checks.crack',
  'bar.checks.bow',
  'bar.edges.A.stations',
  'bar.edges.B.stations',
  'bar.edges.mouth',
  'bar.checks.noseTurns',
  'chain.checks.crack',
  'chain.cuttersLeft',
  'chain.pushPull',
  'driveSprocket.wear',
];

export const byPlan: Policy = ([first]) => first;
export const byCard: Policy = (next) =>
  CARD.map((measure) => next.find((each) => each.measure === measure)).find((each) => each) ?? next[0];
export const atRandom: Policy = (next, { between }) => {
  const first = next.filter(({ reason }) => reason.code === 'never-measured');
  const of = first.length > 0 ? first : next;
  return of[Math.floor(between(0, of.length))];
};

/** What became of many jobs. */
export interface Jobs {
  readonly minutes: number;
  readonly wrong: number;
  readonly most: number;
  readonly undecided: number;
}

/** A job that takes more readings than this has gone astray. */
const MOST = 80;

/**
 * Measures a saw until every part is decided, or nothing is worth measuring.
 * @param parts what stands on the sheet before; the readings are written into it
 */
export function measure(
  saw: Saw,
  parts: Parts,
  hands: Hands,
  choose: (next: readonly NextMeasurement[]) => NextMeasurement | undefined,
  said?: SaidSame,
) {
  const taken: NextMeasurement[] = [];
  let appraisal = judged(parts);
  while (!isDecided(appraisal) && taken.length < MOST) {
    const askable = appraisal.next.filter(
      ({ reason }) => !['settles', 'tells-cause', 'chooses-part'].includes(reason.code),
    );
    const chosen = choose(askable);
    if (!chosen) break;
    if (!take(saw, chosen, parts, hands, said)) throw new Error(`Nobody measures ${chosen.measure}.`);
    taken.push(chosen);
    appraisal = judged(parts);
  }
  return { taken, appraisal };
}

/** Measures saws until every part is decided, or nothing is worth measuring, choosing as told. */
export function measuredJobs(random: Random, runs: number, policy: Policy, chooser: Random): Jobs {
  let [minutes, wrong, most, undecided] = [0, 0, 0, 0];
  for (let run = 0; run < runs; run += 1) {
    const saw = anySaw(random);
    const { taken, appraisal } = measure(saw, begun(), handsOf(random), (next) => policy(next, chooser));
    const truth = finished(saw);
    minutes += minutesOf(taken);
    most = Math.max(most, taken.length);
    for (const part of PARTS) {
      const { action } = appraisal.verdicts[part];
      if (action === 'undecided') undecided += 1;
      else if ((action === 'replace') !== truth[part]) wrong += 1;
    }
  }
  return {
    minutes: minutes / runs,
    wrong: wrong / (PARTS.length * runs),
    most,
    undecided: undecided / (PARTS.length * runs),
  };
}

/** All orders of a few things. */
function* ordersOf<T>(things: readonly T[]): Generator<readonly T[]> {
  if (things.length <= 1) {
    yield things;
    return;
  }
  for (const [i, first] of things.entries())
    for (const rest of ordersOf(things.filter((_, j) => j !== i))) yield [first, ...rest];
}

const SMALL: readonly Askable[] = [
  'bar.checks.bow',
  'bar.edges.A.stations',
  'bar.edges.mouth',
  'chain.cuttersLeft',
  'chain.pushPull',
  'driveSprocket.wear',
];

/** Minutes that readings take on average, when the first that decides ends the job. */
function expectedMinutes(order: readonly NextMeasurement[]): number {
  let [sum, goesOn] = [0, 1];
  order.forEach(({ decides }, i) => {
    const due = minutesOf(order.slice(0, i + 1)) - minutesOf(order.slice(0, i));
    sum += goesOn * due;
    goesOn *= 1 - decides;
  });
  return sum;
}

/** By how much the order of the plan takes longer than the best of all orders, on average over small jobs. */
export function overBruteForce({ between }: Random, runs: number): number {
  let over = 0;
  for (let run = 0; run < runs; run += 1) {
    const readings = SMALL.map((measure): NextMeasurement => ({
      measure,
      at: null,
      mm: null,
      gain: 0,
      decides: between(0.02, 0.5),
      minutes: between(0.3, 4),
      question: measure,
      reason: { code: 'metal-left' },
    }));
    const best = Math.min(...[...ordersOf(readings)].map(expectedMinutes));
    over += expectedMinutes(inOrder(readings, ({ decides }) => decides)) / best - 1;
  }
  return over / runs;
}
