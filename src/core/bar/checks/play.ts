import { flatMap } from '../../flat-map';
import { leastValue, leastWithin, valueOf, type Way } from '../../belief';
import {
  isPinched,
  playAtWidest,
  positive,
  rockingBounds,
  widthBelief,
  type WidestBelief,
  type WidthBelief,
} from '../../groove';
import { EDGES, type Edge, stationPath } from '../../declared';
import {
  boundsOf,
  difference,
  exactly,
  outcomeWithin,
  probabilityWithin,
  type Bounds,
  type Estimate,
  type LengthReading,
  type Within,
} from '../../quantity';
import { usualToolAt } from '../../sheet';
import type { BarContext } from './context';
import { judgedCheck, missingCheck, repeatOf, seenCheck, withOutcome, type Check, type CheckNote } from '../../judge';
import { playAfter } from './edge';

const part = 'bar' as const;

/**
 * Probability that the widest place leaves the bar's own link no more play than the limit; over all links it may have
 * been made for.
 */
function playWithin(widest: WidestBelief, { ownLinks, playLimit }: BarContext): number {
  const total = ownLinks.reduce((sum, { weight }) => sum + weight, 0);
  return ownLinks.reduce(
    (sum, { thickness, weight }) =>
      sum + (weight / total) * leastWithin(playAtWidest(widest, thickness), -playLimit.value),
    0,
  );
}

/** What the widths say of the play: from above they may clear it, from below they may condemn it. */
function within({ atMost, atLeast, open }: WidthBelief, context: BarContext): Within {
  const least = atMost && !open ? playWithin(atMost, context) : 0;
  const most = atLeast ? playWithin(atLeast, context) : 1;
  return { least: Math.min(least, most), most };
}

/**
 * The play by all links that the bar may have been made for, as it can be drawn; null where the widths hold it from one
 * side alone.
 */
function playWays({ atMost, atLeast, open }: WidthBelief, { anyLink, playLimit }: BarContext): readonly Way[] | null {
  if (!atMost || atMost !== atLeast || open) return null;
  const widest = { is: 'least', least: atMost.negative, tool: atMost.tool, negative: true } as const;
  return anyLink.map(({ gauge, thickness, weight }) => ({
    weight,
    case: gauge && { of: 'gauge' as const, is: gauge },
    terms: [
      { times: -1, of: widest },
      { times: -1, of: valueOf(thickness) },
    ],
    limit: playLimit.value,
  }));
}

const playValue = (widest: WidestBelief, link: Estimate): Estimate => positive(leastValue(playAtWidest(widest, link)));

/** What one side of the bounds alone leaves to say. */
function boundNote({ atMost, atLeast }: WidthBelief, lifted: boolean): CheckNote | null {
  if (!atLeast) return { code: 'mouth-alone', lifted };
  return atMost ? null : { code: 'floor-alone' };
}

/**
 * A width that was measured and cannot be judged yet: nothing tells the link it is to be held against, or the mouth is
 * known only from below.
 */
function unjudged(
  head: Parameters<typeof missingCheck>[0],
  shown: WidestBelief | null,
  mouth: LengthReading | undefined,
  { ownLinks, playLimit }: BarContext,
): Check {
  const [link] = ownLinks;
  const reading = link ? stationPath(head.at!.edge, head.at!.station!, 'mouth') : 'bar.gauge';
  const width = shown ? positive(leastValue(shown.negative)) : (mouth && boundsOf(mouth).lo)!;
  const value = link ? difference(width, link.thickness) : width;
  return {
    ...missingCheck(head, playLimit.provenance, { code: 'needs', readings: [reading] }),
    value: value.value,
    uncertainty: value.u,
    unit: 'mm',
    kind: 'max',
    bound: shown ? null : 'at-least',
    condemns: head.condemns ?? true,
  };
}

const CLOSE_RAILS = { operation: 'close-rails', from: 'fail' } as const;

/** The greatest play of the bar against its limit, as measured or as a plan would leave it. */
function widestCheck(
  id: 'bar.play' | 'bar.play-after',
  widths: WidthBelief,
  condemns: boolean,
  context: BarContext,
): Check[] {
  const { limits, playLimit, ownLinks, sheet } = context;
  const shown = widths.atLeast && widths.atMost ? widths.atMost : (widths.atLeast ?? widths.atMost);
  const at = shown?.at ?? widths.open;
  if (!at) return [];
  const station = sheet.bar?.edges?.[at.edge]?.stations[at.station];
  const field = widths.atLeast ? 'mouth' : 'deep';
  const place = stationPath(at.edge, at.station, field);
  const repeat = repeatOf(place, station?.mouth ?? station?.deep, usualToolAt(place));
  const work = id === 'bar.play-after' ? { work: CLOSE_RAILS } : {};
  const head = { id, part, at, repeat, condemns, ...work } as const;
  const [link] = ownLinks;
  if (!link || !shown) return [unjudged(head, shown, station?.mouth, context)];
  const known = within(widths, context);
  const lifted = sheet.bar?.checks?.straightEdge === 'gap-stays' && !context.thinChain;
  const note = boundNote(widths, lifted);
  const bound = widths.atMost && widths.atLeast ? null : widths.atMost ? 'at-most' : 'at-least';
  const check = judgedCheck(
    { ...head, note },
    { value: playValue(shown, link.thickness), within: known, bound, ways: playWays(widths, context) },
    playLimit,
    limits['bar.play.watch'],
  );
  // The test looks at the play itself: what the mouth alone leaves open, it clears.
  return [
    note?.code === 'mouth-alone' && lifted && outcomeWithin(known) === 'undecided'
      ? { ...check, outcome: 'watch' }
      : check,
  ];
}

/** A link needs room to run. */
const NO_PLAY = { value: 0, unit: 'mm', role: 'min', provenance: 'derived' } as const;

/** Places where the groove is no wider than the link that runs in it. */
function pinchChecks({ edges, setting }: BarContext): Check[] {
  const read = flatMap(EDGES, (edge) => edges[edge].figures.filter(({ play }) => play !== null)).length;
  return flatMap(EDGES, (edge) =>
    flatMap(edges[edge].figures, ({ play }, i): Check[] => {
      if (!play || !(setting.ownLink ?? setting.linkThickness) || !isPinched(play, read)) return [];
      const at = { edge, station: edges[edge].stations[i]!.index };
      const head = { id: 'bar.pinch', part, at, condemns: false } as const;
      const sure = probabilityWithin(play, NO_PLAY.value, NO_PLAY.role);
      const check = judgedCheck(head, { value: play, within: exactly(sure), ways: null }, NO_PLAY, null);
      // A groove no wider than its link pinches it: that speaks of pinching, and of no play.
      return [withOutcome(check, 'fail', 'ease-pinch')];
    }),
  );
}

/** Groove widths at which the links in question reach the limit. */
const widestAllowed = ({ ownLinks, playLimit }: BarContext): readonly number[] =>
  ownLinks.map(({ thickness }) => thickness.value + playLimit.value);

/** Widths as the advised dressing would leave them; null where no edge is dressed. */
function widthsAfter(context: BarContext): WidthBelief | null {
  const { edges, setting } = context;
  if (!EDGES.some((edge) => edges[edge].dressing?.advised)) return null;
  const link = context.ownLinks[0]?.thickness;
  const after = (edge: Edge, i: number): Bounds => {
    const { stations, dressing } = edges[edge];
    const station = stations[i]!;
    const now = rockingBounds(station, setting.tang);
    if (!dressing?.advised || !link) return now;
    const [before, then] = [
      difference(now.hi ?? now.lo ?? link, link),
      playAfter(station, i, dressing.plan, { ...setting, ownLink: link }),
    ];
    const narrower = then ? before.value - (then.hi ?? then.lo)!.value : 0;
    const less = (bound: Estimate | null) =>
      bound && { ...bound, value: (bound.value - narrower) as Estimate['value'] };
    return { lo: less(now.lo), hi: less(now.hi) };
  };
  return widthBelief(
    { A: edges.A.stations, B: edges.B.stations },
    (edge, _station, i) => after(edge, i),
    widestAllowed(context),
    context.designs,
  );
}

/**
 * The straight-edge test condemns by itself. It is taken back by measured widths that contradict it, or where the
 * planned dressing is known to bring the play back; work whose effect on the play nobody can tell takes nothing back.
 */
function straightEdgeCheck(context: BarContext, before: Check | undefined, after: Check | undefined): Check {
  const { sheet, straightEdgePredicted, straightEdgeAtLeast, thinChain } = context;
  const observed = sheet.bar?.checks?.straightEdge;
  const isWell = (check: Check | undefined) => check?.outcome === 'ok' || check?.outcome === 'watch';
  // Work recovers only what the widths show as lost before it and as regained after it.
  const recovers = before?.outcome === 'fail' && isWell(after);
  const check = seenCheck('bar.checks.straightEdge', observed, { condemns: !recovers });
  if (observed === undefined) return check;
  if (thinChain && observed !== 'gap-stays')
    return { ...check, outcome: 'watch', condemns: false, note: { code: 'thin-chain' } };
  // From above the readings can only exclude that it closes; from below, only that it stays.
  const predicted = observed === 'gap-stays' ? straightEdgeAtLeast : straightEdgePredicted;
  if (predicted === null || (observed === 'gap-stays') === (predicted === 'gap-stays')) return check;
  return { ...check, outcome: 'undecided', condemns: true, note: { code: 'test-disagrees', observed, predicted } };
}

/**
 * The groove along its length. A splayed mouth is worked: closed where the shop is of that school, else dressed off; or
 * cleared, where play was measured and is within its limit.
 */
function grooveShapeCheck({ sheet, schools }: BarContext, play: Check | undefined, straight: Check): Check[] {
  const shape = sheet.bar?.checks?.grooveShape;
  if (shape === undefined) return [];
  const check = seenCheck('bar.checks.grooveShape', shape);
  if (shape !== 'splayed') return [check];
  if (schools.closeRails === 'on') return [withOutcome(check, 'fail', 'close-rails')];
  const cleared = [play, straight].some((each) => each?.outcome === 'ok') && play?.outcome !== 'fail';
  return [cleared ? { ...withOutcome(check, 'watch'), note: { code: 'play-clears' } } : check];
}

/** All that the groove's width decides. */
export function playChecks(context: BarContext): Check[] {
  const { edges, setting, schools } = context;
  const stations = { A: edges.A.stations, B: edges.B.stations };
  const now = widthBelief(
    stations,
    (_edge, station) => rockingBounds(station, setting.tang),
    widestAllowed(context),
    context.designs,
  );
  const then = widthsAfter(context);
  // Where the shop closes splayed rails, too much play after dressing is work and no condemnation.
  const after = then ? widestCheck('bar.play-after', then, schools.closeRails === 'off', context) : [];
  const before = widestCheck('bar.play', now, after.length === 0, context);
  const straight = straightEdgeCheck(context, before[0], after[0]);
  return [...before, ...pinchChecks(context), ...after, straight, ...grooveShapeCheck(context, before[0], straight)];
}
