/** Size of the rail profile and the room round its plot, in its own units; the nose stands between the edges. */
export const W = 500;
export const H = 192;
export const LEFT = 54;
export const RIGHT = 8;
export const TOP = 26;
export const BOTTOM = 34;
export const NOSE = 34;

export type Edge = 'A' | 'B';

/** What is believed of both rails at one place, with the half width of its band. */
export interface ProfileBand {
  readonly at: number;
  readonly near: number;
  readonly far: number;
  readonly half: number;
}

/** One station as drawn: its readings, and what is believed there from all of them; what is not measured is null. */
export interface ProfilePoint {
  readonly key: string;
  readonly at: number;
  readonly near: number | null;
  readonly far: number | null;
  readonly nearBelieved: number | null;
  readonly farBelieved: number | null;
  /** Height the dressed rails will have, where dressing is advised. */
  readonly target: number | null;
  /** The second measurement, after the rework. */
  readonly nearAfter: number | null;
  readonly farAfter: number | null;
  /** How deep a rut or a pit goes below the rail tops. */
  readonly rut: number | null;
}

/** Where the bottom of a station's rut or pit stands, below the lower rail; null where there is none. */
export function rutBottom({ near, far, rut }: Pick<ProfilePoint, 'near' | 'far' | 'rut'>): number | null {
  const tops = [near, far].filter((top) => top !== null);
  return rut === null || rut <= 0 || tops.length === 0 ? null : Math.min(...tops) - rut;
}
