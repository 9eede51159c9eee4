import { DAMAGE_KINDS } from '../../../core/declared';
import type { ReadingPath } from '../../../core/sheet';
import { useOfStore } from '../store/JobContext';
import { useFieldActions } from '../store/useField';
import { damageSlots, type Side } from './cutter-slots';

export type DamageKind = (typeof DAMAGE_KINDS)[number];

/** The damage of one cutter, to be marked and taken back. */
export interface CutterDamage {
  /** Its place in the list; null while the cutter has none. */
  readonly index: number | null;
  /** Where its kind stands, or will stand. */
  readonly path: ReadingPath;
  readonly kind: DamageKind | null;
  readonly mark: (kind: DamageKind) => void;
  readonly clear: () => void;
}

const FIELDS = ['side', 'cutter', 'kind', 'place', 'setBack'] as const;

/** Connects a cutter with its damage: one entry of the list holds which cutter, what kind, how far back. */
export function useDamage(side: Side, cutter: number): CutterDamage {
  const readings = useOfStore((snapshot) => snapshot);
  const { set } = useFieldActions();
  const { there, next } = damageSlots(readings);
  const own = there.find((each) => each.side === side && each.cutter === cutter);
  const said = own && readings.standing.get(`chain.damage.${own.index}.kind`)?.text;
  return {
    index: own?.index ?? null,
    path: `chain.damage.${own?.index ?? next}.kind`,
    kind: DAMAGE_KINDS.find((kind) => kind === said) ?? null,
    mark: (kind) => {
      const index = own?.index ?? next;
      if (!own) {
        set(`chain.damage.${index}.side`, side);
        set(`chain.damage.${index}.cutter`, String(cutter));
      }
      set(`chain.damage.${index}.kind`, kind);
    },
    clear: () => {
      if (own) for (const field of FIELDS) set(`chain.damage.${own.index}.${field}`, '');
    },
  };
}
