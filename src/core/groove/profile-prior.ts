import { flatMap } from '../flat-map';
import type { Make, ProfilePrior } from '../belief';
import type { Estimate, InstrumentId } from '../quantity';

/**
 * Sizes that the smooth part of a bar's wear may have, mm, with their weights (a way that was tried on simulated bars).
 */
const ROUGHNESS: readonly (readonly [number, number])[] = [
  [0.01, 6.5],
  [0.05, 2.2],
  [0.15, 1],
  [0.4, 0.4],
];

/**
 * The difference of two rails changes more freely along an edge than its depth: one rail alone chips, dents and wears
 * (tried on simulated bars).
 */
const STEP_ROUGHNESS: typeof ROUGHNESS = [
  [0.01, 6.5],
  [0.06, 2.4],
  [0.16, 2.6],
  [0.4, 0.8],
];

const makes = (levelSpread: number, roughness: typeof ROUGHNESS, share = 1): readonly Make[] =>
  roughness.map(([scale, weight]): Make => ({ levelSpread, scale, weight: share * weight }));

/** A depth or a width may lie anywhere: a spread far beyond any bar's, mm. */
const ANYWHERE = 3;
export const ANY_LEVEL: ProfilePrior = { level: null, makes: makes(ANYWHERE, ROUGHNESS) };

/**
 * What a coarse tool cannot contradict it must not be taken to confirm: where readings scatter by more than wear does,
 * wear is thought rougher from the start (tried on simulated bars read by thumbnail marks).
 */
const COARSE_ROUGHNESS: typeof ROUGHNESS = [
  [0.01, 3.5],
  [0.05, 2],
  [0.15, 1.6],
  [0.4, 0.5],
];
export const ANY_LEVEL_COARSE: ProfilePrior = { level: null, makes: makes(ANYWHERE, COARSE_ROUGHNESS) };

/** A tool is coarse from this scatter on, standard deviation in mm. */
const COARSE_FROM = 0.12;

/** What is thought of depths before they are read, by how finely they were: most of the readings decide. */
export function depthPrior(variances: readonly number[]): ProfilePrior {
  const coarse = variances.filter((variance) => variance > COARSE_FROM ** 2).length;
  return 2 * coarse > variances.length ? ANY_LEVEL_COARSE : ANY_LEVEL;
}

/** An edge is more often level than worn to one side, by this much to one; then by so much, mm (shop's figures). */
const LEVEL = 0.015;
const WORN_TO_ONE_SIDE = 0.16;
const LEVEL_TO_WORN = 2.5;
export const LEVEL_OR_NOT: ProfilePrior = {
  level: 0,
  makes: [...makes(LEVEL, STEP_ROUGHNESS, LEVEL_TO_WORN), ...makes(WORN_TO_ONE_SIDE, STEP_ROUGHNESS)],
};

/** Between stations a profile is asked for at least this often, mm, and in no more parts than this. */
const PLACE_EVERY = 40;
const MOST_PARTS = 9;

/** Stations and places between them, none further apart than is asked for; each once, along the bar. */
export function placesAlong(ats: readonly number[]): readonly number[] {
  const own = [...new Set(ats)].sort((a, b) => a - b);
  return flatMap(own, (at, i) => {
    const next = own[i + 1];
    if (next === undefined) return [at];
    const parts = Math.min(MOST_PARTS, Math.ceil((next - at) / PLACE_EVERY));
    return Array.from({ length: parts }, (_, k) => at + ((next - at) * k) / parts);
  });
}

/** What readings of a tool have in common, standard deviation, mm: of several hands the most. */
export const commonOf = (readings: readonly Estimate[], tool: InstrumentId | null): number =>
  Math.max(0, ...flatMap(readings, (reading) => (tool && reading.tool === tool ? (reading.shared ?? 0) : [])));

/** The tool that most readings were made with: its own error is what they have in common. Null where none was named. */
export function commonToolOf(readings: readonly Estimate[]): InstrumentId | null {
  const counts = new Map<InstrumentId, number>();
  for (const { tool } of readings) if (tool) counts.set(tool, (counts.get(tool) ?? 0) + 1);
  const [most] = [...counts].sort(([a, x], [b, y]) => y - x || (a < b ? -1 : 1));
  return most?.[0] ?? null;
}
