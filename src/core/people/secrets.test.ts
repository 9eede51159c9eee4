import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { passwordProblem, pinProblem, PASSWORD_LETTERS, PIN_DIGITS } from '.';

const COMMON = new Set(['password', 'canal', 'sunshine', 'dragonfly123']);
const common = (password: string) => COMMON.has(password);
const problem = (password: string, name = 'Ines Holloway') => passwordProblem(password, common, name);

describe('a password', () => {
  it('has twelve letters or more, of whatever kind, and at most a hundred and twenty-eight', () => {
    expect(problem('short one')).toBe('too-short');
    expect(problem('gravel lantern spoon')).toBeNull();
    expect(problem('ßéèñøüäö kelp')).toBeNull();
    // A letter of two code units is one letter.
    expect(problem('🪚🪵🔩🪛🧰🪜🧤🥽🛢️🪓')).toBe('too-short');
    expect(problem('a1b2 '.repeat(26))).toBe('too-long');
  });

  it('is none of those that are tried first, nor one with digits behind it or said twice', () => {
    for (const each of ['sunshine2026', 'Sunshine!2026', 'PASSWORD123456', 'sunshinesunshine', 'dragonfly123'])
      expect(problem(each), each).toBe('common');
  });

  it('is not the name, and not one letter over and over', () => {
    expect(problem('ines holloway 7')).toBe('own-name');
    expect(problem('aaaaaaaabaaa')).toBe('too-plain');
  });

  it('passes whatever is long and of many letters', () => {
    const letters = fc.array(fc.constantFrom(...'abcdefghijklmnopqrstuvwxyz'), { minLength: 12, maxLength: 60 });
    fc.assert(
      fc.property(letters, (all) => {
        const password = all.join('');
        const found = problem(password, 'Q');
        if (new Set(password).size >= 5 && !COMMON.has(password)) expect([null, 'common']).toContain(found);
        else expect(found).not.toBeNull();
      }),
      { seed: 1871 },
    );
    expect(PASSWORD_LETTERS.least).toBe(12);
  });
});

describe('a PIN', () => {
  it('has some digits, that are neither alike nor in a row', () => {
    for (const good of ['4821', '90210', '13579024']) expect(pinProblem(good), good).toBeNull();
    for (const row of ['1111', '1234', '9876', '000000', '45678']) expect(pinProblem(row), row).toBe('too-plain');
    expect(pinProblem('482')).toBe('too-short');
    expect(pinProblem('4'.repeat(PIN_DIGITS.most + 1))).toBe('too-long');
    expect(pinProblem('48 21')).toBe('not-digits');
    expect(pinProblem('٤٨٢١')).toBe('not-digits');
  });
});
