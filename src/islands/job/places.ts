import { stepOfReading } from '../../core/workflow';
import type { Step } from '../../core/reading';
import { beginOf, type Askable, type EnteredSheet, type ReadingPath } from '../../core/sheet';
import { stationOf, stationPath } from '../../core/declared';

/** Where something is read on the screen: its step, and the field to go to. */
export interface Destination {
  readonly step: Step;
  readonly path: ReadingPath;
}

/**
 * Finds the field of what the assessment asks for. The assessment counts stations in the order of the sheet; fields go
 * by the keys that they were entered under.
 */
export function destinationOf(asked: Askable, stationKeys: EnteredSheet['stationKeys']): Destination {
  const path = beginOf(asked);
  const step = stepOfReading(asked);
  const station = stationOf(path);
  if (!station) return { step, path };
  const key = Number(stationKeys[station.edge][station.station] ?? 0);
  return { step, path: stationPath(station.edge, key, station.field) as ReadingPath };
}
