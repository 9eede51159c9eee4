import type { BarAssessment } from '../bar/checks';
import type { ForeseenId } from '../declared';
import type { Identity } from '../identify';
import type { Check } from '../judge';
import { depthLimitId, type Limit, type Limits } from '../limits';
import type { BenchSheet } from '../sheet';

/** What is asked of the past. */
export interface Asked {
  readonly sheet: BenchSheet;
  readonly identity: Identity;
  readonly bar: BarAssessment;
  readonly limits: Limits;
  /** Checks that today's readings make. */
  readonly checks: readonly Check[];
}

/** The limit of a bar's depth; null while the pitch that it hangs on is open. */
export function depthLimitOf({ identity, limits }: Asked): Limit<'mm'> | null {
  const pitch = identity.bar.pitch.value;
  return pitch && limits[depthLimitId(pitch)];
}

/** What today measured of it: the check of a value that stands and is no bound. */
export const readOf = (of: ForeseenId, checks: readonly Check[]): Check | null =>
  checks.find(({ id, value, uncertainty, bound }) => id === of && value !== null && uncertainty && bound === null) ??
  null;

/** The value of such a check. */
export const valueOf = ({ value, uncertainty }: Check) => ({ value: value!, u: uncertainty! });
