import { flatMap } from '../flat-map';
import { FAMILY_IDS, GAUGE_IDS, type FamilyId, type GaugeId } from '../families';
import type { LearnedCode } from './learned-code-schema';
import { MARK_ERROR, misread, naming, type Evidence } from './combine';
import { familiesOfMark } from './pitch';
import type { IdentityReason } from './reasons';
import { readStamp } from './stamp';

/** Codes are compared without case and spaces: a stamp is read by eye. */
export const codeKey = (text: string): string => text.replace(/\s+/g, '').toUpperCase();

/** The code that a piece of a stamp is, or null. */
export function codeOf(text: string, codes: readonly LearnedCode[]): LearnedCode | null {
  return codes.find(({ code }) => codeKey(code) === codeKey(text)) ?? null;
}

const reasonOf = ({ code, note: _note, ...means }: LearnedCode): IdentityReason => ({
  code: 'learned-code',
  text: code,
  ...means,
});

/** What a learned code says of the pitch. */
export function codePitchEvidence(code: LearnedCode): Evidence<FamilyId> | null {
  const doubt = misread(MARK_ERROR, FAMILY_IDS.length - 1);
  return code.pitch && naming(familiesOfMark(code.pitch), reasonOf(code), doubt, true);
}

/** What a learned code says of the gauge. */
export function codeGaugeEvidence(code: LearnedCode): Evidence<GaugeId> | null {
  const doubt = misread(MARK_ERROR, GAUGE_IDS.length - 1);
  return code.gauge && naming([code.gauge], reasonOf(code), doubt, true);
}

/** What a learned code says of the links: as a mark does, which is no count. */
export function codeLinksEvidence(code: LearnedCode): Evidence<number> | null {
  return code.driveLinks === null ? null : naming([code.driveLinks], reasonOf(code), misread(MARK_ERROR), true);
}

/** Codes of this shop on a stamp. */
export const codesOn = (stamp: string | undefined, codes: readonly LearnedCode[]): readonly LearnedCode[] =>
  flatMap(readStamp(stamp ?? '').tokens, ({ text }) => codeOf(text, codes) ?? []);
