import { adjusterTravel, elongation, elongationBounds, elongationBySpan, overBaseline, type Elongation } from '..';
import type { Limits } from '../../limits';
import { atMost, CONTRADICTS_BELOW, evenlyOver, gradedAs, weighedBy, type Grades } from '../../belief';
import { boundsOf, boundsWithin, estimate, mm, percent, type Bounds, type Estimate } from '../../quantity';
import { usualToolAt, type ChainSheet } from '../../sheet';
import { judgedCheck, missingCheck, repeatOf, seenCheck, withOutcome, type Check } from '../../judge';

const part = 'chain' as const;

/** What push and pull tell of the chain. */
export interface Stretch {
  /** As measured; null where it was not, or the two lengths contradict each other. */
  readonly measured: Elongation | null;
  /** The same of this chain when it was new; null where it was not measured or contradicts itself. */
  readonly fresh: Elongation | null;
  /** Percent that counts against the limit: over the baseline where there is one. */
  readonly counted: Estimate<'%'> | null;
  /** Percent by the pulled length of a joint against a new one's. */
  readonly bySpan: Estimate<'%'> | null;
  /** Travel of the tensioner that the play costs, mm; null while the links are not counted. */
  readonly adjuster: number | null;
}

type Pushed = NonNullable<ChainSheet['pushPull']>;

function pushed(reading: Pushed | undefined): Elongation | null {
  if (!reading) return null;
  const [closed, pulled] = [estimate(reading.closed), estimate(reading.pulled)];
  return closed && pulled ? elongation(closed, pulled, reading.joints) : null;
}

const unlessContradicted = (found: Elongation | null): Elongation | null => (found?.contradicts ? null : found);

function bySpanOf({ pushPull, newPushPull }: ChainSheet): Estimate<'%'> | null {
  const [now, then] = [pushPull && estimate(pushPull.pulled), newPushPull && estimate(newPushPull.pulled)];
  if (!now || !then) return null;
  return elongationBySpan({ length: now, joints: pushPull!.joints }, { length: then, joints: newPushPull!.joints });
}

/** Everything that push and pull tell. */
export function stretchOf(chain: ChainSheet, driveLinks: number | null): Stretch {
  const measured = unlessContradicted(pushed(chain.pushPull));
  const fresh = unlessContradicted(pushed(chain.newPushPull));
  return {
    measured,
    fresh,
    counted: measured && overBaseline({ value: percent(measured.percent), u: measured.u }, fresh),
    bySpan: bySpanOf(chain),
    adjuster: measured && driveLinks !== null ? adjusterTravel(measured.perJoint, driveLinks) : null,
  };
}

const over = ({ lo, hi }: Bounds<'%'>, fresh: Elongation | null): Bounds<'%'> => ({
  lo: lo && overBaseline(lo, fresh),
  hi: hi && overBaseline(hi, fresh),
});

/** Wear in the rivets against its limit. Closed longer than pulled is a mistake in one of them, and no wear. */
function tapedCheck(chain: ChainSheet, { counted, fresh }: Stretch, limits: Limits): Check {
  const id = 'chain.elongation' as const;
  const [limit, watch] = [limits['chain.elongation'], limits['chain.elongation.watch']];
  if (!chain.pushPull)
    return missingCheck({ id, part }, limit.provenance, { code: 'needs', readings: ['chain.pushPull'] });
  const { closed, pulled } = chain.pushPull;
  const contradicts = pushed(chain.pushPull)?.contradicts ?? false;
  const bounds = over(elongationBounds(boundsOf(closed), boundsOf(pulled)), fresh);
  const shown = counted ?? bounds.lo ?? bounds.hi;
  const once = repeatOf('chain.pushPull', pulled, usualToolAt('chain.pushPull.pulled'));
  const length = (boundsOf(closed).hi ?? boundsOf(closed).lo)!.value;
  const repeat = once && { ...once, u: (100 * Math.SQRT2 * once.u) / length };
  if (contradicts || !shown)
    return {
      ...missingCheck(
        { id, part, repeat },
        limit.provenance,
        contradicts ? { code: 'closed-longer' } : { code: 'needs', readings: ['chain.pushPull'] },
      ),
      value: shown?.value ?? 0,
      unit: '%',
    };
  const bound = bounds.lo && bounds.hi ? null : bounds.lo ? 'at-least' : 'at-most';
  const within = boundsWithin(bounds, limit.value, 'max');
  const note = fresh ? ({ code: 'over-baseline', percent: fresh.percent } as const) : null;
  return judgedCheck({ id, part, repeat, note }, { value: shown, within, bound }, limit, watch);
}

type Feel = NonNullable<NonNullable<ChainSheet['checks']>['feel']>;

/** What a hand feels of a chain's growth, percent (shop's figures). */
const HAND: Grades<Feel> = { words: ['tight', 'some', 'loose'], from: [0.8, 2.2], spread: 0.35 };
/** Before anybody tries, a chain may have grown by anything up to this, percent (shop's figure). */
const ANY_GROWTH = evenlyOver(0, 4);

/** A hand that is not sure is helped by a tape. */
const TAPED = repeatOf('chain.pushPull', undefined, 'tape');

/** What the hand says of the growth where nothing was measured. */
function feltAlone(feel: Feel, limit: number): Check {
  const check = seenCheck('chain.checks.feel', feel);
  return { ...check, probability: atMost(gradedAs(ANY_GROWTH, HAND, feel), limit), repeat: TAPED };
}

/** What the hand says beside a tape: where the tape makes its word unlikely one of the two is made again. */
function feltBeside(feel: Feel, taped: Check, counted: Estimate<'%'> | null): Check {
  const check = seenCheck('chain.checks.feel', feel);
  const value = counted && { value: mm(counted.value), u: counted.u };
  const expected = value ? gradedAs(weighedBy({ lo: value, hi: value })!, HAND, feel).expected : 1;
  if (expected < CONTRADICTS_BELOW)
    return { ...withOutcome(check, 'watch'), again: 'chain.pushPull', note: { code: 'feel-disagrees' } };
  return withOutcome(check, feel === 'loose' && taped.outcome === 'fail' ? 'fail' : feel === 'tight' ? 'ok' : 'watch');
}

/** Wear in the rivets: by tape, and by the hand that felt it. */
export function elongationChecks(chain: ChainSheet, stretch: Stretch, limits: Limits): readonly Check[] {
  const feel = chain.checks?.feel;
  if (feel === undefined) return [tapedCheck(chain, stretch, limits)];
  if (!chain.pushPull) return [feltAlone(feel, limits['chain.elongation'].value)];
  const taped = tapedCheck(chain, stretch, limits);
  return [taped, feltBeside(feel, taped, stretch.counted)];
}
