import { flatMap } from '../../flat-map';
import { EDGES, markerSaysStep, meanStep, squareSays, standsSays, step, testDisagrees, type Edge } from '..';
import { exactly, mm } from '../../quantity';
import type { BarContext } from './context';
import { judgedCheck, observedCheck, type Check } from '../../judge';
import type { EdgeAssessment } from './edge';

const part = 'bar' as const;

/** The station where the rails are believed to stand furthest out of level. */
function steepest({
  belief,
}: EdgeAssessment): { readonly station: number; readonly value: number; readonly u: number } | null {
  let found: { station: number; value: number; u: number } | null = null;
  belief?.stations.forEach((place, station) => {
    if (place && (!found || Math.abs(place.step.value) > found.value))
      found = { station, value: Math.abs(place.step.value), u: place.step.u };
  });
  return found;
}

/**
 * One question for each edge: do its rails stand out of level by more than the limit over a length that matters? Work is called for when that is more likely
 * than not. Where the rails are level and the plan takes much all the same, the plan is what calls.
 */
function stepCheck(edge: Edge, { edges, limits }: BarContext): Check[] {
  const assessed = edges[edge];
  const measured = assessed.stations.some((station) => step(station) !== null || station.square || station.marker);
  const most = steepest(assessed);
  if (!measured || !most || !assessed.belief) return [];
  const advised = assessed.dressing?.advised ?? false;
  const limit = limits['bar.step'];
  const takes = advised && assessed.belief.stepChance <= 1 / 2;
  const value = takes ? { value: mm(assessed.dressing!.plan.most), u: 0 } : { value: mm(most.value), u: most.u };
  const head = {
    id: 'bar.step',
    part,
    at: { edge, station: most.station },
    condemns: false,
    note: takes ? ({ code: 'dressing-takes' } as const) : null,
  } as const;
  const check = judgedCheck(head, { value, within: exactly(1 - assessed.belief.stepChance), ways: null }, limit, null);
  return [{ ...check, outcome: advised ? 'fail' : 'ok' }];
}

/** A level test and the measured step must tell the same; where they do not, one of them is to be made again. */
function testCheck(
  id: 'bar.marker' | 'bar.square' | 'bar.stands',
  at: Check['at'],
  disagrees: boolean | null,
): Check[] {
  if (disagrees === null) return [];
  const word = disagrees ? 'disagrees' : 'agrees';
  return [observedCheck({ id, part, at }, word, { agrees: 'ok', disagrees: 'watch' })];
}

function testChecks(edge: Edge, { edges, sheet }: BarContext): Check[] {
  const { stations } = edges[edge];
  const whole = meanStep(stations);
  const stands = standsSays(sheet.bar?.edges?.[edge]?.stands ?? null);
  return [
    ...flatMap(stations, (station) => {
      const at = { edge, station: station.index };
      const measured = step(station);
      return [
        ...testCheck('bar.marker', at, testDisagrees(markerSaysStep(station), measured)),
        ...testCheck('bar.square', at, testDisagrees(squareSays(station), measured)),
      ];
    }),
    ...testCheck('bar.stands', { edge }, testDisagrees(stands, whole && { value: mm(whole.value), u: whole.u })),
  ];
}

/** All that levelness decides. */
export function levelChecks(context: BarContext): Check[] {
  return flatMap(EDGES, (edge) => [...stepCheck(edge, context), ...testChecks(edge, context)]);
}
