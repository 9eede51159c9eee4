import {
  NEEDS,
  OPERATIONS,
  valuesAt,
  type Action,
  type Askable,
  type BenchSheet,
  type Operation,
  type Part,
} from '../sheet';
import { CHECK_IDS, type Check } from './check';

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
}

/** Work that a check calls for, and from which outcome on: a light peening of the straps is a caution, not work. */
const WORK: Partial<Record<Check['id'], { readonly operation: Operation; readonly from: 'watch' | 'fail' }>> = {
  'bar.oil-holes': { operation: 'clean-oil-holes', from: 'fail' },
  'bar.groove': { operation: 'rake-groove', from: 'fail' },
  'bar.burr': { operation: 'deburr', from: 'fail' },
  'bar.bow': { operation: 'straighten', from: 'watch' },
  'bar.twist': { operation: 'straighten', from: 'watch' },
  'bar.ruts': { operation: 'dress-rails', from: 'fail' },
  'bar.groove-shape': { operation: 'ease-pinch', from: 'fail' },
  'bar.play-after': { operation: 'close-rails', from: 'fail' },
  'nose.pinch': { operation: 'free-nose', from: 'fail' },
  'nose.dirt': { operation: 'free-nose', from: 'fail' },
  'bar.nose': { operation: 're-nose', from: 'fail' },
  'nose.turns': { operation: 'free-nose', from: 'watch' },
  'chain.uneven': { operation: 'even-cutters', from: 'fail' },
  'chain.straps': { operation: 'dress-straps', from: 'fail' },
  'chain.tangs': { operation: 'file-tangs', from: 'fail' },
  'chain.tight-joints': { operation: 'free-tight-joints', from: 'fail' },
  'sprocket.turns': { operation: 'free-bearing', from: 'watch' },
};

/** Work that is only cleaning: with nothing else to do the verdict is `clean`. */
const CLEANING: readonly Operation[] = ['clean-oil-holes', 'rake-groove', 'free-nose', 'free-bearing'];

/** True when a check's outcome calls for its work. A condemning failure calls for none: the part goes. */
function callsFor(check: Check, from: 'watch' | 'fail'): boolean {
  if (check.outcome === 'fail') return !check.condemns;
  return check.outcome === 'watch' && from === 'watch';
}

/** Work that was done and needs no second measurement is no reason any more. */
function isMended(check: Check, done: readonly Operation[]): boolean {
  const work = WORK[check.id];
  return !check.condemns && work !== undefined && check.value === null && done.includes(work.operation);
}

/** Place of each kind of check in the order they are named. */
const PLACE = Object.fromEntries(CHECK_IDS.map((id, i) => [id, i])) as Readonly<Record<Check['id'], number>>;

const byRank = (a: Check, b: Check): number => PLACE[a.id] - PLACE[b.id] || (a.probability ?? 0) - (b.probability ?? 0);

/** Splayed rails are closed where the shop is of that school; pinched ones are eased. */
const isSplayed = ({ id, observed, outcome }: Check): boolean =>
  id === 'bar.groove-shape' && observed === 'splayed' && outcome === 'fail';

/** The operations that checks and plans call for, in working order and once each. */
export function operationsFor(
  checks: readonly Check[],
  dressAdvised: boolean,
  fileBack: boolean,
): readonly Operation[] {
  const wanted = checks.flatMap((check): Operation[] => {
    if (isSplayed(check)) return ['close-rails'];
    // A groove no wider than its link pinches it, whatever the play's limit says.
    if (check.note?.code === 'pinches') return ['ease-pinch'];
    const work = WORK[check.id];
    return work && callsFor(check, work.from) ? [work.operation] : [];
  });
  if (dressAdvised) wanted.push('dress-rails', 'deburr');
  if (fileBack) wanted.push('file-back');
  return OPERATIONS.filter((operation) => wanted.includes(operation));
}

/**
 * Decides one part. One condemning failure is enough to replace, whatever is missing. Otherwise anything required and missing, or a condemning
 * limit too close to call, leaves it undecided, with the work already known listed. Checks that only call for work never condemn.
 */
export function decide(
  part: Part,
  checks: readonly Check[],
  missing: readonly Askable[],
  operations: readonly Operation[],
  done: readonly Operation[] = [],
): Verdict {
  const ordered = checks.filter((check) => !isMended(check, done)).sort(byRank);
  const condemning = ordered.filter(({ condemns }) => condemns);
  const reason = (check: Check): VerdictReason => ({ code: 'check', check });
  const failed = condemning.filter(({ outcome }) => outcome === 'fail');
  const grounds = [...worst(failed), ...failed.filter((check) => !worst(failed).includes(check))];
  if (failed.length > 0)
    return { part, action: 'replace', operations: [], reasons: grounds.map(reason), decidedBy: grounds[0]! };

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
  const sound: VerdictReason[] = [{ code: 'sound' }];
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
  const reasons = [...work, ...worst(notes)].map(reason);
  return { part, action, operations, reasons, decidedBy: work[0] ?? notes[0] ?? null };
}

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

/** Whether anything at all is said of a part. */
export function brought(sheet: BenchSheet, part: Part): boolean {
  if (part === 'driveSprocket') return sheet.driveSprocket !== undefined;
  if (part === 'chain') return sheet.chain !== undefined;
  return sheet.bar !== undefined;
}

/** The readings that must exist before a part can be called keep, clean or recondition, and do not. */
export function missingReadings(sheet: BenchSheet, part: Part): readonly Askable[] {
  const nose = sheet.bar?.nose === 'hard' ? 'hard' : 'sprocket';
  return NEEDS.filter((need) => need.by.includes(part) && (need.nose === null || need.nose === nose))
    .filter(({ ids, enough }) => !ids.some((id) => valuesAt(sheet, id.split('.')).some(enough)))
    .map(({ asks }) => asks);
}
