import { flatMap } from '../../flat-map';
import { TEST_CHECK, testDisagrees, type EdgeBelief, type TestFound } from '../../groove';
import { EDGES, type Edge, stationPath } from '../../declared';
import { exactly, mm, type Estimate } from '../../quantity';
import type { Limits } from '../../limits';
import type { BarContext } from './context';
import { judgedCheck, observedCheck, unmeasuredCheck, withOutcome, type Check } from '../../judge';
import type { EdgeAssessment } from './edge';

const part = 'bar' as const;

/** Where the rails are believed to stand furthest out of level. */
function steepest({ steps }: EdgeBelief): { readonly station: number; readonly step: Estimate } | null {
  let found: { station: number; step: Estimate } | null = null;
  steps.forEach((step, station) => {
    if (step && (!found || Math.abs(step.value) > Math.abs(found.step.value))) found = { station, step };
  });
  return found;
}

/** The rail that stands high. */
const highOf = ({ value }: Estimate): 'near' | 'far' => (value >= 0 ? 'near' : 'far');

/** A chance of a step below this clears an edge that was only tested by hand. */
const CLEARED_BELOW = 0.2;

/** Level tests alone: which rail stands high, and by how much nobody has measured. */
function byHandCheck(edge: Edge, { called }: EdgeAssessment, belief: EdgeBelief, limits: Limits): Check {
  const most = steepest(belief);
  const at = most ? { edge, station: most.station } : { edge };
  const high = highOf(most?.step ?? belief.meanStep);
  const head = { id: 'bar.step', part, at, condemns: false } as const;
  const outcome = called ? 'fail' : belief.stepChance < CLEARED_BELOW ? 'ok' : 'undecided';
  const note = { code: 'by-hand', high, tests: belief.tests.length } as const;
  return unmeasuredCheck({ ...head, note }, limits['bar.step'], 1 - belief.stepChance, outcome);
}

/**
 * One question for each edge: do its rails stand out of level by more than the limit over a length that matters? Work
 * is called for when that is more likely than not. Where the rails are level and the plan takes much all the same, a
 * dip that both share is what calls.
 */
function stepCheck(edge: Edge, context: BarContext): Check[] {
  const { edges, limits } = context;
  const assessed = edges[edge];
  const { belief, dressing } = assessed;
  if (!belief) return [];
  if (belief.byHand) return [byHandCheck(edge, assessed, belief, limits)];
  const most = steepest(belief);
  if (!most || !belief.stations.some((place) => place !== null)) return [];
  const advised = dressing?.advised ?? false;
  const limit = limits['bar.step'];
  const within = exactly(1 - belief.stepChance);
  const at = { edge, station: most.station };
  const value = { value: mm(Math.abs(most.step.value)), u: most.step.u };
  const dips = advised && belief.stepChance <= 1 / 2;
  const step = withOutcome(
    judgedCheck({ id: 'bar.step', part, at, condemns: false }, { value, within, ways: null }, limit, null),
    advised && !dips ? 'fail' : 'ok',
  );
  return dips ? [step, dipCheck(edge, assessed, context)] : [step];
}

/** A place that lies so low on both rails that levelling to it takes metal off all the rest. */
function dipCheck(edge: Edge, { dressing, stations }: EdgeAssessment, { limits }: BarContext): Check {
  const { plan } = dressing!;
  const at = { edge, station: stations[plan.weakest!.station]!.index };
  const value = { value: mm(plan.most), u: 0 };
  const head = { id: 'bar.dip', part, at, condemns: false } as const;
  const check = judgedCheck(head, { value, within: exactly(0), ways: null }, limits['bar.step'], null);
  return withOutcome(check, 'fail');
}

/** A level test and all else that is known must tell the same; where they do not, one of them is to be made again. */
function testCheck(edge: Edge, test: TestFound): Check[] {
  const disagrees = testDisagrees(test.expected);
  if (disagrees === null) return [];
  const { station, kind } = test;
  const at = station === null ? { edge } : { edge, station };
  const measure =
    station === null
      ? (`bar.edges.${edge}.stands` as const)
      : stationPath(edge, station, kind === 'marker' ? 'marker' : 'square');
  const head = { id: TEST_CHECK[kind], part, at, again: disagrees ? measure : null } as const;
  return [observedCheck(head, disagrees ? 'disagrees' : 'agrees', { agrees: 'ok', disagrees: 'watch' })];
}

/** All that levelness decides. */
export function levelChecks(context: BarContext): Check[] {
  return flatMap(EDGES, (edge) => [
    ...stepCheck(edge, context),
    ...flatMap(context.edges[edge].belief?.tests ?? [], (test) => testCheck(edge, test)),
  ]);
}

/**
 * What level tests alone say of an edge that they send to the file; null where depths plan its dressing, or it is not
 * dressed.
 */
export function dressedByHand(edge: Edge, assessed: EdgeAssessment, limits: Limits): Check | null {
  const { called, dressing, belief } = assessed;
  return called && !dressing?.advised && belief?.byHand ? byHandCheck(edge, assessed, belief, limits) : null;
}

interface Standing {
  readonly standing: Readonly<Record<Edge, EdgeAssessment>>;
}

/** Whether level tests alone send an edge to the file: the bar is dressed, and nobody has measured by how much. */
export const isCalledByHand = ({ standing }: Standing): boolean =>
  EDGES.some((edge) => standing[edge].called && standing[edge].belief?.byHand);

/** Edges of such a bar whose depth nobody has measured: what metal is left may yet condemn it. */
export const metalUnknown = (bar: Standing): readonly Edge[] =>
  isCalledByHand(bar) ? EDGES.filter((edge) => (bar.standing[edge].belief?.places.length ?? 0) === 0) : [];
