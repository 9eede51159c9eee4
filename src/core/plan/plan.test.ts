import { stockPart } from '../../../tests/support/stock-part';
import { describe, expect, it } from 'vitest';
import { appraise, DEFAULT_RULES } from '../assess';
import { DEFAULTS } from '../limits';
import { readSheet, type WrittenBenchSheet } from '../sheet';
import type { StockPart } from '../stock';
import { possiblePlans } from './plan';

const stock: readonly StockPart[] = [
  stockPart({ sku: 'C', quantity: 3 }),
  stockPart({ sku: 'S', kind: 'drive-sprocket', gauge: null, driveLinks: null, kickbackClass: null, teeth: 7 }),
];

const edge = { stations: [{ at: '60 mm', near: '8 mm', far: '8 mm', mouth: '1.34 mm' }] };

/** A sound set of .325, .050 and 72 links; what is given lies over it. */
function plansOf(
  bar: WrittenBenchSheet['bar'] = {},
  chain: WrittenBenchSheet['chain'] = {},
  rest: Partial<WrittenBenchSheet> = {},
  shelf: readonly StockPart[] = stock,
) {
  const read = readSheet({
    format: 'serrata-bench-sheet',
    version: 1,
    job: { operatorTrained: true },
    saw: { mount: 'M2' },
    ...rest,
    bar: {
      stamp: '18 in .325 .050 72DL',
      mount: 'M2',
      noseTeeth: 10,
      thickness: '4.2 mm',
      edges: { A: edge, B: edge },
      ...bar,
      checks: { crack: 'no', bow: '0 mm', noseTurns: 'free', straightEdge: 'gap-stays', ...bar?.checks },
    },
    chain: {
      stamp: '.325 .050',
      span: { rivets: 11, length: '82.7 mm' },
      driveLinks: [72, 72],
      driveLinkThickness: '1.26 mm',
      cuttersLeft: ['6 mm'],
      cuttersRight: ['6 mm'],
      pushPull: { joints: 60, closed: '495 mm', pulled: '498 mm' },
      kickbackClass: 'low-kickback',
      ...chain,
      checks: { crack: 'no', ...chain?.checks },
    },
    driveSprocket: { pitch: '325', wear: '0.05 mm' },
  });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  const judged = { sheet: read.value, ...appraise(read.value, DEFAULT_RULES, null) };
  return possiblePlans({ judged, limits: DEFAULTS, stock: shelf });
}

const replacesChain = ({ plans }: ReturnType<typeof plansOf>) =>
  plans.some(({ choices }) => choices.chain === 'replace');

describe('rules that plans are held to', () => {
  it('the sound set can be kept, and can take a new chain', () => {
    const set = plansOf();
    expect(set.plans.some(({ choices }) => choices.bar === 'keep' && choices.chain === 'keep')).toBe(true);
    expect(replacesChain(set)).toBe(true);
  });

  it('a new chain goes over no nose of another pitch that stays', () => {
    const set = plansOf({ nosePitch: '404' }, { checks: { crack: 'yes' } });
    expect(set.plans.filter(({ choices }) => choices.chain === 'replace' && choices.bar === 'keep')).toEqual([]);
    expect(Object.keys(set.ruledOut)).toContain('chain-pitch-is-nose-pitch');
  });

  it('links that a stamp alone says are no count: no chain is chosen by them', () => {
    const set = plansOf({}, { driveLinks: [], checks: { crack: 'yes' } });
    expect(replacesChain(set)).toBe(false);
    expect(set.ruledOut['numbers-not-settled']).toBeGreaterThan(0);
  });

  it('a standard chain is not kept for somebody who is not trained, without a choice on record', () => {
    const kept = (job: WrittenBenchSheet['job']) =>
      plansOf({}, { kickbackClass: 'standard' }, { job }).plans.some(({ choices }) => choices.chain === 'keep');
    expect(kept({ operatorTrained: true })).toBe(true);
    expect(kept({ operatorTrained: false })).toBe(false);
  });

  it('says beside every plan that what catches a thrown chain is broken', () => {
    const { plans } = plansOf({}, {}, { saw: { mount: 'M2', checks: { chainCatcher: 'missing' } } });
    expect(plans.length).toBeGreaterThan(0);
    expect(plans.every(({ notes }) => notes.some(({ code }) => code === 'guards-broken'))).toBe(true);
    expect(plansOf().plans.some(({ notes }) => notes.some(({ code }) => code === 'guards-broken'))).toBe(false);
  });
});

describe('what a plan takes for the drive', () => {
  const sprocket = { gauge: null, driveLinks: null, kickbackClass: null, teeth: 7 } as const;
  const shelf: readonly StockPart[] = [
    stockPart({ ...sprocket, sku: 'SPUR', kind: 'drive-sprocket', sprocketKind: 'spur', priceCents: 100 }),
    stockPart({ ...sprocket, sku: 'OTHER', kind: 'drive-sprocket', sprocketKind: 'rim', splines: 9, priceCents: 200 }),
    stockPart({ ...sprocket, sku: 'UNSAID', kind: 'drive-sprocket', priceCents: 300 }),
    stockPart({ ...sprocket, sku: 'RIM', kind: 'drive-sprocket', sprocketKind: 'rim', splines: 7, priceCents: 400 }),
    stockPart({ ...sprocket, sku: 'CLIP', kind: 'clip', saw: 'Ondral' }),
    stockPart({ ...sprocket, sku: 'DRUM', kind: 'drum', splines: 7, priceCents: 2000 }),
  ];

  function driven(
    driveSprocket: WrittenBenchSheet['driveSprocket'],
    saw: WrittenBenchSheet['saw'],
    stocked: readonly StockPart[] = shelf,
  ) {
    const read = readSheet({ format: 'serrata-bench-sheet', version: 1, saw, driveSprocket });
    if (!read.ok) throw new Error(JSON.stringify(read.error));
    const judged = { sheet: read.value, ...appraise(read.value, DEFAULT_RULES, null) };
    const { plans } = possiblePlans({ judged, limits: DEFAULTS, stock: stocked });
    const plan = plans.find(({ choices }) => choices.driveSprocket !== 'keep');
    return plan && { skus: Object.values(plan.picks).map(({ sku }) => sku), notes: plan.notes, plan };
  }
  const worn = { pitch: '325', wear: '0.8 mm', teeth: 7 } as const;

  it('a rim by its splines and never a spur, however cheap; known to sit before cheaper', () => {
    const found = driven({ ...worn, type: 'rim' }, { splines: 7 });
    expect(found?.skus).toEqual(['RIM']);
    expect(found?.notes).toEqual([]);
  });

  it('where the saw is not known it is the cheapest of the kind, and the plan says so', () => {
    const found = driven({ ...worn, type: 'rim' }, undefined);
    expect(found?.skus).toEqual(['OTHER']);
    expect(found?.notes).toEqual([{ code: 'saw-not-known', skus: ['OTHER'] }]);
  });

  it('by what the saw takes where nobody named the kind of the old one', () => {
    expect(driven(worn, { sprocketKind: 'spur' })?.skus).toEqual(['SPUR']);
    expect(driven({ ...worn, type: 'rim' }, { splines: 7 }, shelf.slice(0, 2))).toBeUndefined();
  });

  it('its clip, drum and bearing, in its price; one that no list has is named', () => {
    const sound = { pitch: '325', wear: '0.05 mm', type: 'rim' } as const;
    const clip = driven({ ...sound, clip: 'bent' }, { label: 'Ondral 52' });
    expect(clip?.skus).toEqual(['CLIP']);
    expect(clip?.plan.costToday).toBeGreaterThanOrEqual(1000);
    const drum = driven({ ...worn, type: 'rim', drum: 'worn', bearing: 'worn' }, { splines: 7 });
    expect(drum?.skus).toEqual(['RIM', 'DRUM']);
    expect(drum?.notes).toEqual([{ code: 'not-listed', parts: ['bearing'] }]);
    // A spur is one piece with its drum.
    expect(driven({ ...worn, type: 'spur', drum: 'worn' }, undefined)?.skus).toEqual(['SPUR']);
  });
});

describe('the sequence of a new chain', () => {
  const chains: readonly StockPart[] = [
    stockPart({ sku: 'FULL', sequence: 'full-complement', priceCents: 900 }),
    stockPart({ sku: 'SKIP', sequence: 'full-skip', priceCents: 1900 }),
    stockPart({ sku: 'UNSAID', priceCents: 1200 }),
  ];
  const taken = (chain: WrittenBenchSheet['chain'], stocked: readonly StockPart[]) => {
    const { plans } = plansOf({}, chain, {}, stocked);
    const plan = plans.find(({ choices }) => choices.chain === 'replace' && choices.bar === 'keep');
    return plan && [plan.picks.chain?.sku, ...plan.notes.map(({ code }) => code)];
  };

  it('is the counted one, however cheap the others are', () => {
    expect(taken({ cutters: 36 }, chains)).toEqual(['FULL']);
    expect(taken({ cutters: 24 }, chains)).toEqual(['SKIP']);
    expect(taken({ cutters: 24, sequence: 'full-complement' }, chains)).toEqual(['SKIP']);
  });

  it('where the list does not say it, is looked at first; where nobody counted, it is the usual one', () => {
    expect(taken({ cutters: 24 }, [chains[0]!, chains[2]!])).toEqual(['UNSAID', 'sequence-not-said']);
    expect(taken({}, chains)).toEqual(['FULL']);
    expect(taken({}, [chains[1]!])).toEqual(['SKIP', 'sequence-not-counted']);
  });
});

describe('a new bar', () => {
  const bars: readonly StockPart[] = [
    ...stock,
    stockPart({ sku: 'B', kind: 'bar', kickbackClass: null, mount: 'M2', listedInches: 18, quantity: 1 }),
    stockPart({
      sku: 'B-conv',
      kind: 'bar',
      kickbackClass: null,
      mount: 'M2',
      gauge: '.058',
      listedInches: 18,
      quantity: 1,
    }),
    stockPart({ sku: 'C-conv', gauge: '.058', quantity: 1 }),
    stockPart({ sku: 'B-other', kind: 'bar', kickbackClass: null, mount: 'M3', listedInches: 18, quantity: 1 }),
  ];
  const newBars = (...given: Parameters<typeof plansOf>) =>
    new Set(plansOf(given[0], given[1], given[2], bars).plans.flatMap(({ picks }) => picks.bar?.sku ?? []));

  it('may be of other numbers only where its length is known, and the whole set goes with it', () => {
    expect(newBars()).toEqual(new Set(['B', 'B-conv']));
    const noLength = { stamp: '.325 .050 72DL' };
    expect(newBars(noLength)).toEqual(new Set(['B']));
    for (const { choices, picks } of plansOf({}, {}, {}, bars).plans)
      if (picks.bar?.sku === 'B-conv') expect(choices.chain).toBe('replace');
  });
});
