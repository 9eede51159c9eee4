import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { appraise, DEFAULT_RULES } from '../../src/core/assess';
import { leastValue } from '../../src/core/belief';
import { boundsOf, type LengthReading } from '../../src/core/quantity';
import {
  entriesFromSheet,
  readingAt,
  readSheet,
  sheetFromEntries,
  type Action,
  type BenchSheet,
  type Entry,
  type WrittenBenchSheet,
} from '../../src/core/sheet';
import { assessmentDocument } from '../../src/wording';
import { anyEntries } from '../support/entries';
import { anySheet, mirrored } from '../support/sheets';

const RUNS = { seed: 2028, numRuns: 12 };

const documentOf = (entries: readonly Entry[]) =>
  JSON.stringify(assessmentDocument(appraise(sheetFromEntries(entries).sheet, DEFAULT_RULES, null)));

function assessed(written: WrittenBenchSheet) {
  const read = readSheet(written);
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return appraise(read.value, DEFAULT_RULES, null);
}

/** Nearer to going back on is better; undecided lies between work and the scrap. */
const RANK: Record<Action, number> = { keep: 0, clean: 1, recondition: 2, undecided: 3, replace: 4 };

/** Words that a service or a search needs and no verdict does. */
const NO_READING = ['job.', 'setAside'];

/**
 * Whether a place holds a cutter that is longer than the shortest by far more than a caliper's doubt, 0.2 mm, before
 * the rework or after it.
 */
function isSurelyLonger(path: string, { chain }: BenchSheet): boolean {
  const id = readingAt(path)?.id;
  const first = id === 'chain.cuttersLeft' || id === 'chain.cuttersRight';
  const again = id === 'chain.after.cuttersLeft' || id === 'chain.after.cuttersRight';
  const lists = first ? chain : again ? chain?.after : undefined;
  if (!lists) return false;
  const least = (each: LengthReading) => (boundsOf(each).lo ?? boundsOf(each).hi)!.value;
  const [left, right] = [lists.cuttersLeft ?? [], lists.cuttersRight ?? []];
  const isLeft = id === 'chain.cuttersLeft' || id === 'chain.after.cuttersLeft';
  const own = (isLeft ? left : right)[Number(path.split('.').at(-1))];
  return own !== undefined && least(own) > Math.min(...[...left, ...right].map(least)) + 0.2;
}

/**
 * Whether a width near the floor stands without a mouth while another station's width is known: it is a bound from
 * below then, and may say nothing beside that.
 */
const isBoundBeside = ({ path }: Entry, entries: readonly Entry[]): boolean => {
  const own = path.slice(0, path.lastIndexOf('.'));
  const isWidth = (other: Entry) => /\.(mouth|deep)$/.test(other.path) && !other.path.startsWith(`${own}.`);
  return path.endsWith('.deep') && !entries.some((other) => other.path === `${own}.mouth`) && entries.some(isWidth);
};

describe('no reading vanishes', () => {
  it('taken off, each changes the assessment, or it was said why it would not', () => {
    fc.assert(
      fc.property(anyEntries, (given) => {
        const { written } = sheetFromEntries(given);
        const entries = entriesFromSheet(written);
        const { sheet } = sheetFromEntries(entries);
        const said = appraise(sheet, DEFAULT_RULES, null).idle.map(({ measure }) => measure);
        const whole = documentOf(entries);
        for (const entry of entries) {
          if (NO_READING.some((start) => entry.path.startsWith(start))) continue;
          // A second measurement that repeats the first to the digit says what stood there already.
          if (
            entries.some(
              ({ path, text }) =>
                entry.path.replace('.after', '') === path && text === entry.text && path !== entry.path,
            )
          )
            continue;
          if (isBoundBeside(entry, entries)) continue;
          // Of many cutters the shortest decides: one that is surely longer may move nothing.
          if (isSurelyLonger(entry.path, sheet)) continue;
          if (said.some((measure) => entry.path === measure || entry.path.startsWith(`${measure}.`))) continue;
          const without = documentOf(entries.filter((each) => each !== entry));
          if (without === whole)
            throw new Error(
              `${entry.path} = ${entry.text} vanished beside ${JSON.stringify(entries.filter(({ path }) => path.startsWith(entry.path.split('.').slice(0, 5).join('.'))))}`,
            );
        }
      }),
      RUNS,
    );
  });

  it('nor does one that says something of a sound set', () => {
    const station = (at: number) => ({
      at: `${at} mm`,
      near: '8.0 mm',
      far: '7.9 mm',
      mouth: '1.5 mm',
      deep: '1.4 mm',
      deepAt: '3 mm',
      square: 'level',
      chipFar: { length: '8 mm', depth: '0.4 mm' },
    });
    const written = {
      format: 'serrata-bench-sheet',
      version: 1,
      bar: {
        stamp: '325 .050',
        thickness: '4.2 mm',
        checks: { bow: '0.1 mm', crack: 'no', noseTurns: 'free', straightEdge: 'gap-stays' },
        edges: {
          A: { stations: [60, 150, 240, 330].map(station), stands: 'yes' },
          B: { stations: [60, 150, 240, 330].map(station) },
        },
      },
      chain: {
        tang: '2.5 mm',
        kerf: '7.2 mm',
        tipHeight: '11 mm',
        driveLinkThickness: '1.26 mm',
        driveLinks: [72, 72],
        cutters: 36,
        sequence: 'full-complement',
        cuttersLeft: ['6.1 mm', '6.0 mm', '6.2 mm', '6.1 mm', '6.05 mm'],
        cuttersRight: ['6.0 mm', { enters: '5.8 mm' }],
        damage: [{ side: 'right', cutter: 1, setBack: '0.4 mm' }],
        witnessLimit: '4.0 mm',
        pushPull: { joints: 60, closed: '495 mm', pulled: '499 mm' },
      },
      driveSprocket: { wear: { refuses: '0.2 mm' }, chainsRun: 1, turns: 'free' },
    } as unknown as WrittenBenchSheet;
    const entries = entriesFromSheet(written);
    const whole = documentOf(entries);
    for (const entry of entries) {
      const without = documentOf(entries.filter((each) => each !== entry));
      expect(without === whole ? entry.path : null).toBeNull();
    }
  });
});

const hundredths = (value: number): string => `${value.toFixed(2)} mm`;

describe('a better reading', () => {
  const depths = fc.array(fc.integer({ min: 560, max: 860 }), { minLength: 4, maxLength: 8 });
  const barOf = (rails: readonly number[], mouth = 1.4): WrittenBenchSheet => ({
    format: 'serrata-bench-sheet',
    version: 1,
    bar: {
      stamp: '325 .050',
      checks: { bow: '0 mm', crack: 'no', noseTurns: 'free' },
      edges: {
        A: {
          stations: rails.map((depth, i) => ({
            at: `${60 + 40 * i} mm`,
            near: hundredths(depth / 100),
            far: hundredths(depth / 100),
            ...(i === 0 ? { mouth: hundredths(mouth) } : {}),
          })),
        },
        B: { stations: [{ at: '60 mm', near: '8 mm', far: '8 mm' }] },
      },
    },
  });
  const barAction = (written: WrittenBenchSheet) => assessed(written).verdicts.bar.action;

  it('of every depth never worsens the verdict on a bar', () => {
    fc.assert(
      fc.property(depths, fc.integer({ min: 1, max: 150 }), (rails, more) => {
        const before = RANK[barAction(barOf(rails))];
        expect(RANK[barAction(barOf(rails.map((depth) => depth + more)))]).toBeLessThanOrEqual(before);
      }),
      { ...RUNS, numRuns: 25 },
    );
  });

  it('of one place never condemns a bar that was not', () => {
    fc.assert(
      fc.property(depths, fc.nat(), fc.integer({ min: 1, max: 200 }), (rails, place, more) => {
        if (barAction(barOf(rails)) === 'replace') return;
        const better = rails.map((depth, i) => (i === place % rails.length ? depth + more : depth));
        expect(barAction(barOf(better))).not.toBe('replace');
      }),
      { ...RUNS, numRuns: 35 },
    );
  });

  it.each<[string, (size: number) => WrittenBenchSheet, 'driveSprocket' | 'bar' | 'chain']>([
    [
      'a shallower groove in the sprocket',
      (size) => ({ ...EMPTY, driveSprocket: { wear: hundredths(size) } }),
      'driveSprocket',
    ],
    [
      'a smaller bow',
      (size) => {
        const sheet = barOf([800, 800, 800, 800]);
        return { ...sheet, bar: { ...sheet.bar, checks: { ...sheet.bar!.checks, bow: hundredths(size) } } };
      },
      'bar',
    ],
    ['a narrower mouth', (size) => barOf([800, 800, 800, 800], 1.3 + size), 'bar'],
    [
      'a longer cutter',
      (size) => ({
        ...EMPTY,
        chain: {
          checks: { crack: 'no' },
          cuttersLeft: [hundredths(5 - size)],
          cuttersRight: ['5.3 mm', '5.3 mm'],
          pushPull: { joints: 60, closed: '495 mm', pulled: '498 mm' },
        },
      }),
      'chain',
    ],
    [
      'less growth',
      (size) => ({
        ...EMPTY,
        chain: {
          checks: { crack: 'no' },
          cuttersLeft: ['6 mm'],
          pushPull: { joints: 60, closed: '495 mm', pulled: hundredths(495 + 15 * size) },
        },
      }),
      'chain',
    ],
  ])('%s never worsens its verdict', (_what, sheetOf, part) => {
    const sizes = fc.integer({ min: 0, max: 140 });
    fc.assert(
      fc.property(sizes, sizes, (a, b) => {
        const [worse, better] = [Math.max(a, b) / 100, Math.min(a, b) / 100];
        const rank = (size: number) => RANK[assessed(sheetOf(size)).verdicts[part].action];
        expect(rank(better)).toBeLessThanOrEqual(rank(worse));
      }),
      { ...RUNS, numRuns: 25 },
    );
  });
});

const EMPTY: WrittenBenchSheet = { format: 'serrata-bench-sheet', version: 1 };

describe('stations', () => {
  const verdictsOf = (written: WrittenBenchSheet) => {
    const { verdicts, bar } = assessed(written);
    const { least } = bar.belief;
    return {
      actions: Object.values(verdicts).map(({ action, operations }) => [action, operations]),
      least: least && leastValue(least).value,
      place: bar.wearPlace.code,
    };
  };

  it('tell the same in whatever order they were entered', () => {
    fc.assert(
      fc.property(anySheet, (written) => {
        const turned = structuredClone(written);
        turned.bar?.edges?.A?.stations?.reverse();
        turned.bar?.edges?.B?.stations?.reverse();
        expect(verdictsOf(turned).actions).toEqual(verdictsOf(written).actions);
      }),
      { ...RUNS, numRuns: 25 },
    );
  });

  it('tell the same seen in a mirror', () => {
    fc.assert(
      fc.property(anySheet, (written) => {
        const [there, here] = [verdictsOf(mirrored(written)), verdictsOf(written)];
        expect({ ...there, least: null }).toEqual({ ...here, least: null });
        // Dips fall to other draws in a mirror: alike, and not to the last digit.
        expect(Math.abs((there.least ?? 0) - (here.least ?? 0))).toBeLessThan(0.02);
      }),
      { ...RUNS, numRuns: 25 },
    );
  });
});

describe('any legal sheet', () => {
  it('has an assessment without a number that ends nowhere', () => {
    fc.assert(
      fc.property(anyEntries, (entries) => {
        const appraisal = appraise(sheetFromEntries(entries).sheet, DEFAULT_RULES, null);
        const walk = (value: unknown): void => {
          if (typeof value === 'number') expect(Number.isFinite(value)).toBe(true);
          else if (value instanceof Float64Array) for (const each of value) expect(Number.isFinite(each)).toBe(true);
          else if (typeof value === 'object' && value !== null) Object.values(value).forEach(walk);
        };
        walk(appraisal);
      }),
      RUNS,
    );
  });
});

describe('a bound from one mark', () => {
  it('is never better than the reading at that mark', () => {
    const limits = fc.integer({ min: 5, max: 95 });
    fc.assert(
      fc.property(limits, fc.constantFrom('enters' as const, 'refuses' as const), (size, side) => {
        const at = hundredths(size / 100);
        const rank = (wear: NonNullable<WrittenBenchSheet['driveSprocket']>['wear']) =>
          RANK[assessed({ ...EMPTY, driveSprocket: { wear } }).verdicts.driveSprocket.action];
        const exact = rank(at);
        const bound = rank({ [side]: at });
        // It keeps only what the exact reading keeps; where that one condemns, a bound on the good side may still leave
        // it open.
        if (bound < RANK.undecided) expect(exact).toBeLessThanOrEqual(bound);
      }),
      { ...RUNS, numRuns: 35 },
    );
  });

  it('of a depth neither', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 560, max: 700 }),
        fc.constantFrom('enters' as const, 'refuses' as const),
        (depth, side) => {
          const mark = hundredths(depth / 100);
          const rank = (near: NonNullable<WrittenBenchSheet['bar']>['thickness']) =>
            RANK[
              assessed({
                ...EMPTY,
                bar: {
                  stamp: '325 .050',
                  checks: { bow: '0 mm', crack: 'no', noseTurns: 'free', straightEdge: 'gap-stays' },
                  edges: {
                    A: { stations: [{ at: '100 mm', near: near!, far: '6.9 mm' }] },
                    B: { stations: [{ at: '100 mm', near: '7 mm', far: '7 mm' }] },
                  },
                },
              }).verdicts.bar.action
            ];
          const bound = rank({ [side]: mark });
          if (bound < RANK.undecided) expect(rank(mark)).not.toBe(RANK.replace);
        },
      ),
      { ...RUNS, numRuns: 30 },
    );
  });
});
