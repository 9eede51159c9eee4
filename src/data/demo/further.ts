import type { Choices } from '../../core/plan';
import { REFIT_ACTS, type RefitAct } from '../../core/declared';
import type { WrittenBenchSheet } from '../../core/sheet';
import { DEMO_HISTORY } from './history';
import { DEMO_SHEETS } from './sheets';

/** Saws of jobs that have gone further than the bench, all invented. */
export const DEMO_FURTHER_SAWS = [
  { id: 's-brask-66', customerId: 'c-towpath', label: 'Brask 66', tag: 'TP-02', mount: 'M2', maxRpm: 12700 },
  { id: 's-ondral-60', customerId: 'c-towpath', label: 'Ondral 60', tag: 'TP-15', mount: 'M2', maxRpm: 12600 },
  { id: 's-brask-55', customerId: 'c-garden', label: 'Brask 55', tag: 'BG-07', mount: 'M2', maxRpm: 12900 },
  { id: 's-velm-e30', customerId: 'c-orchard', label: 'Velm E30', tag: 'OR-09', mount: 'M2', maxRpm: 11800 },
  { id: 's-ondral-47', customerId: 'c-theatre', label: 'Ondral 47', tag: 'TH-04', mount: 'M2', maxRpm: 12400 },
  { id: 's-brask-51', customerId: 'c-towpath', label: 'Brask 51', tag: 'TP-18', mount: 'M2', maxRpm: 12700 },
  { id: 's-velm-e22', customerId: 'c-garden', label: 'Velm E22', tag: 'BG-09', mount: 'M2', maxRpm: 10500 },
  { id: 's-ondral-49', customerId: 'c-orchard', label: 'Ondral 49', tag: 'OR-11', mount: 'M2', maxRpm: 12500 },
  { id: 's-brask-57', customerId: 'c-theatre', label: 'Brask 57', tag: 'TH-06', mount: 'M2', maxRpm: 12800 },
  { id: 's-ondral-55', customerId: 'c-towpath', label: 'Ondral 55', tag: 'TP-21', mount: 'M2', maxRpm: 12600 },
] as const;

type Edge = NonNullable<NonNullable<NonNullable<WrittenBenchSheet['bar']>['edges']>['A']>;

const PLACES = [60, 140, 220, 300, 380, 450] as const;

/**
 * A groove a few years old: the far rail lower by so much all along, which leans the chain without calling for the
 * file.
 */
const leaning = (step: number): Edge => ({
  stations: PLACES.map((at) => ({
    at: `${at} mm`,
    near: '7.9 mm',
    far: `${(7.9 - step).toFixed(2)} mm`,
    mouth: '1.38 mm',
    deep: '1.34 mm',
    deepAt: '3 mm',
  })),
});

const DONE: readonly RefitAct[] = REFIT_ACTS.filter(
  (act) => !['tensioner-back', 'tension-again', 'oil-flies'].includes(act),
);

interface Cut {
  readonly drift: string;
  readonly side: 'left' | 'right';
}

/** A sound saw that was put back on and proved. */
function proved(
  step: number,
  { drift, side }: Cut,
  use: 'bucking' | 'felling' | 'milling' | 'limbing',
): WrittenBenchSheet {
  const { bar, chain, ...sheet } = DEMO_SHEETS['L-0417']!;
  const { checks, ...body } = bar!;
  return {
    ...sheet,
    job: {
      symptoms: [],
      use,
      operatorTrained: true,
      brought: ['whole-saw'],
      sharpening: 'guide',
      turnOver: 'every-chain',
      carriesWrench: true,
      hoursPerWeek: 4,
      complaint: 'Look it over before the season.',
    },
    bar: {
      ...body,
      edgeDown: 'A',
      edgeDownNow: 'B',
      checks: { ...checks, oilHoles: 'clear', groove: 'clean' },
      edges: { A: leaning(0.02), B: leaning(step) },
    },
    chain: { ...chain, checks: { ...chain!.checks, strapBurrs: 'none' } },
    refit: { done: [...DONE], lift: '8 mm' },
    proof: { oil: 'flies', cut: { depth: '300 mm', drift, side }, swarf: 'chips' },
  };
}

/** A chain past its mark, of a length that is not on the shelf. */
function wornChain(): WrittenBenchSheet {
  const { job, bar, chain, ...sheet } = DEMO_SHEETS['L-0423']!;
  return {
    ...sheet,
    job: { ...job, brought: ['whole-saw'], complaint: 'Blunt again after every tank, nothing left to file.' },
    bar: { ...bar, stamp: '18 in 3/8 LP .050 1.3 62DL', mount: 'M2', edgeDown: 'B' },
    chain: { ...chain, driveLinks: [62, 62], cutters: 31 },
  };
}

/** How far a job has gone. Days are counted back from the day the demo is loaded. */
export interface FurtherJob {
  readonly tag: string;
  readonly sawId: (typeof DEMO_FURTHER_SAWS)[number]['id'];
  readonly by: 'p-ines' | 'p-tam' | 'p-wil';
  readonly sheet: WrittenBenchSheet;
  /** What was signed: the cheapest plan with these choices; none where the verdicts were signed alone. */
  readonly choices: Choices | null;
  /** Days since it was handed over; null where it still is on the bench. */
  readonly goneSince: number | null;
  /** Why it went with something still open. */
  readonly note?: string;
  /** True where its parts are on order, and late. */
  readonly late?: boolean;
}

/** Jobs that were handed over, whose test cuts tell the shop's factor, and jobs on their way there. */
export const DEMO_FURTHER_JOBS: readonly FurtherJob[] = [
  ...DEMO_HISTORY.jobs.map(({ goneSince, sheet }, i): FurtherJob => ({
    tag: `L-0${DEMO_HISTORY.firstTag + i}`,
    sawId: DEMO_HISTORY.sawId,
    by: DEMO_HISTORY.by,
    sheet,
    choices: null,
    goneSince,
    note: 'Cut straight in the yard; nobody measured it.',
  })),
  {
    tag: 'L-0401',
    sawId: 's-ondral-60',
    by: 'p-ines',
    sheet: proved(0.05, { drift: '3 mm', side: 'right' }, 'felling'),
    choices: null,
    goneSince: 44,
  },
  {
    tag: 'L-0402',
    sawId: 's-brask-55',
    by: 'p-tam',
    sheet: proved(0.07, { drift: '4 mm', side: 'right' }, 'limbing'),
    choices: null,
    goneSince: 38,
  },
  {
    tag: 'L-0404',
    sawId: 's-velm-e30',
    by: 'p-ines',
    sheet: proved(0.03, { drift: '1.5 mm', side: 'right' }, 'limbing'),
    choices: null,
    goneSince: 30,
  },
  {
    tag: 'L-0405',
    sawId: 's-ondral-47',
    by: 'p-wil',
    sheet: proved(0.06, { drift: '3 mm', side: 'right' }, 'milling'),
    choices: null,
    goneSince: 21,
  },
  {
    tag: 'L-0407',
    sawId: 's-brask-51',
    by: 'p-tam',
    sheet: proved(0.08, { drift: '4.5 mm', side: 'right' }, 'bucking'),
    choices: null,
    goneSince: 12,
  },
  {
    tag: 'L-0409',
    sawId: 's-velm-e22',
    by: 'p-ines',
    sheet: proved(0.04, { drift: '2 mm', side: 'right' }, 'limbing'),
    choices: null,
    goneSince: 5,
  },
  {
    tag: 'L-0413',
    sawId: 's-ondral-49',
    by: 'p-tam',
    sheet: wornChain(),
    choices: { bar: 'keep', nose: 'keep', chain: 'replace', driveSprocket: 'keep' },
    goneSince: null,
    late: true,
  },
  {
    tag: 'L-0414',
    sawId: 's-brask-57',
    by: 'p-wil',
    sheet: {
      ...DEMO_SHEETS['L-0417']!,
      job: { ...DEMO_SHEETS['L-0417']!.job, complaint: 'Pushes to one side in anything thick.' },
    },
    choices: { bar: 'recondition', nose: 'keep', chain: 'keep', driveSprocket: 'keep' },
    goneSince: null,
  },
  {
    tag: 'L-0415',
    sawId: 's-ondral-55',
    by: 'p-ines',
    sheet: proved(0.06, { drift: '14 mm', side: 'right' }, 'bucking'),
    choices: null,
    goneSince: null,
  },
];
