import { describe, expect, it } from 'vitest';
import { FIELD_KINDS, parseLength, type FieldKind } from './index';

function read(text: string, kind: FieldKind, declared?: 'mm' | 'in') {
  const result = parseLength(text, kind, declared);
  return result.ok ? Number(result.value.length.toFixed(6)) : result.error.code;
}

describe('typed lengths', () => {
  it.each([
    ['3/8', 'pitch', 9.525],
    ['1 1/2"', 'kerf', 'out-of-range'],
    ['1 1/2"', 'span', 38.1],
    ['1-1/2 in', 'span', 38.1],
    ['.325', 'pitch', 8.255],
    ['13/64 in', 'depth', 5.159375],
    ['50 thou', 'gauge', 1.27],
    ['1.3mm', 'gauge', 1.3],
    ['1,3 mm', 'gauge', 1.3],
    ['9/16', 'depth', 14.2875],
    ['½', 'depth', 12.7],
    ['45cm', 'barLength', 450],
    ['50', 'gauge', 1.27],
    ['.043', 'gauge', 1.0922],
    ['1.3', 'gauge', 1.3],
    ['7.9 mm', 'depth', 7.9],
    ['17 1/4 in', 'barLength', 438.15],
  ] as const)('%s in a %s field is %s', (text, kind, expected) => {
    expect(read(text, kind)).toBe(expected);
  });

  it.each([
    ['five', 'depth', 'not-a-length'],
    ['', 'depth', 'empty'],
    ['-3', 'depth', 'negative'],
    ['−3 mm', 'depth', 'negative'],
    ['80 mm', 'depth', 'out-of-range'],
    ['3/0', 'depth', 'not-a-length'],
    ['7.9 furlongs', 'depth', 'not-a-length'],
    ['1.2.3', 'depth', 'not-a-length'],
    ['3/8/2', 'pitch', 'not-a-length'],
  ] as const)('%s in a %s field is refused as %s', (text, kind, code) => {
    expect(read(text, kind)).toBe(code);
  });

  it('refuses a bare number that fits two readings and names both', () => {
    const result = parseLength('0.5', 'depth');
    expect(result).toMatchObject({
      ok: false,
      error: { code: 'ambiguous', readings: [{ text: '0.5 mm' }, { text: '0.5 in' }] },
    });
  });

  it('takes the unit shown beside the field for a bare number', () => {
    expect(read('0.5', 'depth', 'mm')).toBe(0.5);
    expect(read('0.5', 'depth', 'in')).toBe(12.7);
  });

  it('keeps a written unit against the one beside the field', () => {
    expect(read('7.9 mm', 'depth', 'in')).toBe(7.9);
  });

  it('reads a comma before three digits both ways and lets the range decide', () => {
    expect(read('1,300 mm', 'gauge')).toBe(1.3);
    expect(read('1,300 mm', 'station')).toBe('ambiguous');
  });

  it.each(['1', '.0', '1/3', '1,2', '1 2/3', '3/'])('refuses %s written on and on, in every kind of field', (part) => {
    for (const kind of Object.keys(FIELD_KINDS) as FieldKind[])
      for (const times of [21, 200, 700]) {
        const on = part.endsWith('/') ? part + '9'.repeat(times) : part + '0'.repeat(times) + '1';
        for (const text of [on, `${on} mm`, `${on} in`]) expect(read(text, kind)).toBe('too-many-digits');
      }
  });

  it('reads mil only where one of its two meanings is possible', () => {
    expect(read('50 mil', 'gauge')).toBe(1.27);
    expect(read('10 mil', 'depth')).toBe('ambiguous');
  });
});
