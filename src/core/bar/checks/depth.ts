import { flatMap } from '../../flat-map';
import {
  along,
  leastValue,
  leastWithin,
  onlyWay,
  withoutHidden,
  valueOf,
  type Latent,
  type Least,
  type Term,
} from '../../belief';
import { EDGES, RAILS, type Edge, stationPath } from '../../declared';
import { depthLimitId } from '../../limits';
import {
  quadrature,
  difference,
  exactly,
  mm,
  ownUncertainty,
  probabilityWithin,
  SURE,
  readingWithin,
  boundsOf,
  type Bounds,
  type Estimate,
  type LengthReading,
  type Within,
} from '../../quantity';
import { usualToolAt } from '../../sheet';
import type { BarContext } from './context';
import { judgedCheck, missingCheck, repeatOf, type Check, type JudgedValue } from '../../judge';
import type { EdgeDressing } from './edge';

const part = 'bar' as const;

type DepthHead = Pick<Check, 'at' | 'repeat'> & { readonly id: 'bar.depth' | 'bar.depth-after' };

/**
 * Depth against the limit of the bar's pitch. While the pitch is open, each family's limit counts with its weight, so
 * that a groove deep enough for all of them is ok already.
 */
function depthCheck(
  head: DepthHead,
  value: Estimate,
  bound: Check['bound'],
  withinOf: (limit: number) => Within,
  terms: readonly Term[] | null,
  { families, anyFamily, limits }: BarContext,
): Check {
  if (families.length === 0)
    return {
      ...missingCheck({ ...head, part }, 'memory', { code: 'needs', readings: ['bar.pitch'] }),
      value: value.value,
      unit: 'mm',
      uncertainty: value.u,
      kind: 'min',
      bound,
    };
  const total = families.reduce((sum, { weight }) => sum + weight, 0);
  const each = families.map(({ value: family, weight }) => ({
    share: weight / total,
    within: withinOf(limits[depthLimitId(family)].value),
  }));
  const within = {
    least: each.reduce((sum, { share, within: { least } }) => sum + share * least, 0),
    most: each.reduce((sum, { share, within: { most } }) => sum + share * most, 0),
  };
  const strictest = families.map(({ value: family }) => limits[depthLimitId(family)]).sort((a, b) => b.value - a.value);
  const note =
    families.length === 1
      ? null
      : ({ code: 'depends-on-pitch', families: families.map(({ value: family }) => family) } as const);
  const ways =
    terms &&
    anyFamily.map(({ value: family, weight }) => ({
      weight,
      case: { of: 'pitch' as const, is: family },
      terms,
      limit: limits[depthLimitId(family)].value,
    }));
  return judgedCheck({ ...head, part, note }, { value, within, bound, ways }, strictest[0]!, null);
}

/** The least depth as it can be drawn; one and the same for all that rests on it. */
const leastOf = ({ least, tool }: BarContext['belief']): Extract<Latent, { is: 'least' }> => ({
  is: 'least',
  least: least!,
  tool,
  negative: false,
});

/** The reading at a place of the bar, as the sheet has it. */
function readingAt({ sheet }: BarContext, { edge, station, rail }: NonNullable<BarContext['belief']['leastAt']>) {
  const at = sheet.bar?.edges?.[edge]?.stations[station];
  return at?.after?.[rail] ?? at?.[rail];
}

/** The same as it was read, without what may hide between the stations. */
const asRead = (latent: Extract<Latent, { is: 'least' }>): Latent => ({
  ...latent,
  least: withoutHidden(latent.least),
});

/** One question of the whole bar: how deep is the least place? It is named, and is what to measure again. */
function leastDepthCheck(least: Least, drawn: Latent, context: BarContext): Check {
  const at = context.belief.leastAt;
  const repeat = at && repeatOf(stationPath(at.edge, at.station, at.rail), readingAt(context, at));
  const within = (limit: number) => exactly(leastWithin(least, limit));
  const terms = [{ times: 1, of: drawn }];
  const check = depthCheck({ id: 'bar.depth', at, repeat }, leastValue(least), null, within, terms, context);
  return isOnlyHidden(check, least)
    ? { ...check, note: { code: 'may-hide', ruled: context.sheet.bar?.checks?.railLine !== undefined } }
    : check;
}

/** Whether all that was read clears a depth, and only what may hide between the stations leaves it open. */
const isOnlyHidden = ({ outcome, note, limit }: Check, least: Least): boolean =>
  outcome === 'undecided' && note === null && limit !== null && leastWithin(withoutHidden(least), limit) >= SURE;

/** Depths of which one mark alone is known: each is a bound of its own, and asks for more where it straddles. */
function oneSidedDepths(context: BarContext): Check[] {
  return flatMap(EDGES, (edge) =>
    flatMap(context.edges[edge].stations, ({ index, oneSided }) =>
      flatMap(RAILS, (rail) => {
        const reading = oneSided[rail];
        if (!reading) return [];
        const { lo, hi } = boundsOf(reading);
        const head = {
          id: 'bar.depth',
          at: { edge, station: index, rail },
          repeat: repeatOf(stationPath(edge, index, rail), reading, usualToolAt(stationPath(edge, index, rail))),
        } as const;
        const within = (limit: number) => readingWithin(reading, limit, 'min');
        return [depthCheck(head, (lo ?? hi)!, lo ? 'at-least' : 'at-most', within, null, context)];
      }),
    ),
  );
}

/**
 * Room left under a tang that may itself be known only from one side. Where one tool read both, its own error cancels.
 */
function roomWithin(
  { draws, common }: Least,
  tool: BarContext['belief']['tool'],
  { lo, hi }: Bounds,
  limit: number,
): Within {
  const at = (tang: Estimate) => {
    const cancels = tang.tool !== undefined && tang.tool === tool;
    return leastWithin(
      { draws, common: cancels ? ownUncertainty(tang) : quadrature(common, tang.u) },
      limit + tang.value,
    );
  };
  return { least: hi ? at(hi) : 0, most: lo ? at(lo) : 1 };
}

function floorClearanceChecks(least: Least, drawn: Latent, context: BarContext): Check[] {
  const { sheet, limits, belief, setting } = context;
  const reading: LengthReading | undefined = sheet.chain?.tang;
  if (!reading) return [];
  const tang = boundsOf(reading);
  const shown = (tang.hi ?? tang.lo)!;
  const limit = limits['bar.floor-clearance.contact'];
  const at = belief.leastAt;
  const judged: JudgedValue = {
    value: difference(leastValue(least), shown),
    within: roomWithin(least, belief.tool, tang, limit.value),
    bound: tang.hi && tang.lo ? null : tang.hi ? 'at-least' : 'at-most',
    ways:
      tang.hi && tang.lo
        ? onlyWay(limit.value, { times: 1, of: drawn }, { times: -1, of: valueOf(setting.tang ?? shown) })
        : null,
  };
  const repeat = at && repeatOf(stationPath(at.edge, at.station, at.rail), readingAt(context, at));
  const head = { id: 'bar.floor-clearance', part, at, repeat } as const;
  return [judgedCheck(head, judged, limit, limits['bar.floor-clearance'])];
}

/**
 * What is believed of the weakest place after the advised dressing: the plan, and the file's own doubt. It is never
 * more than the least place has now, less the pass that the low rail gets too.
 */
export function weakestAfter(edge: Edge, { plan }: EdgeDressing, context: BarContext): Estimate {
  const { edges, belief, limits } = context;
  const { station, depth } = plan.weakest!;
  const believed = edges[edge].belief?.stations[edges[edge].stations[station]!.index];
  const before = believed && (believed.near.value <= believed.far.value ? believed.near : believed.far);
  const here: Estimate = { value: depth, u: before?.u ?? 0 };
  const least = belief.leastAt?.edge === edge && belief.least ? leastValue(belief.least) : null;
  const touched = least && { value: mm(least.value - limits['bar.dress.touch'].value), u: least.u };
  const weakest = touched && touched.value < here.value ? touched : here;
  return { value: weakest.value, u: quadrature(weakest.u, limits['bar.dress.doubt'].value) };
}

/** What is left after the advised dressing: that, not today's reading, decides whether the work is worth doing. */
function afterDressing(edge: Edge, dressing: EdgeDressing, drawn: Latent | null, context: BarContext): Check[] {
  const { limits, setting, edges, belief } = context;
  const left = weakestAfter(edge, dressing, context);
  const terms = drawn && along(drawn, leastValue(belief.least!), left);
  const at = { edge, station: edges[edge].stations[dressing.plan.weakest!.station]!.index };
  const repeat = repeatOf(stationPath(edge, at.station, 'near'), readingAt(context, { ...at, rail: 'near' }));
  const within = (limit: number) => exactly(probabilityWithin(left, limit, 'min'));
  const depth = depthCheck({ id: 'bar.depth-after', at, repeat }, left, null, within, terms, context);
  if (!setting.tang) return [depth];
  const room = { value: mm(left.value - setting.tang.value), u: quadrature(left.u, ownUncertainty(setting.tang)) };
  const limit = limits['bar.floor-clearance.contact'];
  const head = { id: 'bar.floor-clearance-after', part, at, repeat } as const;
  const judged = {
    value: room,
    within: exactly(probabilityWithin(room, limit.value, 'min')),
    ways: terms && onlyWay(limit.value, ...terms, { times: -1, of: valueOf(setting.tang) }),
  };
  return [depth, judgedCheck(head, judged, limit, limits['bar.floor-clearance'])];
}

/** All that depth decides: the least place now, and what advised dressing would leave. */
export function depthChecks(context: BarContext): Check[] {
  const { belief, edges } = context;
  const { least } = belief;
  const drawn = least && leastOf(belief);
  return [
    ...(least && drawn ? [leastDepthCheck(least, drawn, context), ...floorClearanceChecks(least, drawn, context)] : []),
    ...oneSidedDepths(context),
    ...flatMap(EDGES, (edge) => {
      const { dressing } = edges[edge];
      return dressing?.advised ? afterDressing(edge, dressing, drawn && asRead(drawn), context) : [];
    }),
  ];
}
