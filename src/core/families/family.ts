import { mm, type Mm } from '../quantity';

/** Where a number comes from. Shown to the user beside every limit. */
export type Provenance = 'published' | 'practice' | 'memory' | 'derived' | 'shop' | 'invented';

/** The pitch families in scope, in order of size. */
export const FAMILY_IDS = ['quarter', '325', '38lp', '38', '404'] as const;
export type FamilyId = (typeof FAMILY_IDS)[number];

/** One pitch family. Lengths in mm; all are recalled from general handbooks (provenance `memory`). */
export interface Family {
  readonly id: FamilyId;
  /** Pitch of the metal, new. The name is coarser. */
  readonly pitch: Mm;
  /** Range of pitches accepted as unworn when a chain is identified. */
  readonly unworn: readonly [Mm, Mm];
  /** Recommended round file diameter. */
  readonly file: Mm;
  readonly depthGauge: Mm;
  /** Size of cutter and link compared side by side; told apart only where it matters. */
  readonly chassis: 'small' | 'large';
}

const family = (
  id: FamilyId,
  pitch: number,
  unworn: readonly [number, number],
  file: number,
  depthGauge: number,
  chassis: 'small' | 'large',
): Family => ({
  id,
  pitch: mm(pitch),
  unworn: [mm(unworn[0]), mm(unworn[1])],
  file: mm(file),
  depthGauge: mm(depthGauge),
  chassis,
});

/** Family data by id. */
export const FAMILIES: Readonly<Record<FamilyId, Family>> = {
  quarter: family('quarter', 6.35, [6.3, 6.4], 4.0, 0.65, 'small'),
  '325': family('325', 8.25, [8.2, 8.3], 4.8, 0.65, 'large'),
  '38lp': family('38lp', 9.32, [9.3, 9.55], 4.0, 0.65, 'small'),
  '38': family('38', 9.32, [9.3, 9.55], 5.2, 0.65, 'large'),
  '404': family('404', 10.26, [10.2, 10.32], 5.5, 0.8, 'large'),
};

/** Pitch of harvester chain, recognised so that it can be refused by name. */
export const HARVESTER_PITCH = mm(19.05);

/** The gauges in scope, by the name the trade gives them in inches. */
export const GAUGE_IDS = ['.043', '.050', '.058', '.063'] as const;
export type GaugeId = (typeof GAUGE_IDS)[number];

/** One gauge. The exact inch value is the nominal; the millimetre label is a name only. */
export interface Gauge {
  readonly id: GaugeId;
  readonly thickness: Mm;
  readonly mmLabel: string;
}

const gauge = (id: GaugeId, thou: number, mmLabel: string): Gauge => ({
  id,
  thickness: mm((thou * 25.4) / 1000),
  mmLabel,
});

/** Gauge data by id. */
export const GAUGES: Readonly<Record<GaugeId, Gauge>> = {
  '.043': gauge('.043', 43, '1.1'),
  '.050': gauge('.050', 50, '1.3'),
  '.058': gauge('.058', 58, '1.5'),
  '.063': gauge('.063', 63, '1.6'),
};

/** Gauge of harvester chain: recognised, out of scope. */
export const HARVESTER_GAUGE = mm(2.032);

/** Families and gauges that meet in practice (common practice, no source). */
export const GAUGES_OF_FAMILY: Readonly<Record<FamilyId, readonly GaugeId[]>> = {
  quarter: ['.043', '.050'],
  '325': ['.050', '.058', '.063'],
  '38lp': ['.043', '.050'],
  '38': ['.050', '.058', '.063'],
  '404': ['.058', '.063'],
};

/** True when chain of this family is made in this gauge in practice. */
export function familyAndGaugeMeet(familyId: FamilyId, gaugeId: GaugeId): boolean {
  return GAUGES_OF_FAMILY[familyId].includes(gaugeId);
}
