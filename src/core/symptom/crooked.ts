import { pointsOf } from '../belief';
import { normalCdf } from '../quantity';
import type { DriftBelief } from './drift-belief';
import type { Cause } from './causes';
import { ranked, type Ranking } from './noisy-or';
import type { Present } from './presence';
import type { School } from './symptom';

/** A normal: mm of drift over {@link NOTICED_DEPTH}, to the right above 0. */
export interface Pull {
  readonly mean: number;
  readonly u: number;
}

/**
 * What a cause does to a cut: how likely it is there, where it then draws the cut, and what is left of it where it is
 * sound.
 */
export interface DriftPart {
  readonly cause: Cause;
  readonly present: number;
  readonly faulty: Pull;
  readonly sound: Pull;
}

/**
 * How sure a drift is to be complained of: from how much on, and how much that wavers, mm over 300 (shop's figures,
 * model §18).
 */
const NOTICED = { from: 6, spread: 3 } as const;
/** What customers say of a side is wrong so often (shop's figure). */
const MISTOLD = 0.045;
const ANSWERS = 3;

export type CutSide = 'left' | 'straight' | 'right';

const told = (chance: number): number => (1 - MISTOLD) * chance + MISTOLD / ANSWERS;

/**
 * How likely a cut is told to run to each side, by the drift that all parts come to together.
 * @example a lean of 8 ± 2 and cutters of 4 ± 1: left 0.015, straight 0.067, right 0.918
 */
export function oddsOf({ mean, u }: Pull): Readonly<Record<CutSide, number>> {
  const spread = Math.hypot(NOTICED.spread, u);
  const right = normalCdf((mean - NOTICED.from) / spread);
  const left = normalCdf((-mean - NOTICED.from) / spread);
  return { left: told(left), straight: told(1 - left - right), right: told(right) };
}

/** The sum of what was found, each as sure as it is. */
export function pullOf(parts: readonly DriftPart[]): Pull {
  let [mean, square] = [0, 0];
  for (const { present, faulty, sound } of parts) {
    const own = present * faulty.mean + (1 - present) * sound.mean;
    mean += own;
    square +=
      present * (faulty.u ** 2 + faulty.mean ** 2) + (1 - present) * (sound.u ** 2 + sound.mean ** 2) - own ** 2;
  }
  return { mean, u: Math.sqrt(Math.max(0, square)) };
}

/**
 * Where nothing tells the side or the size: a cause that is there draws a cut by so much to either side; one that is
 * not, by so little. Standard deviations, mm over 300 (shop's figures).
 */
const UNKNOWN: Readonly<Partial<Record<Cause, { readonly faulty: number; readonly sound: number }>>> = {
  'rails-unlevel': { faulty: 12, sound: 1.5 },
  'groove-worn': { faulty: 8, sound: 1 },
  'bar-bent': { faulty: 9, sound: 0.5 },
  'chain-thin-for-groove': { faulty: 8, sound: 0.5 },
  'cutters-uneven': { faulty: 6, sound: 1 },
  'depth-gauges-uneven': { faulty: 6, sound: 1 },
  'cutters-dull': { faulty: 5, sound: 0.5 },
};

/**
 * To the school that looks at the bar first uneven cutters draw a cut by this much of what the other finds (shop's
 * figure: gross unevenness alone cut straight in a trial).
 */
const BESIDE_THE_BAR = 0.6;
/**
 * How much more a leaning or worn bar steers where the chain is certainly dull or its gauges high: feed is slow, force
 * is great, and it cuts sideways (shop's figure).
 */
const FORCED = 0.5;

/** The parts of the drift, from what is believed of bar and chain. */
export function driftParts(
  present: readonly (Present & { readonly aggravatedBy: readonly Cause[] })[],
  belief: DriftBelief,
  forced: number,
  school: School,
): readonly DriftPart[] {
  return present.map(({ cause, present: chance }) => {
    const { faulty, sound } = UNKNOWN[cause] ?? { faulty: 5, sound: 0.5 };
    const known = belief[cause];
    const own = known ?? { mean: 0, u: faulty };
    const isBar = cause === 'rails-unlevel' || cause === 'groove-worn';
    const isCutters = cause === 'cutters-uneven' || cause === 'depth-gauges-uneven';
    const times = isBar ? 1 + FORCED * forced : isCutters && school === 'bar-first' ? BESIDE_THE_BAR : 1;
    return {
      cause,
      present: chance,
      faulty: { mean: times * own.mean, u: times * own.u },
      sound: { mean: 0, u: sound },
    };
  });
}

/** Points that the explanation of a crooked cut is summed over. */
const POINTS = 512;
/** Causes are tried at least this often each way, and weighed by how likely they are: a rare one is seen too. */
const TRIED = { least: 0.15, most: 0.85 } as const;
/** A pull below this does not count as being at work, mm over 300 (shop's figure). */
const AT_WORK = 1.5;

/** Fractions of irrational numbers, one for each cause, which never fall into step (square roots of primes). */
const STEPS = [2, 3, 5, 7, 11, 13, 17, 19, 23, 29].map((prime) => Math.sqrt(prime) % 1);

/** Where each pair of points falls for each cause, 0…1: worked out once. */
const FALLS = Float64Array.from(
  { length: (POINTS / 2) * STEPS.length },
  (_, at) => ((Math.floor(at / STEPS.length) + 0.5) * STEPS[at % STEPS.length]!) % 1,
);

/**
 * Cuts that parts could make, drawn once: which cause is faulty in each and where it pulls, and how likely such a cut
 * is told to run to the side of the complaint.
 */
interface Cuts {
  readonly faulty: Uint8Array;
  readonly pulls: Float64Array;
  readonly told: Float64Array;
  /** How often each cause was tried faulty. */
  readonly tried: Float64Array;
}

function drawnCuts(parts: readonly DriftPart[], sign: 1 | -1): Cuts {
  const n = parts.length;
  const points = pointsOf(POINTS / 2, n);
  const tried = Float64Array.from(parts, ({ present }) => Math.min(TRIED.most, Math.max(TRIED.least, present)));
  const [faulty, pulls, tolds] = [new Uint8Array(POINTS * n), new Float64Array(POINTS * n), new Float64Array(POINTS)];
  for (let k = 0; k < POINTS; k += 1) {
    const pair = k >> 1;
    let drift = 0;
    for (let i = 0; i < n; i += 1) {
      const part = parts[i]!;
      const isFaulty = FALLS[pair * STEPS.length + (i % STEPS.length)]! < tried[i]!;
      const { mean, u } = isFaulty ? part.faulty : part.sound;
      const value = sign * mean + (k % 2 === 0 ? u : -u) * points[pair * n + i]!;
      pulls[k * n + i] = value;
      faulty[k * n + i] = Number(isFaulty);
      drift += value;
    }
    tolds[k] = told(normalCdf((drift - NOTICED.from) / NOTICED.spread));
  }
  return { faulty, pulls, told: tolds, tried };
}

/** Sums over drawn cuts, each weighed by how likely it is with these chances of a fault. */
function weighed({ faulty, pulls, told: tolds, tried }: Cuts, chances: Float64Array) {
  const n = chances.length;
  const [present, acting, pull] = [new Float64Array(n), new Float64Array(n), new Float64Array(n)];
  const there = chances.map((chance, i) => chance / tried[i]!);
  const missing = chances.map((chance, i) => (1 - chance) / (1 - tried[i]!));
  let [all, unexplained] = [0, 0];
  for (let k = 0; k < POINTS; k += 1) {
    const from = k * n;
    let weight = tolds[k]!;
    for (let i = 0; i < n; i += 1) weight *= faulty[from + i] === 1 ? there[i]! : missing[i]!;
    let isAtWork = false;
    for (let i = 0; i < n; i += 1) {
      const value = pulls[from + i]!;
      if (value > 0) pull[i] = pull[i]! + weight * value;
      if (faulty[from + i] === 0) continue;
      present[i] = present[i]! + weight;
      if (value < AT_WORK) continue;
      isAtWork = true;
      acting[i] = acting[i]! + weight;
    }
    if (!isAtWork) unexplained += weight;
    all += weight;
  }
  return { present, acting, pull, all, unexplained };
}

/**
 * Causes of a crooked cut: their pulls are summed with their signs, and the complaint is evidence on the sum. Each
 * cause is either sound or faulty, a normal each; the share of a cause is what it pulls to the side of the complaint,
 * of what all pull there.
 * @returns the ranking for any chances of these same causes: the cuts are drawn once
 */
export function crookedCuts(
  parts: readonly DriftPart[],
  side: 'left' | 'right',
  aggravatedBy: (cause: Cause) => readonly Cause[],
): (chances: Float64Array) => Ranking {
  const cuts = drawnCuts(parts, side === 'right' ? 1 : -1);
  return (chances) => {
    const { present, acting, pull, all, unexplained } = weighed(cuts, chances);
    const standing = parts.map(({ cause }, i) => ({
      cause,
      present: present[i]! / all,
      acting: acting[i]! / all,
      aggravatedBy: aggravatedBy(cause),
    }));
    const { causes, unexplainedShare } = ranked(standing, unexplained / all);
    const whole = pull.reduce((sum, each) => sum + each, 0);
    const pullBy = new Map(parts.map(({ cause }, i) => [cause, pull[i]!]));
    const shared = causes.map((each) => ({
      ...each,
      share: whole > 0 ? ((1 - unexplainedShare) * pullBy.get(each.cause)!) / whole : 0,
    }));
    return { causes: shared.sort((a, b) => b.share - a.share), unexplained: unexplained / all, unexplainedShare };
  };
}

/** The same for the chances that the parts have. */
export const crookedCut = (
  parts: readonly DriftPart[],
  side: 'left' | 'right',
  aggravatedBy: (cause: Cause) => readonly Cause[],
): Ranking => crookedCuts(parts, side, aggravatedBy)(Float64Array.from(parts, ({ present }) => present));
