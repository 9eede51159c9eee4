import { describe, expect, it } from 'vitest';
import { designsOfSheet } from '../belief';
import { mm, type Estimate } from '../quantity';
import { dipsPerMm, hiddenDips } from './hidden-dips';
import type { Station } from './station';
import { stationsOf } from '.';
import { readSheet } from '../sheet';

/** Stations of one edge read by depth rod, so many mm apart; the depth at each by its number. */
function read(count: number, depth: (i: number) => readonly [number, number]): readonly Station[] {
  const sheet = readSheet({
    format: 'serrata-bench-sheet',
    version: 1,
    bar: {
      edges: {
        A: {
          stations: Array.from({ length: count }, (_, i) => ({
            at: `${40 + Math.round((350 * i) / (count - 1))} mm`,
            near: { instrument: 'depth-rod', repeats: [`${depth(i)[0]} mm`] },
            far: { instrument: 'depth-rod', repeats: [`${depth(i)[1]} mm`] },
          })),
        },
      },
    },
  });
  if (!sheet.ok) throw new Error(JSON.stringify(sheet.error));
  return stationsOf(sheet.value.bar, 'A');
}

const chance = (stations: readonly Station[], perMm = dipsPerMm(undefined)): number =>
  hiddenDips(
    stations,
    stations.map(({ at }) => at),
    'depth-rod',
    perMm,
    designsOfSheet(),
  ).chance;

const LEVEL = () => [7, 7] as const;

describe('a narrow dip that no station shows', () => {
  it('is likelier the further stations lie apart', () => {
    const chances = [2, 5, 12, 24].map((count) => chance(read(count, LEVEL)));
    expect([...chances].sort((a, b) => b - a)).toEqual(chances);
    expect(chances[0]).toBeGreaterThan(0.2);
    expect(chances.at(-1)).toBeLessThan(0.05);
  });

  it('is rarer once a rule along the rails shows no light, and commoner where it shows some', () => {
    const stations = read(5, LEVEL);
    const [even, untold, low] = ([`even`, undefined, `low`] as const).map((seen) => chance(stations, dipsPerMm(seen)));
    expect(even).toBeLessThan(untold! / 5);
    expect(low).toBeGreaterThan(1.5 * untold!);
  });

  it('is likelier beside a station that lies low among good ones, on either rail alike', () => {
    const flat = chance(read(12, LEVEL));
    const near = chance(read(12, (i) => [i === 6 ? 6.85 : 7, 7]));
    const far = chance(read(12, (i) => [7, i === 6 ? 6.85 : 7]));
    expect(near).toBeGreaterThan(2 * flat);
    expect(far).toBeCloseTo(near, 9);
  });

  it('may be anywhere on an edge of one rail', () => {
    const one: Estimate = { value: mm(7), u: 0.05, tool: 'depth-rod', shared: 0.02 };
    const stations = read(5, LEVEL).map((station): Station => ({ ...station, near: one, far: null }));
    expect(chance(stations)).toBeGreaterThan(0.1);
  });
});
