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
  return possiblePlans({ judged, limits: DEFAULTS, stock });
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
