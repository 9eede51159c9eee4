import { flatMap } from '../flat-map';
import { MEASURED_AGAIN, OPERATIONS, SEEN_TO_BE_DONE, type Operation } from '../sheet';
import type { Check } from './check';

/** Work that was done and needs no second measurement is no reason any more. */
export const isMended = ({ condemns, value, work }: Check, done: readonly Operation[]): boolean =>
  !condemns && work !== null && done.includes(work) && (value === null || SEEN_TO_BE_DONE.includes(work));

/** Work in working order and once each: what checks call for, and what was planned beside them. */
export function operationsFor(checks: readonly Check[], planned: readonly Operation[]): readonly Operation[] {
  const wanted = [...flatMap(checks, ({ work }) => work ?? []), ...planned];
  return OPERATIONS.filter((operation) => wanted.includes(operation));
}

/**
 * What of the work is still to be done: what was levelled, straightened or closed counts as done only once it was
 * measured again.
 */
export const openWork = (wanted: readonly Operation[], done: readonly Operation[]): readonly Operation[] =>
  wanted.filter((operation) => !done.includes(operation) || !SEEN_TO_BE_DONE.includes(operation));

/** Whether the work that was done is to be measured. */
export const asksToMeasureAgain = (done: readonly Operation[]): boolean =>
  done.some((operation) => MEASURED_AGAIN.includes(operation));
