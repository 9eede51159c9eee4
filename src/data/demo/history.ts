import { REFIT_ACTS } from '../../core/declared';
import type { WrittenBenchSheet } from '../../core/sheet';
import { seeded } from './seeded';
import { DEMO_SHEETS } from './sheets';

type Edge = NonNullable<NonNullable<NonNullable<WrittenBenchSheet['bar']>['edges']>['A']>;
type Station = NonNullable<Edge['stations']>[number];

const mm = (value: number): string => `${value.toFixed(2)} mm`;

const PLACES = [60, 140, 220, 300, 380, 450] as const;
/** The place that wears most. */
const WORST = 300;

/** How the bar of this history is, and what each hour and each dressing takes. */
const TRUTH = {
  depth: 9.4,
  /** Wear of the rails, mm an hour. */
  rate: 0.0028,
  /** A dressing takes about this, mm. */
  dressing: 0.18,
  /** How far a rod is off, mm. */
  rod: 0.03,
  hoursPerWeek: 3,
} as const;

/** Chains that ran on it: cutter lengths as each came for the first time, and how many jobs it came with. */
const CHAINS = [
  { length: 8.4, jobs: 2 },
  { length: 8.9, jobs: 3 },
  { length: 8.7, jobs: 4 },
] as const;
/** Filed off between two jobs and at the bench together, mm. */
const FILED = 1.25;
/** A drive sprocket wears so much between two jobs, mm; the second was put on by the crew. */
const SPROCKET = { wear: 0.09, jobs: 5 } as const;

/** Days before the demo is loaded on which its jobs went out: a job every four or five months. */
const GONE_SINCE = [1088, 954, 826, 690, 561, 425, 289, 152, 16] as const;

/** One job of the history. */
export interface PastJob {
  readonly goneSince: number;
  readonly sheet: WrittenBenchSheet;
}

const chainAt = (visit: number): { readonly length: number; readonly elongation: number } => {
  let first = 0;
  for (const { length, jobs } of CHAINS) {
    if (visit < first + jobs)
      return { length: length - FILED * (visit - first), elongation: 0.3 + 0.45 * (visit - first) };
    first += jobs;
  }
  throw new Error('The history has more jobs than chains.');
};

function historyOf(seed: number): readonly PastJob[] {
  const { between, normal } = seeded(seed);
  const { bar, chain, driveSprocket, ...sheet } = DEMO_SHEETS['L-0417']!;
  let depth: number = TRUTH.depth;
  const read = (value: number) => mm(value + normal(TRUTH.rod));
  return GONE_SINCE.map((goneSince, visit): PastJob => {
    const weeks = visit === 0 ? 0 : (GONE_SINCE[visit - 1]! - goneSince) / 7;
    depth -= TRUTH.rate * weeks * TRUTH.hoursPerWeek * between(0.9, 1.1);
    const low = between(0.16, 0.24);
    const after = depth - TRUTH.dressing;
    const stations = (leans: number): Station[] =>
      PLACES.map((at) => {
        const [near, here] = [depth + (at === WORST ? 0 : 0.25) + leans, at === WORST ? leans : leans / 2];
        const left = after + (at === WORST ? 0 : 0.2);
        return {
          at: `${at} mm`,
          near: read(near),
          far: read(near - here),
          mouth: '1.40 mm',
          deep: '1.34 mm',
          deepAt: '3 mm',
          ...(leans > 0 ? { after: { near: read(left), far: read(left), mouth: '1.38 mm' } } : {}),
        };
      });
    const { length, elongation } = chainAt(visit);
    const cutters = (more: number) => [mm(length + more), mm(length + more + 0.1), mm(length + more + 0.15)];
    const closed = 297;
    const job: WrittenBenchSheet = {
      ...sheet,
      job: {
        symptoms: [],
        use: 'felling',
        operatorTrained: true,
        brought: ['whole-saw'],
        sharpening: 'guide',
        turnOver: 'every-chain',
        carriesWrench: true,
        hoursPerWeek: TRUTH.hoursPerWeek,
        complaint: visit === 0 ? 'New to the crew, bought used.' : 'Due: look it over.',
      },
      bar: {
        ...bar,
        edgeDown: visit % 2 === 0 ? 'A' : 'B',
        edgeDownNow: visit % 2 === 0 ? 'B' : 'A',
        checks: { ...bar!.checks, oilHoles: 'clear', groove: 'clean' },
        reworkDone: ['dress-rails', 'deburr', 'clean-oil-holes', 'turn-over'],
        edges: { A: { stations: stations(low) }, B: { stations: stations(0) } },
      },
      chain: {
        ...chain,
        cuttersLeft: cutters(0),
        cuttersRight: cutters(0.05),
        pushPull: { joints: 36, closed: mm(closed), pulled: mm(closed * (1 + elongation / 100)) },
        checks: { ...chain!.checks, strapBurrs: 'none' },
      },
      driveSprocket: {
        ...driveSprocket,
        wear: mm(0.04 + SPROCKET.wear * (visit % SPROCKET.jobs)),
        chainsRun: Math.floor((visit % SPROCKET.jobs) / 3),
      },
      refit: {
        done: REFIT_ACTS.filter((act) => !['tensioner-back', 'tension-again', 'oil-flies'].includes(act)),
        lift: '8 mm',
      },
      proof: { oil: 'flies', swarf: 'chips' },
    };
    depth = after;
    return { goneSince, sheet: job };
  });
}

/**
 * Three years of one bar, made by a simulation: rails that wear with the hours, a dressing at each job, three chains
 * that came and went, and a drive sprocket that the crew changed. Everything in it is invented.
 */
export const DEMO_HISTORY = { sawId: 's-brask-66', by: 'p-wil', firstTag: 301, jobs: historyOf(1887) } as const;

/** What stands on the tag of the chain that is on that saw. */
export const DEMO_TAGGED = { saw: DEMO_HISTORY.sawId, tag: 'K-17' } as const;
