import type { FamilyId, GaugeId, PitchMark } from '../families';
import type { Mm } from '../quantity';
import type { EvidenceId, Askable } from '../sheet';

/** Which part a piece of evidence speaks of. */
export type IdentifiedPart = 'chain' | 'bar' | 'driveSprocket' | 'nose';

/** Which of the three numbers. */
export type IdentifiedProperty = 'pitch' | 'gauge' | 'driveLinks';

/** Why a property is believed, open or contradicted. Sentences are made of these in the wording. */
export type IdentityReason =
  | { readonly code: 'span'; readonly pitch: Mm; readonly u: number; readonly rivets: number }
  | { readonly code: 'span-fits-none'; readonly pitch: Mm; readonly rivets: number; readonly miscounted: number | null }
  | { readonly code: 'harvester-pitch' }
  | { readonly code: 'harvester-gauge' }
  | {
      readonly code: 'pitch-mark';
      readonly on: 'stamp' | 'template' | 'sprocket' | 'nose';
      readonly value: PitchMark;
      readonly text: string;
    }
  | { readonly code: 'chassis'; readonly chassis: 'small' | 'large' }
  | { readonly code: 'file-size'; readonly diameter: Mm }
  | { readonly code: 'file-fits-none'; readonly diameter: Mm }
  | {
      readonly code: 'learned-code';
      readonly text: string;
      readonly pitch: PitchMark | null;
      readonly gauge: GaugeId | null;
      readonly driveLinks: number | null;
      readonly kickbackClass: 'low-kickback' | 'standard' | null;
      readonly replacedBy: string;
    }
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
  /** Two agreeing counts contradict the ticked sequence: that is what is doubted. */
  | {
      readonly code: 'sequence-doubted';
      readonly cutters: number;
      readonly sequence: Sequence;
      readonly links: number;
      readonly says: Sequence | 'irregular';
    }
  | { readonly code: 'loop-length'; readonly length: Mm; readonly links: number }
  | { readonly code: 'tape'; readonly length: Mm; readonly links: number }
  | { readonly code: 'centres'; readonly links: readonly number[] }
  | { readonly code: 'waits-for'; readonly readings: readonly Askable[] }
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

/** The one observation that would take most off the doubt per minute. */
export interface Settling {
  /** Path of the reading to make. */
  readonly measure: Askable;
  readonly minutes: number;
  /** Expected drop in the chance that the heaviest candidate is wrong, 0…1. */
  readonly gain: number;
}

/** What is known of one property of one part. */
export interface Identified<T> {
  readonly status: 'settled' | 'open' | 'conflict';
  /** The value when settled, else null. */
  readonly value: T | null;
  /** Heaviest first; empty when nothing at all is known. */
  readonly candidates: readonly Candidate<T>[];
  readonly why: readonly IdentityReason[];
  /** Null when settled. */
  readonly settledBy: Settling | null;
  /** A settled number that one mark alone says: it sells with a caution, and the observation that would confirm it. */
  readonly onMark: OnMark | null;
}

/** The one mark that a number stands on, and what would confirm it; null where nothing quick would. */
export interface OnMark {
  readonly mark: IdentityReason;
  readonly confirmedBy: Settling | null;
}

/** The three numbers of a part that has them all: chain and bar. */
export interface ThreeNumbers {
  readonly pitch: Identified<FamilyId>;
  readonly gauge: Identified<GaugeId>;
  readonly driveLinks: Identified<number>;
}

/** One piece of evidence as it stands on the sheet, with what it says of each number. */
export interface EvidenceItem {
  readonly id: EvidenceId;
  readonly part: IdentifiedPart;
  readonly says: readonly IdentityReason[];
  readonly setAside: boolean;
}
