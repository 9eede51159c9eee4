import { useCallback, useState } from 'react';
import type { ProfileBand, ProfilePoint } from '../../../ui/drawings/profile-frame';
import type { Appraisal } from '../../../core/assess';
import { stationOf } from '../../../core/declared';
import { useJob, useOfStore } from '../store/JobContext';
import type { Snapshot } from '../store/job-store';
import { keeping } from '../store/keeping';
import type { Meaning } from '../store/meaning';
import { useTarget } from '../target';
import { drawnBand, drawnStation, nextKey, stationRows, type Edge, type StationRow } from './stations';

/** Which station the drawings and the table speak of. */
export interface Selected {
  readonly edge: Edge;
  readonly key: string;
}

/** A station that was added and has nothing typed into it; where it is to be, mm, where that was asked. */
interface Added extends Selected {
  readonly at: number | null;
}

/** Stations of both edges as rows and as drawn, with the one that is chosen. */
export interface Stations {
  readonly rows: Readonly<Record<Edge, readonly StationRow[]>>;
  readonly points: Readonly<Record<Edge, readonly ProfilePoint[]>>;
  readonly bands: Readonly<Record<Edge, readonly ProfileBand[]>>;
  readonly edge: Edge;
  readonly row: StationRow | undefined;
  readonly selected: Selected | null;
  readonly select: (edge: Edge, key: string) => void;
  readonly toEdge: (edge: Edge) => void;
  /** Adds a station after the last one of the edge. */
  readonly add: () => void;
}

const ADDED_STEP = 40;

/** Rows of both edges; a station that was just added shows before anything is typed into it. */
function bothRows(
  readings: Pick<Snapshot, 'standing' | 'drafts'>,
  entered: Meaning['entered'],
  added: readonly Added[],
): Stations['rows'] {
  const rows = (edge: Edge): readonly StationRow[] => {
    const there = stationRows(edge, readings, entered);
    const last = there.at(-1)?.at ?? 0;
    const fresh = added.filter((one) => one.edge === edge && !there.some(({ key }) => key === one.key));
    return [
      ...there,
      ...fresh.map(({ key, at }, i): StationRow => {
        const path = `bar.edges.${edge}.stations.${Number(key)}` as const;
        return { key, path, at: at ?? last + ADDED_STEP * (i + 1), planned: true, index: null };
      }),
    ];
  };
  return { A: rows('A'), B: rows('B') };
}

/** Both edges as they are drawn. */
function bothDrawn({ A, B }: Stations['rows'], { edges }: Appraisal['bar']): Stations['points'] {
  return { A: A.map((row) => drawnStation(row, edges.A)), B: B.map((row) => drawnStation(row, edges.B)) };
}

const bothBands = ({ edges }: Appraisal['bar']): Stations['bands'] => ({
  A: drawnBand(edges.A),
  B: drawnBand(edges.B),
});

/** Holds the chosen station; a wish to go to a reading of a station chooses it. */
export function useStations(): Stations {
  const { appraisal, entered } = useJob();
  const readings = useOfStore((snapshot) => snapshot);
  const [added, setAdded] = useState<readonly Added[]>([]);
  const [rowsOf] = useState(() => keeping(bothRows));
  const [drawn] = useState(() => keeping(bothDrawn));
  const [banded] = useState(() => keeping(bothBands));
  const rows = rowsOf(readings, entered, added);
  const [chosen, setChosen] = useState<Selected>({ edge: 'A', key: rows.A[0]?.key ?? '0' });
  useTarget((path, at) => {
    const wanted = stationOf(path);
    if (!wanted) return;
    const one = { edge: wanted.edge, key: String(wanted.station) };
    if (at !== null && !rows[one.edge].some(({ key }) => key === one.key)) setAdded([...added, { ...one, at }]);
    setChosen(one);
  });
  const { edge } = chosen;
  const row = rows[edge].find(({ key }) => key === chosen.key) ?? rows[edge][0];
  const select = useCallback((to: Edge, key: string) => setChosen({ edge: to, key }), []);
  const toEdge = useCallback((to: Edge) => setChosen({ edge: to, key: rows[to][0]?.key ?? '0' }), [rows]);
  return {
    rows,
    points: drawn(rows, appraisal.bar),
    bands: banded(appraisal.bar),
    edge,
    row,
    selected: row ? { edge, key: row.key } : null,
    select,
    toEdge,
    add: () => {
      const one = { edge, key: nextKey(rows[edge]) };
      setAdded([...added, { ...one, at: null }]);
      setChosen(one);
    },
  };
}
