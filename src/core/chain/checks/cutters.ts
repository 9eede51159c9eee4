import { ANGLE_DOUBT, askedOf, correctionWithin, imbalance, type Correction } from '..';
import { onlyWay, valueOf, type Way } from '../../belief';
import type { Limit } from '../../limits';
import { angleOf, boundsOf, mm, probabilityWithin, type Estimate } from '../../quantity';
import { usualToolAt, type ChainSheet } from '../../sheet';
import { judgedCheck, missingCheck, repeatOf, seenCheck, withOutcome, workCheck, type Check } from '../../judge';
import { estimates, type ChainContext } from './context';

const part = 'chain' as const;

/** A limit with its own doubt. */
export interface CutterLimit {
  readonly limit: Limit<'mm'>;
  readonly at: Estimate;
}

/**
 * The witness mark on the chain is the maker's limit and wins over the table; it was measured, and is as doubtful as
 * that. Known by one mark, its stricter side counts.
 */
export function cutterLimit({ chain, limits }: Pick<ChainContext, 'chain' | 'limits'>): CutterLimit {
  const table = limits['chain.cutter'];
  if (!chain.witnessLimit) return { limit: table, at: { value: mm(table.value), u: 0 } };
  const { lo, hi } = boundsOf(chain.witnessLimit);
  const mark = (hi ?? lo)!;
  return {
    limit: { ...table, value: mark.value, provenance: 'published', source: 'witness mark on the cutter' },
    at: mark,
  };
}

/** The reading to repeat: a cutter of the side that pulls all others back, as it was measured last. */
function cutterRead(chain: ChainSheet, { side }: Correction) {
  const field = side === 'left' ? 'cuttersLeft' : 'cuttersRight';
  if (chain.after?.[field]?.length)
    return repeatOf(`chain.after.${field}`, chain.after[field][0], usualToolAt(`chain.${field}.0`));
  const read = chain[field]?.[0] ?? chain.cuttersLeft?.[0] ?? chain.cuttersRight?.[0];
  return repeatOf(chain[field]?.length ? `chain.${field}` : 'chain.cuttersLeft', read, usualToolAt(`chain.${field}.0`));
}

/** The shortest cutter over its mark, as it can be drawn. */
function cutterWays(correction: Correction, mark: Estimate): readonly Way[] {
  const { common, tool } = correction;
  const shortest = { is: 'shortest', kinds: askedOf(correction, 'lo'), common, tool: tool ?? null } as const;
  return mark.u === 0
    ? onlyWay(mark.value, { times: 1, of: shortest })
    : onlyWay(0, { times: 1, of: shortest }, { times: -1, of: valueOf(mark) });
}

/** All cutters against their limit, one question. */
export function cutterCheck(context: ChainContext): Check {
  const { chain, correction } = context;
  const { limit, at } = cutterLimit(context);
  const id = 'chain.cutter' as const;
  if (!correction)
    return missingCheck({ id, part }, limit.provenance, {
      code: 'needs',
      readings: ['chain.cuttersLeft', 'chain.cuttersRight'],
    });
  const { length, bound, notPlaced } = correction;
  const head = {
    id,
    part,
    repeat: cutterRead(chain, correction),
    note: notPlaced ? ({ code: 'damage-not-placed', side: notPlaced } as const) : null,
  };
  return judgedCheck(
    head,
    {
      value: length,
      within: correctionWithin(correction, at),
      bound,
      ways: bound === null ? cutterWays(correction, at) : null,
    },
    limit,
    null,
  );
}

/**
 * How much of a cutter its damage would take: advised on at half, or condemned at half, as the shop's school has it.
 */
export function halfCheck({ correction, limits, schools }: ChainContext): readonly Check[] {
  const going = correction?.going;
  if (!going || schools.flatSpots === 'grind-back') return [];
  const limit = limits['chain.cutter.half'];
  const head = {
    id: 'chain.half',
    part,
    note: { code: 'on-cutter', side: going.side, cutter: going.cutter },
  } as const;
  if (schools.flatSpots === 'condemn-at-half') {
    const sure = probabilityWithin(going.share, limit.value, 'max');
    return [judgedCheck(head, { value: going.share, within: { least: sure, most: sure } }, limit, null)];
  }
  const check = workCheck(head, going.share, limit);
  return [check.outcome === 'fail' ? withOutcome(check, 'watch') : check];
}

/** The mean lengths of both sides against each other, as they stand. */
export function unevenCheck({ chain, limits }: ChainContext): readonly Check[] {
  const uneven = imbalance(standingEstimates(chain));
  if (!uneven) return [];
  const work = { operation: 'even-cutters', from: 'fail' } as const;
  const value = { ...uneven, value: mm(Math.abs(uneven.value)) };
  return [workCheck({ id: 'chain.uneven', part, work }, value, limits['chain.uneven'])];
}

/** Lengths of both sides as they were measured last. */
export const standingEstimates = ({ after, cuttersLeft, cuttersRight }: ChainSheet) => ({
  left: estimates(after?.cuttersLeft?.length ? after.cuttersLeft : cuttersLeft),
  right: estimates(after?.cuttersRight?.length ? after.cuttersRight : cuttersRight),
});

/** The top-plate angle that is furthest from the wanted one, against what the shop lets pass. */
export function angleCheck({ chain, start, limits, offAngle }: ChainContext): readonly Check[] {
  const found = [chain.topPlateAngleLeft, chain.topPlateAngleRight].filter((angle) => angle !== undefined);
  if (found.length === 0) return [];
  const off = Math.max(...found.map((angle) => Math.abs(angle - start.topPlate)));
  const waits = Object.keys(offAngle).length > 0 && !chain.topPlateWidth;
  const head = {
    id: 'chain.angle',
    part,
    work: { operation: 'correct-angles', from: 'fail' },
    note: waits
      ? ({ code: 'needs', readings: ['chain.topPlateWidth'] } as const)
      : ({ code: 'angle-wanted', degrees: start.topPlate } as const),
  } as const;
  return [workCheck(head, { value: angleOf(off), u: ANGLE_DOUBT }, limits['chain.angle'])];
}

/** Hooked or blunt under the edge, with the file that mends it. */
export function undercutCheck({ chain, start }: ChainContext): readonly Check[] {
  const found = chain.checks?.undercut;
  if (found === undefined) return [];
  const note = start.file && found !== 'right' ? ({ code: 'file-to-use', file: start.file } as const) : null;
  return [seenCheck('chain.checks.undercut', found, { note })];
}

/**
 * Work on the cutters that no check calls for by itself: what is damaged goes back to the worst; carbide by the wheel.
 */
export const cutterWork = ({ standing, correction, start }: ChainContext) =>
  standing.damage.length > 0 && correction
    ? [start.filing === 'ground' ? ('grind-back' as const) : ('file-back' as const)]
    : [];
