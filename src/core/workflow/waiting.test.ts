import { describe, expect, it } from 'vitest';
import { appraise, DEFAULT_RULES } from '../assess';
import type { SignedChoices } from '../refit';
import { readSheet } from '../sheet';
import { WAITS } from '../reading';
import { waitsFor, type JobStanding } from './waiting';

const standing = (
  parts: object,
  { choices = null, ...over }: Partial<JobStanding> & { readonly choices?: SignedChoices | null } = {},
) => {
  const read = readSheet({ format: 'serrata-bench-sheet', version: 1, ...parts });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  const sheet = read.value;
  const appraisal = appraise(sheet, DEFAULT_RULES, choices);
  return waitsFor({ sheet, appraisal, signed: false, lacksParts: false, ...over });
};

const sprocket = (wear: string, over: object = {}) => ({ driveSprocket: { pitch: '325', wear, ...over } });

describe('what a job waits for', () => {
  it('is a reading while a verdict lacks one, or nothing was said at all', () => {
    expect(standing({})).toBe('to-measure');
    expect(standing({ driveSprocket: { pitch: '325' } })).toBe('to-measure');
  });

  it('is a call where all was read and the doubt is left', () => {
    expect(standing(sprocket('0.5 mm'))).toBe('too-close');
  });

  it('is a signature, then parts, the vise, the proof, and whoever it belongs to', () => {
    expect(standing(sprocket('0.1 mm'))).toBe('to-decide');
    expect(standing(sprocket('0.1 mm'), { signed: true, lacksParts: true })).toBe('waiting-for-parts');
    expect(standing(sprocket('0.1 mm', { drum: 'worn' }), { signed: true })).toBe('at-the-vise');
    expect(
      standing(sprocket('0.1 mm', { drum: 'worn' }), { signed: true, choices: { driveSprocket: 'replace' } }),
    ).toBe('ready');
    expect(standing(sprocket('0.1 mm'), { signed: true })).toBe('ready');
  });

  it('is the vise until a whole saw is put together, and then its proof', () => {
    const saw = (over: object = {}) => ({
      job: { brought: ['whole-saw'] },
      bar: { checks: { crack: 'yes' } },
      chain: { checks: { crack: 'yes' } },
      driveSprocket: { wear: '0.9 mm' },
      ...over,
    });
    const replaced = {
      signed: true,
      choices: { bar: 'replace', nose: 'replace', chain: 'replace', driveSprocket: 'replace' },
    };
    expect(standing(saw(), replaced)).toBe('at-the-vise');
    const done = [
      'tensioner-back',
      'cutters-forward',
      'pin-in-hole',
      'nuts-finger-tight',
      'tension',
      'nuts-evenly',
      'runs-by-hand',
      'tension-again',
    ];
    expect(standing(saw({ refit: { done } }), replaced)).toBe('to-prove');
    // A chain that hangs goes back to the vise.
    const hangs = saw({ refit: { done, lift: '30 mm' }, chain: { stamp: '325', checks: { crack: 'yes' } } });
    expect(standing(hangs, replaced)).toBe('at-the-vise');
    const proof = { oil: 'flies', swarf: 'chips', cut: { depth: '300 mm', side: 'none' } };
    expect(standing(saw({ refit: { done }, proof }), replaced)).toBe('ready');
    expect(standing(saw({ refit: { done }, proof: { ...proof, oil: 'none' } }), replaced)).toBe('to-prove');
  });

  it('is named in the order of the work', () => {
    expect(WAITS[0]).toBe('to-measure');
    expect(WAITS.at(-1)).toBe('ready');
  });
});
