import { describe, expect, it } from 'vitest';
import { DEMO_SHEETS } from '../../data/demo';
import { appraise, DEFAULT_RULES } from '../assess';
import { readSheet } from '../sheet';
import { judgedParts } from '../judge';
import { asItCame, choicesOf, handOver, type HandedOver } from './index';

/** The demo's worn bar with the edge that went down, handed over. */
function handed(over: Partial<HandedOver> = {}) {
  const { bar, ...rest } = DEMO_SHEETS['L-0417']!;
  const read = readSheet({ ...rest, bar: { ...bar, edgeDownNow: 'B' } });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  const sheet = read.value;
  return handOver({
    judged: { sheet, ...appraise(sheet, DEFAULT_RULES, null) },
    before: appraise(asItCame(sheet), DEFAULT_RULES, null),
    choices: { bar: 'recondition', chain: 'keep' },
    fitted: null,
    newChain: null,
    ...DEFAULT_RULES,
    ...over,
  });
}

describe('what is handed over', () => {
  it('tells which edge of the bar that stayed is down, and of a new one nothing: no edge of it has worn', () => {
    expect(handed().edgeDown).toBe('B');
    expect(handed({ choices: { bar: 'replace' } }).edgeDown).toBeNull();
    expect(handed({ choices: { bar: 'replace' }, fitted: ['bar'] }).edgeDown).toBeNull();
  });

  it('says of a part whose new one was not taken that it was kept', () => {
    const chosen = (fitted: HandedOver['fitted']) =>
      handed({ choices: { bar: 'replace' }, fitted }).parts.find(({ part }) => part === 'bar')!.choice;
    expect([chosen(null), chosen(['bar']), chosen([])]).toEqual(['replace', 'replace', 'keep']);
    expect(handed({ choices: { bar: 'replace' }, fitted: [] }).edgeDown).toBe('B');
  });

  it('goes by the verdicts where nobody chose a plan, and says nothing of a part that none is made of', () => {
    const unsigned = handed({ choices: null }).parts;
    expect(unsigned.find(({ part }) => part === 'bar')!.choice).toBe('recondition');
    const read = readSheet({ format: 'serrata-bench-sheet', version: 1, bar: { thickness: '4.2 mm' } });
    if (!read.ok) throw new Error(JSON.stringify(read.error));
    const judged = { sheet: read.value, ...appraise(read.value, DEFAULT_RULES, null) };
    expect(judged.verdicts.bar.action).toBe('undecided');
    const { choices, parts } = { choices: choicesOf(judged, null), parts: judgedParts(judged.sheet) };
    expect(parts).toContain('bar');
    expect(choices).not.toHaveProperty('bar');
    expect(choicesOf(judged, { bar: 'replace' })).toEqual({ bar: 'replace' });
  });
});
