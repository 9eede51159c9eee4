import { flatMap } from '../flat-map';
import type { Part } from '../reading';
import {
  CLEANING,
  READINGS,
  type Action,
  type Askable,
  type JudgedCheckId,
  type Operation,
  type SeenCheckId,
} from '../sheet';
import { COMPUTED_CHECKS, type Check, type CheckId } from './check';
import { isMended } from './work';

/** Why a verdict is what it is. */
export type VerdictReason =
  | { readonly code: 'check'; readonly check: Check }
  | { readonly code: 'missing'; readonly readings: readonly Askable[] }
  | { readonly code: 'not-brought' }
  | { readonly code: 'sound' };

/** The verdict on one part, the deciding reason first. */
export interface Verdict {
  readonly part: Part;
  readonly action: Action;
  readonly operations: readonly Operation[];
  readonly reasons: readonly VerdictReason[];
  /** The check that decided, or null when something missing did. */
  readonly decidedBy: Check | null;
  /** What speaks against it: tests and findings that contradict all else, each to be made again. */
  readonly against: readonly Check[];
}

/** A verdict before it is told what speaks against it. */
type Decision = Omit<Verdict, 'against'>;

/** Checks that findings make, in the order they are declared. */
function findings(condemning: boolean): readonly SeenCheckId[] {
  const made = flatMap(READINGS, ({ told: { seen } }) =>
    seen?.condemns === condemning ? [seen.check as SeenCheckId] : [],
  );
  return [...new Set(made)];
}

/** Checks that judged lengths make, in the order they are declared. */
const lengths = (condemning: boolean): readonly JudgedCheckId[] =>
  flatMap(READINGS, ({ told: { judged } }) => (judged?.condemns === condemning ? [judged.check as JudgedCheckId] : []));

/** All checks in the order they are named: findings and lengths that condemn, what is computed, all others. */
export const CHECK_IDS: readonly CheckId[] = [
  ...findings(true),
  ...lengths(true),
  ...COMPUTED_CHECKS,
  ...lengths(false),
  ...findings(false),
];

const PLACE = new Map(CHECK_IDS.map((id, i) => [id, i]));

const byRank = (a: Check, b: Check): number =>
  PLACE.get(a.id)! - PLACE.get(b.id)! || (a.probability ?? 0) - (b.probability ?? 0);

/**
 * Decides one part. One condemning failure is enough to replace, whatever is missing. Otherwise anything required and
 * missing, or a condemning limit too close to call, leaves it undecided, with the work already known listed. Checks
 * that only call for work never condemn.
 */
export function decide(...given: Parameters<typeof decision>): Verdict {
  const [, checks] = given;
  return { ...decision(...given), against: checks.filter(({ again }) => again !== null) };
}

function decision(
  part: Part,
  checks: readonly Check[],
  missing: readonly Askable[],
  operations: readonly Operation[],
  done: readonly Operation[] = [],
): Decision {
  const ordered = checks.filter((check) => !isMended(check, done)).sort(byRank);
  const condemning = ordered.filter(({ condemns }) => condemns);
  const reason = (check: Check): VerdictReason => ({ code: 'check', check });
  const failed = condemning.filter(({ outcome }) => outcome === 'fail');
  if (failed.length > 0) {
    const grounds = [...worst(failed), ...failed.filter((check) => !worst(failed).includes(check))];
    // Whoever scraps a chain is told all that was found of it, also what work would have mended.
    const also = part === 'chain' ? worst(ordered.filter((check) => !check.condemns && check.outcome === 'fail')) : [];
    const reasons = [...grounds, ...also].map(reason);
    return { part, action: 'replace', operations: [], reasons, decidedBy: grounds[0]! };
  }

  const close = condemning.filter(({ outcome }) => outcome === 'undecided');
  const unjudged = condemning.filter(({ outcome, value }) => outcome === 'not-measured' && value !== null);
  const work = worst(ordered.filter((check) => !check.condemns && check.outcome === 'fail'));
  const notes = ordered.filter(({ outcome }) => outcome === 'watch');
  if (missing.length > 0 || close.length > 0 || unjudged.length > 0) {
    const lacks: VerdictReason[] = missing.length > 0 ? [{ code: 'missing', readings: missing }] : [];
    const decidedBy = close[0] ?? null;
    return {
      part,
      action: 'undecided',
      operations,
      reasons: [...close.map(reason), ...lacks, ...unjudged.slice(0, 1).map(reason), ...work.map(reason)],
      decidedBy,
    };
  }
  // What nobody measured today is told beside what was.
  const trusted = ordered.filter(({ note }) => note?.code === 'foreseen').map(reason);
  const sound: VerdictReason[] = [...trusted, { code: 'sound' }];
  if (operations.length === 0) {
    return {
      part,
      action: 'keep',
      operations,
      reasons: [...worst(notes).map(reason), ...sound],
      decidedBy: tightest(condemning),
    };
  }
  const action = operations.every((operation) => CLEANING.includes(operation)) ? 'clean' : 'recondition';
  const reasons = [...[...work, ...worst(notes)].map(reason), ...trusted];
  return { part, action, operations, reasons, decidedBy: work[0] ?? notes[0] ?? null };
}

/** A part of which nothing is said has no verdict. */
export const notBrought = (part: Part): Verdict => ({
  part,
  action: 'undecided',
  operations: [],
  reasons: [{ code: 'not-brought' }],
  decidedBy: null,
  against: [],
});

/** One check per kind, the worst of it: a bar with twelve stepped stations gives one reason. */
function worst(checks: readonly Check[]): Check[] {
  const by = new Map<string, Check>();
  for (const check of checks) {
    const before = by.get(check.id);
    if (!before || excess(check) > excess(before)) by.set(check.id, check);
  }
  return [...by.values()];
}

const excess = ({ value, limit, kind }: Check): number =>
  value === null || limit === null ? 0 : kind === 'min' ? limit - value : value - limit;

/** The condemning check that came nearest to failing: what a keep rests on. */
function tightest(checks: readonly Check[]): Check | null {
  const judged = checks.filter(({ probability }) => probability !== null);
  return judged.reduce<Check | null>((least, next) => (least && rank(least) <= rank(next) ? least : next), null);
}

/** Nearness to the limit in standard uncertainties: smaller is tighter. */
const rank = (check: Check): number => -excess(check) / (check.uncertainty || 1);
