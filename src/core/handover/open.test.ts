import { describe, expect, it } from 'vitest';
import { appraise, DEFAULT_RULES } from '../assess';
import { readSheet } from '../sheet';
import { stillOpen } from './open';

const open = (parts: object, over: Partial<Parameters<typeof stillOpen>[0]> = {}) => {
  const read = readSheet({ format: 'serrata-bench-sheet', version: 1, ...parts });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  const sheet = read.value;
  const leaving = {
    sheet,
    ...appraise(sheet, DEFAULT_RULES, null),
    signed: true,
    choices: null,
    notTaken: [],
    ...over,
  };
  return stillOpen(leaving).map(({ code }) => code);
};

const sprocket = (wear: string) => ({ driveSprocket: { pitch: '325', wear } });

describe('what is still open when a job goes', () => {
  it('is nothing of a sound part that was signed', () => {
    expect(open(sprocket('0.1 mm'))).toEqual([]);
    expect(open(sprocket('0.1 mm'), { signed: false })).toEqual(['not-signed']);
  });

  it('is a condemned part that no signed plan replaces, and its new one until it was taken', () => {
    expect(open(sprocket('0.9 mm'))).toEqual(['condemned']);
    const replaced = { choices: { driveSprocket: 'replace' } };
    expect(open(sprocket('0.9 mm'), replaced)).toEqual([]);
    expect(open(sprocket('0.9 mm'), { ...replaced, notTaken: ['S'] })).toEqual(['parts-missing']);
  });

  it('is a tension that hangs, was not measured, or waits for a pitch', () => {
    const saw = (over: object) => ({ job: { brought: ['whole-saw'] }, ...over });
    const tension = (over: object) => open(saw(over)).filter((code) => code === 'slack' || code === 'tension-open');
    const chain = { stamp: '.325', span: { rivets: 11, length: '82.7 mm' } };
    expect(tension({})).toEqual(['tension-open']);
    expect(tension({ refit: { lift: '8 mm' } })).toEqual(['tension-open']);
    expect(tension({ chain, refit: { lift: '8 mm' } })).toEqual([]);
    expect(tension({ chain, refit: { lift: '30 mm' } })).toEqual(['slack']);
    expect(open(sprocket('0.1 mm'))).not.toContain('tension-open');
  });
});
