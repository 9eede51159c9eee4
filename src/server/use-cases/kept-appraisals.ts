import { createHash } from 'node:crypto';
import { LRUCache } from 'lru-cache';
import { appraise, type Appraisal, type Rules } from '../../core/assess';
import type { BenchSheet } from '../../core/sheet';
import type { SignedChoices } from '../../core/refit';

/** A hand-over alone asks for one job's appraisal a dozen times: its screen, its document, and each of its papers. */
const MOST_KEPT = 60;
const kept = new LRUCache<string, Appraisal>({ max: MOST_KEPT });

/**
 * What a sheet comes to, as the core appraises it. The same sheet, rules and plan give the same appraisal, so that one
 * that was made a moment ago is not made again.
 */
export function appraised(sheet: BenchSheet, rules: Rules, signed: SignedChoices | null): Appraisal {
  const key = createHash('sha256')
    .update(JSON.stringify([sheet, rules, signed]))
    .digest('base64url');
  const before = kept.get(key);
  if (before) return before;
  const now = appraise(sheet, rules, signed);
  kept.set(key, now);
  return now;
}
