import { describe, expect, it } from 'vitest';
import type { EdgeDressing } from '../core/bar/checks';
import type { CrookedFinding } from '../core/symptom';
import type { LoopTension } from '../core/loop/assessed';
import { SCHOOL_IDS, SCHOOLS } from '../core/schools';
import { mm } from '../core/quantity';
import {
  crookedSentence,
  cellProblem,
  counterCaution,
  dressingSentence,
  effortSentence,
  exceptionSentence,
  identityFinding,
  lengthsSentences,
  LEVELLING_STEPS,
  loopWaits,
  plausibleSentence,
  schoolAnswer,
  schoolName,
  settlingSentence,
  speedSentence,
  tensionSentence,
  travelSentence,
  wearPlaceSentence,
} from './index';

const tension = (over: Partial<LoopTension>): LoopTension => ({
  state: 'in-travel',
  centres: mm(525),
  used: 7,
  left: 7,
  links: 72,
  travel: 14,
  pitch: 8.27,
  from: 'span',
  close: false,
  ...over,
});

describe('the loop in words', () => {
  it('says what the tensioner has used and has left', () => {
    expect(tensionSentence(tension({}))).toBe(
      "72 links of 8.270 mm (as measured over the rivets) use 7.0 mm of the tensioner's 14.0 mm; 7.0 mm left.",
    );
  });

  it('names the three likely reasons when it will not take up tension, and the two when it will not go on', () => {
    const long = tensionSentence(tension({ state: 'will-not-take-up', left: -4.3, from: 'nominal' }));
    expect(long).toContain('need 4.3 mm more than the tensioner has');
    for (const reason of ['A link too many', 'a stretched chain', 'another bar']) expect(long).toContain(reason);
    expect(tensionSentence(tension({ state: 'will-not-go-on', used: -2, close: true }))).toContain(
      'It is close to the end of the travel',
    );
  });

  it('counts loops, speed and plausibility', () => {
    expect(travelSentence([71, 72])).toBe('New, the tensioner takes 71 or 72 links.');
    expect(travelSentence([])).toContain('measure both centres again');
    expect(speedSentence(22.225)).toBe('At top speed the chain runs 22.2 m/s (4375 ft/min).');
    expect(plausibleSentence({ links: 72, usual: 70, plausible: true })).toContain('plausible');
    expect(plausibleSentence({ links: 72, usual: 56, plausible: false })).toContain('Count again');
    expect(loopWaits(['bar.noseTeeth', 'loop.centreOut'])).toContain('teeth of the nose and centres');
  });

  it('tells listed, effective and true length apart', () => {
    const said = lengthsSentences({
      effective: { value: mm(20.125 * 25.4), u: 0.4 },
      listedAs: [
        { inches: 20, custom: 'down' },
        { inches: 22, custom: 'up' },
      ],
      said: mm(18 * 25.4),
      agrees: false,
      reach: { value: mm(490), u: 0.4 },
    });
    expect(said).toHaveLength(3);
    expect(said[0]).toContain('20 in (rounded down by some) or 22 in (next even inch)');
    expect(said[1]).toContain('no custom makes of the measured length');
    expect(said[2]).toContain('It cuts 490 mm');
    expect(lengthsSentences({ effective: null, listedAs: [], said: null, agrees: null, reach: null })).toEqual([]);
  });
});

describe('a crooked cut in words', () => {
  const finding = (over: Partial<CrookedFinding>): CrookedFinding => ({
    cause: 'rails-unlevel',
    state: 'found',
    value: 1.2,
    limit: 0.4,
    toward: 'left',
    pull: 8,
    weight: 1,
    aggravates: false,
    ...over,
  });

  it('says the figure, where it counts from, and how far it draws the cut to which side', () => {
    expect(crookedSentence(finding({}))).toBe(
      'The set lean is 1.2°, it counts from 0.4°. It draws the cut to the left, by about 8 mm in 300 mm.',
    );
    expect(crookedSentence(finding({ state: 'sound', toward: null, pull: null }))).toBe(
      'No: 1.2°, it counts from 0.4°.',
    );
    const uneven = { cause: 'cutters-uneven', value: 0.8 } as const;
    expect(crookedSentence(finding({ ...uneven, aggravates: true }))).toContain('this makes it worse');
    expect(crookedSentence(finding({ ...uneven }), 'in')).toContain('0.031 in');
    expect(crookedSentence(finding({ cause: 'groove-worn', state: 'not-measured', value: null }))).toContain('groove');
    expect(crookedSentence(finding({ cause: 'bar-bent', value: null, limit: null, toward: null, pull: null }))).toBe(
      'Found. It draws the cut to either side.',
    );
  });

  it('reads the place of wear', () => {
    expect(wearPlaceSentence({ code: 'not-measured' })).toBeNull();
    expect(wearPlaceSentence({ code: 'even' })).toContain('evenly');
    const codes = ['toward-nose', 'at-nose', 'at-tail', 'one-spot'] as const;
    const said = codes.map((code) => wearPlaceSentence({ code, edge: 'B', at: 300, lost: 0.7 }));
    expect(new Set(said).size).toBe(codes.length);
    for (const text of said) expect(text).toContain('Edge B has lost most depth at 300 mm (0.70 mm)');
  });
});

describe('the work card in words', () => {
  const dressing = (over: Partial<EdgeDressing>): EdgeDressing =>
    ({
      effort: { passes: { near: 9, far: 3 }, minutes: 10.2 },
      coarseFirst: false,
      deeper: 0,
      ...over,
    }) as EdgeDressing;

  it('says what comes off where, and of an edge that cannot be dressed why', () => {
    const off = (...amounts: number[]) => amounts.map((amount) => mm(amount));
    const plan = { removeNear: off(0.1, 0.4), removeFar: off(0.3, 0) };
    const said = (over: object) =>
      dressingSentence('A', dressing({ plan, advised: true, stoppedBy: null, ...over } as never), () => 220);
    expect(said({})).toBe('Dress edge A. Most comes off the near rail: 0.40 mm at 220 mm.');
    expect(said({ coarseFirst: true })).toContain('Coarse first, then square by file.');
    expect(said({ stoppedBy: { station: 1, limit: 'bar.depth' } })).toBe(
      'Edge A cannot be dressed: levelling takes 0.40 mm at 220 mm off the near rail, and leaves 220 mm below the least groove depth.',
    );
    expect(said({ stoppedBy: { station: 0, limit: 'bar.floor-clearance' } })).toContain('with the link on the floor');
    expect(said({ advised: false, plan: { ...plan, most: 0.04 } })).toBe(
      'Edge A needs no dressing: at most 0.04 mm stands proud.',
    );
  });

  it('says passes and minutes, coarse first, and what goes deeper', () => {
    expect(effortSentence(dressing({}))).toBe('About 9 passes on the near rail and 3 on the far rail, 10 min.');
    expect(effortSentence(dressing({ coarseFirst: true }))).toContain('Coarse first');
    expect(effortSentence(dressing({ deeper: 0.3 }))).toContain('0.30 mm of it all along');
    expect(effortSentence(dressing({ effort: { passes: { near: 0, far: 0 }, minutes: 0 } }))).toBe(
      'Nothing to take off.',
    );
    expect(exceptionSentence(200, 0.95)).toContain('The dip at 200 mm costs the rest of the edge up to 0.95 mm');
  });

  it('knows every school by name, with its steps', () => {
    for (const id of SCHOOL_IDS) {
      expect(schoolName[id]).not.toBe('');
      expect(Object.keys(schoolAnswer[id]).sort()).toEqual([...SCHOOLS[id]].sort());
    }
    for (const school of SCHOOLS.levelling) expect(LEVELLING_STEPS[school].length).toBeGreaterThan(1);
  });
});

describe('identifying in words', () => {
  it('says each trap so that a customer can read it', () => {
    expect(identityFinding({ code: 'thin-chain', chain: '.043', bar: '.050' })).toContain('it must not run');
    expect(identityFinding({ code: 'thick-chain', chain: '.058', bar: '.050' })).toContain('it will not run');
    expect(identityFinding({ code: 'stretched', family: '325', pitch: mm(8.46), percent: 2.5 })).toContain(
      '2.5 % longer',
    );
    expect(identityFinding({ code: 'worn-mouth', gauge: '.050', looksLike: '.058', width: mm(1.5) })).toContain(
      'Order by the floor',
    );
    expect(identityFinding({ code: 'other-count', chain: 68, bar: 72 })).toContain('68 drive links, the bar is for 72');
    expect(identityFinding({ code: 'odd-count', links: 57 })).toContain('odd');
    expect(identityFinding({ code: 'build-open' })).toContain('nothing is ordered');
  });

  it('asks for the one observation with its minutes', () => {
    expect(settlingSentence({ measure: 'chain.chassis', minutes: 0.5, gain: 0.4 })).toBe(
      'Build of the chain beside a known one would settle it (0.5 min).',
    );
  });

  it('calls usual loops plausible and no answer', () => {
    const caution = counterCaution({
      code: 'usual-loops',
      inches: 18,
      loops: [{ family: '38lp', inches: 18, links: 62 }],
    });
    expect(caution).toContain('62 links of 3/8 low profile');
    expect(caution).toContain('answers nothing');
  });
});

describe('a bad cell in words', () => {
  it('says where and what would be right', () => {
    expect(cellProblem({ code: 'missing', column: 'sku', text: '' })).toBe('Part number is missing.');
    expect(cellProblem({ code: 'build-not-said', column: 'pitch', text: '3/8' })).toContain('38lp for low profile');
    expect(cellProblem({ code: 'out-of-bounds', column: 'teeth', text: '40', lo: 4, hi: 20 })).toBe(
      'Teeth: “40” is not between 4 and 20.',
    );
    expect(cellProblem({ code: 'too-long', column: 'name', text: 'x'.repeat(99), most: 60 })).toContain(
      'longer than 60',
    );
    expect(cellProblem({ code: 'not-a-number', column: 'price', text: 'ask' })).toContain('such as 17.90');
  });
});
