import { describe, expect, it } from 'vitest';
import { amountText, calendarDay, money, shopDay, shopMoment, type ShopStyle } from './shop-format';

const shop = (over: Partial<ShopStyle> = {}): ShopStyle => ({
  currency: 'GBP',
  timeZone: 'Europe/London',
  style: 'en-GB',
  ...over,
});
const plain = (text: string) => text.replace(/[\u00a0\u202f]/g, ' ');

describe('amounts and dates', () => {
  it('are written as the shop writes them', () => {
    expect(money(1790, shop())).toBe('£17.90');
    expect(plain(money(1790, shop({ currency: 'EUR', style: 'de-DE' })))).toBe('17,90 €');
    expect(plain(money(1790, shop({ currency: 'JPY', style: 'en-US' })))).toBe('¥1,790');
    expect(amountText(1790, shop())).toBe('17.90');
    expect(amountText(1790, shop({ currency: 'JPY' }))).toBe('1790');
  });

  it('are those of the shop’s zone, wherever the machine stands', () => {
    const night = '2026-06-30T23:30:00Z';
    expect(shopDay(night, shop())).toBe('1 Jul 2026');
    expect(shopDay(night, shop({ timeZone: 'America/Denver', style: 'en-US' }))).toBe('Jun 30, 2026');
    expect(plain(shopMoment(night, shop()))).toBe('1 Jul 2026, 00:30');
    expect(calendarDay(new Date(night), 'Europe/London')).toBe('2026-07-01');
    expect(calendarDay(new Date(night), 'America/Denver')).toBe('2026-06-30');
  });
});
