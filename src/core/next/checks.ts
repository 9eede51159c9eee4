import { flatMap } from '../flat-map';
import { EDGES, stationPath } from '../declared';
import { toolOf } from '../belief';
import type { ChainAssessment } from '../chain/checks';
import type { BarAssessment, EdgeAssessment } from '../bar/checks';
import { readingOf, type Check, type Verdict } from '../judge';
import { minutesFor, timesRead, type Askable, type BenchSheet } from '../sheet';
import { BLIND, SETTLES, type Asked } from './asked';
import { gainOfMove, movedBy, settleChance } from './gain';

/** All readings that would settle one check answer one question. */
const aboutCheck = ({ id, at }: Check): string => [id, at?.edge, at?.station, at?.rail].join(' ');

/** What a value has in common with another reading by the tool that would repeat it: the tool's own error. */
function sharedWith({ ways, repeat }: Check): number {
  const [main] = ways?.[0]?.terms ?? [];
  const used = main && toolOf(main.of);
  return used && used.tool === repeat?.tool ? used.shared : 0;
}

/** A repeat that settles less often than this is not asked for: the call is too close for this tool. */
const LEAST_CHANCE = 0.03;
/** Readings of one value beyond which the scatter is known and the tool's own error is all that is left. */
const MOST_REPEATS = 4;

/**
 * One more reading for each condemning check that is too close to call, with its own tool, in the unit of its value.
 * The least depth of a bar has its own way of asking.
 */
export function repeats(checks: readonly Check[], sheet: BenchSheet): Asked[] {
  return flatMap(checks, (check): Asked[] => {
    const { id, bound, condemns, outcome, value, limit, uncertainty, repeat } = check;
    if (!condemns || outcome !== 'undecided' || value === null || limit === null || !uncertainty || !repeat) return [];
    if (id === 'bar.depth' && bound === null) return [];
    const { measure, tool } = repeat;
    const spread = movedBy(uncertainty, repeat.u, sharedWith(check));
    const decides = settleChance(value - limit, uncertainty, spread);
    if (decides < LEAST_CHANCE || timesRead(sheet, measure) >= MOST_REPEATS) return [];
    const gain = gainOfMove(value - limit, uncertainty, spread);
    const reason = { code: 'too-close', check, instrument: tool } as const;
    return [{ measure, gain, decides, minutes: minutesFor(measure), reason, question: aboutCheck(check) }];
  });
}

/** Depth gauges to read again, while it is open whether one stands wrong. */
export const gaugesAgain = ({ gaugesToRepeat }: Pick<ChainAssessment, 'gaugesToRepeat'>): Asked[] =>
  gaugesToRepeat.map(({ measure, high, low }) => {
    const chance = Math.max(high, low);
    return {
      measure,
      gain: Math.min(chance, 1 - chance),
      decides: SETTLES * Math.min(chance, 1 - chance),
      minutes: minutesFor(measure),
      reason: { code: 'gauge-open', chance },
    };
  });

/** Level tests, eyes and hands that contradict all else: each is made again, whatever the verdict. */
export const contradicted = (verdicts: readonly Verdict[]): Asked[] =>
  flatMap(verdicts, ({ against }) =>
    flatMap(against, (check): Asked[] => {
      const measure = check.again;
      return measure
        ? [
            {
              measure,
              gain: BLIND / 2,
              decides: SETTLES,
              minutes: minutesFor(measure),
              reason: { code: 'contradicts', check },
            },
          ]
        : [];
    }),
  );

/** What could come out either way and has no figure: somebody looks again. */
export function looksAgain(checks: readonly Check[]): Asked[] {
  return flatMap(checks, (check): Asked[] => {
    if (!check.condemns || check.outcome !== 'undecided' || check.value !== null) return [];
    const measure = check.repeat?.measure ?? readingOf(check.id);
    if (!measure) return [];
    return [
      {
        measure,
        gain: BLIND,
        minutes: minutesFor(measure),
        reason: { code: 'not-sure', check },
        question: aboutCheck(check),
      },
    ];
  });
}

/** Where only one side of a value is known: the other side is what to measure. */
export function otherSide(checks: readonly Check[]): Asked[] {
  return flatMap(checks, (check): Asked[] => {
    const { condemns, outcome, note, at, bound, repeat } = check;
    if (!condemns || outcome !== 'undecided') return [];
    const found = (measure: Askable): Asked => ({
      measure,
      gain: BLIND,
      minutes: minutesFor(measure),
      reason: { code: 'one-side-known', check },
      question: aboutCheck(check),
    });
    const there = <F extends 'mouth' | 'deep'>(field: F) => stationPath(at?.edge ?? 'A', at?.station ?? 0, field);
    if (note?.code === 'mouth-alone') return [found(there('deep')), found('bar.checks.straightEdge')];
    if (note?.code === 'floor-alone') return [found(there('mouth'))];
    return bound && repeat ? [found(repeat.measure)] : [];
  });
}

/**
 * Measured values that nothing holds for themselves: a reading that contradicts another, a mark that bounds one side
 * only.
 */
export function unjudged(checks: readonly Check[]): Asked[] {
  return flatMap(checks, (check): Asked[] => {
    const { outcome, value, repeat, note } = check;
    if (outcome !== 'not-measured' || value === null || !repeat) return [];
    if (note?.code === 'needs' && note.readings.some((reading) => reading === 'bar.pitch' || reading === 'bar.gauge'))
      return [];
    const { measure } = repeat;
    return [{ measure, gain: BLIND, minutes: minutesFor(measure), reason: { code: 'one-side-known', check } }];
  });
}

/** Stations with their numbers, and places without one, of an edge: where the square was not set yet. */
function untested({
  belief,
  stations,
}: EdgeAssessment): readonly { readonly station: number | null; readonly at: number; readonly open: number }[] {
  return flatMap(belief?.unlevel ?? [], ({ at, chance }) => {
    const station = stations.find((each) => Math.abs(each.at - at) < SAME_PLACE);
    return station?.square ? [] : [{ station: station?.index ?? null, at, open: chance * (1 - chance) }];
  });
}

/** A step may stand and it is open: half a minute with the square where that is most open, or the edge stood up. */
export function levelTests({ standing }: Pick<BarAssessment, 'standing'>, sheet: BenchSheet): Asked[] {
  return flatMap(EDGES, (edge): Asked[] => {
    const { belief, stations } = standing[edge];
    const chance = belief?.stepChance ?? 0;
    const worth = belief && belief.tests.length > 0 ? WORTH_ANOTHER : WORTH_A_TEST;
    if (!belief || chance < worth.from || chance > worth.to) return [];
    const open = untested(standing[edge]).reduce<ReturnType<typeof untested>[number] | null>(
      (most, next) => (most && most.open >= next.open ? most : next),
      null,
    );
    const reason = { code: 'step-may-stand', edge, chance } as const;
    const gain = Math.min(chance, 1 - chance) / 2;
    const question = `level ${edge}`;
    const test = (measure: Askable, at?: number): Asked => ({
      measure,
      gain,
      // It moves work and decides nothing that a verdict waits for: what does comes first.
      decides: BESIDE * gain,
      minutes: minutesFor(measure),
      reason,
      question,
      ...(at === undefined ? {} : { at }),
    });
    return [
      ...(sheet.bar?.edges?.[edge]?.stands ? [] : [test(`bar.edges.${edge}.stands`)]),
      ...(open ? [test(stationPath(edge, open.station ?? stations.length, 'square'), open.at)] : []),
    ];
  });
}

/** What moves work counts this much beside what a verdict waits for (tried on simulated jobs). */
const BESIDE = 0.1;

/** A station nearer than this is the same place, mm. */
const SAME_PLACE = 5;

/**
 * A chance of a step outside these is no question: before any level test, and once some were made (tried on simulated
 * bars, model §18).
 */
const WORTH_A_TEST = { from: 0.2, to: 0.8 } as const;
const WORTH_ANOTHER = { from: 0.08, to: 0.9 } as const;
