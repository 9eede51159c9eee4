import { EDGES, stationPath } from '../declared';
import { judgedCheck, missingReadings, type Check } from '../judge';
import { exactly, mm, SURE } from '../quantity';
import type { Askable, BenchSheet } from '../sheet';
import type { Foreseen } from './foreseen';
import { depthLimitOf, readOf, valueOf, type Asked } from './held';
import { chanceForeseen, chanceTogether, isContradicted } from './weighed';

/** A quick look that is asked for in place of readings. */
export interface Instead {
  readonly asks: Askable;
  /** Where along an edge, mm; null where there is no place. */
  readonly at: number | null;
}

/** What was foreseen of a bar's depth, where it may stand for readings along both edges. */
export interface Trust {
  readonly foreseen: Foreseen;
  readonly spares: readonly Askable[];
  /** Quick looks that it waits for: they show what no wear foretells. */
  readonly instead: readonly Instead[];
  /** What stands for the readings; null while the depth at its weakest place is waited for. */
  readonly stands: Check | null;
}

const DEPTHS: readonly Askable[] = EDGES.map((edge) => `bar.edges.${edge}.stations` as const);

/** Whether anything tells how the rails of an edge stand. */
function isLevelTold(sheet: BenchSheet, edge: (typeof EDGES)[number]): boolean {
  const { stands, stations = [] } = sheet.bar?.edges?.[edge] ?? {};
  return stands !== undefined || stations.some(({ near, far, square, marker }) => (near && far) ?? square ?? marker);
}

/** One depth where the bar was weakest, and how each edge stands: what no past tells. */
function lookedFor({ where }: Foreseen, isRead: boolean, { sheet, bar }: Asked): readonly Instead[] {
  const { edge, at } = where ?? { edge: 'A', at: null };
  const depth: Instead = { asks: stationPath(edge, bar.standing[edge].stations.length, 'near'), at };
  const stands = EDGES.filter((each) => !isLevelTold(sheet, each));
  return [
    ...(isRead ? [] : [depth]),
    ...stands.map((each): Instead => ({ asks: `bar.edges.${each}.stands`, at: null })),
  ];
}

/**
 * What was foreseen of a bar's depth may stand for readings along its edges: where it clears the limit as surely as
 * readings must, and one depth at its weakest place does not contradict it. Widths, a chain's growth and a sprocket's
 * wear are one or two readings each; what may have happened to them since shows in nothing quicker, and they are
 * measured whenever they come (tried on simulated fleets).
 */
export function trustIn(all: readonly Foreseen[], asked: Asked): Trust | null {
  const foreseen = all.find(({ of }) => of === 'bar.depth');
  const limit = foreseen && depthLimitOf(asked);
  if (!limit) return null;
  const spares = missingReadings(asked.sheet, 'bar').filter((reading) => DEPTHS.includes(reading));
  const read = readOf('bar.depth', asked.checks);
  if (spares.length === 0 || (read && isContradicted(foreseen, valueOf(read)))) return null;
  const chance = read
    ? chanceTogether(foreseen, valueOf(read), limit.value, 'min')
    : chanceForeseen(foreseen, limit.value, 'min');
  if (chance < SURE) return null;
  const { value, u, seen, on } = foreseen;
  const stands = judgedCheck(
    { id: 'bar.depth', part: 'bar', note: { code: 'foreseen', seen, on } },
    { value: { value: mm(value), u }, within: exactly(chance), ways: null },
    limit,
    null,
  );
  return { foreseen, spares, instead: lookedFor(foreseen, read !== null, asked), stands: read && stands };
}
