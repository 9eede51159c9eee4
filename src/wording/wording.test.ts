import { describe, expect, it } from 'vitest';
import { CHECK_IDS } from '../core/judge';
import { STEPS, PARTS } from '../core/reading';
import { FAMILY_IDS, GAUGE_IDS } from '../core/families';
import { LIMIT_IDS } from '../core/limits';
import { FIT_RULES } from '../core/fit';
import { mm } from '../core/quantity';
import { ACTIONS, OPERATIONS, readEntry, readSheet } from '../core/sheet';
import {
  actionWord,
  checkName,
  entryProblem,
  familyLabel,
  familyShort,
  fitReason,
  fitRuleName,
  fitSentence,
  gaugeLabel,
  identityReason,
  limitName,
  limitProblem,
  list,
  operationWord,
  orderWithheld,
  partName,
  readingName,
  writtenPlace,
  readingProblem,
  sheetProblem,
  stepName,
  stockMiss,
  verdictHeadline,
  turnLogSentence,
  wearPatternSentence,
} from './index';

describe('names', () => {
  it('exist for everything that can be shown', () => {
    const names = [
      ...CHECK_IDS.map((id) => checkName[id]),
      ...LIMIT_IDS.map((id) => limitName[id]),
      ...FIT_RULES.map((rule) => fitRuleName[rule]),
      ...ACTIONS.map((action) => actionWord[action]),
      ...OPERATIONS.map((operation) => operationWord[operation]),
      ...PARTS.map((part) => partName[part]),
      ...STEPS.map((step) => stepName[step]),
      ...FAMILY_IDS.flatMap((id) => [familyLabel(id), familyShort[id]]),
      ...GAUGE_IDS.map(gaugeLabel),
    ];
    for (const name of names) expect(name.length).toBeGreaterThan(1);
    expect(new Set(LIMIT_IDS.map((id) => limitName[id])).size).toBe(LIMIT_IDS.length);
  });

  it('of readings are said as one points at them, stations counted from one', () => {
    expect(readingName('bar.edges.A.stations.2.far')).toBe('edge A, station 3, far rail');
    expect(writtenPlace('bar.edges.A.stations.2.far')).toBe('bar.A.2.far');
    expect(writtenPlace('bar.checks.bow')).toBe('bar.checks.bow');
    expect(readingName('chain.cuttersLeft.3')).toBe('length of a left cutter, number 4');
    expect(readingName('chain.driveLinks.1')).toBe('second count');
    expect(readingName('bar.edges.B.stations')).toBe('depth from both rails, edge B');
    expect(readingName('bar.edges.B.stands')).toBe('the clean bar stood on edge B');
    expect(readingName('bar.checks.bow')).toBe('bow of the bar');
  });

  it('are strung together', () => {
    expect([list([]), list(['a']), list(['a', 'b']), list(['a', 'b', 'c'], 'or')]).toEqual([
      '',
      'a',
      'a and b',
      'a, b or c',
    ]);
  });
});

describe('what was wrong and what would be right', () => {
  const said = (path: string, text: string) => {
    const read = readEntry({ path, text, unit: 'mm' });
    return read.ok ? 'fine' : entryProblem(read.error);
  };
  it.each([
    [
      'bar.checks.bow',
      'five',
      '“five” is not a length: write a number with its unit, such as 7.9 mm, .311 in or 5/16.',
    ],
    ['bar.checks.bow', '-3', '“-3” is below zero: a wear or bow is counted from zero up.'],
    ['bar.edges.A.stations.0.near', '80 mm', '“80 mm” is 80.00 mm: a groove depth lies between 0.00 mm and 25.00 mm.'],
    ['chain.driveLinks.0', 'many', '“many” is not a count: write a whole number, such as 72.'],
    ['chain.span.rivets', '1', '“1” is out of bounds: at least 2.'],
    ['saw.maxRpm', 'fast', '“fast” is not a number: write one, such as 12500.'],
    ['bar.nose', 'soft', '“soft” is not one of sprocket or hard.'],
    ['bar.colour', 'red', 'The bench sheet has no place called bar.colour.'],
  ])('%s = %s', (path, text, sentence) => {
    expect(said(path, text)).toBe(sentence);
  });

  it('names both readings of an ambiguous number', () => {
    expect(
      readingProblem({
        code: 'ambiguous',
        text: '0.5',
        readings: [
          { text: '0.5 mm', length: mm(0.5) },
          { text: '0.5 in', length: mm(12.7) },
        ],
      }),
    ).toBe('“0.5” can be read two ways, 0.5 mm (0.50 mm) or 0.5 in (12.70 mm): add the unit.');
  });

  it('points at the place in a sheet', () => {
    const read = readSheet({
      format: 'serrata-bench-sheet',
      version: 1,
      bar: { thickness: 4, mount: 7 },
      chain: { cutters: -1 },
    });
    expect(read.ok ? [] : read.error.map(sheetProblem)).toEqual([
      'bar.mount: 7 is not right here; expected string.',
      'bar.thickness: 4 is a bare number; write it as text with its unit, such as "4 mm".',
      'chain.cutters: -1 is out of bounds; it must be at least 1.',
    ]);
  });

  it.each([
    'unknown-limit',
    'not-a-number',
    'negative',
    'wrong-unit',
    'watch-beyond-limit',
    'published-without-source',
  ] as const)('says why a limit was refused: %s', (code) => {
    expect(limitProblem({ id: 'bar.bow', code, expected: 'mm' })).toMatch(/^bar\.bow: /);
  });
});

describe('judgements', () => {
  it('lead with the verdict, then the work', () => {
    expect(verdictHeadline({ action: 'keep', operations: [] })).toBe('Keep');
    expect(verdictHeadline({ action: 'clean', operations: ['clean-oil-holes', 'rake-groove'] })).toBe(
      'Clean: clear the oil holes and rake the groove',
    );
  });

  it('say why a set does not belong together', () => {
    const thin = {
      rule: 'chain-gauge-is-bar-gauge',
      holds: false,
      reason: { code: 'goes-in-must-not', chain: '.043', bar: '.050', rock: null },
    } as const;
    expect(fitReason(thin)).toBe(
      'Goes in, must not: a .043 in (1.1 mm) chain in a .050 in (1.3 mm) groove rocks, wears itself and the bar, and cuts badly.',
    );
    const pitch = {
      rule: 'chain-pitch-is-sprocket-pitch',
      holds: false,
      reason: { code: 'differ', first: '38lp or 38', second: '325' },
    } as const;
    expect(fitSentence(pitch)).toBe(
      'Pitch: chain and drive sprocket: 3/8 low profile or 3/8 standard against .325: they do not belong together.',
    );
  });

  it('say what an order waits for', () => {
    expect(orderWithheld({ code: 'links-not-counted' })).toContain('count them twice');
    expect(orderWithheld({ code: 'not-settled', number: 'pitch', status: 'conflict' })).toContain('contradicted');
    expect(orderWithheld({ code: 'parts-clash', rule: 'chain-gauge-is-bar-gauge' })).toContain('they differ');
    expect(stockMiss({ code: 'differs', property: 'driveLinks', wanted: [72], has: null })).toBe(
      'drive links not given',
    );
    expect(stockMiss({ code: 'differs', property: 'pitch', wanted: ['38', '38lp'], has: '325' })).toBe(
      'pitch .325, not 3/8 standard or 3/8 low profile',
    );
  });

  it('read the pattern of wear, both ways round', () => {
    expect(wearPatternSentence({ code: 'not-measured' })).toBeNull();
    expect(wearPatternSentence({ code: 'dipped', edges: ['A'] })).toContain('a bar seldom turned over');
    expect(wearPatternSentence({ code: 'dipped', edges: ['A', 'B'] })).toContain('both rails of both edges dip');
    expect(wearPatternSentence({ code: 'leaned-on', low: { A: 'near', B: 'far' } })).toContain('never turned over');
    expect(wearPatternSentence({ code: 'measure-the-cutters', opposite: true, logged: null })).toContain(
      'the bar gets turned over, which mixes the causes: measure the cutters',
    );
    expect(wearPatternSentence({ code: 'measure-the-cutters', opposite: true, logged: 1 })).toContain(
      'the log has the bar turned over once',
    );
    expect(wearPatternSentence({ code: 'turning-not-told', opposite: false })).toContain('Ask how often');
  });

  it('tell what the log of a saw has seen, and that it counts before what was told', () => {
    expect(turnLogSentence({ times: 0, seen: 0 }, 'never')).toBeNull();
    expect(turnLogSentence({ times: 0, seen: 1 }, 'never')).toContain('in 1 look.');
    expect(turnLogSentence({ times: 2, seen: 3 }, 'sometimes')).toBe(
      'By the log the bar changed its edge 2 of 3 times.',
    );
    expect(turnLogSentence({ times: 2, seen: 3 }, 'never')).toContain('counts before what was told');
  });

  it('name both pieces of evidence that contradict each other', () => {
    const sentence = identityReason({
      code: 'disagree',
      first: { code: 'gauge-mark', value: '.050', text: '.050' },
      second: { code: 'thickness', thickness: mm(1.09), u: 0.03 },
    });
    expect(sentence).toBe(
      'These contradict each other: the stamp says .050 in (1.3 mm), but the drive links measure 1.09 mm. One of them speaks of another part or was misread.',
    );
  });
});
