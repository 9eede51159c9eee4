import { flatMap } from '../flat-map';
import { EDGES } from '../bar';
import { toolOf } from '../belief';
import type { BarAssessment } from '../bar/checks';
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

/** A step may stand and the tool cannot show it: half a minute with the square, or the edge stood up. */
export function levelTests({ standing }: Pick<BarAssessment, 'standing'>, sheet: BenchSheet): Asked[] {
  return flatMap(EDGES, (edge): Asked[] => {
    const { belief, stations } = standing[edge];
    const chance = belief?.stepChance ?? 0;
    if (!belief || Math.min(chance, 1 - chance) < WORTH_A_TEST) return [];
    const open = flatMap(belief.stations, (place, i) =>
      place && stations[i] && !stations[i].square ? [{ i, step: Math.abs(place.step.value) }] : [],
    );
    const steepest = open.reduce<{ i: number; step: number } | null>(
      (most, next) => (most && most.step >= next.step ? most : next),
      null,
    );
    const reason = { code: 'step-may-stand', edge, chance } as const;
    const gain = Math.min(chance, 1 - chance) / 2;
    const question = `level ${edge}`;
    const at = (measure: Askable): Asked => ({ measure, gain, minutes: minutesFor(measure), reason, question });
    return [
      ...(sheet.bar?.edges?.[edge]?.stands ? [] : [at(`bar.edges.${edge}.stands`)]),
      ...(steepest ? [at(stationPath(edge, steepest.i, 'square'))] : []),
    ];
  });
}

/** A chance of a step below this, or above its complement, is no question. */
const WORTH_A_TEST = 0.2;
