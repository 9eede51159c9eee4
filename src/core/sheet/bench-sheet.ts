import type { Study, WrittenStudy } from '../hand';
import {
  barReadings,
  type edgeReadings,
  type stationReadings,
  chainReadings,
  loopReadings,
  proofReadings,
  refitReadings,
  driveSprocketReadings,
  actReadings,
  jobReadings,
  sawReadings,
  stripReadings,
} from '../declared';
import { evidenceOf, group, someOf, type ReadOf, type WrittenOf } from '../reading';

/** Everything that can be said on a sheet but which of it is set aside, part by part. */
const said = {
  job: jobReadings,
  saw: sawReadings,
  bar: barReadings,
  chain: chainReadings,
  driveSprocket: driveSprocketReadings,
  loop: loopReadings,
  strip: stripReadings,
  ...actReadings,
  refit: refitReadings,
  proof: proofReadings,
};

/** Readings that tell what a part is. Each can be set aside, and counts again when it is put back. */
export const EVIDENCE_IDS = evidenceOf(
  group({ chain: said.chain, bar: said.bar, driveSprocket: said.driveSprocket, loop: said.loop }),
);
export type EvidenceId = (typeof EVIDENCE_IDS)[number];
/** Those of them that are read of the bar. */
export const BAR_EVIDENCE: readonly EvidenceId[] = evidenceOf(group({ bar: said.bar }));

/** Everything that can be said on a sheet, part by part. */
export const sheetReadings = group({
  ...said,
  setAside: someOf(EVIDENCE_IDS, { step: 'identify', view: 'evidence', minutes: 0.2 }),
});

/** What is written of the readings alone. */
export type WrittenReadings = WrittenOf<typeof sheetReadings>;
interface Head<S> {
  readonly format: 'serrata-bench-sheet';
  readonly version: 1;
  /** Studies of the hands that measured, and their tools. */
  readonly studies?: readonly S[] | undefined;
}
/**
 * The bench sheet as read: all that was seen and measured on one job. Lengths are readings; everything but format and
 * version may be missing.
 */
export type BenchSheet = Head<Study> & ReadOf<typeof sheetReadings>;
/** A sheet as written in JSON. */
export type WrittenBenchSheet = Head<WrittenStudy> & WrittenReadings;
export type BarSheet = NonNullable<BenchSheet['bar']>;
export type ChainSheet = NonNullable<BenchSheet['chain']>;
export type DriveSprocketSheet = NonNullable<BenchSheet['driveSprocket']>;
export type StationSheet = ReadOf<typeof stationReadings>;
export type EdgeSheet = ReadOf<ReturnType<typeof edgeReadings>>;
