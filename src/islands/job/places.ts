import { stepOfReading, type Step } from '../../core/assess';
import type { EnteredSheet } from '../../core/sheet';

/** Where a measurement is made on the screen: its step, and the path of the field to go to. */
export interface Destination {
  readonly step: Step;
  readonly path: string | null;
}

/** First field of readings that are named as a group. */
const FIRST_FIELD: Readonly<Record<string, string>> = {
  'bar.edges.A.stations': 'bar.edges.A.stations.0.near',
  'bar.edges.B.stations': 'bar.edges.B.stations.0.near',
  'bar.after': 'bar.edges.A.stations.0.after.near',
  'bar.edges.mouth': 'bar.edges.A.stations.0.mouth',
  'chain.cuttersLeft': 'chain.cuttersLeft.0',
  'chain.cuttersRight': 'chain.cuttersRight.0',
  'chain.pushPull': 'chain.pushPull.joints',
  'chain.span': 'chain.span.rivets',
  'chain.driveLinks': 'chain.driveLinks.0',
  'chain.pitch': 'chain.span.rivets',
  'chain.gauge': 'chain.driveLinkThickness',
  'bar.pitch': 'bar.stamp',
  'bar.gauge': 'bar.stamp',
  'bar.driveLinks': 'bar.stamp',
};

/** Finds the field of a measurement the assessment asks for. */
export function destinationOf(measure: string, stationKeys: EnteredSheet['stationKeys']): Destination {
  const station = /^bar\.([AB])\.(\d+)\.(\w+)$/.exec(measure);
  if (station) {
    const edge = station[1] as 'A' | 'B';
    const key = stationKeys[edge][Number(station[2])] ?? '0';
    return { step: 'bar', path: `bar.edges.${edge}.stations.${key}.${station[3]!}` };
  }
  const path = FIRST_FIELD[measure] ?? measure;
  return { step: measure === 'bar.after' ? 'rework' : stepOfReading(path), path };
}
