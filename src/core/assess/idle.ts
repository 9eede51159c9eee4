import { EDGES } from '../bar';
import type { BarSheet, BenchSheet, StationSheet } from '../sheet';

/** Why a reading that stands on the sheet moves nothing. */
export type IdleReason =
  /** Kept on record; no limit and no number rests on it. */
  | { readonly code: 'recorded' }
  /** It counts together with others that are not there, or say nothing that it goes with. */
  | { readonly code: 'goes-with'; readonly readings: readonly string[] }
  /** The second measurement, after the rework, stands in its place. */
  | { readonly code: 'measured-again' }
  /** It belongs to the other kind of nose. */
  | { readonly code: 'other-nose' };

/** A reading that may move nothing, and why that is so. */
export interface IdleReading {
  readonly measure: string;
  readonly reason: IdleReason;
}

const recorded: IdleReason = { code: 'recorded' };
const goesWith = (...readings: readonly string[]): IdleReason => ({ code: 'goes-with', readings });

/** Readings under one head that stand, each with its reason. */
function standing(
  head: string,
  values: object | undefined,
  reasons: Readonly<Record<string, IdleReason | null>>,
): readonly IdleReading[] {
  const there = (values ?? {}) as Readonly<Record<string, unknown>>;
  return Object.entries(reasons).flatMap(([key, reason]) =>
    reason && there[key] !== undefined ? [{ measure: `${head}.${key}`, reason }] : [],
  );
}

/** What of a station moves nothing, as long as it stands alone or was measured again. */
function ofStation(head: string, station: StationSheet, hasLink: boolean): readonly IdleReading[] {
  const { near, far, mouth, deep, after, marker } = station;
  const again: IdleReason = { code: 'measured-again' };
  const isDressed = Boolean(after?.near ?? after?.far);
  const level = isDressed ? again : near || far ? null : goesWith('bar.edges.depth');
  const chip = isDressed ? again : null;
  const isWidth = Boolean(mouth && deep);
  const width = hasLink ? null : goesWith('bar.gauge');
  const second = standing(`${head}.after`, after, { mouth: width });
  const first = standing(head, station, {
    near: after?.near ? again : null,
    far: after?.far ? again : null,
    mouth: after?.mouth ? again : width,
    deep: after?.mouth || isDressed ? again : width,
    deepAt: isDressed ? again : isWidth ? goesWith('chain.tang') : goesWith('bar.edges.mouth', 'bar.edges.deep'),
    marker: marker === 'none' ? recorded : level,
    square: level,
    chipNear: chip,
    chipFar: chip,
    leaveLow: recorded,
    note: recorded,
  });
  return [...first, ...second];
}

function ofBar(bar: BarSheet, hasLink: boolean): readonly IdleReading[] {
  const isHard = bar.nose === 'hard';
  const otherNose: IdleReason = { code: 'other-nose' };
  const forSprocket = isHard ? otherNose : null;
  return [
    ...standing('bar', bar, {
      construction: recorded,
      edgeDown: goesWith('saw.turnLog'),
      edgeDownNow: recorded,
      nosePort: recorded,
      noseReplaceable: recorded,
      nose: goesWith('bar.checks.noseTurns'),
      nosePitch: forSprocket,
      noseTeeth: forSprocket ?? goesWith('driveSprocket.teeth', 'bar.thickness'),
      overallLength: goesWith('bar.edges.depth'),
      bodyHeight: goesWith('bar.edges.depth'),
      thickness: goesWith('chain.kerf', 'chain.tipHeight', 'bar.edges.mouth'),
      reworkDone: recorded,
      stamp: goesWith('bar.pitch', 'bar.gauge'),
    }),
    ...standing('bar.checks', bar.checks, {
      barePaint: recorded,
      hardNose: isHard ? null : otherNose,
      noseTurns: forSprocket,
      tipPlay: forSprocket,
      noseTeeth: forSprocket,
      nosePinch: forSprocket,
      noseDirt: forSprocket,
    }),
    ...EDGES.flatMap((edge) => {
      const found = bar.edges?.[edge];
      const stations = found?.stations ?? [];
      const again = stations.some(({ after }) => after?.near ?? after?.far);
      const stands = again ? ({ code: 'measured-again' } as const) : goesWith('bar.edges.depth');
      return [
        ...standing(`bar.edges.${edge}`, found, { stands }),
        ...stations.flatMap((station, i) => ofStation(`bar.edges.${edge}.stations.${i}`, station, hasLink)),
      ];
    }),
  ];
}

/**
 * Readings that stand on a sheet and may move nothing, each with the reason. What is not named here moves the assessment when it is taken off: no reading vanishes in
 * silence.
 * @param hasLink whether anything tells the link that widths are held against
 */
export function idleReadings(
  { bar, chain, driveSprocket, loop, saw }: BenchSheet,
  hasLink: boolean,
): readonly IdleReading[] {
  return [
    ...(bar ? ofBar(bar, hasLink) : []),
    ...standing('chain', chain, {
      kerf: goesWith('chain.tipHeight', 'bar.thickness', 'bar.edges.mouth'),
      tipHeight: goesWith('chain.kerf', 'bar.thickness', 'bar.edges.mouth'),
      tang: goesWith('bar.edges.depth', 'bar.edges.mouth'),
      damage: goesWith('chain.cuttersLeft'),
      cutters: goesWith('chain.sequence', 'chain.driveLinks'),
      sequence: goesWith('chain.cutters', 'chain.driveLinks'),
      kickbackClass: goesWith('job.operatorTrained'),
      stamp: goesWith('chain.pitch', 'chain.gauge'),
      span: goesWith('chain.pitch'),
      pushPull: goesWith('chain.pushPull'),
      witnessLimit: goesWith('chain.cuttersLeft'),
    }),
    ...standing('driveSprocket', driveSprocket, {
      type: recorded,
      teeth: goesWith('loop.centreBack', 'loop.centreOut'),
      stamp: goesWith('driveSprocket.pitch'),
    }),
    ...standing('loop', loop, {
      centreBack: goesWith('loop.centreOut', 'driveSprocket.teeth'),
      centreOut: goesWith('loop.centreBack', 'driveSprocket.teeth'),
      noseRadius: goesWith('loop.centreBack', 'loop.centreOut'),
      tape: goesWith('bar.pitch'),
    }),
    ...standing('saw', saw, {
      label: recorded,
      maxRpm: goesWith('driveSprocket.teeth'),
      turnLog: goesWith('bar.edgeDown'),
      sameBar: goesWith('saw.turnLog'),
    }),
  ];
}
