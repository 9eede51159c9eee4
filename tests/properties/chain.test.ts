import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { appraise, DEFAULT_RULES, type Appraisal } from '../../src/core/assess';
import { lengthAfterCorrection, SIDES, standingCutters, type Cutters, type Damage } from '../../src/core/chain';
import { judgedParts } from '../../src/core/judge';
import { minutesOf } from '../../src/core/next';
import { mm, type Bounds } from '../../src/core/quantity';
import { beginOf, readSheet, sheetFromEntries, type Action, type WrittenBenchSheet } from '../../src/core/sheet';
import type { Symptom } from '../../src/core/symptom';
import { SYMPTOMS } from '../../src/core/declared';
import { fitting } from '../support/entries';
import { anySheet } from '../support/sheets';

type Chain = NonNullable<WrittenBenchSheet['chain']>;

function assessed(written: WrittenBenchSheet): Appraisal {
  const read = readSheet(written);
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return appraise(read.value, DEFAULT_RULES, null);
}
const ofChain = (chain: Chain) => assessed({ format: 'serrata-bench-sheet', version: 1, chain });

/** Nearer to going back on is better; undecided lies between work and the scrap. */
const RANK: Record<Action, number> = { keep: 0, clean: 1, recondition: 2, undecided: 3, replace: 4 };

const known = (value: number): Bounds => {
  const both = { value: mm(value), u: 0.02 };
  return { lo: both, hi: both };
};
const tenths = (from: number, to: number) => fc.integer({ min: from * 10, max: to * 10 }).map((n) => n / 10);
const side = fc.array(tenths(4, 10), { minLength: 1, maxLength: 6 });
const cutters = fc
  .record({ left: side, right: side })
  .map(({ left, right }): Cutters => ({ left: left.map(known), right: right.map(known) }));
const damage = fc.array(
  fc
    .record({ side: fc.constantFrom(...SIDES), cutter: fc.integer({ min: 1, max: 8 }), setBack: tenths(0, 3) })
    .map((each): Damage => ({ ...each, setBack: known(each.setBack) })),
  { maxLength: 4 },
);

const RUNS = { seed: 1204, numRuns: 120 };

describe('filing back', () => {
  it('never lengthens a cutter, and takes what an angle takes from its own side only', () => {
    fc.assert(
      fc.property(cutters, damage, tenths(0, 2), (all, hurt, off) => {
        const plain = lengthAfterCorrection(all, [])!.length.value;
        const filed = lengthAfterCorrection(all, hurt)!.length.value;
        const angled = lengthAfterCorrection(all, hurt, { left: { value: mm(off), u: 0.02 } })!.length.value;
        expect(filed).toBeLessThanOrEqual(plain + 1e-9);
        expect(angled).toBeLessThanOrEqual(filed + 1e-9);
        const longest = Math.max(...[...all.left, ...all.right].map(({ lo }) => lo!.value));
        expect(plain).toBeLessThanOrEqual(longest + 1e-9);
      }),
      RUNS,
    );
  });

  it('measured again, leaves of damage what did not come off: never more than there was, and all where nothing did', () => {
    fc.assert(
      fc.property(cutters, damage, tenths(0, 3), (before, hurt, off) => {
        const after: Cutters = {
          left: before.left.map(({ lo }) => known(Math.max(0.1, lo!.value - off))),
          right: before.right.map(({ lo }) => known(Math.max(0.1, lo!.value - off))),
        };
        const { damage: left } = standingCutters(before, after, hurt);
        const sum = (all: readonly Damage[]) => all.reduce((total, { setBack }) => total + setBack.hi!.value, 0);
        expect(sum(left)).toBeLessThanOrEqual(sum(hurt) + 1e-9);
        const { damage: untouched } = standingCutters(before, before, hurt);
        const shown = hurt.filter(({ setBack }) => setBack.hi!.value > 0.1);
        for (const each of shown.filter(({ side: on, cutter }) => cutter <= before[on].length))
          expect(untouched.some(({ side: on, cutter }) => on === each.side && cutter === each.cutter)).toBe(true);
      }),
      RUNS,
    );
  });

  it('more damage never improves a verdict', () => {
    const written = (lengths: readonly number[]) => lengths.map((length) => `${length} mm`);
    fc.assert(
      fc.property(
        side,
        side,
        damage,
        fc.integer({ min: 1, max: 6 }),
        tenths(0, 4),
        tenths(0, 4),
        (left, right, hurt, cutter, setBack, more) => {
          const action = (extra: number) =>
            ofChain({
              cuttersLeft: written(left),
              cuttersRight: written(right),
              damage: [
                ...hurt.map((each) => ({ ...each, setBack: `${each.setBack.lo!.value} mm` })),
                { side: 'left', cutter, setBack: `${extra} mm` },
              ],
              pushPull: { joints: 60, closed: '495 mm', pulled: '498 mm' },
              checks: { crack: 'no' },
            }).verdicts.chain.action;
          expect(RANK[action(setBack + more)]).toBeGreaterThanOrEqual(RANK[action(setBack)]);
        },
      ),
      { ...RUNS, numRuns: 80 },
    );
  });
});

describe('left and right', () => {
  const anyChain = anySheet.map(({ chain = {} }) => chain);

  /** The same chain seen in a mirror. */
  function mirrored(chain: Chain): Chain {
    const { after, damage: hurt } = chain;
    const swap = <T extends object>(whole: T, a: string, b: string): T => {
      const { [a]: first, [b]: second, ...rest } = whole as Record<string, unknown>;
      return {
        ...rest,
        ...(second === undefined ? {} : { [a]: second }),
        ...(first === undefined ? {} : { [b]: first }),
      } as T;
    };
    const lists = <T extends object>(whole: T): T =>
      swap(swap(whole, 'cuttersLeft', 'cuttersRight'), 'depthGaugesLeft', 'depthGaugesRight');
    return {
      ...swap(lists(chain), 'topPlateAngleLeft', 'topPlateAngleRight'),
      ...(after ? { after: lists(after) } : {}),
      ...(hurt ? { damage: hurt.map((each) => ({ ...each, side: each.side === 'left' ? 'right' : 'left' })) } : {}),
    };
  }

  it('are judged alike', () => {
    fc.assert(
      fc.property(anyChain, (chain) => {
        const [one, other] = [ofChain(chain), ofChain(mirrored(chain))];
        expect(other.verdicts.chain.action).toBe(one.verdicts.chain.action);
        expect(new Set(other.verdicts.chain.operations)).toEqual(new Set(one.verdicts.chain.operations));
        expect(other.chain.correction?.length.value ?? 0).toBeCloseTo(one.chain.correction?.length.value ?? 0, 6);
        expect(other.chain.imbalance?.value ?? 0).toBeCloseTo(-(one.chain.imbalance?.value ?? 0), 6);
      }),
      RUNS,
    );
  });
});

describe('the measuring plan', () => {
  const brought = fc.subarray(['whole-saw', 'bar', 'chain', 'drive-sprocket'] as const, { minLength: 1 });
  const symptoms = fc.subarray([...SYMPTOMS], { maxLength: 2 });
  const begun = fc.record({ brought, symptoms: symptoms as fc.Arbitrary<Symptom[]>, sheet: anySheet });

  const PART_OF: Readonly<Record<string, readonly string[]>> = {
    bar: ['bar', 'nose'],
    chain: ['chain'],
    driveSprocket: ['driveSprocket'],
  };

  it('asks for nothing of a part that did not come or is decided, but what the numbers, a complaint, a fall or a new part needs', () => {
    fc.assert(
      fc.property(begun, ({ brought: came, symptoms: said, sheet }) => {
        const written = { ...sheet, job: { ...sheet.job, brought: came, symptoms: said } };
        const read = readSheet(written);
        if (!read.ok) throw new Error(JSON.stringify(read.error));
        const { plan, verdicts, next } = appraise(read.value, DEFAULT_RULES, null);
        const parts = judgedParts(read.value);
        const measures = plan.steps.map(({ measure }) => measure);
        expect(new Set(measures).size).toBe(measures.length);
        expect(plan.steps[0]).toBe(next[0]);
        expect(plan.minutes).toBeCloseTo(minutesOf(plan.steps), 9);
        expect(plan.minutes).toBeGreaterThanOrEqual(plan.steps.reduce((sum, { minutes }) => sum + minutes, 0) - 1e-9);
        for (const { measure, reason } of plan.steps) {
          if (
            [
              'settles',
              'tells-cause',
              'came-off',
              'limit-waits',
              'step-may-stand',
              'contradicts',
              'metal-left',
              'gauge-open',
              'figure-waits',
              'chooses-part',
            ].includes(reason.code)
          )
            continue;
          const [group] = beginOf(measure).split('.');
          const of = (PART_OF[group!] ?? []).filter((part) => (parts as readonly string[]).includes(part));
          const open = of.some((part) => verdicts[part as keyof typeof verdicts].action === 'undecided');
          expect(open || group === 'chain', measure).toBe(true);
        }
      }),
      { ...RUNS, numRuns: 60 },
    );
  });

  it('grows shorter with what it asks for, taken in its order from the complaint on, until nothing is left to ask', () => {
    const good: Readonly<Record<string, string>> = {
      'chain.checks.crack': 'no',
      'bar.checks.crack': 'no',
      'bar.checks.bow': '0 mm',
      'bar.checks.noseTurns': 'free',
      'driveSprocket.wear': '0.1 mm',
      'chain.cuttersLeft.0': '8 mm',
      'chain.cuttersRight.0': '8 mm',
      'chain.driveLinkThickness': '1.27 mm',
      'chain.checks.edge': 'sharp',
      'strip.tension': 'right',
    };
    const entries = new Map<string, string>([['job.brought', 'whole-saw']]);
    /** Everything a hand takes down when it is asked for one thing. */
    const answers = (path: string): readonly (readonly [string, string])[] => {
      if (path.startsWith('chain.pushPull'))
        return [
          ['chain.pushPull.joints', '60'],
          ['chain.pushPull.closed', '495 mm'],
          ['chain.pushPull.pulled', '498 mm'],
        ];
      if (path.startsWith('chain.driveLinks')) return [[entries.has(path) ? 'chain.driveLinks.1' : path, '72']];
      if (path.startsWith('chain.span'))
        return [
          ['chain.span.rivets', '21'],
          ['chain.span.length', '165 mm'],
        ];
      const [, edge, , , field] = path.slice('bar.'.length).split('.');
      if (path.startsWith('bar.edges.') && field !== 'mouth')
        return (['at', 'near', 'far'] as const).map((key) => [
          `bar.edges.${edge}.stations.0.${key}`,
          key === 'at' ? '60 mm' : '8 mm',
        ]);
      if (field === 'mouth')
        return [
          [path, '1.36 mm'],
          [path.replace('mouth', 'at'), '60 mm'],
        ];
      return [[path, good[path] ?? fc.sample(fitting(path), { seed: 7, numRuns: 1 })[0]!]];
    };
    const minutes: number[] = [];
    for (let asked = 0; asked < 40; asked += 1) {
      const { sheet } = sheetFromEntries([...entries].map(([path, text]) => ({ path, text, unit: 'mm' as const })));
      const { plan } = appraise(sheet, DEFAULT_RULES, null);
      minutes.push(plan.minutes);
      const [first] = plan.steps;
      if (!first) break;
      for (const [path, text] of answers(beginOf(first.measure))) entries.set(path, text);
    }
    expect(minutes.at(-1)).toBe(0);
    expect(minutes[0]).toBeGreaterThan(10);
    minutes.forEach((now, i) => i > 0 && expect(now, minutes.join(' ')).toBeLessThan(minutes[i - 1]!));
  });
});
