import type { Damage } from '../../../core/chain';
import { isWithin, type ReadingPath } from '../../../core/sheet';
import type { Snapshot } from '../store/job-store';

export type Side = Damage['side'];

/** The list that a side's lengths stand in. */
const LISTS = { left: 'chain.cuttersLeft', right: 'chain.cuttersRight' } as const;

/**
 * The lengths typed of one side: where each stands, in the order that they are numbered by. What is cleared gives its
 * number to the next.
 */
export interface CutterSlots {
  readonly paths: readonly ReadingPath[];
  /** Where the next length goes. */
  readonly next: ReadingPath;
}

/** Finds the lengths of a side among what was typed. */
export function cutterSlots(side: Side, { standing, drafts }: Pick<Snapshot, 'standing' | 'drafts'>): CutterSlots {
  const prefix = `${LISTS[side]}.`;
  const entries = new Map([...standing, ...drafts]);
  const keys = [...entries.values()]
    .filter(({ path, text }) => isWithin(path, LISTS[side]) && text.trim() !== '')
    .map(({ path }) => Number(path.slice(prefix.length)))
    .sort((a, b) => a - b);
  const at = (key: number) => `${LISTS[side]}.${key}` as const;
  return { paths: keys.map(at), next: at((keys.at(-1) ?? -1) + 1) };
}

/** Damage as it was typed: its place in the list, and which cutter it is on. */
export interface DamageSlot {
  readonly index: number;
  readonly side: Side;
  readonly cutter: number;
}

/** All damage among what was typed, whole or half typed, and the next free place. */
export function damageSlots({ standing, drafts }: Pick<Snapshot, 'standing' | 'drafts'>): {
  readonly there: readonly DamageSlot[];
  readonly next: number;
} {
  const entries = new Map([...standing, ...drafts]);
  const said = (index: number, field: 'side' | 'cutter') =>
    entries.get(`chain.damage.${index}.${field}`)?.text.trim() ?? '';
  const indexes = [
    ...new Set(
      [...entries.values()]
        .filter(({ path, text }) => isWithin(path, 'chain.damage') && text.trim() !== '')
        .map(({ path }) => Number(path.split('.')[2])),
    ),
  ];
  const there = indexes.flatMap((index): DamageSlot[] => {
    const [side, cutter] = [said(index, 'side'), Number(said(index, 'cutter'))];
    return (side === 'left' || side === 'right') && cutter > 0 ? [{ index, side, cutter }] : [];
  });
  return { there, next: Math.max(-1, ...indexes) + 1 };
}
