import { describe, expect, it } from 'vitest';
import { dressingsLeft, mouthAfter } from '../../src/core/bar';
import { rock } from '../../src/core/groove';
import { appraise, DEFAULT_RULES } from '../../src/core/assess';
import { DEFAULTS } from '../../src/core/limits';
import { FAMILIES, familyAndGaugeMeet, GAUGES } from '../../src/core/families';
import { cuttersExpected, identify, pitchFromSpan } from '../../src/core/identify';
import { inches, mm } from '../../src/core/quantity';
import { readSheet, type WrittenBenchSheet } from '../../src/core/sheet';

const sheet = (parts: object) => {
  const read = readSheet({ format: 'serrata-bench-sheet', version: 1, ...parts });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return read.value;
};

describe('facts of the trade (common practice, no source)', () => {
  it('pitch is the distance over three rivets, halved', () => {
    expect(pitchFromSpan({ value: 19.05, u: 0.1 }, 3).pitch).toBeCloseTo(inches(3 / 8), 9);
    expect(pitchFromSpan({ value: 19.05, u: 0.1 }, 3).u).toBeCloseTo(0.05, 12);
  });

  it('three rivets of each nominal pitch settle or name their family', () => {
    const family = (length: string) =>
      identify(sheet({ chain: { span: { rivets: 21, length } } })).chain.pitch.candidates.map(({ value }) => value);
    expect(family('5 in')).toEqual(['quarter']);
    expect(family('6.5 in')).toEqual(['325']);
    expect(family('7.5 in').sort()).toEqual(['38', '38lp']);
    expect(family('8.08 in')).toEqual(['404']);
  });

  it('gauges in inch and mm name the same four', () => {
    expect(
      Object.values(GAUGES).map(({ thickness, mmLabel }) => [Number(thickness.toFixed(1)), Number(mmLabel)]),
    ).toEqual([
      [1.1, 1.1],
      [1.3, 1.3],
      [1.5, 1.5],
      [1.6, 1.6],
    ]);
  });

  it('72 links of nominal 3/8 make a loop of 54 inches, with 36 cutters in full complement and 24 in full skip', () => {
    expect(2 * 0.375 * 72).toBe(54);
    expect(cuttersExpected(72, 'full-complement')).toEqual([36]);
    expect(cuttersExpected(72, 'full-skip')).toEqual([24]);
  });

  it('1 mm of room under the link is fine and none is not', () => {
    const withDepth = (depth: string) =>
      appraise(
        sheet({
          bar: { edges: { A: { stations: [{ at: '60 mm', near: depth, far: depth }] } } },
          chain: { tang: '5 mm' },
        }),
        DEFAULT_RULES,
        null,
      ).checks.find(({ id }) => id === 'bar.floor-clearance')?.outcome;
    expect(withDepth('6.2 mm')).toBe('ok');
    expect(withDepth('5.6 mm')).toBe('watch');
    expect(withDepth('4.8 mm')).toBe('fail');
  });

  it('a bar of 8 mm against 6 is good for more dressings', () => {
    expect(dressingsLeft(8, 6, DEFAULTS['bar.dress.loss'].value)).toBeGreaterThanOrEqual(3);
  });

  it('dressing a flared groove lowers the play', () => {
    const flared = { mouth: mm(1.62), deep: mm(1.38), deepAt: mm(3) };
    const after = mouthAfter(flared, 0.65);
    expect(rock(after, mm(1.27), mm(5))).toBeLessThan(rock(flared.mouth, mm(1.27), mm(5)));
  });

  it('low profile and standard 3/8 carry the same number and are told apart by the gauges only one of them has', () => {
    expect(FAMILIES['38'].pitch).toBe(FAMILIES['38lp'].pitch);
    expect(familyAndGaugeMeet('38lp', '.043')).toBe(true);
    expect(familyAndGaugeMeet('38', '.043')).toBe(false);
    expect(familyAndGaugeMeet('38', '.063')).toBe(true);
    expect(familyAndGaugeMeet('38lp', '.063')).toBe(false);
  });

  it('push and pull of 483.1 to 489.6 over 52 joints is 1.35 %, 0.125 mm a joint', () => {
    const { chain } = appraise(
      sheet({ chain: { pushPull: { joints: 52, closed: '483.1 mm', pulled: '489.6 mm' } } }),
      DEFAULT_RULES,
      null,
    );
    expect(chain.stretch.measured?.percent).toBeCloseTo(1.35, 2);
    expect(chain.stretch.measured?.perJoint).toBeCloseTo(0.125, 3);
  });

  it('opposite low rails mean a leaned saw when the bar was never turned over', () => {
    const edge = (near: string, far: string) => ({
      stations: [
        { at: '60 mm', near, far },
        { at: '200 mm', near, far },
      ],
    });
    const { bar } = appraise(
      sheet({ job: { turnOver: 'never' }, bar: { edges: { A: edge('8 mm', '7.4 mm'), B: edge('7.4 mm', '8 mm') } } }),
      DEFAULT_RULES,
      null,
    );
    expect(bar.wearPattern.code).toBe('leaned-on');
  });

  it('regular turning over mixes the two causes: then the cutters must be measured, whoever noticed the turning', () => {
    const edge = (near: string, far: string) => ({ stations: [{ at: '60 mm', near, far }] });
    const pattern = (saw: NonNullable<WrittenBenchSheet['saw']>) =>
      appraise(
        sheet({
          job: { turnOver: 'never' },
          saw,
          bar: { edgeDown: 'B', edges: { A: edge('8 mm', '7.4 mm'), B: edge('7.4 mm', '8 mm') } },
        }),
        DEFAULT_RULES,
        null,
      ).bar.wearPattern;
    const turnLog = [{ came: 'A', went: 'A' } as const];
    expect(pattern({ turnLog })).toEqual({ code: 'measure-the-cutters', opposite: true, logged: 1 });
    expect(pattern({ turnLog, sameBar: false }).code).toBe('leaned-on');
  });

  it('level tests send a bar to the file without a depth; what metal is left is asked for on every edge that was not measured', () => {
    const tested = {
      stands: 'far',
      stations: [60, 150, 240].map((at) => ({
        at: `${at} mm`,
        square: { says: 'near-high', with: 'blade' },
        mouth: '1.36 mm',
        deep: '1.34 mm',
        deepAt: '3 mm',
      })),
    };
    const level = {
      stations: [60, 150, 240].map((at) => ({ at: `${at} mm`, near: '8 mm', far: '8 mm' })),
    };
    const judged = (A: object, B: object, after: object = {}) => {
      const { verdicts, plan, doubts, bar } = appraise(
        sheet({
          bar: {
            stamp: '18 in 325 .050 72DL',
            nose: 'sprocket',
            checks: { crack: 'no', bow: '0 mm', noseTurns: 'free' },
            edges: { A: { ...A, ...after }, B },
          },
        } as never),
        DEFAULT_RULES,
        null,
      );
      const asked = plan.steps.filter(({ reason }) => reason.code === 'metal-left').map(({ measure }) => measure);
      return { action: verdicts.bar.action, asked, doubt: doubts.bar, byHand: bar.byHand };
    };
    const alone = judged(tested, { stands: 'yes', stations: [] });
    expect(alone.action).toBe('recondition');
    expect(alone.asked).toEqual(expect.arrayContaining(['bar.edges.A.stations', 'bar.edges.B.stations']));
    const beside = judged(tested, level);
    expect(beside.action).toBe('recondition');
    expect(beside.asked).toEqual(['bar.edges.A.stations']);
    expect(beside.doubt!.shares.replace).toBeGreaterThan(0.05);
    expect(beside.byHand.A?.note).toMatchObject({ code: 'by-hand', high: 'near' });
    // What was called for stays as it was said once the rails are measured after the work.
    const after = { near: '7.9 mm', far: '7.9 mm' };
    const reworked = judged(tested, level, { stations: tested.stations.map((each) => ({ ...each, after })) });
    expect(reworked.byHand.A?.note).toMatchObject({ code: 'by-hand', high: 'near' });
    expect(reworked.asked).toEqual([]);
  });

  it('rust is cleaned off and condemns nothing; pitted rail tops are dressed', () => {
    const sound = { near: '8 mm', far: '8 mm', mouth: '1.36 mm', deep: '1.34 mm', deepAt: '3 mm' };
    const edge = { stations: [60, 160, 260, 360].map((at) => ({ at: `${at} mm`, ...sound })) };
    const verdict = (rust?: 'none' | 'surface' | 'pitted') =>
      appraise(
        sheet({
          bar: {
            stamp: '325 .050 72DL',
            nose: 'sprocket',
            checks: { crack: 'no', bow: '0 mm', noseTurns: 'free', oilHoles: 'clear', groove: 'clean', rust },
            edges: { A: edge, B: edge },
          },
        }),
        DEFAULT_RULES,
        null,
      ).verdicts.bar;
    expect(verdict()).toMatchObject({ action: 'keep', operations: [] });
    expect(verdict('none')).toMatchObject({ action: 'keep', operations: [] });
    expect(verdict('surface')).toMatchObject({ action: 'clean', operations: ['clean-rust'] });
    expect(verdict('pitted')).toMatchObject({ action: 'recondition', operations: ['dress-rails'] });
  });
});
