import { FAMILIES, type FamilyId } from '../families';
import { measuredPitch, readStamp, stated, wheelsAt, type Identified, type Identity } from '../identify';
import {
  adjusterPosition,
  chainSpeed,
  linksInTravel,
  listedAgrees,
  listedLengths,
  plausibleLoop,
  type AdjusterPosition,
  type ListedLength,
} from '.';
import { estimate, mm, type Estimate, type LengthReading, type Mm } from '../quantity';
import type { BenchSheet, Askable } from '../sheet';
import type { ChainAssessment } from '../chain/checks';

/**
 * The pitch the loop was computed with, and where it comes from: measured over rivets, from push and pull, or as made.
 */
export interface LoopPitch {
  readonly pitch: number;
  readonly from: 'span' | 'push-pull' | 'nominal';
}

/** Where the loop stands in the tensioner's travel. `close` when the doubt of the centres reaches over its end. */
export interface LoopTension extends AdjusterPosition, LoopPitch {
  readonly links: number;
  readonly travel: number;
  readonly close: boolean;
}

/** A bar's three lengths: as listed, as it reaches from the cover, and as it cuts. */
export interface BarLengths {
  readonly effective: Estimate | null;
  /** What the effective length may be listed as. */
  readonly listedAs: readonly ListedLength[];
  /** What the bar is said or stamped to be. */
  readonly said: Mm | null;
  readonly agrees: boolean | null;
  readonly reach: Estimate | null;
}

/** What the loop's geometry says; each part is null until its readings are there. */
export interface LoopAssessment {
  readonly tension: LoopTension | null;
  /** Loops that would fall inside the tensioner's travel, new. */
  readonly linksInTravel: readonly number[] | null;
  /** Metres a second at the saw's top speed. */
  readonly chainSpeed: number | null;
  readonly lengths: BarLengths;
  readonly plausible: { readonly links: number; readonly usual: number; readonly plausible: boolean } | null;
  /** Readings that the tensioner's position waits for. */
  readonly missing: readonly Askable[];
}

const read = (reading: LengthReading | undefined): Estimate | null => (reading ? estimate(reading) : null);

/** The family to compute with: the first settled of chain, bar and drive sprocket. Open 3/8 builds share one pitch. */
function familyOf({ chain, bar, driveSprocket }: Identity): FamilyId | null {
  const alike = ({ value, candidates }: Identified<FamilyId>): FamilyId | null => {
    if (value !== null) return value;
    const live = candidates.filter(({ weight }) => weight >= 0.05).map((candidate) => candidate.value);
    return new Set(live.map((family) => FAMILIES[family].pitch)).size === 1 ? live[0]! : null;
  };
  return alike(chain.pitch) ?? alike(bar.pitch) ?? alike(driveSprocket.pitch);
}

function loopPitch(sheet: BenchSheet, family: FamilyId, { stretch }: ChainAssessment): LoopPitch {
  const measured = measuredPitch(sheet);
  if (measured) return { pitch: measured.value, from: 'span' };
  const made = FAMILIES[family].pitch;
  return stretch.measured
    ? { pitch: made * (1 + stretch.measured.percent / 100), from: 'push-pull' }
    : { pitch: made, from: 'nominal' };
}

function tensionOf(sheet: BenchSheet, identity: Identity, chain: ChainAssessment): LoopTension | null {
  const [back, out] = [read(sheet.loop?.centreBack), read(sheet.loop?.centreOut)];
  const links = identity.chain.driveLinks.value;
  const family = familyOf(identity);
  if (!back || !out || links === null || !family || out.value <= back.value) return null;
  const pitch = loopPitch(sheet, family, chain);
  const wheels = wheelsAt(sheet, pitch.pitch);
  const position = wheels && adjusterPosition(wheels, { back: back.value, out: out.value }, links, pitch.pitch);
  if (!position) return null;
  const close = Math.abs(position.left) < 2 * out.u || Math.abs(position.used) < 2 * back.u;
  return { ...position, ...pitch, links, travel: out.value - back.value, close };
}

function travelLinks(sheet: BenchSheet, identity: Identity): readonly number[] | null {
  const [back, out] = [read(sheet.loop?.centreBack), read(sheet.loop?.centreOut)];
  const family = familyOf(identity);
  const wheels = family && wheelsAt(sheet, FAMILIES[family].pitch);
  if (!back || !out || !family || !wheels) return null;
  return linksInTravel(wheels, { back: back.value, out: out.value }, FAMILIES[family].pitch);
}

function lengthsOf({ bar }: BenchSheet): BarLengths {
  const effective = read(bar?.effectiveLength);
  const stamped = stated(readStamp(bar?.stamp ?? ''), 'listedLength')[0]?.meaning.value ?? null;
  const said = read(bar?.listedLength)?.value ?? stamped;
  return {
    effective,
    listedAs: effective ? listedLengths(effective.value) : [],
    said,
    agrees: effective && said !== null ? listedAgrees(said, effective.value) : null,
    reach: read(bar?.reach),
  };
}

function plausibility(identity: Identity, lengths: BarLengths): LoopAssessment['plausible'] {
  const family = familyOf(identity);
  const links = identity.chain.driveLinks.value ?? identity.bar.driveLinks.value;
  const [shortest] = lengths.listedAs;
  const listed = lengths.said ?? (shortest ? mm(shortest.inches * 25.4) : null);
  if (!family || links === null || listed === null) return null;
  const found = plausibleLoop(family, listed, links);
  return found && { links, ...found };
}

const NEEDED = ['loop.centreBack', 'loop.centreOut', 'driveSprocket.teeth', 'chain.driveLinks', 'chain.pitch'] as const;

function missingFor(sheet: BenchSheet, identity: Identity): readonly Askable[] {
  const there: Record<(typeof NEEDED)[number], boolean> = {
    'loop.centreBack': sheet.loop?.centreBack !== undefined,
    'loop.centreOut': sheet.loop?.centreOut !== undefined,
    'driveSprocket.teeth': sheet.driveSprocket?.teeth !== undefined,
    'chain.driveLinks': identity.chain.driveLinks.value !== null,
    'chain.pitch': familyOf(identity) !== null,
  };
  const hard = sheet.bar?.nose === 'hard';
  const nose = hard ? sheet.loop?.noseRadius : sheet.bar?.noseTeeth;
  const wheel: readonly Askable[] = nose === undefined ? [hard ? 'loop.noseRadius' : 'bar.noseTeeth'] : [];
  return [...NEEDED.filter((path) => !there[path]), ...wheel];
}

/** What the geometry of the loop says of tension, speed, lengths and plausibility. */
export function assessLoop(sheet: BenchSheet, identity: Identity, chain: ChainAssessment): LoopAssessment {
  const family = familyOf(identity);
  const { teeth } = sheet.driveSprocket ?? {};
  const { maxRpm } = sheet.saw ?? {};
  const lengths = lengthsOf(sheet);
  return {
    tension: tensionOf(sheet, identity, chain),
    linksInTravel: travelLinks(sheet, identity),
    chainSpeed:
      family && teeth !== undefined && maxRpm !== undefined ? chainSpeed(FAMILIES[family].pitch, teeth, maxRpm) : null,
    lengths,
    plausible: plausibility(identity, lengths),
    missing: missingFor(sheet, identity),
  };
}
