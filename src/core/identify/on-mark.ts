import { SURE } from '../quantity';
import type { BenchSheet, EvidenceId } from '../sheet';
import type { Evidence } from './combine';
import type { Identified, IdentifiedPart, IdentifiedProperty, OnMark } from './reasons';
import { confirming } from './settle';

/** A piece of evidence with the reading it comes from. */
export interface Sourced<T extends string | number> {
  readonly id: EvidenceId;
  readonly evidence: Evidence<T>;
}

/** Whether evidence alone would settle a value among the candidates that it speaks of. */
function settlesAlone<T extends string | number>(
  value: T,
  values: readonly T[],
  evidence: readonly Evidence<T>[],
): boolean {
  const weigh = (candidate: T) => evidence.reduce((weight, item) => weight * item.weightOf(candidate), 1);
  const total = values.reduce((sum, candidate) => sum + weigh(candidate), 0);
  return evidence.length > 0 && total > 0 && weigh(value) / total >= SURE;
}

/**
 * Adds to a settled number the one mark that it stands on. Two marks of different readings confirm each other, and so
 * does a measurement that settles it by itself.
 * @param values all values that the number may have
 */
export function withOnMark<T extends string | number>(
  property: Identified<T>,
  about: { readonly sheet: BenchSheet; readonly part: IdentifiedPart; readonly name: IdentifiedProperty },
  values: readonly T[],
  sourced: readonly Sourced<T>[],
): Identified<T> {
  const { value } = property;
  if (property.status !== 'settled' || value === null) return property;
  const naming = sourced.filter(({ evidence }) => evidence.mark && evidence.weightOf(value) === 1);
  const [first] = naming;
  if (!first || naming.some(({ id }) => id !== first.id)) return property;
  const others = sourced.filter(({ id }) => id !== first.id).map(({ evidence }) => evidence);
  if (settlesAlone(value, values, others)) return property;
  const confirmedBy = confirming(about.sheet, about.part, about.name, first.id);
  const onMark: OnMark = { mark: first.evidence.reason, confirmedBy };
  return { ...property, onMark };
}
