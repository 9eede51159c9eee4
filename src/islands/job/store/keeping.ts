/**
 * Wraps a computation so that each answer keeps every part of the last one that still holds: the very same object where
 * nothing changed. What is drawn from such a part need not be drawn again, so a key on one station redraws that station
 * and not the other forty-seven.
 * @param work pure; answers with plain objects, lists and values
 */
export function keeping<A extends readonly unknown[], R>(work: (...given: A) => R): (...given: A) => R {
  let last: unknown;
  return (...given) => {
    const answer = keepWhatHolds(last, work(...given));
    last = answer;
    return answer;
  };
}

/**
 * The new value, with every part that equals the old one replaced by the old one; all of the old one when all is equal.
 * @param afresh keys whose contents are taken as they come: long lists from which little is drawn, dearer to compare
 *   than to draw
 */
export function keepWhatHolds<T>(before: unknown, after: T, afresh: ReadonlySet<string> = new Set()): T {
  return new Comparison(afresh).kept(before, after) as T;
}

/** One comparison of two values. What stands in two places of the new one is compared once. */
class Comparison {
  private readonly done = new Map<object, unknown>();

  constructor(private readonly afresh: ReadonlySet<string>) {}

  kept(before: unknown, after: unknown): unknown {
    if (Object.is(before, after) || !isObject(after)) return after;
    const known = this.done.get(after);
    if (known !== undefined) return known;
    const kept = this.keptObject(before, after);
    this.done.set(after, kept);
    return kept;
  }

  private keptObject(before: unknown, after: object): object {
    if (Array.isArray(after)) return Array.isArray(before) ? this.keptList(before, after) : after;
    return isRecord(before) && isRecord(after) ? this.keptRecord(before, after) : after;
  }

  private keptList(before: readonly unknown[], after: readonly unknown[]): readonly unknown[] {
    const parts = after.map((part, i) => this.kept(before[i], part));
    const isSame = parts.length === before.length && parts.every((part, i) => Object.is(part, before[i]));
    return isSame ? before : parts;
  }

  /** Copies the new record only when a part of it is kept. */
  private keptRecord(before: Group, after: Group): Group {
    const names = Object.keys(after);
    let kept: Record<string, unknown> | null = null;
    let isSame = names.length === Object.keys(before).length;
    for (const name of names) {
      const [old, part] = [before[name], after[name]];
      const held = this.afresh.has(name) ? part : this.kept(old, part);
      isSame &&= Object.is(held, old) && (old !== undefined || name in before);
      if (!Object.is(held, part)) (kept ??= { ...after })[name] = held;
    }
    return isSame ? before : (kept ?? after);
  }
}

type Group = Readonly<Record<string, unknown>>;

const isObject = (value: unknown): value is object => typeof value === 'object' && value !== null;

/** A plain record: anything with a class of its own, a map or a date, is taken as it comes. */
const isRecord = (value: unknown): value is Group =>
  isObject(value) && Object.getPrototypeOf(value) === Object.prototype;
