import { describe, expect, it } from 'vitest';
import type { BarAssessment } from '../bar/checks';
import type { BenchSheet } from '../sheet';
import { levelTests } from './checks';

const SHEET = { format: 'serrata-bench-sheet', version: 1 } as BenchSheet;

/** Edge A as it is believed: chances of a step along it, and the stations that stand there. */
function standing(
  stepChance: number,
  unlevel: readonly { readonly at: number; readonly chance: number }[],
  stations: readonly { readonly index: number; readonly at: number; readonly square?: string }[],
) {
  const edge = { belief: { stepChance, tests: [], unlevel }, stations };
  const level = { belief: { stepChance: 0, tests: [], unlevel: [] }, stations: [] };
  return { standing: { A: edge, B: level } } as unknown as Pick<BarAssessment, 'standing'>;
}

const PLACES = [
  { at: 100, chance: 0.9 },
  { at: 200, chance: 0.55 },
  { at: 300, chance: 0.2 },
];

describe('level tests that are asked for', () => {
  it('set the square where it is most open whether a rail stands high, which need not be the first place', () => {
    const asked = levelTests(
      standing(0.5, PLACES, [
        { index: 0, at: 100 },
        { index: 1, at: 200 },
      ]),
      SHEET,
    );
    expect(asked.map(({ measure, at }) => [measure, at])).toEqual([
      ['bar.edges.A.stands', undefined],
      ['bar.edges.A.stations.1.square', 200],
    ]);
  });

  it('go on to the next place where the square was set already, and to a new station where none is', () => {
    const asked = levelTests(
      standing(0.5, PLACES, [
        { index: 0, at: 100 },
        { index: 1, at: 200, square: 'level' },
      ]),
      SHEET,
    );
    expect(asked.at(-1)).toMatchObject({ measure: 'bar.edges.A.stations.2.square', at: 300 });
  });

  it('are no question where a step is as good as there, or as good as not', () => {
    for (const chance of [0.02, 0.95]) expect(levelTests(standing(chance, PLACES, []), SHEET)).toEqual([]);
  });

  it('do not stand the bar up twice', () => {
    const stood = { ...SHEET, bar: { edges: { A: { stands: 'yes', stations: [] } } } } as unknown as BenchSheet;
    expect(levelTests(standing(0.5, PLACES, []), stood).map(({ measure }) => measure)).toEqual([
      'bar.edges.A.stations.0.square',
    ]);
  });
});
