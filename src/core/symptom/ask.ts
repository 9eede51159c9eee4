import { flatMap } from '../flat-map';
import type { Part } from '../reading';
import { beginOf, isThere, isWithin, minutesFor, readingAt, type Askable } from '../sheet';
import { rowOf, type Cause } from './causes';
import { FINDINGS, type FindingId } from './findings';
import type { Found, Told } from './found';
import type { Ranking } from './noisy-or';
import { oddsTimes, ratioOf, REACHES, type Present, type Reach } from './presence';

/**
 * Something to look at for a complaint: what it takes off the chance of naming the wrong cause, and what it speaks of.
 */
export interface Looking {
  readonly measure: Askable;
  readonly finding: FindingId;
  /** The cause that it would find or clear. */
  readonly about: Cause;
  readonly gain: number;
  readonly minutes: number;
}

/** Readings of the saw as a whole, which came only with it. */
const ON_SAW = ['strip', 'loop', 'saw'] as const;

/** Whether a reading can be taken of what came. */
function mayAsk(asked: Askable, { sheet }: Told): boolean {
  const brought = sheet.job?.brought ?? [];
  const hasSaw = brought.length === 0 || brought.includes('whole-saw');
  const ownNose = readingAt(beginOf(asked))?.told.nose;
  const nose = sheet.bar?.nose ?? 'sprocket';
  return (hasSaw || !ON_SAW.some((group) => isWithin(asked, group))) && (ownNose === undefined || ownNose === nose);
}

/**
 * The reading to take for a finding: the first it rests on that is not there yet. None where all are, or it belongs to
 * what did not come.
 */
const askedFor = (id: FindingId, told: Told): Askable | null =>
  FINDINGS[id].asks.find((asked) => mayAsk(asked, told) && !isThere(told.sheet, asked)) ?? null;

/** The reading to take once more: the one that a check names, where it can be repeated. */
const repeatedFor = ({ source }: Found): Askable | null =>
  source.from === 'check' && source.check.value !== null ? (source.check.repeat?.measure ?? null) : null;

/** A cause so likely, or so unlikely, is as good as found, or cleared. */
const OPEN = { from: 0.04, to: 0.96 } as const;
/** A look that gains less than this is not asked for. */
const LEAST_GAIN = 0.004;

const bestOf = ({ causes, unexplainedShare }: Ranking): number => Math.max(unexplainedShare, causes[0]?.share ?? 0);

/**
 * By how much a look raises the share of what is named first, on average. The chances of its two results follow from
 * the ratios: with a ratio `up` for a find and `down` for none, a sound saw shows a find in `(1 − down)/(up − down)` of
 * cases and an ailing one `up` times as often.
 */
function gainOf(
  { up, down }: Reach,
  cause: Cause,
  now: Ranking,
  bestAfter: (cause: Cause, ratio: number) => number,
): number {
  if (up <= 1 || down >= 1) return 0;
  const own = now.causes.find((each) => each.cause === cause)!.present;
  const falsely = (1 - down) / (up - down);
  const finds = own * up * falsely + (1 - own) * falsely;
  return Math.max(0, finds * bestAfter(cause, up) + (1 - finds) * bestAfter(cause, down) - bestOf(now));
}

/**
 * The share of what would be named first, were a cause so many times likelier: findings of one strength ask the same,
 * and it is ranked once.
 */
function ranksAfter(
  present: readonly Present[],
  rank: (present: readonly Present[]) => Ranking,
): (cause: Cause, ratio: number) => number {
  const known = new Map<string, number>();
  return (cause, ratio) => {
    const key = `${cause} ${ratio}`;
    const before = known.get(key);
    if (before !== undefined) return before;
    const then = present.map((each) =>
      each.cause === cause ? { ...each, present: oddsTimes(each.present, ratio) } : each,
    );
    const best = bestOf(rank(then));
    known.set(key, best);
    return best;
  };
}

/**
 * Everything that could still be looked at for a complaint, the most for its minutes first; and the finding of what
 * leads, once more, where that would settle it.
 */
export function worthLooking(
  told: Told,
  found: readonly Found[],
  parts: readonly Part[],
  present: readonly Present[],
  now: Ranking,
  rank: (present: readonly Present[]) => Ranking,
): readonly Looking[] {
  const there = new Map(found.map((each) => [each.id, each]));
  const leader = now.causes[0];
  const bestAfter = ranksAfter(present, rank);
  const all = flatMap(now.causes, ({ cause, present: chance }): Looking[] => {
    if (!parts.includes(rowOf(cause).part) || chance < OPEN.from || chance > OPEN.to) return [];
    return flatMap(REACHES.get(cause)!, ([finding, reach]): Looking[] => {
      const seen = there.get(finding);
      const isLeading = cause === leader?.cause && leader.share > now.unexplainedShare;
      const measure = seen ? (isLeading ? repeatedFor(seen) : null) : askedFor(finding, told);
      if (!measure) return [];
      const again = seen && ratioOf(seen, cause) <= 1;
      const gain = again ? 0 : gainOf(reach, cause, now, bestAfter);
      return gain < LEAST_GAIN ? [] : [{ measure, finding, about: cause, gain, minutes: minutesFor(measure) }];
    });
  });
  return all.sort((a, b) => b.gain / b.minutes - a.gain / a.minutes);
}

/** What was not looked at and could be, each once, with the minutes it takes. */
export function notLookedAt(
  told: Told,
  found: readonly Found[],
  parts: readonly Part[],
  causes: readonly Cause[],
): { readonly measures: readonly Askable[]; readonly minutes: number } {
  const there = new Set(found.map(({ id }) => id));
  const measures = [
    ...new Set(
      flatMap(causes, (cause) => {
        if (!parts.includes(rowOf(cause).part)) return [];
        // One look that can clear a cause is enough to have looked at it.
        if (REACHES.get(cause)!.some(([finding, { down }]) => there.has(finding) && down < CLEARS)) return [];
        const open = REACHES.get(cause)!.filter(([finding, { down }]) => !there.has(finding) && down < CLEARS);
        const asked = flatMap(open, ([finding]) => askedFor(finding, told) ?? []);
        return asked.slice(0, 1);
      }),
    ),
  ];
  return { measures, minutes: measures.reduce((sum, measure) => sum + minutesFor(measure), 0) };
}

/** A finding that makes a cause this much less likely can clear it. */
const CLEARS = 1 / 3;
