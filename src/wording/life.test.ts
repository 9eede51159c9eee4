import { describe, expect, it } from 'vitest';
import {
  backtestText,
  customText,
  endedText,
  hoursLeft,
  marksText,
  otherBecause,
  rateText,
  reachBrief,
  reachSentence,
  type ReachSaid,
} from './en/life';

const show = (mm: number): string => `${mm.toFixed(2)} mm`;
const day = (iso: string): string => `<${iso}>`;

const reach: ReachSaid = {
  wear: 'bar.depth',
  limit: 6,
  isByFigures: false,
  hours: { middle: 77.2, from: 64.6, until: 90.4, already: 0 },
  on: { middle: '2027-05-13', from: '2027-04-04', until: '2027-07-08' },
};

describe('a forecast', () => {
  it('says what, when, and how sure that is', () => {
    expect(reachSentence(reach, show, day)).toBe(
      'Depth at the weakest place: 6.00 mm is reached about <2027-05-13>, eight times in ten between <2027-04-04> and <2027-07-08>.',
    );
    expect(reachBrief(reach, show, day)).toBe('depth at the weakest place 6.00 mm about <2027-05-13>');
    expect(hoursLeft(reach.hours)).toBe('77 running hours, 65 to 90');
  });

  it('says that it rests on the shop’s figures where it was measured once', () => {
    expect(reachSentence({ ...reach, isByFigures: true }, show, day)).toContain(
      'about <2027-05-13> by the shop’s figures, since it was measured once, eight times',
    );
  });

  it('has no end of a band that is further than anybody plans', () => {
    const open = { ...reach, on: { ...reach.on, until: null }, hours: { ...reach.hours, until: null } };
    expect(reachSentence(open, show, day)).toContain('nine times in ten not before <2027-04-04>.');
    expect(hoursLeft(open.hours)).toBeNull();
  });

  it('names no day where it is reached, or not within years', () => {
    const past = { ...reach, hours: { ...reach.hours, already: 0.9 } };
    expect(reachSentence(past, show, day)).toBe(
      'Depth at the weakest place: 6.00 mm is reached. Judge it at its next job.',
    );
    const never = { ...reach, on: { middle: null, from: null, until: null } };
    expect(reachSentence(never, show, day)).toContain('is not reached within ten years');
    for (const said of [past, never]) expect(reachBrief(said, show, day)).not.toContain('<');
  });

  it('tells percent as percent, whatever the unit of lengths', () => {
    expect(reachBrief({ ...reach, wear: 'chain.elongation', limit: 3 }, show, day)).toContain(
      'growth of the chain 3.00 %',
    );
  });
});

describe('what wears', () => {
  it('is told in a hundred hours, beside the shop’s figures', () => {
    expect(rateText('bar.depth', { value: -0.006, u: 0.0003 }, -0.0061)).toBe(
      'Loses 0.60 ± 0.03 mm in a hundred hours; by the shop’s figures such pieces lose 0.61.',
    );
    expect(rateText('chain.elongation', { value: 0.008, u: 0.001 }, 0.05)).toBe(
      'Gains 0.8 ± 0.1 % in a hundred hours; by the shop’s figures such pieces gain 5.0.',
    );
    expect(rateText('bar.play', { value: -0.002, u: 0.0003 }, 0.003)).toBe(
      'Loses 0.20 ± 0.03 mm in a hundred hours; by the shop’s figures such pieces gain 0.30.',
    );
  });
});

describe('a backtest', () => {
  it('says how many looks were foreseen, and nothing where none was', () => {
    expect(backtestText({ foreseen: 8, held: 7 })).toContain('8 looks were foreseen from those before, and 7 came');
    expect(backtestText({ foreseen: 1, held: 0 })).toContain('1 look was foreseen');
    expect(backtestText({ foreseen: 0, held: 0 })).toBeNull();
  });
});

describe('a piece', () => {
  it('is told by what does not wear', () => {
    expect(marksText({ pitch: '325', gauge: '.050', driveLinks: 72, kickbackClass: 'low-kickback' })).toBe(
      '.325 · .050 in (1.3 mm) · 72 links · low-kickback',
    );
    expect(marksText({})).toBe('');
  });

  it('is another for a reason that is told', () => {
    expect(otherBecause({ code: 'said' }, show)).toBe('somebody said that it is another');
    expect(otherBecause({ code: 'marks', mark: 'driveLinks', was: '72', is: '66' }, show)).toBe(
      'its count of links is 66, and was 72',
    );
    const better = { code: 'better', wear: 'chain.cutter', was: 6.4, is: 8.7 } as const;
    expect(endedText({ how: 'gone', jobId: 'x', at: 'y', because: better }, null, show)).toBe(
      'gone when the saw came next: shortest cutter came back at 8.70 mm after 6.40 mm: nothing grows back',
    );
    expect(endedText({ how: 'replaced', jobId: 'x', at: 'y' }, null, show)).toBe('replaced at the bench');
    expect(endedText({ how: 'moved', to: 's', at: 'y' }, 'Brask 66', show)).toBe('went over to Brask 66');
    expect(endedText({ how: 'displaced', by: 'p', at: 'y' }, null, show)).toBe('made room for one of another saw');
  });

  it('is due by custom', () => {
    expect(customText({ code: 'chains', chains: 3, limit: 2 }, day)).toBe(
      '3 chains ran on it; custom changes it after 2.',
    );
    expect(customText({ code: 'turn-over', since: '2026-02-01T08:00:00Z' }, day)).toContain('<2026-02-01>');
  });
});
