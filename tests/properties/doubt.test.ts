import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { appraise, DEFAULT_RULES } from '../../src/core/assess';
import {
  compile,
  DESERVED,
  drawnDoubt,
  drawWorld,
  dropOf,
  emptyWorld,
  judgeWorld,
  likeliestWorld,
  seeded,
} from '../../src/core/doubt';
import { readSheet, type WrittenBenchSheet } from '../../src/core/sheet';
import { anySheet } from '../support/sheets';

type Parts = Omit<WrittenBenchSheet, 'format' | 'version'>;
function appraised(parts: Parts) {
  const read = readSheet({ format: 'serrata-bench-sheet', version: 1, ...parts });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return appraise(read.value, DEFAULT_RULES, null);
}

const mm = (value: number): string => `${value.toFixed(2)} mm`;
const about = (value: number, spread: number) => fc.double({ min: value - spread, max: value + spread, noNaN: true });

/**
 * Bars with their chain and sprocket whose readings lie about their limits, so that every question is open now and
 * then.
 */
const nearLimits: fc.Arbitrary<Parts> = fc
  .record({
    depths: fc.array(about(6.1, 0.35), { minLength: 2, maxLength: 6 }),
    lean: about(0, 0.2),
    mouth: about(1.7, 0.15),
    bow: about(0.4, 0.25),
    tang: about(5.2, 0.3),
    cutters: fc.array(about(4.4, 0.5), { minLength: 2, maxLength: 8 }),
    setBack: about(0.4, 0.3),
    pulled: about(505, 7),
    wear: about(0.45, 0.2),
    crack: fc.constantFrom('no', 'no', 'no', 'unsure'),
    stamp: fc.constantFrom('325 .050', '3/8LP .050', '.050'),
  })
  .map(({ depths, lean, mouth, bow, tang, cutters, setBack, pulled, wear, crack, stamp }) => {
    const stations = depths.map((depth, i) => ({
      at: `${60 + 70 * i} mm`,
      near: mm(depth + lean / 2),
      far: mm(depth - lean / 2),
      mouth: mm(mouth),
      deep: mm(mouth - 0.05),
    }));
    const half = Math.ceil(stations.length / 2);
    return {
      bar: {
        stamp,
        checks: { bow: mm(Math.max(0, bow)), crack: crack as 'no', noseTurns: 'free', grooveShape: 'even' },
        edges: { A: { stations: stations.slice(0, half) }, B: { stations: stations.slice(half) } },
      },
      chain: {
        checks: { crack: 'no' },
        tang: mm(tang),
        cuttersLeft: cutters.map(mm),
        cuttersRight: cutters.map(mm),
        damage: [{ side: 'left', cutter: 1, setBack: mm(Math.max(0, setBack)) }],
        pushPull: { joints: 60, closed: '495.0 mm', pulled: mm(pulled) },
      },
      driveSprocket: { wear: mm(wear), type: 'rim' },
    } satisfies Parts as Parts;
  });

describe('a compiled verdict is the verdict of the whole assessment', () => {
  it.each([
    ['any sheet', anySheet, 1],
    ['sheets about their limits', nearLimits, 2],
  ] as const)('of %s, in the world that is likeliest by its readings', (_, sheets, seed) => {
    let decided = 0;
    fc.assert(
      fc.property(sheets, (sheet) => {
        const { hangsOn, verdicts } = appraised(sheet);
        const compiled = compile(hangsOn);
        const deserved = new Uint8Array(compiled.parts.length);
        judgeWorld(compiled, likeliestWorld(compiled), deserved);
        compiled.parts.forEach((part, i) => {
          const { action } = verdicts[part];
          if (action === 'undecided') return;
          decided += 1;
          expect(DESERVED[deserved[i]!], part).toBe(action);
        });
      }),
      { seed, numRuns: 400 },
    );
    expect(decided).toBeGreaterThan(300);
  });
});

describe('draws', () => {
  it('agree with the closed form where one question decides, whatever it is', () => {
    const DRAWS = 8000;
    let open = 0;
    fc.assert(
      fc.property(nearLimits, fc.integer({ min: 0, max: 1e6 }), (sheet, seed) => {
        const appraisal = appraised(sheet);
        const { parts } = drawnDoubt(appraisal, DRAWS, seed);
        for (const part of compile(appraisal.hangsOn).parts) {
          const groups = new Set(
            appraisal.hangsOn[part]!.flatMap(({ group, well }) => (well > 0.001 && well < 0.999 ? [group] : [])),
          );
          if (groups.size > 1) continue;
          open += groups.size;
          for (const each of DESERVED) {
            const share = appraisal.doubts[part]!.shares[each];
            // Five standard deviations of so many draws; checks of what a dressing would leave take its doubt as
            // normal.
            const slack = 5 * Math.sqrt(Math.max(share * (1 - share), 1e-4) / DRAWS) + 0.015;
            expect(Math.abs(parts[part]!.shares[each] - share), `${part} ${each}`).toBeLessThan(slack);
          }
        }
      }),
      { seed: 3, numRuns: 80 },
    );
    expect(open).toBeGreaterThan(40);
  });

  it('sum to one, and name only readings that buy something', () => {
    fc.assert(
      fc.property(nearLimits, (sheet) => {
        for (const { shares, wrong, next, movedBy } of Object.values(drawnDoubt(appraised(sheet), 1000, 5).parts)) {
          expect(DESERVED.reduce((sum, each) => sum + shares[each], 0)).toBeCloseTo(1, 9);
          expect(wrong).toBeGreaterThanOrEqual(0);
          for (const { drop, minutes } of next) {
            expect(drop).toBeGreaterThan(0);
            expect(minutes).toBeGreaterThan(0);
          }
          if (movedBy.length > 0) expect(movedBy.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
        }
      }),
      { seed: 4, numRuns: 30 },
    );
  });

  it('a tighter reading never raises the chance of a wrong verdict on average', () => {
    fc.assert(
      fc.property(about(0, 0.1), fc.double({ min: 0.01, max: 0.1, noNaN: true }), (margin, u) => {
        const { normal } = seeded(6);
        const drops = [4, 1, 0.25].map((times) => {
          const [read, deserved] = [new Float64Array(20_000), new Uint8Array(20_000)];
          for (let i = 0; i < read.length; i += 1) {
            const truth = margin + u * normal();
            read[i] = truth + times * u * normal();
            deserved[i] = truth > 0 ? 0 : 3;
          }
          return dropOf(read, deserved);
        });
        expect(drops[1]!).toBeGreaterThan(drops[0]! - 0.01);
        expect(drops[2]!).toBeGreaterThan(drops[1]! - 0.01);
      }),
      { seed: 7, numRuns: 25 },
    );
  });

  it('do not depend on the order in which stations were entered', () => {
    fc.assert(
      fc.property(nearLimits, (sheet) => {
        const turned = (edge: 'A' | 'B') => ({ stations: [...sheet.bar!.edges![edge]!.stations!].reverse() });
        const mirrored = { ...sheet, bar: { ...sheet.bar!, edges: { A: turned('A'), B: turned('B') } } };
        const [before, after] = [appraised(sheet), appraised(mirrored)];
        for (const each of DESERVED)
          expect(after.doubts.bar?.shares[each] ?? null, each).toEqual(
            before.doubts.bar ? expect.closeTo(before.doubts.bar.shares[each], 9) : null,
          );
      }),
      { seed: 8, numRuns: 20 },
    );
  });

  it('of many stations do not make a sound bar undecided', () => {
    fc.assert(
      fc.property(fc.array(about(0, 0.05), { minLength: 48, maxLength: 48 }), (scatter) => {
        const stations = (from: number) =>
          scatter.slice(from, from + 24).map((off, i) => ({
            at: `${40 + 15 * i} mm`,
            near: mm(6.4 + off),
            far: mm(6.4 - off),
            mouth: '1.36 mm',
          }));
        const { verdicts, doubts } = appraised({
          bar: {
            stamp: '325 .050',
            checks: { bow: '0 mm', crack: 'no', noseTurns: 'free' },
            edges: { A: { stations: stations(0), stands: 'yes' }, B: { stations: stations(24), stands: 'yes' } },
          },
        });
        expect(verdicts.bar.action).not.toBe('undecided');
        expect(verdicts.bar.action).not.toBe('replace');
        expect(doubts.bar!.shares.replace).toBeLessThan(0.05);
      }),
      { seed: 9, numRuns: 20 },
    );
  });
});

describe('a world', () => {
  it('is judged the same however often it is judged, and worlds differ', () => {
    const compiled = compile(appraised({ driveSprocket: { wear: '0.5 mm' } }).hangsOn);
    const { uniform, normal } = seeded(10);
    const world = emptyWorld(compiled);
    const seen = new Set<number>();
    const [first, second] = [new Uint8Array(compiled.parts.length), new Uint8Array(compiled.parts.length)];
    for (let draw = 0; draw < 200; draw += 1) {
      drawWorld(compiled, draw, { uniform, normal }, world);
      judgeWorld(compiled, world, first);
      judgeWorld(compiled, world, second);
      expect(second).toEqual(first);
      seen.add(first[0]!);
    }
    expect(seen.size).toBe(2);
  });
});
