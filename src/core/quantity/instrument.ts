/** What a hand and a tool can do. */
interface Instrument {
  readonly resolution: number;
  readonly maxError: number;
  readonly placing: number;
  /** Readings that it is offered for beside the kinds of length that name it: a tool for bow is none for wear. */
  readonly at?: readonly string[];
}

/**
 * What a hand and a tool can do, in millimetres. Resolution is the smallest step that can be read; `maxError` is the
 * bound on the tool's own error; `placing` is how well a hand can put the tool there.
 * Provenance: common practice, no source.
 */
export const INSTRUMENTS = {
  caliper: { resolution: 0.01, maxError: 0.03, placing: 0.02 },
  'depth-rod': { resolution: 0.01, maxError: 0.03, placing: 0.05 },
  'depth-marks': { resolution: 0.5, maxError: 0.1, placing: 0.25 },
  feeler: { resolution: 0.05, maxError: 0.01, placing: 0.03 },
  'slot-gauge': { resolution: 0.01, maxError: 0.01, placing: 0.02 },
  template: { resolution: 0.1, maxError: 0.1, placing: 0.1 },
  rule: {
    resolution: 0.5,
    maxError: 0.2,
    placing: 0.25,
    at: [
      'bar.checks.bow',
      'driveSprocket.wear',
      'bar.edges.stations.chipNear.depth',
      'bar.edges.stations.chipFar.depth',
      'bar.edges.stations.rut.depth',
    ],
  },
  tape: { resolution: 0.5, maxError: 0.5, placing: 0.25 },
  // A span of some 100 mm by a photograph with its card: what most pictures leave in doubt, kept as one figure.
  picture: { resolution: 0.01, maxError: 0.3, placing: 0.1, at: ['chain.span.length'] },
} as const satisfies Record<string, Instrument>;

/** Names a row of {@link INSTRUMENTS}. */
export type InstrumentId = keyof typeof INSTRUMENTS;

/** All instruments, in the order of the bench sheet. */
export const INSTRUMENT_IDS = Object.keys(INSTRUMENTS) as [InstrumentId, ...InstrumentId[]];

/** Instruments that are offered at a reading by its name. */
export const instrumentsAt = (reading: string): readonly InstrumentId[] =>
  INSTRUMENT_IDS.filter((id) => (INSTRUMENTS[id] as Instrument).at?.includes(reading));

/** A caliper held over rivet heads is placed worse than on a flat: 0.10 mm (common practice, no source). */
export const PLACING_ON_RIVETS = 0.1;
