import { flatMap } from '../flat-map';
import { EDGES } from '../declared';
import { metalUnknown, type BarAssessment } from '../bar/checks';
import type { Identity } from '../identify';
import { judgedParts, missingReadings, type Check, type Verdict } from '../judge';
import type { PastHeard } from '../past/checks';
import type { Part } from '../reading';
import { decidesFor, isThere, minutesFor, type Askable, type BenchSheet } from '../sheet';
import { sideOf } from '../symptom';
import { BLIND, SETTLES, type Asked } from './asked';

/** Edges of one bar wear alike: where one was measured the other seldom decides (shop's figure). */
const LIKE_THE_OTHER = 0.2;

function chanceFor(measure: Askable, { bar }: BenchSheet): number {
  const isMeasured = EDGES.some((edge) => bar?.edges?.[edge]?.stations.some(({ near, far }) => near && far));
  const isEdge = EDGES.some((edge) => measure === `bar.edges.${edge}.stations`);
  return decidesFor(measure) * (isEdge && isMeasured ? LIKE_THE_OTHER : 1);
}

type Past = Pick<PastHeard, 'spared' | 'instead'>;

/**
 * Readings that a part to be judged waits for: what every part of its kind needs and its past does not spare, and what
 * this one's verdict names.
 */
export function missing(sheet: BenchSheet, verdicts: readonly Verdict[], { spared, instead }: Past): Asked[] {
  const parts = judgedParts(sheet);
  return flatMap(verdicts, ({ part, action, reasons }) => {
    if (action !== 'undecided' || !parts.includes(part)) return [];
    const named = flatMap(reasons, (reason) => (reason.code === 'missing' ? reason.readings : []));
    const waits = missingReadings(sheet, part).filter((measure) => !spared.includes(measure));
    return [...new Set([...waits, ...named])].map((measure): Asked => {
      const quick = instead.find(({ asks }) => asks === measure);
      return {
        measure,
        ...(quick && quick.at !== null ? { at: quick.at } : {}),
        gain: BLIND,
        decides: chanceFor(measure, sheet),
        minutes: minutesFor(measure),
        reason: { code: quick ? 'bears-out' : 'never-measured', part },
      };
    });
  });
}

/** A bar that may be the one of the last service: one word spares readings. */
export const sparing = (wouldSpare: PastHeard['wouldSpare']): Asked[] =>
  wouldSpare
    ? [
        {
          measure: wouldSpare.asks,
          gain: BLIND,
          decides: WAITED_FOR,
          minutes: minutesFor(wouldSpare.asks),
          reason: { code: 'spares', spares: wouldSpare.spares, ...lookOf(wouldSpare.foreseen) },
        },
      ]
    : [];

const lookOf = ({ seen, on }: NonNullable<PastHeard['wouldSpare']>['foreseen']) => ({ seen, on });

/** What would settle the three numbers of the chain, each by the observation that gains most a minute. */
export function identifying(sheet: BenchSheet, { chain }: Identity): Asked[] {
  const isThere = judgedParts(sheet).includes('chain') || sheet.job?.brought?.includes('scrap');
  if (!isThere) return [];
  return flatMap(['pitch', 'gauge', 'driveLinks'] as const, (property): Asked[] => {
    const { settledBy } = chain[property];
    if (!settledBy) return [];
    const minutes = settledBy.minutes * timesToTake(sheet, settledBy.measure);
    return [{ ...settledBy, minutes, reason: { code: 'settles', property }, question: `chain ${property}` }];
  });
}

/** Links are counted twice, even when stamped. */
const timesToTake = ({ chain }: BenchSheet, measure: Askable): number =>
  measure === 'chain.driveLinks' && (chain?.driveLinks?.length ?? 0) === 0 ? 2 : 1;

/** What a limit waits for opens all that stands and could not be judged: it comes before anything else is read. */
const WAITED_FOR = 0.9;

/** Limits that wait for a number of the bar: what would settle it, or the stamp. */
export function limitWaits(checks: readonly Check[], { bar }: Identity): Asked[] {
  const waits = (reading: Askable) =>
    checks.some(({ note }) => note?.code === 'needs' && note.readings.includes(reading));
  return flatMap(['pitch', 'gauge'] as const, (property): Asked[] => {
    if (!waits(`bar.${property}`)) return [];
    const measure = bar[property].settledBy?.measure ?? 'bar.stamp';
    return [
      {
        measure,
        gain: BLIND,
        decides: WAITED_FOR,
        minutes: minutesFor(measure),
        reason: { code: 'limit-waits', property },
      },
    ];
  });
}

/** What lets a new part be chosen decides no verdict: it comes after what does (shop's figure). */
const CHOOSES = 0.1;

/**
 * What a new part is chosen by: a chain by who runs the saw and by its sequence, a sprocket by its kind, its teeth and
 * what it sits on, a bar by its mount.
 */
const CHOSEN_BY: Readonly<Record<Part, (sheet: BenchSheet) => readonly Askable[]>> = {
  chain: ({ job, chain }) => [
    ...(job?.operatorTrained === undefined && chain?.kickbackClass !== 'low-kickback' && !chain?.bumperLinks
      ? (['job.operatorTrained'] as const)
      : []),
    ...(job?.operatorTrained === true && chain?.kickbackClass === undefined && !chain?.bumperLinks
      ? (['chain.kickbackClass'] as const)
      : []),
    ...(chain?.cutters === undefined && chain?.sequence === undefined ? (['chain.cutters'] as const) : []),
  ],
  driveSprocket: ({ driveSprocket, saw }) => [
    ...(driveSprocket?.type === undefined && saw?.sprocketKind === undefined ? (['driveSprocket.type'] as const) : []),
    ...(driveSprocket?.teeth === undefined ? (['driveSprocket.teeth'] as const) : []),
    ...(driveSprocket?.type === 'rim' && driveSprocket.splines === undefined && saw?.splines === undefined
      ? (['saw.splines'] as const)
      : []),
    ...(driveSprocket?.type === 'spur' && driveSprocket.bore === undefined ? (['driveSprocket.bore'] as const) : []),
  ],
  bar: ({ bar, saw }) => (bar?.mount || saw?.mount ? [] : ['saw.mount']),
  nose: ({ bar }) => (bar?.noseReplaceable === true && bar.noseTeeth === undefined ? ['bar.noseTeeth'] : []),
};

/** What must be said of a condemned part before a new one can be chosen. */
export function choosingNew(sheet: BenchSheet, verdicts: readonly Verdict[]): Asked[] {
  const gone = verdicts.filter(({ action }) => action === 'replace');
  return flatMap(gone, ({ part }) =>
    CHOSEN_BY[part](sheet).map((measure): Asked => ({
      measure,
      gain: CHOOSES,
      decides: CHOOSES,
      minutes: minutesFor(measure),
      reason: { code: 'chooses-part', part },
    })),
  );
}

/** Rails that are as good as level have no lean to reckon. */
const LEANS_FROM = 0.2;
/**
 * What the bar's thickness takes off the chance of a wrong call: little, it moves the drift by a tenth (shop's figure).
 */
const THICKNESS_GAIN = 0.2;

/**
 * Where a cut runs crooked and the rails may stand out of level, the lean of the links lacks the bar's own thickness.
 */
export function leanWaits(sheet: BenchSheet, { edges, leanDrift }: BarAssessment): Asked[] {
  const measure = 'bar.thickness';
  const isCrooked = (sheet.job?.symptoms ?? []).some((symptom) => sideOf(symptom) !== null);
  const mayLean = EDGES.some((edge) => (edges[edge].belief?.stepChance ?? 0) > LEANS_FROM);
  if (!isCrooked || !mayLean || !leanDrift || isThere(sheet, measure)) return [];
  return [
    {
      measure,
      gain: THICKNESS_GAIN,
      decides: SETTLES,
      minutes: minutesFor(measure),
      reason: { code: 'figure-waits', figure: 'lean' },
    },
  ];
}

/**
 * How often an angle that nobody has measured is so far off that the length hangs on it (shop's figure); where damage
 * is called a wrong angle, as often as not.
 */
const ANGLE_IS_OFF = 0.15;

/** Cutters too close to their limit, whose angle nobody has measured: filing it right may take what is left. */
export function angleWaits(checks: readonly Check[], sheet: BenchSheet): Asked[] {
  if (!checks.some(({ id, outcome }) => id === 'chain.cutter' && outcome === 'undecided')) return [];
  return flatMap(['left', 'right'] as const, (side): Asked[] => {
    const measure = side === 'left' ? 'chain.topPlateAngleLeft' : 'chain.topPlateAngleRight';
    if (isThere(sheet, measure)) return [];
    const isNamed = sheet.chain?.damage?.some((damage) => damage.side === side && damage.kind === 'angle');
    const decides = isNamed ? SETTLES : ANGLE_IS_OFF;
    return [
      {
        measure,
        gain: decides / 2,
        decides,
        minutes: minutesFor(measure),
        reason: { code: 'figure-waits', figure: 'cutter' },
      },
    ];
  });
}

/** Level tests decide that the bar is dressed; its depth tells what metal is left, and may yet condemn it. */
export function metalLeft(bar: Pick<BarAssessment, 'standing'>): Asked[] {
  return metalUnknown(bar).map((edge): Asked => {
    const measure = `bar.edges.${edge}.stations` as const;
    const decides = decidesFor(measure);
    return { measure, gain: decides, decides, minutes: minutesFor(measure), reason: { code: 'metal-left' } };
  });
}
