/** The two edges of a bar: A is down when the stamp reads upright. */
export const EDGES = ['A', 'B'] as const;
export type Edge = (typeof EDGES)[number];
/** The two rails of an edge: near is the stamped side. */
export const RAILS = ['near', 'far'] as const;
export type Rail = (typeof RAILS)[number];

/** A reading at a station of the bar: which edge, which station in the order of the sheet, and what of it. */
export interface AtStation {
  readonly edge: Edge;
  readonly station: number;
  readonly field: string;
}

/** The path of a reading at a station. */
export const stationPath = <F extends string>(edge: Edge, station: number, field: F) =>
  `bar.edges.${edge}.stations.${station}.${field}` as const;

/** Where on the bar a place lies; null for any place that is not at a station. */
export function stationOf(path: string): AtStation | null {
  const [bar, edges, edge, stations, station, ...field] = path.split('.');
  if (bar !== 'bar' || edges !== 'edges' || stations !== 'stations' || station === undefined) return null;
  if ((edge !== 'A' && edge !== 'B') || field.length === 0) return null;
  return { edge, station: Number(station), field: field.join('.') };
}
