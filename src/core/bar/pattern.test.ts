import { describe, expect, it } from 'vitest';
import type { EdgeBelief } from '../groove';
import { wearPattern } from './pattern';

/** An edge of which only the chance of a step and the mean step are told: near less far, mm. */
const edge = (stepChance: number, value: number, u: number, called = false) => ({
  belief: { stepChance, meanStep: { value, u }, tests: [], places: [] } as unknown as EdgeBelief,
  called,
});

describe('which rail of an edge is low', () => {
  const level = edge(0.05, 0, 0.05);

  it('is told by a step that is likelier than not', () => {
    expect(wearPattern({ A: edge(0.6, -0.1, 0.09), B: level }, 'never')).toEqual({
      code: 'one-edge',
      edge: 'A',
      low: 'near',
    });
    expect(wearPattern({ A: level, B: edge(0.6, 0.1, 0.09) }, 'never')).toMatchObject({ edge: 'B', low: 'far' });
  });

  it('is told by a mean step of twice its doubt, though no file is called for', () => {
    expect(wearPattern({ A: edge(0.1, 0.07, 0.02), B: level }, 'never')).toMatchObject({ edge: 'A', low: 'far' });
    expect(wearPattern({ A: edge(0.1, 0.03, 0.02), B: level }, 'never')).toEqual({ code: 'level' });
  });

  it('is open while a step is neither likely nor unlikely, and on both edges where both are', () => {
    expect(wearPattern({ A: edge(0.3, 0.03, 0.05), B: level }, 'never')).toEqual({ code: 'open', edges: ['A'] });
    const open = edge(0.3, -0.03, 0.05);
    expect(wearPattern({ A: open, B: open }, 'never')).toEqual({ code: 'open', edges: ['A', 'B'] });
  });

  it('is neither where both rails dip and are to be dressed', () => {
    expect(wearPattern({ A: edge(0.05, 0, 0.05, true), B: level }, 'never')).toEqual({ code: 'dipped', edges: ['A'] });
  });
});

describe('what low rails of both edges tell', () => {
  const low = (A: -1 | 1, B: -1 | 1) => ({ A: edge(0.9, A * 0.4, 0.05), B: edge(0.9, B * 0.4, 0.05) });

  it('of a bar never turned over: who leans on it, or cutters of one side', () => {
    expect(wearPattern(low(-1, 1), 'never')).toEqual({ code: 'leaned-on', low: { A: 'near', B: 'far' } });
    expect(wearPattern(low(1, 1), 'never')).toEqual({ code: 'cutters-of-one-side', low: 'far' });
  });

  it('of a bar that is turned over, as told or as logged: measure the cutters', () => {
    expect(wearPattern(low(-1, 1), 'every-sharpening')).toMatchObject({ code: 'measure-the-cutters', opposite: true });
    expect(wearPattern(low(1, 1), 'never', { times: 2, seen: 3 })).toEqual({
      code: 'measure-the-cutters',
      opposite: false,
      logged: 2,
    });
  });

  it('of a bar of which nobody said it: nothing yet', () => {
    expect(wearPattern(low(1, 1), undefined)).toEqual({ code: 'turning-not-told', opposite: false });
  });
});
