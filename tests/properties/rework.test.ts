import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dressPlan, type DressStation } from '../../src/core/bar';
import { appraise, DEFAULT_RULES } from '../../src/core/assess';
import { readSheet, type Action } from '../../src/core/sheet';

const rules = { tolerance: 0.05, slope: 0.005, touch: 0.05 };
const hundredths = (min: number, max: number) => fc.integer({ min, max }).map((value) => value / 100);

const edges = fc.uniqueArray(
  fc.record({
    at: fc.integer({ min: 20, max: 600 }),
    near: fc.option(hundredths(450, 950), { freq: 6 }),
    far: fc.option(hundredths(450, 950), { freq: 6 }),
    chipped: fc.option(hundredths(400, 900), { freq: 2 }),
    leaveLow: fc.boolean(),
    keptOut: fc.constantFrom(false, false, true),
  }),
  { maxLength: 9, selector: ({ at }) => at },
);

describe('dressing with chips, dips, keep-out and missing readings', () => {
  it('never raises a rail, and dressed once takes nothing more', () => {
    fc.assert(
      fc.property(edges, (stations: DressStation[]) => {
        const plan = dressPlan(stations, rules);
        for (const removal of [...plan.removeNear, ...plan.removeFar])
          if (removal !== null) expect(removal).toBeGreaterThanOrEqual(0);
        const dressed = stations.map((station, i) => ({
          ...station,
          near: station.near === null ? null : station.near - (plan.removeNear[i] ?? 0),
          far: station.far === null ? null : station.far - (plan.removeFar[i] ?? 0),
        }));
        expect(dressPlan(dressed, rules).most).toBeLessThanOrEqual(1e-9);
      }),
      { seed: 71, numRuns: 100 },
    );
  });

  it('scales with its unit and mirrors near for far', () => {
    fc.assert(
      fc.property(edges, fc.constantFrom(0.5, 2, 25.4), (stations: DressStation[], factor) => {
        const plain = dressPlan(stations, rules);
        const times = (value: number | null | undefined) => ((value ?? null) === null ? null : value! * factor);
        const scaled = dressPlan(
          stations.map((each) => ({
            ...each,
            at: each.at * factor,
            near: times(each.near),
            far: times(each.far),
            chipped: times(each.chipped),
          })),
          { tolerance: rules.tolerance * factor, slope: rules.slope, touch: rules.touch * factor },
        );
        scaled.removeNear.forEach((removal, i) =>
          expect(removal ?? -1).toBeCloseTo(
            (plain.removeNear[i] ?? null) === null ? -1 : plain.removeNear[i]! * factor,
            6,
          ),
        );
        const swapped = dressPlan(
          stations.map((each) => ({ ...each, near: each.far, far: each.near })),
          rules,
        );
        expect(swapped.removeFar).toEqual(plain.removeNear);
      }),
      { seed: 72, numRuns: 60 },
    );
  });
});

const RANK: Record<Action, number> = { keep: 0, clean: 1, recondition: 2, undecided: 3, replace: 4 };

describe('verdicts on a bar', () => {
  it('are never worse with more depth on both rails everywhere', () => {
    const stations = fc.array(fc.record({ near: hundredths(500, 900), far: hundredths(500, 900) }), {
      minLength: 1,
      maxLength: 4,
    });
    fc.assert(
      fc.property(stations, hundredths(10, 200), (list, more) => {
        const action = (extra: number) => {
          const edge = {
            stations: list.map(({ near, far }, i) => ({
              at: `${60 + 70 * i} mm`,
              near: `${(near + extra).toFixed(3)} mm`,
              far: `${(far + extra).toFixed(3)} mm`,
              mouth: '1.35 mm',
            })),
          };
          const read = readSheet({
            format: 'serrata-bench-sheet',
            version: 1,
            bar: {
              stamp: '325 .050',
              checks: { crack: 'no', bow: '0 mm', noseTurns: 'free' },
              edges: { A: edge, B: edge },
            },
          });
          if (!read.ok) throw new Error(JSON.stringify(read.error));
          return RANK[appraise(read.value, DEFAULT_RULES, null).verdicts.bar.action];
        };
        expect(action(more)).toBeLessThanOrEqual(action(0));
      }),
      { seed: 73, numRuns: 60 },
    );
  });
});
