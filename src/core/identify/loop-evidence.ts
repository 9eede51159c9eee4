import { FAMILIES, type FamilyId } from '../families';
import { linksInTravel, pitchDiameter, type Wheels } from '../loop';
import { estimate, type Estimate } from '../quantity';
import type { BenchSheet, EvidenceId } from '../sheet';
import { spanReading } from './collect';
import { centresEvidence, loopLengthEvidence, tapeEvidence, type LinksStatement, type PitchRange } from './links';
import { MAX_STRETCH, pitchFromSpan } from './pitch';
import type { Candidate } from './reasons';

/** Candidates lighter than this say nothing about the pitch to divide by. */
const LIVE = 0.05;

/** The pitch as the span gives it. */
export function measuredPitch(sheet: BenchSheet): Estimate | null {
  const span = sheet.chain?.span;
  const length = span && estimate(spanReading(span));
  if (!length || !span) return null;
  const { pitch, u } = pitchFromSpan(length, span.rivets);
  return { value: pitch, u };
}

/** The families still in question, when all of them have one pitch; null when they differ or none is known. */
function commonFamilies(candidates: readonly Candidate<FamilyId>[]): readonly FamilyId[] | null {
  const live = candidates.filter(({ weight }) => weight >= LIVE).map(({ value }) => value);
  const pitches = new Set(live.map((family) => FAMILIES[family].pitch));
  return live.length > 0 && pitches.size === 1 ? live : null;
}

function pitchRange(sheet: BenchSheet, candidates: readonly Candidate<FamilyId>[]): PitchRange | null {
  const measured = measuredPitch(sheet);
  if (measured) return { lo: measured.value, hi: measured.value, u: measured.u };
  const [family] = commonFamilies(candidates) ?? [];
  if (!family) return null;
  const [lo, hi] = FAMILIES[family].unworn;
  return { lo, hi: hi * (1 + MAX_STRETCH), u: 0 };
}

/** What the chain's own length round says of its links, once its pitch is known. */
export function loopLengthStatements(
  sheet: BenchSheet,
  candidates: readonly Candidate<FamilyId>[],
): readonly LinksStatement[] {
  const length = sheet.chain?.loopLength && estimate(sheet.chain.loopLength);
  if (!length) return [];
  const id: EvidenceId = 'chain.loopLength';
  const range = pitchRange(sheet, candidates);
  if (!range) return [{ id, note: { code: 'waits-for', readings: ['chain.pitch'] } }];
  return [{ id, evidence: loopLengthEvidence(length, range) }];
}

/** The two wheels of the loop at a pitch, as far as their teeth are known; a hard nose by its radius. */
export function wheelsAt(sheet: BenchSheet, pitch: number): Wheels | null {
  const teeth = sheet.driveSprocket?.teeth;
  const { nose, noseTeeth } = sheet.bar ?? {};
  const radius = sheet.loop?.noseRadius && estimate(sheet.loop.noseRadius);
  const noseAt =
    nose === 'hard' ? radius?.value : noseTeeth === undefined ? undefined : pitchDiameter(pitch, noseTeeth) / 2;
  if (teeth === undefined || noseAt === undefined) return null;
  return { drive: pitchDiameter(pitch, teeth) / 2, nose: noseAt };
}

/** What the way round groove, nose and drive sprocket says of the links that a bar takes on this saw. */
export function wayRoundStatements(
  sheet: BenchSheet,
  candidates: readonly Candidate<FamilyId>[],
): readonly LinksStatement[] {
  const [family] = commonFamilies(candidates) ?? [];
  const { tape, centreBack, centreOut } = sheet.loop ?? {};
  const found: LinksStatement[] = [];
  const round = tape && estimate(tape);
  if (round)
    found.push(
      family
        ? { id: 'loop.tape', evidence: tapeEvidence(round.value, FAMILIES[family].pitch) }
        : { id: 'loop.tape', note: { code: 'waits-for', readings: ['bar.pitch'] } },
    );
  const [back, out] = [centreBack && estimate(centreBack), centreOut && estimate(centreOut)];
  if (back && out) {
    const id = 'loop.centreBack' as const;
    const wheels = family ? wheelsAt(sheet, FAMILIES[family].pitch) : null;
    if (!family || !wheels)
      found.push({ id, note: { code: 'waits-for', readings: ['bar.pitch', 'driveSprocket.teeth', 'bar.noseTeeth'] } });
    else {
      const links = linksInTravel(wheels, { back: back.value, out: out.value }, FAMILIES[family].pitch);
      found.push(
        links.length > 0 ? { id, evidence: centresEvidence(links) } : { id, note: { code: 'centres', links: [] } },
      );
    }
  }
  return found;
}
