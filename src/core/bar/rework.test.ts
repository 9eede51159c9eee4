import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { measured, mm, type Degrees, type Estimate } from '../quantity';
import {
  cutDrift,
  dressEffort,
  dressExceptions,
  dressPlan,
  dressProfile,
  driftCurve,
  cutSums,
  driftFactor,
  noticedLean,
  wearPlace,
  type DressStation,
} from './index';
import {
  barBelief,
  chippedDepth,
  levelTestsOf,
  markerSays,
  measuredAgainAt,
  standingStation,
  type Station,
} from '../groove';

/** Without the pass over the low rail, which is looked at by itself. */
const rules = { tolerance: 0.05, slope: 0.005, touch: 0 };
const sure = (value: number): Estimate => ({ value: mm(value), u: 0.02 });
const station = (over: Partial<Station> = {}): Station => ({
  index: 0,
  at: mm(100),
  near: sure(8),
  far: sure(8),
  mouth: null,
  deep: null,
  deepAt: null,
  chips: { near: null, far: null },
  rut: null,
  oneSided: { near: null, far: null },
  widths: { mouth: null, deep: null },
  marker: null,
  square: null,
  squareWith: null,
  leaveLow: false,
  after: null,
  ...over,
});
const along = (...depths: number[]) =>
  depths.map((depth, i) => station({ index: i, at: mm(40 + 80 * i), near: sure(depth), far: sure(depth) }));
const row = (at: number, near: number, far: number, over: Partial<DressStation> = {}): DressStation => ({
  at,
  near,
  far,
  ...over,
});

const retaken = measured([mm(7.4)], 'depth-rod');

describe('ruts and pits', () => {
  it('are dressed down to on both rails, from the lower of them', () => {
    expect(chippedDepth(station({ rut: { value: mm(0.4), u: 0 } }), 15)).toBeCloseTo(
      Math.min(station({}).near!.value, station({}).far!.value) - 0.4,
      9,
    );
    expect(chippedDepth(station({ rut: { value: mm(0), u: 0 } }), 15)).toBeNull();
  });

  it('are shallower by what came off, and gone with the last of it', () => {
    const dressed = (rut: number) => {
      const after = { near: retaken, far: retaken, mouth: null };
      return standingStation(station({ rut: { value: mm(rut), u: 0 }, after })).rut?.value;
    };
    expect(dressed(0.8)).toBeCloseTo(0.2, 9);
    expect(dressed(0.5)).toBeUndefined();
  });
});

describe('chips', () => {
  it('short ones are left, long ones are levelled to', () => {
    const chips = { near: { length: 20, depth: 0.6 }, far: { length: 5, depth: 2 } };
    expect(chippedDepth(station({ chips }), 15)).toBeCloseTo(7.4, 9);
    expect(chippedDepth(station({ chips }), 25)).toBeNull();
    const stations = [row(40, 8, 8), row(120, 8, 8, { chipped: 7.4 }), row(200, 8, 8)];
    expect(dressProfile(stations, rules).map((height) => Number(height?.toFixed(3)))).toEqual([7.85, 7.45, 7.85]);
  });
});

describe('dips', () => {
  const dipped = [row(40, 8, 8), row(120, 8, 8), row(200, 6.6, 6.6), row(280, 8, 8), row(360, 8, 8)];

  it('that cost the rest of the edge much are offered to be left, with what it saves', () => {
    const [exception, ...more] = dressExceptions(dipped, rules, 0.25);
    expect(more).toEqual([]);
    expect(exception).toMatchObject({ station: 2 });
    expect(exception!.saves).toBeCloseTo(0.95, 6);
    expect(dressExceptions(dipped, rules, 2)).toEqual([]);
  });

  it('that are left cost their neighbours nothing, and are not offered again', () => {
    const left = dipped.map((each, i) => (i === 2 ? { ...each, leaveLow: true } : each));
    expect(dressPlan(left, rules).most).toBe(0);
    expect(dressExceptions(left, rules, 0.25)).toEqual([]);
  });

  it('are those that a plan without each of them tells, station by station', () => {
    /** With the profile worked out anew for every station: what is offered is looked for on few of them. */
    const plain = (stations: readonly DressStation[], by: typeof rules, worthFrom: number) => {
      const removals = ({ removeNear, removeFar }: ReturnType<typeof dressPlan>, but: number) =>
        [removeNear, removeFar].flatMap((rail) => rail.map((removal, j) => (j === but ? 0 : (removal ?? 0))));
      return stations.flatMap(({ leaveLow = false }, i) => {
        const left = stations.map((each, j) => (j === i ? { ...each, leaveLow: true } : each));
        const [whole, without] = [removals(dressPlan(stations, by), i), removals(dressPlan(left, by), i)];
        const sum = (all: readonly number[]) => all.reduce((before, each) => before + each, 0);
        const saves = Math.max(...whole.map((removal, j) => removal - without[j]!));
        return !leaveLow && saves > worthFrom && sum(whole) > sum(without) ? [{ station: i, saves }] : [];
      });
    };
    const edge = fc.array(
      fc.record({
        near: fc.integer({ min: 620, max: 800 }),
        lean: fc.integer({ min: -20, max: 20 }),
        leaveLow: fc.integer({ max: 9 }).map((one) => one === 0),
      }),
      { minLength: 2, maxLength: 7 },
    );
    const wide = { ...rules, tolerance: 0.3 };
    let offered = 0;
    fc.assert(
      fc.property(edge, fc.constantFrom(rules, wide), fc.constantFrom(0.05, 0.25, 0.6), (places, by, worthFrom) => {
        const stations = places.map(({ near, lean, leaveLow }, i) =>
          row(40 + i * 80, near / 100, (near + lean) / 100, leaveLow ? { leaveLow } : {}),
        );
        const found = dressExceptions(stations, by, worthFrom);
        offered += found.length;
        expect(found).toEqual(plain(stations, by, worthFrom));
      }),
      { seed: 1934, numRuns: 300 },
    );
    expect(offered).toBeGreaterThan(50);
  });

  it('all left alike hold the profile all the same', () => {
    const all = dipped.map((each) => ({ ...each, leaveLow: true }));
    expect(dressProfile(all, rules)).toEqual(dressProfile(dipped, rules));
  });
});

describe('effort', () => {
  it('counts passes by the worst place of each rail, and sets up once', () => {
    const plan = dressPlan([row(40, 8, 7.6), row(120, 8, 8)], rules);
    const effort = dressEffort(plan, { pass: 0.05, setup: 4, perPass: 0.5 });
    expect(effort.passes.near).toBe(7);
    expect(effort.minutes).toBe(4 + 0.5 * (effort.passes.near + effort.passes.far));
    expect(dressEffort(dressPlan([row(40, 8, 8)], rules), { pass: 0.05, setup: 4, perPass: 0.5 })).toEqual({
      passes: { near: 0, far: 0 },
      minutes: 0,
    });
  });
});

describe('the marker', () => {
  it('names the untouched rail as the low one', () => {
    expect(markerSays(station({ marker: 'near' }))).toBe('far');
    expect(markerSays(station({ marker: 'both' }))).toBe('level');
    expect(markerSays(station({ marker: 'none' }))).toBeNull();
  });

  it('is one test of the edge, as the square and the edge stood up are, each naming the high rail', () => {
    const tests = (over: Partial<Station>, stands: 'yes' | 'near' | 'far' | null = null) =>
      levelTestsOf([station(over)], stands).map(({ kind, says }) => `${kind} ${says}`);
    expect(tests({ marker: 'near' })).toEqual(['marker near']);
    expect(tests({ marker: 'none' })).toEqual([]);
    expect(tests({ square: 'far-high' })).toEqual(['square far']);
    expect(tests({ square: 'level', squareWith: 'blade' }, 'near')).toEqual(['blade level', 'stands far']);
  });
});

describe('the second measurement', () => {
  it('counts where it was made, and elsewhere the first one still does', () => {
    expect(measuredAgainAt(station())).toBe(false);
    const before = station({ mouth: sure(1.5), after: { near: retaken, far: null, mouth: null } });
    expect(standingStation(before)).toMatchObject({ near: { value: 7.4 }, far: { value: 8 }, mouth: { value: 1.5 } });
  });

  it('leaves the width near the floor where it was, nearer to the rails that came down', () => {
    const before = station({
      deep: sure(1.4),
      deepAt: mm(3),
      chips: { near: { length: 10, depth: 1 }, far: { length: 10, depth: 0.2 } },
      square: 'near-high',
      after: { near: retaken, far: retaken, mouth: null },
    });
    const { deepAt, chips, square } = standingStation(before);
    expect(deepAt).toBeCloseTo(2.4, 9);
    expect(chips.near!.depth).toBeCloseTo(0.4, 9);
    expect(chips.far).toBeNull();
    expect(square).toBeNull();
  });
});

describe('cut drift', () => {
  it('is 26 mm at 300 mm with 2° on a bar 60 mm high', () => {
    expect(cutDrift(300, 2 as Degrees, 60)).toBeCloseTo(26.2, 1);
    expect(cutDrift(300, noticedLean(60, 5), 60)).toBeCloseTo(5, 9);
    const curve = driftCurve(300, 2 as Degrees, 60, 0.5);
    expect(curve[0]).toEqual({ depth: 0, drift: 0 });
    expect(curve.at(-1)!.drift).toBeCloseTo(13.1, 1);
  });

  it('keeps a factor of 1 until five test cuts, then fits through the origin with its spread', () => {
    const cuts = [10, 20, 30, 40].map((x) => ({ x, y: 0.8 * x }));
    expect(driftFactor(cutSums(cuts))).toEqual({ factor: 1, spread: null, interval: null, cuts: 4 });
    const five = driftFactor(cutSums([...cuts, { x: 25, y: 20 }]));
    expect(five.factor).toBeCloseTo(0.8, 9);
    expect(five.spread).toBeCloseTo(0, 6);
    const scattered = driftFactor(cutSums([...cuts, { x: 25, y: 26 }]));
    expect(scattered.spread).toBeGreaterThan(0.01);
    expect(scattered.interval!.low).toBeLessThan(scattered.factor);
    expect(scattered.interval!.high).toBeGreaterThan(scattered.factor);
  });
});

describe('the wear place', () => {
  it.each([
    ['even', [8, 7.95, 7.9, 7.95, 8]],
    ['toward-nose', [8.2, 8, 7.8, 7.5, 7.6]],
    ['at-nose', [8.2, 8.1, 8, 7.8, 7.2]],
    ['at-tail', [7.2, 7.7, 8, 8.1, 8.1]],
    ['one-spot', [8, 8, 7.2, 8, 8]],
    ['not-measured', [8, 7]],
  ])('%s', (code, depths) => {
    const { edges } = barBelief({ A: along(...depths), B: [] }, { A: null, B: null }, { depths: [6], step: 0.1 });
    expect(wearPlace('A', edges.A).code).toBe(code);
    // Entered from the nose, the tail is still the tail.
    const turned = [...along(...depths)].reverse().map((each, index) => ({ ...each, index }));
    const other = barBelief({ A: turned, B: [] }, { A: null, B: null }, { depths: [6], step: 0.1 });
    expect(wearPlace('A', other.edges.A).code).toBe(code);
  });
});
