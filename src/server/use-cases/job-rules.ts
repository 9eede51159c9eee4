import type { Rules } from '../../core/assess';
import { lastHandOverAt, shopStanding, shopStandingAt, type JobRecord } from '../../data/repositories';
import type { Queryable } from '../../data/store';
import type { ShopView } from '../../contract';
import { rulesMark, rulesOf, shopOf } from './shop';

/** The shop, and the rules by which a job is judged. */
export interface JobRules {
  readonly shop: ShopView;
  readonly rules: Rules;
  /** The moment whose rules they are, where others are in force by now; null for those in force. */
  readonly asOf: string | null;
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
  if (went === null) return { shop, rules, asOf: null };
  const then = rulesOf(await shopStandingAt(db, went));
  return rulesMark(then) === rulesMark(rules) ? { shop, rules, asOf: null } : { shop, rules: then, asOf: went };
}
