import type { FamilyId, GaugeId } from '../families';
import type { Mm } from '../quantity';
import type { PitchMark } from '../sheet';

/** Which part a piece of evidence speaks of. */
export type IdentifiedPart = 'chain' | 'bar' | 'driveSprocket';

/** Why a property is believed, open or contradicted. Sentences are made of these in the wording. */
export type IdentityReason =
  | { readonly code: 'span'; readonly pitch: Mm; readonly u: number; readonly rivets: number }
  | { readonly code: 'span-fits-none'; readonly pitch: Mm; readonly rivets: number; readonly miscounted: number | null }
  | { readonly code: 'harvester-pitch' }
  | { readonly code: 'harvester-gauge' }
  | {
      readonly code: 'pitch-mark';
      readonly on: 'stamp' | 'template' | 'sprocket';
      readonly value: PitchMark;
      readonly text: string;
    }
  | { readonly code: 'chassis'; readonly chassis: 'small' | 'large' }
  | { readonly code: 'thickness'; readonly thickness: Mm; readonly u: number }
  | { readonly code: 'thickness-fits-none'; readonly thickness: Mm }
  | { readonly code: 'slot'; readonly lo: Mm | null; readonly hi: Mm | null }
  | { readonly code: 'gauge-mark'; readonly value: GaugeId; readonly text: string }
  | { readonly code: 'groove-floor'; readonly width: Mm; readonly u: number }
  | { readonly code: 'groove-mouth'; readonly width: Mm; readonly u: number }
  | { readonly code: 'count'; readonly value: number }
  | { readonly code: 'links-mark'; readonly value: number; readonly text: string; readonly marked: boolean }
  | {
      readonly code: 'cutters';
      readonly cutters: number;
      readonly sequence: Sequence;
      readonly links: readonly number[];
    }
  | { readonly code: 'gauge-narrows-pitch' }
  | { readonly code: 'build-open' }
  | { readonly code: 'pair-not-in-practice'; readonly family: FamilyId; readonly gauge: GaugeId }
  | { readonly code: 'count-again'; readonly counts: readonly number[] }
  | { readonly code: 'stamp-is-not-a-count' }
  | { readonly code: 'mouth-may-pass-for-wider' }
  | { readonly code: 'disagree'; readonly first: IdentityReason; readonly second: IdentityReason }
  | { readonly code: 'nothing-known' };

/** How cutters follow one another in the loop. */
export type Sequence = 'full-complement' | 'semi-skip' | 'full-skip';

/** A candidate value with the weight the evidence leaves it. */
export interface Candidate<T> {
  readonly value: T;
  readonly weight: number;
}

/** What is known of one property of one part. */
export interface Identified<T> {
  readonly status: 'settled' | 'open' | 'conflict';
  /** The value when settled, else null. */
  readonly value: T | null;
  /** Heaviest first; empty when nothing at all is known. */
  readonly candidates: readonly Candidate<T>[];
  readonly why: readonly IdentityReason[];
}
