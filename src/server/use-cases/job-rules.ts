import type { Rules } from '../../core/assess';
import type { SignedChoices } from '../../core/refit';
import { sheetFromEntries, type EntryBy } from '../../core/sheet';
import { lastHandOverAt, shopStanding, shopStandingAt, type JobRecord } from '../../data/repositories';
import type { Queryable } from '../../data/store';
import type { ShopView } from '../../contract';
import { appraised } from './kept-appraisals';
import { rulesMark, rulesOf, shopOf } from './shop';

/** The shop, and the rules by which a job is judged. */
export interface JobRules {
  readonly shop: ShopView;
  readonly rules: Rules;
  /** Of a job that went by other rules than are in force by now: when, and those in force. */
  readonly since: { readonly went: string; readonly inForce: Rules } | null;
}

type Which = Pick<JobRecord, 'id' | 'state'>;

/**
 * The rules by which a job is judged: those in force. One that has gone is told by those it went by, as its papers are,
 * until it is opened again.
 */
export async function jobRules(db: Queryable, { id, state }: Which): Promise<JobRules> {
  const [standing, went] = await Promise.all([
    shopStanding(db),
    state === 'handed-over' ? lastHandOverAt(db, id) : null,
  ]);
  const [shop, rules] = [shopOf(standing), rulesOf(standing)];
  if (went === null) return { shop, rules, since: null };
  const then = rulesOf(await shopStandingAt(db, standing, went));
  if (rulesMark(then) === rulesMark(rules)) return { shop, rules, since: null };
  return { shop, rules: then, since: { went, inForce: rules } };
}

/**
 * The moment by whose rules a job is told, where those in force would judge a part of it otherwise, or for another
 * reason; null where they would not.
 */
export function judgedAsOf(
  { rules, since }: JobRules,
  readings: readonly EntryBy[],
  signed: SignedChoices | null,
): string | null {
  if (!since) return null;
  const [then, now] = [rules, since.inForce].map((by) =>
    JSON.stringify(appraised(sheetFromEntries(readings, by.studies).sheet, by, signed).verdicts),
  );
  return then === now ? null : since.went;
}
