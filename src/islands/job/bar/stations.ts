import { estimate, mm, parseLength, type LengthReading } from '../../../core/quantity';
import type { Entry } from '../../../core/sheet';
import type { Appraisal } from '../../../core/assess';
import type { EdgeAssessment } from '../../../core/bar/checks';
import type { Snapshot } from '../store/job-store';
import type { Meaning } from '../store/meaning';

export type Edge = 'A' | 'B';

/** Where a station stands on the sheet; its readings are at `${path}.near` and so on. */
export type StationPath = `bar.edges.${Edge}.stations.${number}`;

/** A station as a row of the entry path. Planned ones have no position of their own yet. */
export interface StationRow {
  readonly key: string;
  readonly path: StationPath;
  readonly at: number;
  /** True while nobody has typed the position: it is where the plan would measure. */
  readonly planned: boolean;
  /** Index in the bench sheet, or null while the station is not in it. */
  readonly index: number | null;
}

/** Where to measure when nothing is known but the bar's length: five places, off the tail and off the nose. */
const PLANNED_SHARES = [0.13, 0.3, 0.47, 0.64, 0.81] as const;
const USUAL_LENGTH = 450;

/** Planned positions, mm from the tail, rounded to what a rule shows at a glance. */
export function plannedPositions(overall: number | null): readonly number[] {
  return PLANNED_SHARES.map((share) => Math.round((share * (overall ?? USUAL_LENGTH)) / 5) * 5);
}

/** A planned station is not offered this close to one that is there, mm. */
const TOO_CLOSE = 40;

/** Rows of an edge in order along it: stations that are there, and planned ones where none is near. */
export function stationRows(
  edge: Edge,
  { standing, drafts }: Pick<Snapshot, 'standing' | 'drafts'>,
  { sheet, stationKeys }: Pick<Meaning['entered'], 'sheet' | 'stationKeys'>,
): readonly StationRow[] {
  const prefix = `bar.edges.${edge}.stations.` as const;
  const entries = new Map([...standing, ...drafts]);
  const overall = sheet.bar?.overallLength ? (estimate(sheet.bar.overallLength)?.value ?? null) : null;
  const planned = plannedPositions(overall);
  const used = [
    ...new Set(
      [...entries.values()]
        .filter(({ path, text }) => path.startsWith(prefix) && text.trim() !== '')
        .map(({ path }) => path.slice(prefix.length).split('.')[0]!),
    ),
  ];
  const there = used.map((key) =>
    stationRow(key, prefix, entries.get(`${prefix}${key}.at`), planned, stationKeys[edge]),
  );
  const open = planned.flatMap((at, i) => {
    const near = there.some((row) => Math.abs(row.at - at) < TOO_CLOSE);
    return near || used.includes(String(i)) ? [] : [stationRow(String(i), prefix, undefined, planned, [])];
  });
  return [...there, ...open].sort((a, b) => a.at - b.at || Number(a.key) - Number(b.key));
}

function stationRow(
  key: string,
  prefix: `bar.edges.${Edge}.stations.`,
  at: Entry | undefined,
  planned: readonly number[],
  sheetKeys: readonly string[],
): StationRow {
  const typed = at?.text ?? '';
  const read = parseLength(typed, 'station', at?.unit);
  const index = sheetKeys.indexOf(key);
  return {
    key,
    path: `${prefix}${Number(key)}`,
    at: read.ok ? read.value.length : (planned[Number(key)] ?? 0),
    planned: typed.trim() === '',
    index: index === -1 ? null : index,
  };
}

/** The next unused key of an edge, for a station that is added. */
export function nextKey(rows: readonly StationRow[]): string {
  return String(Math.max(-1, ...rows.map(({ key }) => Number(key))) + 1);
}

/** A station nearer than this to where one is asked for will do, mm. */
const WILL_DO = 5;

/** The key of a station at a place: of one that is there or planned, or the next unused one. */
export const keyFor = (rows: readonly StationRow[], at: number): string =>
  rows.find((row) => Math.abs(row.at - at) < WILL_DO)?.key ?? nextKey(rows);

/** What the drawings need of one station. */
export function drawnStation(row: StationRow, { stations, dressing, belief }: EdgeAssessment) {
  const believed = row.index === null ? null : (belief?.stations[row.index] ?? null);
  const station = row.index === null ? undefined : stations[row.index];
  const target = row.index === null || !dressing?.advised ? null : (dressing.plan.target[row.index] ?? null);
  return {
    key: row.key,
    at: row.at,
    near: station?.near?.value ?? null,
    far: station?.far?.value ?? null,
    target,
    nearBelieved: station?.near ? (believed?.near.value ?? null) : null,
    farBelieved: station?.far ? (believed?.far.value ?? null) : null,
    nearAfter: middle(station?.after?.near),
    farAfter: middle(station?.after?.far),
    rut: station?.rut?.value ?? null,
  };
}

const middle = (reading: LengthReading | null | undefined): number | null =>
  reading ? (estimate(reading)?.value ?? null) : null;

/** Twice the standard uncertainty, as doubts are shown everywhere. */
const SHOWN_DOUBT = 2;

/** What is believed along an edge, with the half width of its band. */
export function drawnBand({ belief }: EdgeAssessment) {
  return (belief?.places ?? []).map(({ at, near, far }) => ({
    at,
    near: near.value,
    far: far.value,
    half: SHOWN_DOUBT * near.u,
  }));
}

/** The cross-section's figures at one station. */
export function sectionAt(
  row: StationRow | undefined,
  edge: Edge,
  { bar }: Appraisal,
  kerfAndTip: { kerf: number | null; tipHeight: number | null },
) {
  const { stations, figures, dressing } = bar.edges[edge];
  const index = row?.index ?? null;
  const station = index === null ? undefined : stations[index];
  const figure = index === null ? undefined : figures[index];
  return {
    near: station?.near?.value ?? null,
    far: station?.far?.value ?? null,
    mouth: station?.mouth?.value ?? null,
    deep: station?.deep?.value ?? null,
    deepAt: station?.deepAt ?? null,
    barThickness: bar.setting.barThickness,
    linkThickness: bar.setting.linkThickness?.value ?? null,
    tang: bar.setting.tang?.value ?? null,
    kerf: kerfAndTip.kerf,
    tipHeight: kerfAndTip.tipHeight,
    lean: figure?.setLean ?? figure?.rock ?? null,
    clearance: figure?.floorClearance?.value ?? null,
    target: index === null || !dressing?.advised ? null : (dressing.plan.target[index] ?? null),
    rock: figure?.rock ?? null,
    rawLean: figure?.rawLean ?? null,
    play: figure?.play?.value ?? null,
    step: figure?.step?.value ?? null,
  };
}

/** The position as it is written into the sheet when a planned station gets its first reading. */
export const plannedText = (at: number): string => `${mm(at)} mm`;

/** What only the finer readings show of a station. */
export const FINER = [
  'deep',
  'deepAt',
  'burrNear',
  'burrFar',
  'marker',
  'square',
  'squareWith',
  'chipNear.length',
  'chipNear.depth',
  'chipFar.length',
  'chipFar.depth',
  'rut.depth',
  'rut.length',
] as const;
