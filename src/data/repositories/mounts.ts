import { and, asc, count, eq, isNotNull, ne } from 'drizzle-orm';
import { saw, stockPart } from '../schema';
import type { Queryable } from '../store';

/** A mount as the shop names it, by the bars on its list and the saws that it knows. */
export interface KnownMount {
  readonly mount: string;
  /** Bars of the list that have it. */
  readonly bars: number;
  /** Some of the saws that have it, by name. */
  readonly saws: readonly string[];
}

/** Most mounts that are told, and most saws of each. */
const MOST = 24;
const MOST_SAWS = 3;

/** Mounts of the bars in stock and of the saws that came, in the order of their names; case does not part them. */
export async function knownMounts(db: Queryable): Promise<readonly KnownMount[]> {
  const [bars, saws] = await Promise.all([
    db
      .select({ mount: stockPart.mount, bars: count() })
      .from(stockPart)
      .where(and(eq(stockPart.kind, 'bar'), isNotNull(stockPart.mount)))
      .groupBy(stockPart.mount),
    db
      .selectDistinct({ mount: saw.mount, label: saw.label })
      .from(saw)
      .where(and(isNotNull(saw.mount), ne(saw.mount, '')))
      .orderBy(asc(saw.label)),
  ]);
  const known = new Map<string, { mount: string; bars: number; saws: string[] }>();
  const at = (mount: string) => {
    const key = mount.trim().toUpperCase();
    const found = known.get(key) ?? { mount: mount.trim(), bars: 0, saws: [] };
    known.set(key, found);
    return found;
  };
  for (const { mount, bars: pieces } of bars) at(mount!).bars += pieces;
  for (const { mount, label } of saws) {
    const found = at(mount!);
    if (found.saws.length < MOST_SAWS && !found.saws.includes(label)) found.saws.push(label);
  }
  return [...known.values()].sort((a, b) => (a.mount < b.mount ? -1 : 1)).slice(0, MOST);
}
