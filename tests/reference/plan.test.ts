import { stockPart } from '../support/stock-part';
import fc from 'fast-check';
import highs from 'highs';
import { describe, expect, it } from 'vitest';
import { appraise, DEFAULT_RULES } from '../../src/core/assess';
import { familyAndGaugeMeet } from '../../src/core/families';
import { DEFAULTS, resolveLimits } from '../../src/core/limits';
import {
  brokenByWhatIs,
  combinations,
  costPerHour,
  keyOf,
  labour,
  numbersOfSet,
  planSet,
  possiblePlans,
  renewalCost,
  suitsClass,
  suitsSaw,
  wantedOf,
  workOf,
  type Choices,
  type Judged,
} from '../../src/core/plan';
import { DEFAULT_SCHOOLS } from '../../src/core/schools';
import { seeded } from '../../src/core/doubt';
import { readSheet, type WrittenBenchSheet } from '../../src/core/sheet';
import type { StockPart } from '../../src/core/stock';
import { anyStock, judgedSet } from '../support/plans';

describe('the cost of a running hour', () => {
  const set = (share = 1) => [
    { cost: 1800, left: 30 * share, whole: 30 * share },
    { cost: 6000, left: 150, whole: 150 },
    { cost: 1200, left: 60, whole: 60 },
  ];
  const today = 1800 + 6000 + 1200;

  it('is the sum of cost over mean life where everything is new (renewal reward; the model’s own check)', () => {
    expect(costPerHour(today, set(), 200, 0.25).value).toBeCloseTo(120, 9);
    expect(costPerHour(today, set(), 2000, 0.25).value).toBeCloseTo(120, 9);
    expect(costPerHour(today, set(0.8), 200, 0.25).value).toBeCloseTo(135, 9);
  });

  it('is what simulated renewals cost over a long time', () => {
    const { normal } = seeded(3);
    const parts = set();
    const HOURS = 200_000;
    let paid = today;
    for (const { cost, whole } of parts) {
      // Lives about their mean, a fifth of it to each side.
      const life = () => Math.max(1, whole * (1 + 0.2 * normal()));
      for (let at = life(); at < HOURS; at += life()) paid += cost;
    }
    expect(paid / HOURS / costPerHour(today, parts, HOURS, 0.25).value).toBeCloseTo(1, 2);
  });

  it('has a band that widens with the doubt of the lives, and holds four of five draws of them', () => {
    const { normal } = seeded(4);
    const parts = set();
    const { value, low, high } = costPerHour(today, parts, 200, 0.15);
    expect(costPerHour(today, parts, 200, 0)).toEqual({ value, low: value, high: value });
    let inside = 0;
    const DRAWS = 4000;
    for (let i = 0; i < DRAWS; i += 1) {
      const drawn = parts.map(({ cost, left, whole }) => {
        const by = Math.max(0.2, 1 + 0.15 * normal());
        return { cost, left: left * by, whole: whole * by };
      });
      const rate = costPerHour(today, drawn, 200, 0).value;
      inside += Number(rate >= low && rate <= high);
    }
    expect(Math.abs(inside / DRAWS - 0.8)).toBeLessThan(0.05);
  });

  it('rounds money to whole units, and never loses a part of one', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 600 }), fc.integer({ min: 0, max: 20_000 }), (minutes, rate) => {
        const limits = resolveLimits({ 'plan.labour': rate });
        if (!limits.ok) return;
        const cost = labour(minutes, limits.value);
        expect(Number.isInteger(cost)).toBe(true);
        expect(Math.abs(cost - (minutes * rate) / 60)).toBeLessThanOrEqual(0.5);
      }),
      { seed: 1 },
    );
  });
});

/** What is done today beside buying parts: the same for all parts that answer a combination. */
const workCost = (judged: Judged, choices: Choices): number => {
  const { minutes, worked } = workOf(judged, choices, DEFAULTS);
  return labour(minutes, DEFAULTS) + worked * DEFAULTS['plan.consumables'].value;
};

/**
 * Every way to pick one part of each kind, with no index and no pruning: the least that any combination costs today.
 */
function bruteForce(judged: Judged, stock: readonly StockPart[]): ReadonlyMap<string, number> {
  const wanted = wantedOf(judged, DEFAULT_SCHOOLS);
  const { chain, bar, driveSprocket, nose } = judged.identity;
  const set = numbersOfSet(judged.identity);
  const there = stock.filter(({ quantity }) => quantity > 0);
  const nothing = [null];
  const least = new Map<string, number>();
  for (const choices of combinations(judged)) {
    if (brokenByWhatIs(judged, choices)) continue;
    const of = (kind: StockPart['kind'], isNew: boolean) =>
      isNew ? there.filter((part) => part.kind === kind) : nothing;
    for (const newBar of of('bar', choices.bar === 'replace'))
      for (const newChain of of('chain', choices.chain === 'replace'))
        for (const newSprocket of of('drive-sprocket', choices.driveSprocket === 'replace'))
          for (const newNose of of('nose', choices.nose === 'replace' && choices.bar !== 'replace')) {
            const pitches = [
              newChain ? newChain.pitch : choices.chain ? chain.pitch.value : null,
              newBar ? newBar.pitch : choices.bar ? bar.pitch.value : null,
              newSprocket ? newSprocket.pitch : choices.driveSprocket ? driveSprocket.pitch.value : null,
              newNose ? newNose.pitch : null,
            ].filter((pitch) => pitch !== null);
            const gauges = [
              newChain?.gauge ?? (choices.chain ? chain.gauge.value : null),
              newBar?.gauge ?? (choices.bar ? bar.gauge.value : null),
            ].filter((gauge) => gauge !== null);
            const links = [
              newChain?.driveLinks ?? (choices.chain ? chain.driveLinks.value : null),
              newBar ? newBar.driveLinks : choices.bar ? chain.driveLinks.value : null,
            ].filter((count) => count !== null);
            if (choices.nose && choices.nose !== 'replace')
              pitches.push(...(nose.pitch.value ? [nose.pitch.value] : []));
            const isOne = [pitches, gauges, links].every((values) => new Set<unknown>(values).size <= 1);
            if (!isOne) continue;
            // What goes on around a bar that stays goes by numbers that must be known.
            const isSettled = chain.pitch.value && chain.gauge.value && chain.driveLinks.value;
            const allKnown = set.pitch && set.gauge && set.driveLinks;
            if (newChain && !newBar && !allKnown) continue;
            if (
              (newSprocket ?? newNose) &&
              !newBar &&
              !(choices.chain && choices.chain !== 'replace' && isSettled ? chain.pitch.value : set.pitch)
            )
              continue;
            // A new bar for a chain that stays needs all three of the chain's numbers.
            if (newBar && choices.chain && choices.chain !== 'replace' && !isSettled) continue;
            // A chain for a bar that did not come is one like the old chain.
            const likeOld =
              [newChain?.pitch, newChain?.gauge, newChain?.driveLinks].join() ===
              [chain.pitch.value, chain.gauge.value, chain.driveLinks.value].join();
            if (newChain && !choices.bar && !likeOld) continue;
            // A bar that came alone goes back to the chain it came from.
            const asItCame =
              [newBar?.pitch, newBar?.gauge, newBar?.driveLinks].join() ===
              [set.pitch, set.gauge, set.driveLinks].join();
            if (newBar && !choices.chain && !asItCame) continue;
            if (newBar && !(newBar.gauge && newBar.driveLinks && newBar.pitch && suitsSaw(newBar, wanted))) continue;
            if (
              newChain &&
              !(
                newChain.pitch &&
                newChain.gauge &&
                suitsClass(newChain, wanted) &&
                familyAndGaugeMeet(newChain.pitch, newChain.gauge)
              )
            )
              continue;
            if (newNose && newNose.teeth !== wanted.noseTeeth) continue;
            // A rim is replaced by a rim.
            if (newSprocket && wanted.sprocketKind && newSprocket.sprocketKind !== wanted.sprocketKind) continue;
            const staysInPitch = driveSprocket.pitch.value === newSprocket?.pitch;
            if (
              newSprocket &&
              staysInPitch &&
              wanted.sprocketTeeth !== null &&
              newSprocket.teeth !== wanted.sprocketTeeth
            )
              continue;
            const price = [newBar, newChain, newSprocket, newNose].reduce(
              (sum, part) => sum + (part?.priceCents ?? 0),
              0,
            );
            const cost = workCost(judged, choices) + price;
            const key = JSON.stringify(choices);
            least.set(key, Math.min(least.get(key) ?? Infinity, cost));
          }
  }
  return least;
}

describe('the search for plans', () => {
  it('finds what brute force finds on small stocks: the same combinations, each at the same least cost', () => {
    let possible = 0;
    fc.assert(
      fc.property(judgedSet, anyStock(16), (judged, stock) => {
        const found = new Map<string, number>();
        for (const { choices, costToday } of possiblePlans({ judged, limits: DEFAULTS, stock }).plans) {
          const key = JSON.stringify(choices);
          found.set(key, Math.min(found.get(key) ?? Infinity, costToday));
        }
        possible += found.size;
        expect(Object.fromEntries(found)).toEqual(Object.fromEntries(bruteForce(judged, stock)));
      }),
      { seed: 11, numRuns: 150 },
    );
    expect(possible).toBeGreaterThan(80);
  });

  it('finds the least that an integer program finds on larger stocks (HiGHS)', async () => {
    const solver = await highs();
    let solved = 0;
    for (const [judged, stock] of fc.sample(fc.tuple(judgedSet, anyStock(120)), { seed: 12, numRuns: 12 })) {
      const { plans } = possiblePlans({ judged, limits: DEFAULTS, stock });
      const least = Math.min(...plans.map(({ costToday }) => costToday));
      const program = integerProgram(judged, stock);
      if (!program) {
        expect(plans).toEqual([]);
        continue;
      }
      const { Status, ObjectiveValue } = solver.solve(program);
      if (Status !== 'Optimal') {
        expect(plans, Status).toEqual([]);
        continue;
      }
      solved += 1;
      expect(least).toBeCloseTo(ObjectiveValue, 6);
    }
    expect(solved).toBeGreaterThan(5);
  });

  it('names the least today, the least an hour and the fresh set, and hides only what is beaten', () => {
    fc.assert(
      fc.property(judgedSet, anyStock(20), (judged, stock) => {
        const all = possiblePlans({ judged, limits: DEFAULTS, stock }).plans;
        const { plans, dominated } = planSet({ judged, limits: DEFAULTS, stock });
        expect(plans.length + dominated).toBe(all.length);
        const beats = (a: (typeof all)[number], b: (typeof all)[number]) =>
          a.costToday <= b.costToday &&
          a.costPerHour.value <= b.costPerHour.value &&
          (a.costToday < b.costToday || a.costPerHour.value < b.costPerHour.value);
        const shown = new Set(plans.map(keyOf));
        for (const plan of all)
          if (!shown.has(keyOf(plan)))
            expect(
              all.some((other) => beats(other, plan)),
              keyOf(plan),
            ).toBe(true);
        for (const plan of plans)
          if (plan.named.length === 0)
            expect(
              all.some((other) => beats(other, plan)),
              keyOf(plan),
            ).toBe(false);
        if (all.length === 0) return;
        const least = plans.find(({ named }) => named.includes('least-today'))!;
        expect(least.costToday).toBe(Math.min(...all.map(({ costToday }) => costToday)));
        const hour = plans.find(({ named }) => named.includes('least-per-hour'))!;
        expect(hour.costPerHour.value).toBe(Math.min(...all.map(({ costPerHour: { value } }) => value)));
        // About as cheap an hour is a plan whose range reaches into that of the cheapest, and never that plan itself.
        for (const plan of plans) {
          const reaches =
            plan.costPerHour.low <= hour.costPerHour.high && hour.costPerHour.low <= plan.costPerHour.high;
          expect(plan.isAlike, keyOf(plan)).toBe(plan !== hour && reaches);
        }
      }),
      { seed: 13, numRuns: 60 },
    );
  });
});

/**
 * The same question as an integer program: one of the combinations, and for each kind that it replaces one part whose
 * numbers are those of the set. Null where no combination is allowed.
 */
function integerProgram(judged: Judged, stock: readonly StockPart[]): string | null {
  const wanted = wantedOf(judged, DEFAULT_SCHOOLS);
  const { chain, driveSprocket } = judged.identity;
  const allowed = combinations(judged).filter((choices) => !brokenByWhatIs(judged, choices));
  if (allowed.length === 0) return null;
  const there = stock.filter(({ quantity }) => quantity > 0);
  const key = (pitch: unknown, gauge: unknown, links: unknown) => `${String(pitch)}|${String(gauge)}|${String(links)}`;
  const set = numbersOfSet(judged.identity);
  const setKey = key(set.pitch, set.gauge, set.driveLinks);
  const numbers = [
    ...new Set([
      setKey,
      ...there
        .filter(({ kind, pitch, gauge, driveLinks }) => kind === 'bar' && pitch && gauge && driveLinks)
        .map((part) => key(part.pitch, part.gauge, part.driveLinks)),
    ]),
  ];
  const objective: string[] = [];
  const rows: string[] = [];
  const binaries: string[] = [];
  const variable = (name: string, cost: number) => {
    binaries.push(name);
    if (cost !== 0) objective.push(`${cost} ${name}`);
    return name;
  };
  const y = allowed.map((choices, c) => variable(`y${c}`, workCost(judged, choices)));
  const z = numbers.map((_, n) => variable(`z${n}`, 0));
  rows.push(`${y.join(' + ')} = 1`, `${z.join(' + ')} = 1`);
  const kinds = [
    ['bar', 'bar', (part: StockPart) => !!part.pitch && !!part.gauge && !!part.driveLinks && suitsSaw(part, wanted)],
    [
      'chain',
      'chain',
      (part: StockPart) =>
        !!part.pitch && !!part.gauge && suitsClass(part, wanted) && familyAndGaugeMeet(part.pitch, part.gauge),
    ],
    [
      'driveSprocket',
      'drive-sprocket',
      (part: StockPart) =>
        (wanted.sprocketKind === null || part.sprocketKind === wanted.sprocketKind) &&
        (driveSprocket.pitch.value !== part.pitch ||
          wanted.sprocketTeeth === null ||
          part.teeth === wanted.sprocketTeeth),
    ],
    ['nose', 'nose', (part: StockPart) => part.teeth === wanted.noseTeeth],
  ] as const;
  for (const [part, kind, willDo] of kinds) {
    const usable = there.filter((each) => each.kind === kind && willDo(each));
    const x = usable.map((each, i) => variable(`x_${part}_${i}`, each.priceCents));
    const renews = allowed.flatMap((choices, c) =>
      choices[part] === 'replace' && (part !== 'nose' || choices.bar !== 'replace') ? [`y${c}`] : [],
    );
    rows.push(`${[...x, ...renews.map((name) => `- ${name}`)].join(' + ').replaceAll('+ -', '-') || '0 y0'} = 0`);
    usable.forEach((each, i) => {
      const matching = numbers.flatMap((set, n) => {
        const [pitch, gauge, links] = set.split('|');
        const fits =
          part === 'bar' || part === 'chain'
            ? set === key(each.pitch, each.gauge, each.driveLinks)
            : pitch === String(each.pitch) && gauge !== undefined && links !== undefined;
        return fits ? [`z${n}`] : [];
      });
      rows.push(matching.length > 0 ? `x_${part}_${i} - ${matching.join(' - ')} <= 0` : `x_${part}_${i} = 0`);
    });
  }
  // What stays holds the set to its own numbers.
  allowed.forEach((choices, c) => {
    const ok = (set: string) => {
      const [pitch, gauge, links] = set.split('|');
      if (choices.bar && (choices.bar !== 'replace' || !choices.chain) && set !== setKey) return false;
      if (!choices.bar && choices.chain === 'replace' && set !== setKey) return false;
      if (
        choices.chain &&
        choices.chain !== 'replace' &&
        (pitch !== chain.pitch.value || gauge !== chain.gauge.value || links !== String(chain.driveLinks.value))
      )
        return false;
      return !(
        choices.driveSprocket &&
        choices.driveSprocket !== 'replace' &&
        driveSprocket.pitch.value !== null &&
        pitch !== driveSprocket.pitch.value
      );
    };
    const fine = numbers.flatMap((set, n) => (ok(set) ? [`z${n}`] : []));
    rows.push(fine.length > 0 ? `y${c} - ${fine.join(' - ')} <= 0` : `y${c} = 0`);
  });
  return `Minimize\n obj: ${objective.join(' + ') || '0 y0'}\nSubject To\n${rows.map((row, i) => ` c${i}: ${row}`).join('\n')}\nBinary\n ${binaries.join(' ')}\nEnd`;
}

describe('a plan in the trade', () => {
  type Parts = Omit<WrittenBenchSheet, 'format' | 'version'>;
  const judge = (parts: Parts): Judged => {
    const read = readSheet({ format: 'serrata-bench-sheet', version: 1, ...parts });
    if (!read.ok) throw new Error(JSON.stringify(read.error));
    return { sheet: read.value, ...appraise(read.value, DEFAULT_RULES, null) };
  };
  const part = stockPart;
  const chain = { stamp: '.325 .050', driveLinks: [72, 72], checks: { crack: 'yes' as const } };

  it('never steps up from low-kickback chain in silence (common practice, no source)', () => {
    const judged = judge({ chain: { ...chain, kickbackClass: 'low-kickback' } });
    const standard = part({ kickbackClass: 'standard' });
    expect(planSet({ judged, limits: DEFAULTS, stock: [standard] })).toMatchObject({
      plans: [],
      ruledOut: { 'no-chain': 1 },
    });
    expect(
      planSet({ judged, limits: DEFAULTS, stock: [standard, part({ sku: 'L', priceCents: 5000 })] }).plans[0]!.picks
        .chain!.sku,
    ).toBe('L');
  });

  it('says what a new chain on a worn sprocket costs, and puts none on a condemned one (common practice, no source)', () => {
    const stock = [
      part({}),
      part({ sku: 'S', kind: 'drive-sprocket', gauge: null, driveLinks: null, kickbackClass: null, teeth: 7 }),
    ];
    const on = (wear: string) =>
      planSet({ judged: judge({ chain, driveSprocket: { wear, pitch: '325' } }), limits: DEFAULTS, stock });
    const worn = on('0.40 mm').plans.find(({ choices }) => choices.driveSprocket === 'keep')!;
    expect(worn.notes).toContainEqual({ code: 'worn-sprocket', share: 80 });
    const finished = on('0.70 mm');
    expect(finished.plans.every(({ choices }) => choices.driveSprocket === 'replace')).toBe(true);
    expect(finished.ruledOut['parts-may-go-back-on']).toBeGreaterThan(0);
  });

  it('prices a later renewal by the part that fits, else by the shop’s figure', () => {
    const fitting = 4 * (DEFAULTS['plan.labour'].value / 60);
    expect(renewalCost('chain', part({}), DEFAULTS)).toBe(1000 + fitting);
    expect(renewalCost('chain', null, DEFAULTS)).toBe(DEFAULTS['plan.price.chain'].value + fitting);
  });
});
