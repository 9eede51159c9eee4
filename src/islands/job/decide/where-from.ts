import type { PlanView } from '../../../contract';
import * as texts from '#language/screens/job-decide';

/** Where a new part comes from, and when. */
export function whereFrom({ quantity, days }: PlanView['parts'][number]): string {
  if (quantity > 0) return texts.onTheShelf;
  return days === null ? texts.toBeOrdered : texts.fromTheSupplier(days);
}
