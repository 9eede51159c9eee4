import { describe, expect, it } from 'vitest';
import { dayFormat, numberFormat } from './formats';

const ZONES = Intl.supportedValuesOf('timeZone');

describe('formats', () => {
  it('write the same however many were asked for before', () => {
    const moment = new Date('2026-11-25T23:30:00Z');
    const options = (timeZone: string) => ({ dateStyle: 'medium', timeStyle: 'short', timeZone }) as const;
    for (const zone of [...ZONES, ...ZONES.slice(0, 5)])
      expect(dayFormat('en-GB', options(zone)).format(moment), zone).toBe(
        new Intl.DateTimeFormat('en-GB', options(zone)).format(moment),
      );
  });

  it('are told apart by style and by options', () => {
    const euros = { style: 'currency', currency: 'EUR' } as const;
    expect(numberFormat('de-DE', euros).format(1234.5)).not.toBe(numberFormat('en-GB', euros).format(1234.5));
    expect(numberFormat('en-GB', { ...euros, currency: 'GBP' }).format(1)).toBe('£1.00');
    expect(numberFormat('en-GB', euros)).toBe(numberFormat('en-GB', { ...euros }));
  });
});
