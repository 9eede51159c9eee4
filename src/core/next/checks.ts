import { flatMap } from '../flat-map';
import { EDGES } from '../bar';
import { toolOf } from '../belief';
import type { BarAssessment, EdgeAssessment } from '../bar/checks';
import { readingOf, type Check } from '../judge';
import { minutesFor, stationPath, type Askable, type BenchSheet } from '../sheet';
import { BLIND, type Asked } from './asked';
import { gainOfRepeat } from './gain';

/** All readings that would settle one check answer one question. */
const aboutCheck = ({ id, at }: Check): string => [id, at?.edge, at?.station, at?.rail].join(' ');

/** What is undecided is never worth nothing to measure again. */
const LEAST_GAIN = 0.01;

/** What a value has in common with another reading by the tool that would repeat it: the tool's own error. */
function sharedWith({ ways, repeat }: Check): number {
  const [main] = ways?.[0]?.terms ?? [];
  const used = main && toolOf(main.of);
  return used && used.tool === repeat?.tool ? used.shared : 0;
}

/** One more reading for each condemning check that is too close to call, with its own tool, in the unit of its value. */
export function repeats(checks: readonly Check[]): Asked[] {
  return flatMap(checks, (check): Asked[] => {
    const { condemns, outcome, value, limit, uncertainty, repeat } = check;
    if (!condemns || outcome !== 'undecided' || value === null || limit === null || !uncertainty || !repeat) return [];
    const gain = gainOfRepeat(value - limit, uncertainty, repeat.u, sharedWith(check));
    const reason = { code: 'too-close', check, instrument: repeat.tool } as const;
    const { measure } = repeat;
    return [
      { measure, gain: Math.max(gain, LEAST_GAIN), minutes: minutesFor(measure), reason, question: aboutCheck(check) },
    ];
  });
}

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

/** Measured values that nothing holds for themselves: a reading that contradicts another, a mark that bounds one side only. */
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

/** A station nearer than this is the same place, mm. */
const SAME_PLACE = 5;

/** A chance of a step outside these is no question: before any level test, and once some were made (tried on simulated bars, model §18). */
const WORTH_A_TEST = { from: 0.2, to: 0.8 } as const;
const WORTH_ANOTHER = { from: 0.08, to: 0.9 } as const;
