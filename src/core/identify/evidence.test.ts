import { describe, expect, it } from 'vitest';
import { readSheet, type WrittenBenchSheet } from '../sheet';
import { effectOf, familiesOfFile, gainOf, identify, type LearnedCode } from './index';
import { learnedCode } from '../../../tests/support/learned-code';

type Parts = Omit<WrittenBenchSheet, 'format' | 'version'>;
const sheetOf = (parts: Parts) => {
  const read = readSheet({ format: 'serrata-bench-sheet', version: 1, ...parts });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return read.value;
};
const identified = (parts: Parts, codes: readonly LearnedCode[] = []) => identify(sheetOf(parts), codes);
const codes: readonly LearnedCode[] = [
  learnedCode({ code: 'H4', pitch: '325', gauge: '.050', note: '' }),
  learnedCode({ code: '72', pitch: '38', gauge: null, note: 'a code that looks like a count' }),
];
const found = (parts: Parts) => identified(parts).findings.map(({ code }) => code);

describe('learned codes', () => {
  it('may name a whole loop: its links count as a mark does, its class is what the chain is', () => {
    const loop = [
      learnedCode({
        code: '56K',
        pitch: '38lp',
        gauge: '.050',
        driveLinks: 56,
        kickbackClass: 'low-kickback',
        note: '',
      }),
    ];
    const { chain, codeClass } = identified({ chain: { stamp: '56K' } }, loop);
    expect([chain.pitch.value, chain.gauge.value]).toEqual(['38lp', '.050']);
    expect(chain.driveLinks).toMatchObject({ status: 'open', value: null });
    expect(chain.driveLinks.candidates[0]).toMatchObject({ value: 56 });
    expect(codeClass).toBe('low-kickback');
    expect(identified({ chain: { stamp: '56K' }, setAside: ['chain.stamp'] }, loop).codeClass).toBeNull();
    const miscounted = identified({ chain: { stamp: '56K', driveLinks: [52, 52] } }, loop);
    expect(miscounted.chain.driveLinks.status).toBe('conflict');
  });

  it('settle pitch and gauge of the chain, whatever their case', () => {
    const { chain } = identified({ chain: { stamp: 'h4' } }, codes);
    expect(chain.pitch).toMatchObject({ status: 'settled', value: '325' });
    expect(chain.gauge).toMatchObject({ status: 'settled', value: '.050' });
  });

  it('come before anything their characters may mean in general', () => {
    expect(identified({ chain: { stamp: '72' } }, codes).chain.pitch).toMatchObject({ value: '38' });
  });

  it('say nothing of a bar, and nothing before they are learned', () => {
    expect(identified({ bar: { stamp: 'H4' } }, codes).bar.pitch.candidates).toEqual([]);
    expect(identified({ chain: { stamp: 'H4' } }).chain.pitch.candidates).toEqual([]);
  });

  it('that a measurement contradicts are a conflict', () => {
    const { chain } = identified({ chain: { stamp: 'H4', span: { rivets: 11, length: '93.8 mm' } } }, codes);
    expect(chain.pitch.status).toBe('conflict');
  });
});

describe('file size', () => {
  it('tells the two builds of 3/8 apart', () => {
    const span = { rivets: 11, length: '93.8 mm' };
    const heaviest = (fileSize: string) => identified({ chain: { span, fileSize } }).chain.pitch.candidates[0]?.value;
    expect(heaviest('4 mm')).toBe('38lp');
    expect(heaviest('13/64 in')).toBe('38');
    expect(heaviest('7/32 in')).toBe('38');
  });

  it('never settles a number: one in ten benches uses another', () => {
    const span = { rivets: 11, length: '93.8 mm' };
    const { pitch } = identified({ chain: { span, fileSize: '4 mm' } }).chain;
    expect(pitch.status).toBe('open');
    expect(pitch.settledBy?.measure).toBe('chain.chassis');
    expect(identified({ chain: { span, fileSize: '4 mm', chassis: 'small' } }).chain.pitch.value).toBe('38lp');
  });

  it('of no custom is only said', () => {
    expect(familiesOfFile(6.5)).toEqual([]);
    const { chain } = identified({ chain: { fileSize: '6.5 mm' } });
    expect(chain.pitch.why.map(({ code }) => code)).toContain('file-fits-none');
  });
});

describe('nose and drive sprocket', () => {
  it('have a pitch of their own', () => {
    const { nose, driveSprocket } = identified({
      bar: { nosePitch: '325' },
      driveSprocket: { stamp: '325-7' },
    });
    expect(nose.pitch).toMatchObject({ status: 'settled', value: '325' });
    expect(driveSprocket.pitch).toMatchObject({ status: 'settled', value: '325' });
  });

  it('a nose of another pitch than its bar is a conflict; a hard nose has none', () => {
    expect(identified({ bar: { stamp: '325', nosePitch: '404' } }).nose.pitch.status).toBe('conflict');
    expect(identified({ bar: { stamp: '325', nose: 'hard' } }).nose.pitch.candidates).toEqual([]);
  });
});

describe('length round', () => {
  const span = { rivets: 11, length: '82.5 mm' };

  it('supports the count that it carries and contradicts another', () => {
    const right = { span, driveLinks: [72, 72], loopLength: '1188 mm' };
    expect(identified({ chain: right }).chain.driveLinks).toMatchObject({ status: 'settled', value: 72 });
    const wrong = { span, driveLinks: [64, 64], loopLength: '1188 mm' };
    expect(identified({ chain: wrong }).chain.driveLinks.status).toBe('conflict');
  });

  it('waits for the pitch', () => {
    const { chain } = identified({ chain: { loopLength: '1188 mm' } });
    expect(chain.driveLinks.why.map(({ code }) => code)).toContain('waits-for');
  });

  it('by tape and by the tensioner speaks for the bar on its saw', () => {
    const { bar } = identified({ bar: { stamp: '325' }, loop: { tape: '1190 mm' } });
    expect(bar.driveLinks.candidates[0]).toMatchObject({ value: 72 });
    expect(bar.driveLinks.status).toBe('open');
    const both = identified({
      bar: { stamp: '325', noseTeeth: 10 },
      driveSprocket: { teeth: 7 },
      loop: { tape: '1190 mm', centreBack: '518 mm', centreOut: '526 mm' },
    });
    expect(both.bar.driveLinks.candidates[0]).toMatchObject({ value: 72 });
    expect(both.bar.driveLinks.why.map(({ code }) => code)).toContain('centres');
  });
});

describe('traps', () => {
  it.each<[string, Parts, string]>([
    [
      'a thin chain in a wide groove',
      { chain: { driveLinkThickness: '1.08 mm' }, bar: { stamp: '.050' } },
      'thin-chain',
    ],
    [
      'a thick chain in a narrow groove',
      { chain: { driveLinkThickness: '1.27 mm' }, bar: { stamp: '.043' } },
      'thick-chain',
    ],
    ['a stretched .325', { chain: { stamp: '.325', span: { rivets: 11, length: '84.6 mm' } } }, 'stretched'],
    ['a 3/8 of unknown build', { chain: { span: { rivets: 11, length: '93.8 mm' } } }, 'build-open'],
    ['a bar stamped for another count', { chain: { driveLinks: [68, 68] }, bar: { stamp: '72DL' } }, 'other-count'],
    ['an odd count', { chain: { driveLinks: [57, 57] } }, 'odd-count'],
    [
      'a worn .050 mouth that passes for .058',
      { bar: { stamp: '.050', edges: { A: { stations: [{ at: '60 mm', mouth: '1.5 mm' }] } } } },
      'worn-mouth',
    ],
  ])('%s is recognised', (_name, parts, code) => {
    expect(found(parts)).toContain(code);
  });

  it('take a pitch for stretched only beyond its doubt', () => {
    const of = (length: string) => found({ chain: { stamp: '.325', span: { rivets: 11, length } } });
    expect([of('83.2 mm'), of('83.4 mm')]).toEqual([[], ['stretched']]);
  });

  it('are not seen where there are none', () => {
    expect(
      found({
        chain: { stamp: '.325 .050', span: { rivets: 11, length: '82.5 mm' }, driveLinks: [72, 72] },
        bar: { stamp: '325 .050 72DL', edges: { A: { stations: [{ at: '60 mm', mouth: '1.35 mm' }] } } },
      }),
    ).toEqual([]);
  });
});

describe('the one observation that would settle it', () => {
  const asks = (parts: Parts) => identified(parts).chain.pitch.settledBy?.measure;

  it('is a span while nothing is known, and the build once only the two 3/8 are left', () => {
    expect(asks({})).toBe('chain.span');
    expect(asks({ chain: { span: { rivets: 11, length: '93.8 mm' } } })).toBe('chain.chassis');
    expect(asks({ chain: { span: { rivets: 11, length: '82.7 mm' } } })).toBeUndefined();
  });

  it('is another count until two agree', () => {
    const { driveLinks } = identified({ chain: { driveLinks: [72, 71] } }).chain;
    expect(driveLinks.settledBy).toMatchObject({ measure: 'chain.driveLinks', minutes: 1.5 });
  });

  it('is, in a conflict, the quicker of the two readings again', () => {
    const { pitch } = identified({ chain: { stamp: '.404', span: { rivets: 11, length: '82.7 mm' } } }).chain;
    expect(pitch).toMatchObject({ status: 'conflict', settledBy: { minutes: 0.5 } });
  });

  it('gains nothing where it tells no candidates apart', () => {
    const both = [
      { value: '38' as const, weight: 0.5 },
      { value: '38lp' as const, weight: 0.5 },
    ];
    expect(gainOf(both, { measure: 'bar.stamp', classOf: () => 'same', succeeds: 1 })).toBe(0);
    expect(gainOf(both, { measure: 'bar.stamp', classOf: (value) => value, succeeds: 1 })).toBe(0.5);
  });
});

describe('evidence set aside', () => {
  const parts: Parts = { chain: { stamp: '.404', span: { rivets: 11, length: '82.7 mm' } } };

  it('no longer counts, and is still listed', () => {
    const { chain, evidence } = identified({ ...parts, setAside: ['chain.stamp'] });
    expect(chain.pitch).toMatchObject({ status: 'settled', value: '325' });
    expect(evidence.map(({ id, setAside }) => [id, setAside])).toEqual([
      ['chain.stamp', true],
      ['chain.span', false],
    ]);
  });

  it('has its effect shown before it is done', () => {
    const sheet = sheetOf(parts);
    const [effect] = effectOf(sheet, identify(sheet), 'chain.stamp');
    expect(effect).toMatchObject({
      part: 'chain',
      property: 'pitch',
      before: { status: 'conflict' },
      after: { status: 'settled', value: '325' },
    });
  });

  it('lets the mouth of the groove speak when nothing better is left', () => {
    const stations = [{ at: '60 mm', mouth: '1.40 mm', deep: '1.31 mm', deepAt: '3 mm' }];
    const { bar } = identified({ bar: { edges: { A: { stations } } }, setAside: ['bar.edges.deep'] });
    expect(bar.gauge.why.map(({ code }) => code)).toContain('groove-mouth');
  });
});
