import { describe, expect, it } from 'vitest';
import { stockPart } from '../../../tests/support/stock-part';
import { undonePart } from './list-undo';

const before = stockPart({ sku: 'A', quantity: 2, priceCents: 100, name: 'Old' });
const after = { ...before, quantity: 10, priceCents: 200, name: 'New' };

describe('undoing what a list did to a part', () => {
  it('puts each field back that nobody changed since, and keeps what somebody did', () => {
    expect(undonePart({ before, after, now: after, since: [] })).toEqual({ part: before, isWhole: true });
    const now = { ...after, quantity: 7, priceCents: 250, minimum: 9 };
    expect(undonePart({ before, after, now, since: [{ kind: 'taken', change: -3 }] })).toEqual({
      part: { ...now, name: 'Old' },
      isWhole: false,
    });
    const some = { ...after, quantity: 9 };
    expect(undonePart({ before, after, now: some, since: [{ kind: 'taken', change: -1 }] })).toEqual({
      part: { ...before, quantity: 1 },
      isWhole: true,
    });
  });

  it('keeps the pieces where somebody counted since, or another list did that stands', () => {
    for (const kind of ['counted', 'list'])
      expect(undonePart({ before, after, now: after, since: [{ kind, change: 0 }] })).toEqual({
        part: { ...before, quantity: 10 },
        isWhole: false,
      });
    const cancelled = [
      { kind: 'list', change: 5 },
      { kind: 'list-undone', change: -5 },
    ];
    expect(undonePart({ before, after, now: after, since: cancelled }).isWhole).toBe(true);
  });

  it('takes a part off the list that it brought, but not one that was moved since', () => {
    expect(undonePart({ before: null, after, now: after, since: [] })).toEqual({ part: null, isWhole: true });
    const since = [
      { kind: 'taken', change: -1 },
      { kind: 'booked', change: 1 },
    ];
    expect(undonePart({ before: null, after, now: after, since })).toEqual({ part: after, isWhole: false });
  });
});
