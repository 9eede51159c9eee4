import { asksToMeasureAgain, brought, doneOn, judgedParts, type Check } from '../judge';
import { outcomeOf } from '../quantity';
import { timesRead, type Askable, type BenchSheet } from '../sheet';
import { foreseenOn, isSame, partOf, RETURNING, SAME, type Foreseen, type Returning } from './foreseen';
import { readOf, valueOf, type Asked } from './held';
import { trustIn, type Instead, type Trust } from './trust';
import { chanceTogether, isContradicted } from './weighed';

/** A question whose yes would spare readings. */
export interface WouldSpare {
  readonly asks: (typeof SAME)[Returning];
  /** What of it would then be trusted. */
  readonly foreseen: Foreseen;
  readonly spares: readonly Askable[];
}

/** What the past says beside today's readings. */
export interface PastHeard {
  /** Today's checks with the past heard, and those that stand for what nobody measured. */
  readonly checks: readonly Check[];
  /** Readings that no verdict waits for: what was foreseen stands for them. */
  readonly spared: readonly Askable[];
  /** Quick looks that are waited for in their stead. */
  readonly instead: readonly Instead[];
  readonly wouldSpare: WouldSpare | null;
}

/** Readings of one place beyond which it was read again. */
const READ_AGAIN = 2;

/** A reading that contradicts what was foreseen: it counts alone, and is taken again once. */
function contradicting(check: Check, { value: foreseen, seen, on }: Foreseen, sheet: BenchSheet): Check {
  const measure = check.repeat?.measure;
  if (!measure || check.again !== null || timesRead(sheet, measure) >= READ_AGAIN) return check;
  const better = check.kind === 'min' ? check.value! > foreseen : check.value! < foreseen;
  return { ...check, again: measure, note: { code: 'not-as-foreseen', foreseen, better, seen, on } };
}

/** A check that today's readings make, with what was foreseen of its value. */
function heard(check: Check, foreseen: Foreseen, sheet: BenchSheet): Check {
  const { value, limit, watch, kind, note, outcome } = check;
  if (limit === null || kind === 'observation' || outcome === 'not-measured') return check;
  if (isContradicted(foreseen, valueOf(check))) return contradicting(check, foreseen, sheet);
  // What already has something to say beside its figures is left as it stands.
  if (note !== null || (check.ways?.length ?? 0) > 1) return check;
  const probability = chanceTogether(foreseen, valueOf(check), limit, kind);
  const beyond = (level: number) => (kind === 'min' ? value! < level : value! > level);
  const together = outcomeOf(probability, watch !== null && beyond(watch));
  const { value: was, seen, on } = foreseen;
  return {
    ...check,
    probability,
    // What was read beyond its limit no past keeps by itself: it is read again.
    outcome: beyond(limit) && together !== 'fail' ? 'undecided' : together,
    ways: null,
    note: { code: 'with-foreseen', foreseen: was, seen, on },
  };
}

const isThere = (part: Returning, sheet: BenchSheet): boolean =>
  brought(sheet, part) || judgedParts(sheet).includes(part);

/** What is foreseen of a part that came and is not worked on yet. */
const foreseenOf = (part: Returning, sheet: BenchSheet): readonly Foreseen[] =>
  isThere(part, sheet) && !asksToMeasureAgain(doneOn(part, sheet))
    ? foreseenOn(sheet).filter((each) => partOf(each) === part)
    : [];

/** Checks with a part's past heard: what was measured is weighed with it, what was not is stood for. */
function withPast(checks: readonly Check[], all: readonly Foreseen[], trust: Trust | null, sheet: BenchSheet) {
  const said = checks.map((check) => {
    const foreseen = all.find(({ of }) => of === check.id);
    // One depth read beside what was foreseen of all others has had its say there.
    const isHeard = foreseen !== undefined && foreseen !== trust?.foreseen && readOf(foreseen.of, [check]) !== null;
    return isHeard ? heard(check, foreseen, sheet) : check;
  });
  return trust?.stands ? [...said, trust.stands] : said;
}

/**
 * Hears the past of parts that come again beside today's readings. What was foreseen of a bar's depth stands for
 * readings along it; what was measured is weighed together with it; a reading that contradicts it by three standard
 * uncertainties counts alone and is asked for again.
 */
export function hearPast(asked: Asked): PastHeard {
  const { sheet } = asked;
  let { checks } = asked;
  let [trusted, wouldSpare] = [null as Trust | null, null as WouldSpare | null];
  for (const part of RETURNING) {
    const all = foreseenOf(part, sheet);
    const same = isSame(part, sheet);
    if (all.length === 0 || same === false) continue;
    const trust = part === 'bar' ? trustIn(all, asked) : null;
    if (same) {
      trusted ??= trust;
      checks = withPast(checks, all, trust, sheet);
    } else if (trust) {
      wouldSpare = { asks: SAME[part], foreseen: trust.foreseen, spares: trust.spares };
    }
  }
  return { checks, spared: trusted?.spares ?? [], instead: trusted?.instead ?? [], wouldSpare };
}
