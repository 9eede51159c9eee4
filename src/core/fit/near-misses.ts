import { flatMap } from '../flat-map';
import { familiesOfMark, type EvidenceItem, type Identity, type IdentityReason } from '../identify';
import { isClash, type ClashRule, type FitJudgement } from './rules';

/** How a wrong part would have been bought by what is on the saw, had nobody measured. */
export type NearMiss = ClashRule | 'mark-says-otherwise' | 'mouth-passes-for-wider';

/** What of a saw shows near misses. */
interface Found {
  readonly identity: Identity;
  /** The rules of the set as the parts came. */
  readonly fit: readonly FitJudgement[];
}

/** Whether a mark names another number than the part turned out to have. */
function isOtherwise(reason: IdentityReason, { part }: EvidenceItem, identity: Identity): boolean {
  const numbers = identity[part];
  switch (reason.code) {
    case 'pitch-mark': {
      const { value } = numbers.pitch;
      return value !== null && !familiesOfMark(reason.value).includes(value);
    }
    case 'gauge-mark':
      return 'gauge' in numbers && numbers.gauge.value !== null && numbers.gauge.value !== reason.value;
    case 'links-mark':
      return 'driveLinks' in numbers && numbers.driveLinks.value !== null && numbers.driveLinks.value !== reason.value;
    default:
      return false;
  }
}

/**
 * Near misses that a job caught: parts on one saw that do not go together, marks that name another number than was
 * settled, a worn mouth that passes for a wider gauge. Each once.
 */
export function nearMisses({ identity, fit }: Found): readonly NearMiss[] {
  const clashes = flatMap(fit, ({ rule, holds }) => (holds === false && isClash(rule) ? [rule] : []));
  const marks = flatMap(identity.evidence, (item) => item.says.filter((says) => isOtherwise(says, item, identity)));
  return [
    ...clashes,
    ...(marks.length > 0 ? ['mark-says-otherwise' as const] : []),
    ...(identity.findings.some(({ code }) => code === 'worn-mouth') ? ['mouth-passes-for-wider' as const] : []),
  ];
}
