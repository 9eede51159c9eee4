import { flatMap } from '../flat-map';
import type { WearPattern, WearPlace } from '../bar';
import type { FitJudgement } from '../fit';
import type { Check } from '../judge';
import type { LoopTension } from '../loop/assessed';
import { valuesAt, type BenchSheet, type ReadingPath } from '../sheet';
import type { DriftBelief } from './drift-belief';
import { FINDING_LIST, type Finding, type FindingId } from './findings';

/**
 * What is believed of a saw, as far as causes ask: the judgements of its parts, the rules between them, and what was
 * told. The sheet itself is asked for words that no part is judged by, and for nothing else.
 */
export interface Told {
  readonly sheet: BenchSheet;
  readonly checks: readonly Check[];
  readonly fit: readonly FitJudgement[];
  readonly tension: LoopTension | null;
  readonly pattern: WearPattern;
  readonly wearPlace: WearPlace;
  /** Where bar and chain draw a cut. */
  readonly drift: DriftBelief;
}

/** Where a finding stands, so that it can be said. */
export type Source =
  | { readonly from: 'check'; readonly check: Check }
  | { readonly from: 'word'; readonly reading: ReadingPath; readonly word: string }
  | { readonly from: 'fit'; readonly judgement: FitJudgement }
  | { readonly from: 'tension'; readonly tension: LoopTension }
  | { readonly from: 'pattern'; readonly pattern: WearPattern }
  | { readonly from: 'wear-place'; readonly place: WearPlace };

/** A finding that is there: what it came to, and how sure that is. */
export interface Found {
  readonly id: FindingId;
  /** What it came to, the most telling first: the reason of a rule before whether it holds. */
  readonly results: readonly string[];
  /**
   * 0 where it could as well have come out the other way, 1 where it is certain; of one that was looked at twice alike
   * 2, of one that two looks contradict 0.
   */
  readonly sureness: number;
  readonly source: Source;
}

const SEVERITY: readonly Check['outcome'][] = ['fail', 'watch', 'ok'];

/** What the checks of one kind say together. */
interface Kind {
  /** The worst that is judged; null where none is. */
  readonly worst: Check | null;
  /** One that is too close to call, which says nothing yet. */
  readonly open: Check | null;
}

const worse = (worst: Check | null, next: Check): Check =>
  worst && SEVERITY.indexOf(worst.outcome) <= SEVERITY.indexOf(next.outcome) ? worst : next;

function kindsOf(checks: readonly Check[]): ReadonlyMap<Check['id'], Kind> {
  const kinds = new Map<Check['id'], Kind>();
  for (const check of checks) {
    const { worst = null, open = null } = kinds.get(check.id) ?? {};
    const judged = SEVERITY.includes(check.outcome);
    kinds.set(check.id, {
      worst: judged ? worse(worst, check) : worst,
      open: check.outcome === 'undecided' ? check : open,
    });
  }
  return kinds;
}

/** How sure a check is of what it came to: one that could as well have come out the other way is not sure at all. */
const surenessOf = ({ probability }: Check): number => (probability === null ? 1 : Math.abs(2 * probability - 1));

/** A finding of a check by its outcome, and by the word that was seen. */
function ofCheck(check: Check): Omit<Found, 'id'> {
  return {
    results: [...(check.observed === null ? [] : [check.observed]), check.outcome],
    sureness: check.outcome === 'undecided' ? 1 : surenessOf(check),
    source: { from: 'check', check },
  };
}

const asWord = (value: unknown): string => (value === true ? 'yes' : value === false ? 'no' : String(value));

/** What one finding came to; null while nobody has looked. */
function sourceOf(finding: Finding, told: Told, kinds: ReturnType<typeof kindsOf>): Omit<Found, 'id'> | null {
  switch (finding.from) {
    case 'check': {
      const { worst = null, open = null } = kinds.get(finding.check) ?? {};
      // A kind that is clear in one place and open in another is not cleared.
      if (open && (!worst || worst.outcome === 'ok')) return open.observed === null ? null : ofCheck(open);
      return worst && ofCheck(worst);
    }
    case 'word': {
      const [value] = valuesAt(told.sheet, finding.reading.split('.'));
      if (value === undefined) return null;
      const word = asWord(value);
      return { results: [word], sureness: 1, source: { from: 'word', reading: finding.reading, word } };
    }
    case 'fit': {
      const judgement = told.fit.find(({ rule }) => rule === finding.rule);
      if (!judgement || judgement.holds === null) return null;
      const results = [judgement.reason.code, judgement.holds ? 'holds' : 'broken'];
      return { results, sureness: 1, source: { from: 'fit', judgement } };
    }
    case 'tension':
      if (!told.tension || told.tension.close) return null;
      return { results: [told.tension.state], sureness: 1, source: { from: 'tension', tension: told.tension } };
    case 'pattern':
      if (told.pattern.code === 'not-measured') return null;
      return { results: [told.pattern.code], sureness: 1, source: { from: 'pattern', pattern: told.pattern } };
    case 'wear-place':
      if (told.wearPlace.code === 'not-measured') return null;
      return { results: [told.wearPlace.code], sureness: 1, source: { from: 'wear-place', place: told.wearPlace } };
  }
}

/** All findings that are there. */
export function findings(told: Told): readonly Found[] {
  const kinds = kindsOf(told.checks);
  return flatMap(FINDING_LIST, ([id, finding]) => {
    const there = sourceOf(finding, told, kinds);
    return there ? [{ id, ...there }] : [];
  });
}
