import type { Provenance } from '../families';
import type { Step, StepView } from './step';

/** Parts that a verdict is given on. */
export const PARTS = ['bar', 'chain', 'driveSprocket', 'nose'] as const;
export type Part = (typeof PARTS)[number];

/** Why a reading that stands on the sheet may move nothing. */
export type IdleReason =
  /** Kept on record; no limit and no number rests on it. */
  | { readonly code: 'recorded' }
  /** It counts together with others that are not there, or say nothing that it goes with. */
  | { readonly code: 'goes-with'; readonly readings: readonly string[] }
  /** The second measurement, after the rework, stands in its place. */
  | { readonly code: 'measured-again' }
  /** It belongs to the other kind of nose. */
  | { readonly code: 'other-nose' };

/** What a reading's reason for moving nothing may depend on. */
export interface Around {
  /** The group that the reading stands in, as read. */
  readonly group: Readonly<Record<string, unknown>>;
  /** Whether anything tells the link that widths are held against. */
  readonly hasLink: boolean;
}

/** Which verdicts wait for a reading. */
export interface Needed {
  readonly by: readonly Part[];
  /** Readings that do as well, by their ids. */
  readonly orElse?: readonly string[];
  /** What is asked for, where it is no single place. */
  readonly asks?: string;
  /** Whether what stands there will do; by itself anything that stands does. */
  readonly enough?: (value: unknown) => boolean;
}

/** What a word that was seen says of its part, and the work it calls for. */
export interface SeenWord {
  readonly outcome: 'ok' | 'watch' | 'fail' | 'undecided';
  readonly work: string | null;
}

/** A finding that is judged by the word it was given alone. */
export interface Seen {
  /** The check it makes; it begins with the part. */
  readonly check: string;
  readonly part: Part;
  /** True where a failing word condemns the part. */
  readonly condemns: boolean;
  /** True where it is listed although nobody has looked. */
  readonly always: boolean;
  /** True where other readings have a say in it: it is judged beside them. */
  readonly together: boolean;
  readonly words: Readonly<Record<string, SeenWord>>;
}

/** A default limit, told beside the reading that is held against it. */
export interface ToldLimit {
  readonly value: number;
  readonly unit: 'mm';
  readonly provenance: Provenance;
}

/** A default limit: a figure, what it is counted in, and where it comes from. */
export const limit = (value: number, unit: 'mm', provenance: Provenance): ToldLimit => ({ value, unit, provenance });

/** A length that is judged by itself, against a limit of its own. */
export interface Judged {
  /** The check it makes, and the id of its limit; it begins with the part. */
  readonly check: string;
  readonly part: Part;
  readonly role: 'min' | 'max';
  readonly limit: ToldLimit;
  /** Where the warning band begins, with the id of that limit; null where there is none. */
  readonly watch: { readonly id: string; readonly limit: ToldLimit } | null;
  /** True where a length beyond its limit condemns the part. */
  readonly condemns: boolean;
  /** True where it is listed although nobody has measured. */
  readonly always: boolean;
  /** True where other readings have a say in it: it is judged beside them. */
  readonly together: boolean;
  /** Work that it calls for, and from which outcome on. */
  readonly work: { readonly operation: string; readonly from: 'watch' | 'fail' } | null;
}

/** What is true of a piece of work, whichever part it is on. */
export interface Work {
  /** It only cleans: with nothing else to do the verdict is `clean`. */
  readonly cleans?: true;
  /** It shows by itself that it is done; all other work is done when its reading says so. */
  readonly shows?: true;
  /** It takes metal: only a second measurement tells what is left. */
  readonly metal?: true;
  /** It is done at every service, whatever the verdict. */
  readonly service?: true;
  /** It keeps a chain sharp: nobody would buy a new one for want of it. */
  readonly files?: true;
}

/** What must be at hand or in place before readings are taken: tools, and the bar clean in the vise. */
export const SET_UPS = ['bar-in-vise', 'caliper', 'blade', 'tape', 'chain-laid-out'] as const;
export type SetUp = (typeof SET_UPS)[number];

/**
 * All that is true of a reading whoever asks. What is told of a group holds for all within that does not say otherwise.
 */
export interface Told {
  /** What it means, for the format and for people. */
  readonly means?: string;
  /** Minutes a hand needs for it (shop's figure). */
  readonly minutes?: number;
  /** Of parts of which nothing is known yet, how often it condemns or otherwise decides (shop's figure). */
  readonly decides?: number;
  /** What must be at hand before it can be taken; several readings share it. */
  readonly setUp?: SetUp;
  /** The step in which it is made. */
  readonly step?: Step;
  /** The view of that step which shows it, where it has several. */
  readonly view?: StepView;
  readonly needed?: Needed;
  /** How it is judged, where its word alone decides. */
  readonly seen?: Seen;
  /** How it is judged, where a limit of its own decides. */
  readonly judged?: Judged;
  /** The kind of nose that it belongs to. */
  readonly nose?: 'sprocket' | 'hard';
  /** Why it may move nothing, as it stands; it moves something where this is null or not told. */
  readonly idle?: IdleReason | ((around: Around) => IdleReason | null);
  /** The reading beside it that tells how a finding was made: a sheet may write both as one, `{ says, with }`. */
  readonly madeWith?: string;
  /** The reading of a group to begin with; else its first. */
  readonly leads?: string;
}

export const recorded: IdleReason = { code: 'recorded' };
export const measuredAgain: IdleReason = { code: 'measured-again' };
/** It counts only together with these, named as one points at them. */
export const goesWith = (...readings: readonly string[]): IdleReason => ({ code: 'goes-with', readings });
