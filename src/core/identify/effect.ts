import { flatMap } from '../flat-map';
import type { BenchSheet, EvidenceId } from '../sheet';
import { identify, type Identity } from './identify';
import type { LearnedCode } from './learned-code-schema';
import type { Identified, IdentifiedPart, IdentifiedProperty } from './reasons';

/** How one number stands with a piece of evidence and without it. */
export interface EvidenceEffect {
  readonly part: IdentifiedPart;
  readonly property: IdentifiedProperty;
  readonly before: Identified<string | number>;
  readonly after: Identified<string | number>;
}

/** The sheet with one piece of evidence set aside, or put back if it was aside. */
export function toggled(sheet: BenchSheet, id: EvidenceId): BenchSheet {
  const aside = sheet.setAside ?? [];
  return { ...sheet, setAside: aside.includes(id) ? aside.filter((each) => each !== id) : [...aside, id] };
}

const NUMBERS: readonly { readonly part: IdentifiedPart; readonly properties: readonly IdentifiedProperty[] }[] = [
  { part: 'chain', properties: ['pitch', 'gauge', 'driveLinks'] },
  { part: 'bar', properties: ['pitch', 'gauge', 'driveLinks'] },
  { part: 'driveSprocket', properties: ['pitch'] },
  { part: 'nose', properties: ['pitch'] },
];

/** One number of one part. */
export function numberOf(
  identity: Identity,
  part: IdentifiedPart,
  property: IdentifiedProperty,
): Identified<string | number> | null {
  if (part === 'chain' || part === 'bar') return identity[part][property];
  return property === 'pitch' ? identity[part].pitch : null;
}

const alike = (a: Identified<string | number>, b: Identified<string | number>): boolean =>
  a.status === b.status &&
  a.value === b.value &&
  a.candidates.length === b.candidates.length &&
  a.candidates.every((candidate, i) => Math.abs(candidate.weight - b.candidates[i]!.weight) < 0.005);

/** What setting one piece of evidence aside, or putting it back, would do to the numbers. */
export function effectOf(
  sheet: BenchSheet,
  identity: Identity,
  id: EvidenceId,
  codes: readonly LearnedCode[] = [],
): readonly EvidenceEffect[] {
  const other = identify(toggled(sheet, id), codes);
  return flatMap(NUMBERS, ({ part, properties }) =>
    flatMap(properties, (property) => {
      const [before, after] = [numberOf(identity, part, property), numberOf(other, part, property)];
      return before && after && !alike(before, after) ? [{ part, property, before, after }] : [];
    }),
  );
}
