import { describe, expect, it } from 'vitest';
import { dipsPerMm, hiddenDips } from './hidden-dips';

const stations = (count: number): readonly number[] =>
  Array.from({ length: count }, (_, i) => 40 + (350 * i) / (count - 1));
const chance = (count: number, perMm = dipsPerMm(undefined)): number => hiddenDips(stations(count), perMm).chance;

describe('a narrow dip that no station shows', () => {
  it('is likelier the further stations lie apart, and nowhere where each lies beside one', () => {
    const chances = [2, 5, 12, 24].map((count) => chance(count));
    expect([...chances].sort((a, b) => b - a)).toEqual(chances);
    expect(chances[0]).toBeGreaterThan(0.15);
    expect(chances.at(-1)).toBe(0);
    expect(hiddenDips([100], dipsPerMm(undefined)).chance).toBe(0);
  });

  it('is rarer once a rule along the rails shows no light, and commoner where it shows some', () => {
    const [even, untold, low] = (['even', undefined, 'low'] as const).map((seen) => chance(5, dipsPerMm(seen)));
    expect(even).toBeLessThan(untold! / 5);
    expect(low).toBeGreaterThan(2 * untold!);
  });

  it('is as likely as the stretches that hide it are long', () => {
    const { stretches } = hiddenDips([0, 10, 100, 118, 300], 0.001);
    expect(stretches).toEqual([
      { from: 19, length: 72 },
      { from: 127, length: 164 },
    ]);
  });
});
