import { flatMap } from '../flat-map';
import type { WearPattern } from '../bar';
import type { FitJudgement } from '../fit';
import type { Check } from '../judge';
import type { LoopTension } from '../loop/assessed';
import { valuesAt, type BenchSheet, type ReadingPath } from '../sheet';
import { EVIDENCE_LIST, type Evidence, type EvidenceId, type Says } from './evidence';

/** What a sheet tells to those who ask for causes. */
export interface Told {
  readonly sheet: BenchSheet;
  readonly checks: readonly Check[];
  readonly fit: readonly FitJudgement[];
  readonly tension: LoopTension | null;
  readonly pattern: WearPattern;
}

/** Where a finding stands, so that it can be said. */
export type Source =
  | { readonly from: 'check'; readonly check: Check }
  | { readonly from: 'word'; readonly reading: ReadingPath; readonly word: string }
  | { readonly from: 'fit'; readonly judgement: FitJudgement }
  | { readonly from: 'tension'; readonly tension: LoopTension }
  | { readonly from: 'pattern'; readonly pattern: WearPattern };

/** A piece of evidence that is there, with what it says of causes. */
export interface Found {
  readonly id: EvidenceId;
  readonly says: Says;
  readonly source: Source;
}

const SEVERITY: readonly Check['outcome'][] = ['fail', 'watch', 'ok'];

/** What the checks of one kind say together. */
interface Kind {
  /** The worst that is judged; null where none is. */
  readonly worst: Check | null;
  /** Whether one of them is too close to call, which says nothing yet. */
  readonly isOpen: boolean;
}

const worse = (worst: Check | null, next: Check): Check =>
  worst && SEVERITY.indexOf(worst.outcome) <= SEVERITY.indexOf(next.outcome) ? worst : next;

function kindsOf(checks: readonly Check[]): ReadonlyMap<Check['id'], Kind> {
  const kinds = new Map<Check['id'], Kind>();
  for (const check of checks) {
    const { worst = null, isOpen = false } = kinds.get(check.id) ?? {};
    const judged = SEVERITY.includes(check.outcome);
    kinds.set(check.id, {
      worst: judged ? worse(worst, check) : worst,
      isOpen: isOpen || check.outcome === 'undecided',
    });
  }
  return kinds;
}

/** What a check says, as far as it is sure: one that could as well have come out the other way says nothing. */
function asSure(says: Says | undefined, { probability }: Check): Says | undefined {
  if (!says || probability === null) return says;
  const sureness = Math.abs(2 * probability - 1);
  const scaled = (part: Says['for']) => part && { ...part, by: part.by ** sureness };
  const [likelier, against] = [scaled(says.for), scaled(says.against)];
  return { ...(likelier ? { for: likelier } : {}), ...(against ? { against } : {}) };
}

/** What one piece of evidence has to say; null while nobody has looked. */
function sourceOf(
  evidence: Evidence,
  told: Told,
  kinds: ReturnType<typeof kindsOf>,
): { readonly says: Says | undefined; readonly source: Source } | null {
  switch (evidence.from) {
    case 'check': {
      const { worst: check = null, isOpen = false } = kinds.get(evidence.check) ?? {};
      // A kind that is clear in one place and open in another is not cleared.
      if (!check || (check.outcome === 'ok' && isOpen)) return null;
      return { says: asSure(evidence.results[check.outcome], check), source: { from: 'check', check } };
    }
    case 'word': {
      const [word] = valuesAt(told.sheet, evidence.reading.split('.')) as readonly (string | undefined)[];
      if (word === undefined) return null;
      return { says: evidence.results[word], source: { from: 'word', reading: evidence.reading, word } };
    }
    case 'fit': {
      const judgement = told.fit.find(({ rule }) => rule === evidence.rule);
      if (!judgement || judgement.holds === null) return null;
      const { results } = evidence;
      return {
        says: results[judgement.reason.code] ?? results[judgement.holds ? 'holds' : 'broken'],
        source: { from: 'fit', judgement },
      };
    }
    case 'tension':
      if (!told.tension || told.tension.close) return null;
      return { says: evidence.results[told.tension.state], source: { from: 'tension', tension: told.tension } };
    case 'pattern':
      if (told.pattern.code === 'not-measured') return null;
      return { says: evidence.results[told.pattern.code], source: { from: 'pattern', pattern: told.pattern } };
  }
}

/** All evidence that is there. */
export function findings(told: Told): readonly Found[] {
  const kinds = kindsOf(told.checks);
  return flatMap(EVIDENCE_LIST, ([id, evidence]) => {
    const there = sourceOf(evidence, told, kinds);
    return there ? [{ id, says: there.says ?? {}, source: there.source }] : [];
  });
}
