import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { listText, MOST_LIST_BYTES, type ListEncoding } from './list-text';

const LIST = 'sku;name\nK-1;Chaîne à 64 maillons\n';

function bytesOf(text: string, encoding: ListEncoding, mark = false): Uint8Array {
  if (encoding === 'utf-8') return Buffer.from(`${mark ? '\ufeff' : ''}${text}`, 'utf8');
  if (encoding === 'windows-1252') return Buffer.from(text, 'latin1');
  const little = Buffer.from(`${mark ? '\ufeff' : ''}${text}`, 'utf16le');
  return encoding === 'utf-16le' ? little : little.swap16();
}

describe('the text of a list', () => {
  it.each([
    ['utf-8', false],
    ['utf-8', true],
    ['utf-16le', true],
    ['utf-16le', false],
    ['utf-16be', true],
    ['utf-16be', false],
    ['windows-1252', false],
  ] as const)('is read from %s, marked: %s', (encoding, mark) => {
    expect(listText(bytesOf(LIST, encoding, mark))).toEqual({ ok: true, value: { text: LIST, encoding } });
  });

  it('is refused where it is no text, a workbook, or larger than is held in a browser', () => {
    expect(listText(Buffer.from([0x50, 0x4b, 3, 4]))).toMatchObject({ error: { code: 'workbook' } });
    expect(listText(Buffer.from([1, 2, 3, 0, 5, 6]))).toMatchObject({ error: { code: 'not-text' } });
    expect(listText(new Uint8Array(MOST_LIST_BYTES + 1))).toMatchObject({ error: { code: 'too-large' } });
  });

  it('marked as one thing and written as another, is no text', () => {
    expect(listText(Buffer.from([0xef, 0xbb, 0xbf, 0xe9, 0x20]))).toMatchObject({ error: { code: 'not-text' } });
  });

  it('comes back letter by letter, whatever stands in it', () => {
    const text = fc.string({ unit: 'grapheme', minLength: 1 }).filter((each) => !/[\u0000-\u001f\ufeff]/.test(each)); // eslint-disable-line no-control-regex
    fc.assert(
      fc.property(text, (each) => {
        const read = listText(bytesOf(`sku,name\nK,${each}\n`, 'utf-8'));
        if (read.ok) expect(read.value.text).toBe(`sku,name\nK,${each}\n`);
      }),
      { seed: 51, numRuns: 200 },
    );
  });
});
