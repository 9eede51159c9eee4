import { describe, expect, it } from 'vitest';
import { bookingOf, lacks, takenFor, type Booked, type PartOrder } from './booking';

const booked = (over: Partial<Booked> = {}): Booked => ({
  moved: [],
  orders: [],
  shelf: new Map([['A', 0]]),
  today: '2026-11-26',
  ...over,
});
const order = (state: PartOrder['state'], due: string | null = null): PartOrder => ({
  id: state,
  sku: 'A',
  state,
  due,
});

describe('a part of a plan', () => {
  it('is in hand, on the shelf, on its way, refused, or missing', () => {
    expect(bookingOf('A', booked())).toBe('missing');
    expect(bookingOf('A', booked({ shelf: new Map([['A', 1]]) }))).toBe('on-shelf');
    expect(bookingOf('A', booked({ moved: [{ sku: 'A', kind: 'for-job', change: -1 }] }))).toBe('taken');
    expect(bookingOf('A', booked({ orders: [order('ordered')] }))).toBe('ordered');
    expect(bookingOf('A', booked({ orders: [order('refused')] }))).toBe('refused');
    // What was refused and stands on the shelf by now is taken from there.
    expect(bookingOf('A', booked({ orders: [order('refused')], shelf: new Map([['A', 2]]) }))).toBe('on-shelf');
    expect(bookingOf('A', booked({ orders: [order('arrived')] }))).toBe('missing');
    expect(bookingOf('A', booked({ orders: [order('refused'), order('cancelled'), order('confirmed')] }))).toBe(
      'confirmed',
    );
  });

  it('is late once its day has passed, and not on that day', () => {
    expect(bookingOf('A', booked({ orders: [order('confirmed', '2026-11-26')] }))).toBe('confirmed');
    expect(bookingOf('A', booked({ orders: [order('confirmed', '2026-11-25')] }))).toBe('late');
  });

  it('counts what was put back, and nothing of another part', () => {
    const moved = [
      { sku: 'A', kind: 'for-job', change: -1 },
      { sku: 'B', kind: 'for-job', change: -1 },
      { sku: 'A', kind: 'from-job', change: 1 },
      { sku: 'A', kind: 'arrived', change: 1 },
    ] as const;
    expect(takenFor('A', moved)).toBe(0);
    expect(takenFor('B', moved)).toBe(1);
  });

  it('keeps a job waiting unless it is in hand or at hand', () => {
    expect((['taken', 'on-shelf'] as const).some(lacks)).toBe(false);
    expect((['ordered', 'confirmed', 'late', 'refused', 'missing'] as const).every(lacks)).toBe(true);
  });
});
