import { daysAfter } from '../core/booking';
import type { Check } from '../core/judge';
import type { HandOver, NewPart } from '../core/handover';
import type { HandOverDocument } from '../core/report';
import type { WrittenBenchSheet } from '../core/sheet';
import { adviceResult } from './assessment';
import { checkName, checkSentence, HOME_CAUTIONS, verdictReason, visitBecause } from '#language';

/** Whose job it is, and who hands it over when. */
export interface HandOverHead {
  readonly reference: string;
  readonly customer: string;
  readonly saw: string | null;
  readonly complaint: string;
  readonly shop: string;
  readonly by: string;
  /** ISO date. */
  readonly on: string;
  /** What is still open, in sentences, and why it goes all the same. */
  readonly open: readonly string[];
  readonly note: string;
  readonly price: HandOverDocument['price'];
}

const found = (check: Check | null) =>
  check && {
    value: check.value,
    unit: check.unit,
    limit: check.limit,
    outcome: check.outcome,
    why: checkSentence(check),
  };

/** Writes a hand-over as a document. */
export function handOverDocument(
  { on, by, shop, open, note, price, ...job }: HandOverHead,
  { parts, findings, numbers, edgeDown, refit, proof, advice, visit }: HandOver,
  fitted: readonly NewPart[],
  sheet: WrittenBenchSheet,
): HandOverDocument {
  return {
    format: 'serrata-handover',
    version: 1,
    on,
    by,
    shop,
    job,
    parts: parts.map(({ part, verdict, before, choice, condemned, done }) => ({
      part,
      verdict: verdict.action,
      choice,
      condemned: condemned && condemned.reasons.map((reason) => verdictReason(reason)),
      found: before.reasons.map((reason) => verdictReason(reason)),
      why: verdict.reasons.map((reason) => verdictReason(reason)),
      done: [...done],
    })),
    fitted: fitted.map(({ sku, name }) => ({ sku, name })),
    price,
    findings: findings.map(({ part, before, after }) => {
      const { id } = (after ?? before)!;
      return { check: id, name: checkName[id], part, before: found(before), after: found(after) };
    }),
    numbers: { pitch: numbers.pitch, gauge: numbers.gauge, driveLinks: numbers.driveLinks },
    edgeDown,
    refit: { asked: [...refit.list], done: [...refit.done], tension: found(refit.tension) },
    proof: { state: proof.state, cut: proof.cut && { ...proof.cut } },
    advice: advice.map(adviceResult),
    open: [...open],
    note,
    cautions: [...HOME_CAUTIONS],
    nextVisit: { on: daysAfter(on, visit.days), days: visit.days, why: visitBecause(visit) },
    sheet,
  };
}
