import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { mm, type Estimate } from '../quantity';
import {
  dressingsLeft,
  dressPlan,
  dressStop,
  edgeDownNext,
  mouthAfter,
  rawLean,
  setLean,
  stationFigures,
  turnsIn,
  wearPattern,
  type DressStation,
  type EdgeLean,
} from './index';
import { barBelief, derivedPlayLimit, pinches, predictStraightEdge, rock, rockingWidth, type Station } from '../groove';

/** Without the pass over the low rail, which is looked at by itself. */
const rules = { tolerance: 0.05, slope: 0.005, touch: 0 };
const rows = (at: number[], near: number[], far: number[]): DressStation[] =>
  at.map((s, i) => ({ at: s, near: near[i]!, far: far[i]! }));
const rounded = (values: readonly (number | null)[]) =>
  values.map((value) => (value === null ? null : Number(value.toFixed(6))));
const sure = (value: number): Estimate => ({ value: mm(value), u: 0.02 });
const station = (near: number | null, far: number | null, mouth: number | null = null): Station => ({
  index: 0,
  at: mm(100),
  near: near === null ? null : sure(near),
  far: far === null ? null : sure(far),
  mouth: mouth === null ? null : sure(mouth),
  deep: null,
  deepAt: null,
  oneSided: { near: null, far: null },
  widths: { mouth: mouth === null ? null : { lo: sure(mouth), hi: sure(mouth) }, deep: null },
  chips: { near: null, far: null },
  rut: null,
  marker: null,
  square: null,
  squareWith: null,
  leaveLow: false,
  after: null,
});

describe('rock', () => {
  it('matches the check values of the model', () => {
    expect(rock(mm(1.5), mm(1.27), mm(5))).toBeCloseTo(2.652, 3);
    expect(rock(mm(1.75), mm(1.27), mm(5))).toBeCloseTo(5.578, 3);
    const limit = derivedPlayLimit({ kerf: mm(7.2), barThickness: mm(4.7), tipHeight: mm(11) }, mm(1.27), mm(5));
    expect(limit?.lean).toBeCloseTo(6.525, 3);
    expect(limit?.play).toBeCloseTo(0.56, 3);
  });

  it('is nothing where the groove pinches, and is never beyond the diagonal', () => {
    expect(rock(mm(1.27), mm(1.27), mm(5))).toBe(0);
    expect(pinches(mm(1.2), mm(1.27))).toBe(true);
    expect(rock(mm(9), mm(1.27), mm(5))).toBeCloseTo((Math.atan2(5, 1.27) * 180) / Math.PI, 9);
  });

  it('takes the flare into account by the middle of mouth and depth of engagement, parallel below the deep reading', () => {
    const flared = { mouth: mm(1.62), deep: mm(1.38), deepAt: mm(3) };
    // Drawn on below it, the flare would give 1.22 at the link's end, and a wider mouth less play (model §12).
    expect(rockingWidth(flared, mm(5))).toBeCloseTo((1.62 + 1.38) / 2, 12);
    expect(rockingWidth(flared, mm(2))).toBeCloseTo((1.62 + 1.46) / 2, 12);
    expect(rockingWidth({ ...flared, deepAt: mm(0) }, mm(5))).toBeCloseTo(1.5, 12);
    expect(rockingWidth({ mouth: mm(1.62), deep: null, deepAt: null }, mm(5))).toBe(1.62);
  });

  it('predicts the straight-edge test', () => {
    const cutter = { kerf: mm(7.2), barThickness: mm(4.7), tipHeight: mm(11) };
    expect(predictStraightEdge(rock(mm(1.5), mm(1.27), mm(5)), cutter)).toBe('gap-stays');
    expect(predictStraightEdge(rock(mm(1.83), mm(1.27), mm(5)), cutter)).toBe('gap-closes');
    expect(predictStraightEdge(rock(mm(2), mm(1.27), mm(5)), cutter)).toBe('passes-beyond');
    expect(derivedPlayLimit({ ...cutter, kerf: mm(4.5) }, mm(1.27), mm(5))).toBeNull();
  });

  it('limits the lean of unlevel rails: a tight groove holds the chain up', () => {
    const raw = rawLean(0.4, mm(4.2), mm(1.27));
    expect(setLean(raw, rock(mm(1.3), mm(1.27), mm(5)))).toBeLessThan(raw);
    expect(setLean(rawLean(-0.4, mm(4.2), mm(1.27)), rock(mm(1.3), mm(1.27), mm(5)))).toBeLessThan(0);
  });
});

describe('stations', () => {
  const setting = {
    linkThickness: sure(1.26),
    ownLink: sure(1.27),
    tang: sure(5.2),
    barThickness: mm(4.2),
    newGroove: mm(1.27),
  };

  it('give every figure that their readings allow, and null for the rest', () => {
    const all = stationFigures(station(8.1, 8, 1.4), setting);
    expect(all.step?.value).toBeCloseTo(0.1, 9);
    expect(all.floorClearance?.value).toBeCloseTo(2.8, 9);
    // The bar is judged with the link it was made for, not with the one that was on it.
    expect(all.play?.value).toBeCloseTo(0.13, 9);
    expect(all.playAtLeast).toBeNull();
    expect(stationFigures(station(8.1, null), setting)).toMatchObject({
      step: null,
      rawLean: null,
      rock: null,
      setLean: null,
      play: null,
    });
    expect(stationFigures(station(8.1, 8, 1.4), { ...setting, tang: null }).floorClearance).toBeNull();
  });
});

describe('dressing', () => {
  const at = [40, 110, 180, 250, 320, 390];
  const plan = dressPlan(rows(at, [8.1, 8, 7.9, 7.6, 7.8, 8], [8, 7.7, 7.2, 6.9, 7.5, 7.9]), rules);

  it('matches the check values of the model', () => {
    expect(rounded(plan.target)).toEqual([7.95, 7.6, 7.25, 6.95, 7.3, 7.65]);
    expect(rounded(plan.removeNear)).toEqual([0.15, 0.4, 0.65, 0.65, 0.5, 0.35]);
    expect(rounded(plan.removeFar)).toEqual([0.05, 0.1, 0, 0, 0.2, 0.25]);
    expect(mouthAfter({ mouth: mm(1.62), deep: mm(1.38), deepAt: mm(3) }, 0.65)).toBeCloseTo(1.568, 9);
  });

  it('leaves the low rail where it stands: the weakest depth after is what will be measured', () => {
    expect(plan.weakest).toEqual({ station: 3, depth: 6.9 });
  });

  it('says which station and which limit stop it', () => {
    expect(dressStop(plan, 7, 5)).toEqual({ station: 3, limit: 'bar.depth' });
    expect(dressStop(plan, null, 6.9)).toEqual({ station: 3, limit: 'bar.floor-clearance' });
    expect(dressStop(plan, 6, 5)).toBeNull();
  });

  it('leaves out stations with a rail missing or where the file must not go', () => {
    const partly = dressPlan(
      [
        { at: 0, near: 8, far: null },
        { at: 50, near: 8, far: 7.8 },
        { at: 100, near: 5, far: 5, keptOut: true },
      ],
      rules,
    );
    expect(rounded(partly.target)).toEqual([null, 7.85, null]);
    expect(dressPlan([], rules)).toMatchObject({ target: [], weakest: null, most: 0 });
  });

  it('counts whole dressings: 8 mm against 6 is good for more of them', () => {
    expect(dressingsLeft(8, 6, 0.3)).toBe(6);
    expect(dressingsLeft(6.2, 6, 0.3)).toBe(0);
    expect(dressingsLeft(5, 6, 0.3)).toBe(0);
  });

  const stations = fc.array(
    fc.record({
      at: fc.integer({ min: 0, max: 600 }),
      near: fc.double({ min: 4, max: 10, noNaN: true }),
      far: fc.double({ min: 4, max: 10, noNaN: true }),
    }),
    { minLength: 1, maxLength: 12 },
  );

  it('never raises a rail, never climbs too fast, and dressing twice takes nothing more', () => {
    fc.assert(
      fc.property(stations, (list) => {
        const first = dressPlan(list, rules);
        list.forEach((each, i) => {
          const target = first.target[i]!;
          expect(target).toBeLessThanOrEqual(Math.min(each.near, each.far) + rules.tolerance + 1e-9);
          expect(first.removeNear[i]).toBeGreaterThanOrEqual(0);
          list.forEach((other, j) =>
            expect(target - first.target[j]!).toBeLessThanOrEqual(rules.slope * Math.abs(each.at - other.at) + 1e-9),
          );
        });
        const dressed = list.map((each, i) => ({
          at: each.at,
          near: each.near - first.removeNear[i]!,
          far: each.far - first.removeFar[i]!,
        }));
        expect(dressPlan(dressed, { ...rules, tolerance: 0 }).most).toBeLessThanOrEqual(rules.tolerance + 1e-9);
        expect(dressPlan(dressed, rules).most).toBeLessThanOrEqual(1e-9);
      }),
      { seed: 417, numRuns: 150 },
    );
  });

  it('mirrors with the rails and with the direction of the edge', () => {
    fc.assert(
      fc.property(stations, (list) => {
        const plain = dressPlan(list, rules);
        const swapped = dressPlan(
          list.map(({ at: s, near, far }) => ({ at: s, near: far, far: near })),
          rules,
        );
        expect(swapped.removeFar).toEqual(plain.removeNear);
        const reversed = dressPlan(
          [...list].reverse().map((each) => ({ ...each, at: 600 - each.at })),
          rules,
        );
        expect(rounded([...reversed.target].reverse())).toEqual(rounded(plain.target));
      }),
      { seed: 418, numRuns: 100 },
    );
  });
});

describe('the turn-over log', () => {
  it.each<[string, Parameters<typeof turnsIn>, ReturnType<typeof turnsIn>]>([
    ['nothing noted', [[]], { times: 0, seen: 0 }],
    ['one edge alone', [[{ came: 'A' }]], { times: 0, seen: 0 }],
    ['turned at the bench', [[{ came: 'A', went: 'B' }]], { times: 1, seen: 1 }],
    ['turned by the owner', [[{ came: 'A', went: 'A' }], 'B'], { times: 1, seen: 2 }],
    [
      'turned at every service',
      [
        [
          { came: 'A', went: 'B' },
          { came: 'B', went: 'A' },
        ],
        'A',
      ],
      { times: 2, seen: 4 },
    ],
    ['an edge that was not noted', [[{ came: 'A' }, {}, { went: 'B' }], 'B'], { times: 1, seen: 2 }],
  ])('counts %s', (_, given, turned) => expect(turnsIn(...given)).toEqual(turned));

  it('counts as much with the edges renamed and the log read backwards, and never more turns than looks', () => {
    const noted = fc.option(fc.constantFrom('A' as const, 'B' as const), { nil: undefined });
    fc.assert(
      fc.property(fc.array(fc.record({ came: noted, went: noted }), { maxLength: 12 }), (log) => {
        const other = { A: 'B', B: 'A' } as const;
        const turned = turnsIn(log);
        expect(turned.times).toBeLessThanOrEqual(turned.seen);
        expect(
          turnsIn(log.map(({ came, went }) => ({ came: came && other[came], went: went && other[went] }))),
        ).toEqual(turned);
        expect(turnsIn(log.map(({ came, went }) => ({ came: went, went: came })).reverse())).toEqual(turned);
      }),
      { seed: 420 },
    );
  });
});

describe('wear pattern', () => {
  /** An edge as it is believed to stand; work is called for where it leans. */
  const edge = (stations: readonly Station[]): EdgeLean => {
    const { edges } = barBelief({ A: stations, B: [] }, { A: null, B: null }, { depths: [6], step: 0.1 });
    return { belief: edges.A, called: (edges.A?.stepChance ?? 0) > 0.5 };
  };
  const leaning = (low: 'near' | 'far') =>
    edge([0, 1, 2].map(() => (low === 'near' ? station(7.5, 8) : station(8, 7.5))));
  const level = edge([station(8, 8), station(8, 8)]);

  it('reads opposite low rails on a bar never turned over as leaned on, same sides as cutters', () => {
    expect(wearPattern({ A: leaning('near'), B: leaning('far') }, 'never').code).toBe('leaned-on');
    expect(wearPattern({ A: leaning('near'), B: leaning('near') }, 'never')).toEqual({
      code: 'cutters-of-one-side',
      low: 'near',
    });
  });

  it('asks for the cutters when the bar gets turned over, and for the habit when nobody said', () => {
    expect(wearPattern({ A: leaning('near'), B: leaning('far') }, 'every-chain').code).toBe('measure-the-cutters');
    expect(wearPattern({ A: leaning('near'), B: leaning('far') }, undefined).code).toBe('turning-not-told');
  });

  it('counts a turn in the log before what is told, and no turn as no proof', () => {
    const edges = { A: leaning('near'), B: leaning('far') };
    const mixed = { code: 'measure-the-cutters', opposite: true };
    expect(wearPattern(edges, 'never', { times: 2, seen: 3 })).toEqual({ ...mixed, logged: 2 });
    expect(wearPattern(edges, undefined, { times: 1, seen: 1 })).toEqual({ ...mixed, logged: 1 });
    expect(wearPattern(edges, 'sometimes', { times: 1, seen: 1 })).toEqual({ ...mixed, logged: null });
    expect(wearPattern(edges, 'never', { times: 0, seen: 3 }).code).toBe('leaned-on');
    expect(wearPattern(edges, undefined, { times: 0, seen: 3 }).code).toBe('turning-not-told');
  });

  it('names no cause from one edge, a level bar, or nothing', () => {
    expect(wearPattern({ A: leaning('near'), B: level }, 'never').code).toBe('one-edge');
    expect(wearPattern({ A: level, B: level }, 'never').code).toBe('level');
    // Level, and yet work is called for: both rails dip.
    expect(wearPattern({ A: { ...level, called: true }, B: level }, 'never')).toEqual({ code: 'dipped', edges: ['A'] });
    expect(wearPattern({ A: level, B: edge([]) }, 'never').code).toBe('not-measured');
  });

  it('puts the edge with more depth down next', () => {
    const next = (A: Station[], B: Station[]) =>
      edgeDownNext(barBelief({ A, B }, { A: null, B: null }, { depths: [6], step: 0.1 }).edges);
    expect(next([station(7, 7.2)], [station(8, 8)])).toBe('B');
    expect(next([station(7, 7)], [station(7, 7)])).toBeNull();
    // Better only by more than the doubt of the two.
    expect(next([station(7, 7)], [station(7.04, 7.04)])).toBeNull();
    expect(next([station(7, 7)], [])).toBeNull();
  });
});
