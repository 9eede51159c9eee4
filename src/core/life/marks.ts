import type { SprocketKind } from '../declared';
import type { FamilyId, GaugeId } from '../families';

/** What tells one piece from another of its kind: what does not wear. */
export interface Marks {
  readonly pitch?: FamilyId;
  readonly gauge?: GaugeId;
  readonly driveLinks?: number;
  readonly kickbackClass?: 'low-kickback' | 'standard';
  readonly teeth?: number;
  readonly kind?: SprocketKind;
}
