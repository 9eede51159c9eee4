import { describe, expect, it } from 'vitest';
import { readSheet, type EvidenceId, type WrittenBenchSheet } from '../sheet';
import {
  cuttersExpected,
  identify,
  judgeSequence,
  rivetsFor,
  sequenceAgrees,
  sequenceByCount,
  sequenceOf,
  SEQUENCES,
} from './index';

function identified(parts: Omit<WrittenBenchSheet, 'format' | 'version'>) {
  const sheet = readSheet({ format: 'serrata-bench-sheet', version: 1, ...parts });
  if (!sheet.ok) throw new Error(JSON.stringify(sheet.error));
  return identify(sheet.value);
}

const codes = (property: { why: readonly { code: string }[] }) => property.why.map(({ code }) => code);

describe('pitch', () => {
  it('settles .325 from a long span', () => {
    const { chain } = identified({ chain: { span: { rivets: 11, length: '82.7 mm' } } });
    expect(chain.pitch).toMatchObject({ status: 'settled', value: '325' });
  });

  it('leaves a 3/8 open between its two builds, and says not to order', () => {
    const { chain } = identified({ chain: { span: { rivets: 3, length: '18.8 mm' }, driveLinkThickness: '1.26 mm' } });
    expect(chain.pitch.status).toBe('open');
    expect(chain.pitch.candidates.map(({ value }) => value).sort()).toEqual(['38', '38lp']);
    expect(codes(chain.pitch)).toContain('build-open');
  });

  it.each([
    ['.043 links', { driveLinkThickness: '1.08 mm' }, '38lp'],
    ['.063 links', { driveLinkThickness: '1.59 mm' }, '38'],
    ['a small chassis', { chassis: 'small' as const }, '38lp'],
    ['a large chassis', { chassis: 'large' as const }, '38'],
    ['the stamp 3/8LP', { stamp: '3/8LP' }, '38lp'],
  ])('settles a 3/8 by %s', (_name, evidence, value) => {
    const { chain } = identified({ chain: { span: { rivets: 11, length: '93.8 mm' }, ...evidence } });
    expect(chain.pitch).toMatchObject({ status: 'settled', value });
  });

  it('names the rivet count that would fit when the span fits no family', () => {
    const wrong = identified({ chain: { span: { rivets: 12, length: '82.5 mm' } } });
    expect(wrong.chain.pitch.why).toContainEqual(expect.objectContaining({ code: 'span-fits-none', miscounted: 11 }));
    expect(wrong.chain.pitch.status).toBe('open');
  });

  it('is in conflict when the stamp and the span disagree', () => {
    const { chain } = identified({ chain: { stamp: '.404', span: { rivets: 11, length: '82.7 mm' } } });
    expect(chain.pitch.status).toBe('conflict');
    expect(codes(chain.pitch)[0]).toBe('disagree');
  });

  it('recognises harvester chain and refuses it by name', () => {
    const { chain } = identified({ chain: { span: { rivets: 3, length: '38.1 mm' } } });
    expect(codes(chain.pitch)).toContain('harvester-pitch');
    expect(chain.pitch.value).toBeNull();
  });

  it('advises as many rivets as the wanted uncertainty takes', () => {
    expect(rivetsFor(0.1, 0.05)).toBe(3);
    expect(rivetsFor(0.1, 0.01)).toBe(11);
  });
});

describe('gauge', () => {
  it.each([
    ['1.26 mm', '.050'],
    ['1.09 mm', '.043'],
    ['1.45 mm', '.058'],
    ['1.58 mm', '.063'],
    ['0.050 in', '.050'],
  ])('settles links of %s as %s', (driveLinkThickness, value) => {
    expect(identified({ chain: { driveLinkThickness } }).chain.gauge).toMatchObject({ status: 'settled', value });
  });

  it('settles from slots', () => {
    const { chain } = identified({ chain: { driveLinkThickness: { enters: '0.050 in', refuses: '0.043 in' } } });
    expect(chain.gauge).toMatchObject({ status: 'settled', value: '.050' });
  });

  it('does not let a worn mouth pass for the next gauge', () => {
    const { bar } = identified({ bar: { edges: { A: { stations: [{ at: '60 mm', mouth: '1.55 mm' }] } } } });
    expect(bar.gauge.status).toBe('open');
    expect(bar.gauge.candidates.map(({ value }) => value)).toEqual(expect.arrayContaining(['.050', '.058']));
    expect(codes(bar.gauge)).toContain('mouth-may-pass-for-wider');
  });

  it('trusts the width near the floor', () => {
    const { bar } = identified({
      bar: { edges: { A: { stations: [{ at: '60 mm', mouth: '1.55 mm', deep: '1.32 mm', deepAt: '4 mm' }] } } },
    });
    expect(bar.gauge).toMatchObject({ status: 'settled', value: '.050' });
  });

  it('sees a stamp and a measured link that disagree', () => {
    const { chain } = identified({ chain: { stamp: '.050', driveLinkThickness: '1.09 mm' } });
    expect(chain.gauge.status).toBe('conflict');
  });

  it('says when a settled pair is not made in practice', () => {
    const { chain } = identified({
      chain: { stamp: '.404', span: { rivets: 11, length: '102.6 mm' }, driveLinkThickness: '1.26 mm' },
    });
    expect(chain.pitch.value).toBe('404');
    expect(codes(chain.pitch)).toContain('pair-not-in-practice');
  });
});

describe('drive links', () => {
  const links = (chain: NonNullable<WrittenBenchSheet['chain']>) => identified({ chain }).chain.driveLinks;

  it('are settled by two equal counts, open after one or unequal ones', () => {
    expect(links({ driveLinks: [72, 72] })).toMatchObject({ status: 'settled', value: 72 });
    expect(links({ driveLinks: [72] }).status).toBe('open');
    expect(links({ driveLinks: [72, 71] }).status).toBe('open');
    expect(links({ driveLinks: [72, 71, 72] })).toMatchObject({ status: 'settled', value: 72 });
    expect(links({ driveLinks: [72, 72, 71, 71] }).status).toBe('open');
  });

  it('are never settled by cutters alone', () => {
    expect(links({ driveLinks: [72], cutters: 36, sequence: 'full-complement' }).status).toBe('open');
  });

  it('counted once are in conflict with cutters that cannot stand on so many links', () => {
    expect(links({ driveLinks: [70], cutters: 30, sequence: 'full-complement' }).status).toBe('conflict');
  });

  it('counted twice alike hold: what the cutters contradict is the ticked sequence', () => {
    const found = links({ driveLinks: [70, 70], cutters: 28, sequence: 'full-complement' });
    expect(found).toMatchObject({ status: 'settled', value: 70 });
    expect(found.why).toContainEqual(
      expect.objectContaining({ code: 'sequence-doubted', links: 70, cutters: 28, says: 'semi-skip' }),
    );
  });

  it('of a bar are what its stamp says, marked or bare', () => {
    expect(identified({ bar: { stamp: '72DL' } }).bar.driveLinks).toMatchObject({ status: 'settled', value: 72 });
    expect(identified({ bar: { stamp: '45cm 72' } }).bar.driveLinks.status).toBe('open');
    expect(identified({ bar: { stamp: '72DL 68E' } }).bar.driveLinks.status).toBe('conflict');
  });
});

describe('sequence', () => {
  it('allows one pair out of order at the join of an odd loop', () => {
    expect(cuttersExpected(71, 'full-complement')).toEqual([35, 36]);
    expect(sequenceAgrees(72, 36, 'full-complement')).toBe(true);
    expect(sequenceAgrees(72, 24, 'full-complement')).toBe(false);
    expect(sequenceAgrees(null, 24, 'full-skip')).toBeNull();
  });
});

describe('the sequence by the counts', () => {
  it('is the one whose cutters were counted, or none', () => {
    expect(sequenceByCount(72, 36)).toBe('full-complement');
    expect(sequenceByCount(70, 28)).toBe('semi-skip');
    expect(sequenceByCount(72, 24)).toBe('full-skip');
    expect(sequenceByCount(72, 33)).toBe('irregular');
  });

  it('comes back from the cutters of every loop long enough to tell the three apart', () => {
    for (let count = 31; count <= 200; count += 1)
      for (const sequence of SEQUENCES)
        for (const cutters of cuttersExpected(count, sequence)) expect(sequenceByCount(count, cutters)).toBe(sequence);
  });

  it('is ordered as counted, else as ticked, and not at all where the counts fit none', () => {
    expect(judgeSequence({ driveLinks: [72, 72], cutters: 24 }, 72)).toEqual({
      cutters: 24,
      driveLinks: 72,
      says: 'full-skip',
      agrees: null,
      ordered: 'full-skip',
    });
    expect(judgeSequence({ sequence: 'semi-skip' }, null)).toMatchObject({
      says: null,
      agrees: null,
      ordered: 'semi-skip',
    });
    expect(judgeSequence({ driveLinks: [72, 72], cutters: 24, sequence: 'full-complement' }, 72)).toMatchObject({
      agrees: false,
      ordered: 'full-skip',
    });
    expect(judgeSequence({ driveLinks: [72], cutters: 33, sequence: 'semi-skip' }, null)).toMatchObject({
      driveLinks: 72,
      says: 'irregular',
      agrees: false,
      ordered: null,
    });
    expect(judgeSequence({ driveLinks: [72, 70], cutters: 36 }, null).says).toBeNull();
  });

  it('hears no count that was set aside', () => {
    const chain = { driveLinks: [72, 66], cutters: 36 };
    const says = (setAside: EvidenceId[]) =>
      sequenceOf({ format: 'serrata-bench-sheet', version: 1, chain, setAside }, null).says;
    expect(says([])).toBeNull();
    expect(says(['chain.driveLinks.1'])).toBe('full-complement');
    expect(says(['chain.driveLinks.0'])).toBe('irregular');
    expect(says(['chain.driveLinks.0', 'chain.driveLinks.1'])).toBeNull();
  });

  it('of a short loop that leaves two is the ticked one, else the nearest', () => {
    // 16 links: 6 cutters are a semi-skip (6.4) and a full skip (5.3).
    expect(judgeSequence({ driveLinks: [16, 16], cutters: 6 }, 16).says).toBe('semi-skip');
    expect(judgeSequence({ driveLinks: [16, 16], cutters: 6, sequence: 'full-skip' }, 16)).toMatchObject({
      says: 'full-skip',
      agrees: true,
    });
  });
});

describe('nothing known', () => {
  it('stays open without candidates', () => {
    const { chain, bar, driveSprocket } = identified({});
    for (const property of [
      chain.pitch,
      chain.gauge,
      chain.driveLinks,
      bar.pitch,
      bar.gauge,
      bar.driveLinks,
      driveSprocket.pitch,
    ]) {
      expect(property).toMatchObject({ status: 'open', value: null, candidates: [] });
    }
  });
});
