import fc from 'fast-check';
import solver, { type Model } from 'javascript-lp-solver';
import { rotate } from 'mathjs';
import { mean, standardDeviation } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { dressPlan, floorClearance, type DressStation } from '../../src/core/bar';
import { overhang, predictStraightEdge } from '../../src/core/groove';
import { appraise, DEFAULT_RULES } from '../../src/core/assess';
import { barWork } from '../../src/core/bar/checks';
import { DEFAULT_SCHOOLS } from '../../src/core/schools';
import { estimate, measured, mm, toRadians, type Degrees } from '../../src/core/quantity';
import { readSheet, type WrittenBenchSheet } from '../../src/core/sheet';

const RULES = { tolerance: 0.05, slope: 0.005, touch: 0 };

/** The plan as a linear program over what must not be exceeded: the lowest of both rails and of a long chip. */
function byLinearProgram(stations: readonly { at: number; low: number }[]): number[] {
  const variables: Record<string, Record<string, number>> = {};
  const constraints: Record<string, { max: number }> = {};
  for (const [i, { low }] of stations.entries()) {
    variables[`t${i}`] = { height: 1, [`top${i}`]: 1 };
    constraints[`top${i}`] = { max: low + RULES.tolerance };
  }
  for (const [i, { at }] of stations.entries())
    for (const [j, other] of stations.entries()) {
      if (i === j) continue;
      variables[`t${i}`]![`c${i}-${j}`] = 1;
      variables[`t${j}`]![`c${i}-${j}`] = -1;
      constraints[`c${i}-${j}`] = { max: RULES.slope * Math.abs(at - other.at) };
    }
  const model: Model = { optimize: 'height', opType: 'max', constraints, variables };
  const solution = solver.Solve(model) as Record<string, number>;
  return stations.map((_, i) => solution[`t${i}`] ?? 0);
}

const hundredths = (min: number, max: number) => fc.integer({ min, max }).map((value) => value / 100);

describe('dressing with chips and missing readings against a linear program', () => {
  const bars = fc.uniqueArray(
    fc.record({
      at: fc.integer({ min: 20, max: 600 }),
      near: hundredths(450, 950),
      far: hundredths(450, 950),
      chip: fc.option(hundredths(10, 150), { freq: 3 }),
      missing: fc.constantFrom('none', 'none', 'none', 'near'),
    }),
    { minLength: 1, maxLength: 8, selector: ({ at }) => at },
  );

  it('is the largest profile, and takes the least metal, on 200 random bars', () => {
    fc.assert(
      fc.property(bars, (bar) => {
        const stations = bar.map(({ at, near, far, chip, missing }): DressStation => ({
          at,
          near: missing === 'near' ? null : near,
          far,
          chipped: chip === null ? null : near - chip,
        }));
        const whole = bar.filter(({ missing }) => missing === 'none');
        const theirs = byLinearProgram(
          whole.map(({ at, near, far, chip }) => ({
            at,
            low: Math.min(near, far, chip === null ? Infinity : near - chip),
          })),
        );
        const plan = dressPlan(stations, RULES);
        const ours = plan.target.filter((height) => height !== null);
        ours.forEach((height, i) => expect(height).toBeCloseTo(theirs[i]!, 6));
        const taken = [...plan.removeNear, ...plan.removeFar].reduce<number>((sum, removal) => sum + (removal ?? 0), 0);
        const least = whole.reduce(
          (sum, { near, far }, i) => sum + Math.max(0, near - theirs[i]!) + Math.max(0, far - theirs[i]!),
          0,
        );
        expect(taken).toBeCloseTo(least, 5);
      }),
      { seed: 610, numRuns: 200 },
    );
  });
});

describe('the straight-edge test against a rotated cutter', () => {
  // The tip is turned about the middle of the engaged tang with the rotation of a general mathematics package.
  it('is what the turned tip does', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 12, noNaN: true }),
        hundredths(600, 800),
        hundredths(400, 550),
        hundredths(900, 1300),
        (lean, kerf, barThickness, tipHeight) => {
          const cutter = { kerf: mm(kerf), barThickness: mm(barThickness), tipHeight: mm(tipHeight) };
          const turned = rotate([0, tipHeight], -toRadians(lean as Degrees)) as number[];
          const gap = overhang(cutter) - turned[0]!;
          const seen = gap > 0.05 ? 'gap-stays' : gap >= -0.05 ? 'gap-closes' : 'passes-beyond';
          expect(predictStraightEdge(lean as Degrees, cutter)).toBe(seen);
        },
      ),
      { seed: 611, numRuns: 300 },
    );
  });
});

describe('the doubt of a clearance', () => {
  it('by propagation (JCGM 100:2008, 5.1.2) is what drawing readings gives', () => {
    const depth = estimate(measured([mm(7.2)], 'depth-rod'))!;
    const tang = estimate(measured([mm(5.2)], 'caliper'))!;
    const clearance = floorClearance(depth, tang);
    let seed = 12345;
    const uniform = () => {
      seed = (seed * 1103515245 + 12345) % 2147483648;
      return (seed + 0.5) / 2147483648;
    };
    const normal = () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
    const draws = Array.from(
      { length: 40_000 },
      () => depth.value + depth.u * normal() - (tang.value + tang.u * normal()),
    );
    expect(mean(draws)).toBeCloseTo(clearance.value, 2);
    expect(standardDeviation(draws) / clearance.u).toBeCloseTo(1, 1);
  });
});

describe('facts of the trade about rework (common practice, no source)', () => {
  const assessed = (parts: object) => {
    const read = readSheet({ format: 'serrata-bench-sheet', version: 1, ...parts });
    if (!read.ok) throw new Error(JSON.stringify(read.error));
    return appraise(read.value, DEFAULT_RULES, null);
  };
  const looked = { crack: 'no', bow: '0 mm', noseTurns: 'free', straightEdge: 'gap-stays' };
  const edge = (near: number, far: number, extra: object = {}) => ({
    stations: [60, 140, 220].map((at) => ({ at: `${at} mm`, near: `${near} mm`, far: `${far} mm`, ...extra })),
  });
  const bar = (edges: object, more: object = {}) => ({
    bar: { stamp: '325 .050', checks: looked, edges, ...more },
  });

  it('a bar with a chip too deep to dress is finished, a short chip is nothing', () => {
    const chip = (length: string) => ({ chipNear: { length, depth: '2.5 mm' } });
    expect(assessed(bar({ A: edge(8, 8, chip('30 mm')), B: edge(8, 8) })).verdicts.bar.action).toBe('replace');
    expect(assessed(bar({ A: edge(8, 8, chip('6 mm')), B: edge(8, 8) })).verdicts.bar.action).toBe('keep');
  });

  it('a rut is dressed out of both rails at its place, to its floor, and no deeper elsewhere', () => {
    const rutted = { rut: { depth: '0.5 mm' } };
    const level = edge(8, 8);
    const at140 = { stations: level.stations.map((each, i) => (i === 1 ? { ...each, ...rutted } : each)) };
    const found = assessed(bar({ A: at140, B: edge(8, 8) }));
    expect(found.verdicts.bar).toMatchObject({ action: 'recondition' });
    expect(found.verdicts.bar.operations).toContain('dress-rails');
    const { removeNear, removeFar } = found.bar.edges.A.dressing!.plan;
    expect(removeNear[1]).toBeGreaterThan(0.35);
    expect(removeNear[1]).toBeLessThanOrEqual(0.5);
    expect(removeFar[1]).toBeCloseTo(removeNear[1]!, 6);
    expect(removeNear[0]).toBeLessThan(removeNear[1]!);
    const shallow = { stations: level.stations.map((each) => ({ ...each, rut: { depth: '0.05 mm' } })) };
    expect(assessed(bar({ A: shallow, B: edge(8, 8) })).verdicts.bar.operations).not.toContain('dress-rails');
  });

  it('a rut deeper than the groove has metal to spare finishes the bar', () => {
    expect(assessed(bar({ A: edge(8, 8, { rut: { depth: '2.6 mm' } }), B: edge(8, 8) })).verdicts.bar.action).toBe(
      'replace',
    );
  });

  it('unlevel rails with depth left are no condemnation, and are well once levelled and measured again', () => {
    const before = bar({ A: edge(8, 7.6), B: edge(8, 8) });
    expect(assessed(before).verdicts.bar).toMatchObject({ action: 'recondition' });
    const done = { reworkDone: ['dress-rails', 'deburr'] };
    expect(assessed(bar({ A: edge(8, 7.6), B: edge(8, 8) }, done)).verdicts.bar.action).toBe('undecided');
    const again = edge(8, 7.6, { after: { near: '7.6 mm', far: '7.6 mm' } });
    expect(assessed(bar({ A: again, B: edge(8, 8) }, done)).verdicts.bar.action).toBe('keep');
  });

  it('a bar that comes out too shallow says so', () => {
    const again = edge(8, 7.6, { after: { near: '5.6 mm', far: '5.6 mm' } });
    expect(assessed(bar({ A: again, B: edge(8, 8) })).verdicts.bar.action).toBe('replace');
  });

  it('bare paint, dirt and light dents condemn nothing; a torn tensioner hole and a plain twist do', () => {
    const with_ = (checks: object) =>
      assessed({ bar: { stamp: '325', checks: { ...looked, ...checks }, edges: { A: edge(8, 8), B: edge(8, 8) } } })
        .verdicts.bar.action;
    expect(with_({ barePaint: 'seen', dents: 'light', resin: 'baked' })).toBe('keep');
    expect(with_({ groove: 'packed' })).toBe('clean');
    expect(with_({ twist: 'slight' })).toBe('recondition');
    expect(with_({ twist: 'plain' })).toBe('replace');
    expect(with_({ holes: 'torn' })).toBe('replace');
  });

  it('too much play in a flared mouth is dressed away where there is depth for it, and condemns where there is not', () => {
    const flared = { mouth: '2.4 mm', deep: '1.4 mm', deepAt: '4 mm' };
    const parts = (depth: number) => ({
      ...bar({ A: edge(depth, depth, flared), B: edge(depth, depth) }),
      chain: { tang: '4.5 mm', driveLinkThickness: '1.27 mm' },
    });
    const deep = assessed(parts(9));
    const shallow = assessed(parts(6.1));
    expect(deep.bar.edges.A.dressing!.deeper).toBeGreaterThan(0.1);
    expect(deep.verdicts.bar.action).toBe('recondition');
    expect(shallow.bar.edges.A.dressing!.deeper).toBe(0);
    expect(shallow.verdicts.bar.action).toBe('replace');
  });

  it('a nose is greased only through a port, and a bar turned over by the school of the shop', () => {
    const work = (more: object, schools = DEFAULT_SCHOOLS, A = edge(8, 7.6)) => {
      const read = readSheet({
        format: 'serrata-bench-sheet',
        version: 1,
        ...bar({ A, B: edge(8.5, 8.5) }, more),
      });
      if (!read.ok) throw new Error(JSON.stringify(read.error));
      const { bar: assessedBar, verdicts } = appraise(read.value, { ...DEFAULT_RULES, schools }, null);
      return barWork(read.value, assessedBar, verdicts.bar, schools);
    };
    // Filings of the dressing lie in the oil holes.
    expect(work({})).toEqual(['clean-oil-holes', 'dress-rails', 'deburr']);
    expect(work({ nosePort: true })).toContain('grease-nose');
    expect(work({ nosePort: false })).not.toContain('grease-nose');
    expect(work({ edgeDown: 'A' })).toContain('turn-over');
    const whenWorn = { ...DEFAULT_SCHOOLS, turnOver: 'when-worn' as const };
    expect(work({ edgeDown: 'A' }, whenWorn)).toContain('turn-over');
    expect(work({ edgeDown: 'B' }, whenWorn)).not.toContain('turn-over');
    // Rails that are level are left alone, and so are those of a bar that is condemned.
    expect(work({ nosePort: true }, DEFAULT_SCHOOLS, edge(8.5, 8.5))).not.toContain('dress-rails');
    expect(work({}, DEFAULT_SCHOOLS, edge(4, 3.6))).toEqual([]);
  });

  it('splayed rails are closed only where the shop is of that school', () => {
    const parts = {
      bar: {
        stamp: '325',
        checks: { crack: 'no', bow: '0 mm', noseTurns: 'free', straightEdge: 'gap-stays', grooveShape: 'splayed' },
        edges: { A: edge(8, 8), B: edge(8, 8) },
      },
    };
    const read = readSheet({ format: 'serrata-bench-sheet', version: 1, ...parts });
    if (!read.ok) throw new Error(JSON.stringify(read.error));
    const { operations } = appraise(read.value, DEFAULT_RULES, null).verdicts.bar;
    expect(operations).not.toContain('close-rails');
    const closing = { ...DEFAULT_SCHOOLS, closeRails: 'on' as const };
    expect(appraise(read.value, { ...DEFAULT_RULES, schools: closing }, null).verdicts.bar.operations).toContain(
      'close-rails',
    );
  });

  it('blueing names what was found beside it, by the causes that a complaint of heat has', () => {
    const heat = (checks: NonNullable<NonNullable<WrittenBenchSheet['bar']>['checks']>) =>
      assessed({ bar: { checks } }).heat;
    expect(heat({ blueing: 'heavy', oilHoles: 'blocked' })).toEqual(['oil-blocked']);
    expect(heat({ blueing: 'heavy', oilHoles: 'blocked', groove: 'packed' })).toEqual(['oil-blocked', 'groove-packed']);
    expect(heat({ blueing: 'light' })).toEqual(['tension-tight', 'cutters-dull']);
    expect(heat({ blueing: 'no', oilHoles: 'blocked' })).toEqual([]);
  });
});
