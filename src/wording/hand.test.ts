import { describe, expect, it } from 'vitest';
import { INSTRUMENT_IDS, mm } from '../core/quantity';
import { biasSentence, flawSentence, instrumentSentence, scatterSentence, studySource } from '#language';

const found = { takes: 10, mean: 8.007, sd: 0.0149, between: [0.0103, 0.0273] as const, bias: null };

describe('what is said of hands and tools', () => {
  it('names what a tool is trusted with, and where that comes from', () => {
    for (const id of INSTRUMENT_IDS) expect(instrumentSentence(id)).toMatch(/common practice, no source\.$/);
  });

  it('gives the scatter with its interval', () => {
    expect(scatterSentence(found)).toBe(
      'One take scatters by 0.015 mm, and between 0.010 mm and 0.027 mm with 95 % by 10 takes.',
    );
    expect(scatterSentence({ ...found, takes: 1, between: null })).toBe('One take shows no scatter.');
  });

  it('says which way a tool is off, and that readings are put right only where the study counts', () => {
    const off = (value: number) => ({ ...found, bias: { value: mm(value), u: 0.004 } });
    expect(biasSentence(off(0.02), true)).toBe(
      'It shows 0.020 mm ± 0.008 mm too much; readings of this hand are put right by that.',
    );
    expect(biasSentence(off(-0.02), false)).toBe('It shows 0.020 mm ± 0.008 mm too little.');
    expect(biasSentence(off(0.0001), true)).toBe('It shows the size of the block, ± 0.008 mm.');
    expect(biasSentence(found, true)).toMatch(/^No block of known size/);
  });

  it('says of every flaw what to do', () => {
    const all = [
      { code: 'too-few', needed: 7 },
      { code: 'few' },
      { code: 'no-scatter' },
      { code: 'stray', take: 3 },
      { code: 'old', days: 500 },
      { code: 'biased', by: 0.1 },
      { code: 'scatters', times: 2.5 },
    ] as const;
    expect(new Set(all.map(flawSentence)).size).toBe(all.length);
    expect(flawSentence(all[3])).toContain('Take 3');
    expect(studySource({ by: 'Ines', on: '2026-11-20' })).toBe('measured: a study of Ines on 2026-11-20');
  });
});
