import type { Rules } from '../../core/assess';
import type { SignedChoices } from '../../core/refit';
import { sheetFromEntries, type EntryBy } from '../../core/sheet';
import {
  lastHandOverAt,
  shopStanding,
  shopStandingAt,
  type JobRecord,
  type ShopStanding,
} from '../../data/repositories';
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

/** What is asked for a job's rules before anybody has looked at the job itself. */
export interface RulesAhead {
  readonly standing: ShopStanding;
  /** When it was handed over last; null where it never was. */
  readonly went: string | null;
}

export async function rulesAhead(db: Queryable, id: string): Promise<RulesAhead> {
  const [standing, went] = await Promise.all([shopStanding(db), lastHandOverAt(db, id)]);
  return { standing, went };
}

/**
 * The rules by which a job is judged: those in force. One that has gone is told by those it went by, as its papers are,
 * until it is opened again.
 */
export async function jobRules(
  db: Queryable,
  { id, state }: Which,
  ahead: RulesAhead | Promise<RulesAhead> = rulesAhead(db, id),
): Promise<JobRules> {
  const { standing, went } = await ahead;
  const [shop, rules] = [shopOf(standing), rulesOf(standing)];
  if (went === null || state !== 'handed-over') return { shop, rules, since: null };
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
