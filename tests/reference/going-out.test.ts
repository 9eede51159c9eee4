import fc from 'fast-check';
import { jStat } from 'jstat';
import { linearRegression } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { appraise, DEFAULT_RULES } from '../../src/core/assess';
import { CUTS_NEEDED, cutDrift, cutSums, driftFactor, noticedDrift } from '../../src/core/bar';
import { workingDaysAfter } from '../../src/core/booking';
import { DEFAULTS } from '../../src/core/limits';
import { originSums, studentWithin, throughOrigin, type Degrees } from '../../src/core/quantity';
import { DEFAULT_SCHOOLS, resolveSchools } from '../../src/core/schools';
import { readSheet } from '../../src/core/sheet';
import { tensionCheck } from '../../src/core/refit';
import { failedProofSentence } from '../../src/wording';

const sheet = (parts: object) => {
  const read = readSheet({ format: 'serrata-bench-sheet', version: 1, ...parts });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return read.value;
};
const assessed = (parts: object) => appraise(sheet(parts), DEFAULT_RULES, null);

/** NIST StRD, linear regression without intercept: certified values (from memory). */
const NO_INT_1 = {
  points: [130, 131, 132, 133, 134, 135, 136, 137, 138, 139, 140].map((y, i) => ({ x: 60 + i, y })),
  slope: 2.07438016528926,
  u: 0.165289256198347e-1,
  residual: 3.56753034006338,
};
const NO_INT_2 = {
  points: [
    { x: 4, y: 3 },
    { x: 5, y: 4 },
    { x: 6, y: 4 },
  ],
  slope: 0.727272727272727,
  u: 0.420827318078432e-1,
  residual: 0.369274472937998,
};

describe('regression through the origin', () => {
  it.each([NO_INT_1, NO_INT_2])('meets the certified values of NIST StRD NoInt1 and NoInt2', (problem) => {
    const line = throughOrigin(originSums(problem.points))!;
    expect(line.slope).toBeCloseTo(problem.slope, 12);
    expect(line.u).toBeCloseTo(problem.u, 10);
    expect(line.residual).toBeCloseTo(problem.residual, 9);
  });

  it('is what an ordinary regression gives over the points and their mirror images (simple-statistics)', () => {
    const coordinate = fc.double({ min: -40, max: 40, noNaN: true }).filter((value) => Math.abs(value) > 1e-3);
    fc.assert(
      fc.property(fc.array(fc.record({ x: coordinate, y: coordinate }), { minLength: 2, maxLength: 30 }), (points) => {
        const mirrored = points.flatMap(({ x, y }) => [
          [x, y],
          [-x, -y],
        ]);
        const { m, b } = linearRegression(mirrored);
        expect(b).toBeCloseTo(0, 6);
        expect(throughOrigin(originSums(points))!.slope).toBeCloseTo(m, 6);
      }),
      { seed: 15, numRuns: 200 },
    );
  });

  it('bounds a slope by the quantiles of Student’s t (jstat)', () => {
    for (let degrees = 1; degrees <= 60; degrees += 1)
      for (const within of [0.5, 0.8, 0.95, 0.99])
        expect(studentWithin(within, degrees)).toBeCloseTo(jStat.studentt.inv((1 + within) / 2, degrees), 5);
    // JCGM 100:2008, table G.2 (from memory).
    expect(studentWithin(0.95, 10)).toBeCloseTo(2.23, 2);
    expect(studentWithin(0.95, 4)).toBeCloseTo(2.78, 2);
  });

  it.each([
    ['alike in every cut', () => 1.5],
    ['with the drift', (x: number) => 0.25 * Math.abs(x)],
    ['from both', (x: number) => Math.hypot(1.5, 0.2 * x)],
    ['with the square of the drift', (x: number) => x ** 2 / 100],
  ])(
    'finds the factor that test cuts were made with, and holds it in 95 of 100 intervals: scatter %s',
    (_, scatter) => {
      const shops = 2000;
      let held = 0;
      let seed = 7;
      const uniform = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
      const normal = () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
      for (let shop = 0; shop < shops; shop += 1) {
        const cuts = Array.from({ length: 5 + (shop % 12) }, () => {
          const lean = (uniform() < 0.5 ? -1 : 1) * (0.5 + 3.5 * uniform());
          const x = cutDrift(200 + 250 * uniform(), lean as Degrees, 60);
          return { x, y: 0.7 * x + scatter(x) * normal() };
        });
        const { interval } = driftFactor(cutSums(cuts));
        if (interval!.low <= 0.7 && 0.7 <= interval!.high) held += 1;
      }
      expect(held / shops).toBeGreaterThan(0.92);
      expect(held / shops).toBeLessThan(0.995);
    },
  );

  it('is uncalibrated below five cuts', () => {
    const cuts = Array.from({ length: CUTS_NEEDED - 1 }, (_, i) => ({ x: i + 1, y: 2 * i + 2 }));
    expect(driftFactor(cutSums(cuts))).toEqual({ factor: 1, spread: null, interval: null, cuts: 4 });
  });
});

/** A whole saw with a worn but sound set, as far as refitting asks. */
const saw = (over: object = {}) => ({
  job: { brought: ['whole-saw'] },
  chain: { stamp: '325 .050', driveLinks: [72, 72] },
  ...over,
});

describe('putting it back on (common practice, no source)', () => {
  it('asks for a new sprocket’s tensioner, and for a new chain’s first minutes, only where they are new', () => {
    expect(assessed(saw()).refit).not.toContain('tensioner-back');
    expect(assessed(saw()).refit).not.toContain('tension-again');
    expect(assessed(saw({ driveSprocket: { wear: '0.9 mm' } })).refit).toContain('tensioner-back');
    expect(assessed(saw({ chain: { checks: { crack: 'yes' } } })).refit).toContain('tension-again');
    expect(assessed(saw({ bar: { checks: { crack: 'yes' } } })).refit).not.toContain('other-edge-down');
    // Turned over, the other of its oil ports faces the pump.
    expect(assessed(saw()).refit).toContain('port-clear');
    expect(assessed(saw({ bar: { checks: { crack: 'yes' } } })).refit).not.toContain('port-clear');
  });

  it('asks for nothing where no whole saw came', () => {
    expect(assessed({ job: { brought: ['bar'] }, bar: { stamp: '325' } })).toMatchObject({
      refit: [],
      proof: { state: 'not-needed' },
    });
  });

  it('calls a chain too tight that lifts nothing: by the length of the bar, and more round a hard nose', () => {
    const lift = (value: string, bar: object = {}) =>
      tensionCheck(sheet({ bar, refit: { lift: value } }), '38', DEFAULTS, DEFAULT_SCHOOLS)!;
    expect(lift('0 mm')).toMatchObject({ outcome: 'fail', kind: 'min' });
    expect(lift('3 mm')).toMatchObject({ outcome: 'ok' });
    expect(lift('2 mm', { effectiveLength: '400 mm' }).outcome).toBe('ok');
    expect(lift('2 mm', { effectiveLength: '700 mm' }).outcome).toBe('fail');
    expect(lift('2 mm', { effectiveLength: '400 mm', nose: 'hard' }).outcome).toBe('fail');
    expect(lift('13 mm')).toMatchObject({ outcome: 'fail', kind: 'max' });
  });

  it('lets a tensioned chain lift by a drive link at most, about 12 mm on 3/8, and more round a hard nose by one school', () => {
    const lift = (value: string, family: '38' | 'quarter', nose = 'sprocket', schools = DEFAULT_SCHOOLS) =>
      tensionCheck(sheet({ bar: { nose }, refit: { lift: value } }), family, DEFAULTS, schools)!.outcome;
    expect(lift('12 mm', '38')).toBe('ok');
    expect(lift('13 mm', '38')).toBe('fail');
    expect(lift('12 mm', 'quarter')).toBe('fail');
    expect(lift('14 mm', '38', 'hard')).toBe('fail');
    expect(lift('14 mm', '38', 'hard', resolveSchools({ tension: 'sag-on-hard-nose' }))).toBe('ok');
    expect(lift('14 mm', '38', 'sprocket', resolveSchools({ tension: 'sag-on-hard-nose' }))).toBe('fail');
  });

  it('never speaks of a part by how it goes out', () => {
    const before = assessed(saw());
    const after = assessed(saw({ refit: { lift: '40 mm' }, proof: { oil: 'none', swarf: 'dust' } }));
    expect(after.verdicts).toEqual(before.verdicts);
    expect(after.checks.filter(({ outcome }) => outcome === 'fail').map(({ id }) => id)).toEqual(
      expect.arrayContaining(['refit.lift', 'proof.oil', 'proof.swarf']),
    );
  });
});

const levelEdge = (far: string) => ({
  stations: [60, 160, 260, 360].map((at) => ({
    at: `${at} mm`,
    near: '7.9 mm',
    far,
    mouth: '1.38 mm',
    deep: '1.34 mm',
    deepAt: '3 mm',
  })),
});

const proved = (cut: object, over: object = {}) =>
  saw({
    chain: { stamp: '325 .050', driveLinks: [72, 72], tang: '5.2 mm' },
    bar: {
      stamp: '18 in 325 .050 72DL',
      thickness: '4.2 mm',
      bodyHeight: '60 mm',
      edgeDownNow: 'A',
      edges: { A: levelEdge('7.4 mm'), B: levelEdge('7.9 mm') },
    },
    proof: { oil: 'flies', swarf: 'chips', cut },
    ...over,
  });

describe('proving it', () => {
  // Common practice, no source: a chain that turns at idle is no saw to try.
  it('fails where the chain turns while the saw idles, whatever else was good, and moves no verdict', () => {
    const good = { depth: '300 mm', drift: '0 mm', side: 'none' };
    const withIdle = (idle: string) =>
      assessed(proved(good, { proof: { idle, oil: 'flies', swarf: 'chips', cut: good } }));
    expect(withIdle('stands').proof).toMatchObject({ state: 'passed' });
    const turning = withIdle('turns');
    expect(turning.proof).toMatchObject({ state: 'failed', failed: [] });
    expect(turning.checks.find(({ id }) => id === 'proof.idle')).toMatchObject({ outcome: 'fail' });
    expect(turning.verdicts).toEqual(withIdle('stands').verdicts);
    // Who did not look is not held up by it: the sheet of before still stands as it was proved.
    expect(assessed(proved(good)).proof.state).toBe('passed');
  });

  it('foresees the drift by the lean of the edge that is down, to the side it leans', () => {
    const { bar, proof } = assessed(proved({ depth: '300 mm', drift: '4 mm', side: 'left' }));
    const [figure] = bar.standing.A.figures;
    const lean = Math.abs(figure!.setLean!) as Degrees;
    // Near stands higher: the link leans to the far side, which is left with edge A down.
    expect(proof.cut!.predicted).toBeCloseTo(-cutDrift(300, lean, 60), 1);
    expect(proof.cut!.measured).toBe(-4);
    const turned = assessed(proved({ depth: '300 mm', drift: '0 mm', side: 'none' }, {}));
    expect(turned.proof).toMatchObject({ state: 'passed', failed: [], cut: { measured: 0 } });
  });

  it('judges what was measured, whatever side was named: “straight” takes no drift back, and a bound is one', () => {
    const state = (cut: object) => assessed(proved({ depth: '300 mm', ...cut })).proof.state;
    expect(state({ drift: '20 mm', side: 'none' })).toBe('failed');
    expect(state({ drift: '20 mm' })).toBe('failed');
    expect(state({ drift: { enters: '9 mm' }, side: 'left' })).toBe('failed');
    expect(state({ drift: '1 mm', side: 'none' })).toBe('passed');
    expect(state({ side: 'none' })).toBe('passed');
    expect(state({ drift: '1 mm' })).toBe('not-proved');
  });

  it('counts a drift that grows with the square of the depth', () => {
    expect(noticedDrift(5, 300)).toBe(5);
    expect(noticedDrift(5, 150)).toBe(1.25);
    const at = (depth: string, drift: string) =>
      assessed(proved({ depth, drift, side: 'left' })).checks.find(({ id }) => id === 'proof.drift')!.outcome;
    expect(at('300 mm', '4 mm')).toBe('ok');
    expect(at('150 mm', '4 mm')).toBe('fail');
    expect(at('500 mm', '12 mm')).toBe('ok');
  });

  it('names no cause as likely where all that was looked at is sound', () => {
    const bar = { edgeDownNow: 'A', edges: { A: levelEdge('8 mm'), B: levelEdge('8 mm') } };
    const [failed] = assessed(proved({ depth: '300 mm', drift: '20 mm', side: 'left' }, { bar })).proof.failed;
    expect(failed!.unexplainedShare).toBeGreaterThan(failed!.share);
    expect(failedProofSentence(failed!)).toContain('nothing found explains it');
    const [leaning] = assessed(proved({ depth: '300 mm', drift: '20 mm', side: 'left' })).proof.failed;
    expect(failedProofSentence(leaning!)).toContain('most likely the rails are not level');
  });

  it('blames no rails that were dressed level since, and those of a bar that stayed where the chain is new', () => {
    const level = { near: '7.4 mm', far: '7.4 mm' };
    const dressed = {
      thickness: '4.2 mm',
      edgeDownNow: 'A',
      reworkDone: ['dress-rails', 'deburr'],
      edges: {
        A: { stations: levelEdge('7.4 mm').stations.map((station) => ({ ...station, after: level })) },
        B: levelEdge('7.9 mm'),
      },
    };
    const cut = { depth: '300 mm', drift: '20 mm', side: 'left' };
    const [after] = assessed(proved(cut, { bar: dressed })).proof.failed;
    const [before] = assessed(proved(cut)).proof.failed;
    expect(before).toMatchObject({ cause: 'rails-unlevel' });
    expect(after!.unexplainedShare).toBeGreaterThan(after!.share);
    const [renewed] = assessed(proved(cut, { chain: { checks: { crack: 'yes' } } })).proof.failed;
    expect(renewed).toMatchObject({ cause: 'rails-unlevel' });
    expect(renewed!.share).toBeGreaterThan(renewed!.unexplainedShare);
  });

  it('leads a crooked cut back to the rails that lean it, dust to a dull edge, and no oil to blocked holes', () => {
    const crooked = assessed(proved({ depth: '300 mm', drift: '20 mm', side: 'left' })).proof;
    expect(crooked).toMatchObject({
      state: 'failed',
      failed: [{ symptom: 'cuts-curved-left', cause: 'rails-unlevel', step: 'bar' }],
    });
    const dust = assessed(saw({ chain: { checks: { edge: 'dull' } }, proof: { oil: 'flies', swarf: 'dust' } })).proof
      .failed;
    expect(dust).toMatchObject([{ symptom: 'fine-dust', cause: 'cutters-dull' }]);
    const dry = assessed(saw({ bar: { checks: { oilHoles: 'blocked' } }, proof: { oil: 'none' } })).proof.failed;
    expect(dry).toMatchObject([{ symptom: 'will-not-oil', cause: 'oil-blocked' }]);
  });

  it('holds nothing against the saw that was mended or renewed since', () => {
    const mended = {
      chain: { checks: { edge: 'dull' }, reworkDone: ['sharpen'] },
      proof: { oil: 'flies', swarf: 'dust' },
    };
    const [now] = assessed(saw(mended)).proof.failed;
    const [before] = assessed(saw({ ...mended, chain: { checks: { edge: 'dull' } } })).proof.failed;
    expect(now!.share).toBeLessThan(before!.share);
    const renewed = assessed(
      proved({ depth: '300 mm', drift: '20 mm', side: 'left' }, { bar: { checks: { crack: 'yes' } } }),
    ).proof;
    expect(renewed.cut!.predicted).toBeNull();
  });
});

describe('advice (common practice, no source)', () => {
  const codes = (parts: object) => assessed(parts).advice.map(({ code }) => code);
  it('follows from habits and findings, and from nothing else', () => {
    expect(codes(saw())).toEqual([]);
    expect(codes(saw({ job: { brought: ['whole-saw'], filesOnBar: true } }))).toEqual(['clear-after-filing']);
    expect(codes(saw({ job: { brought: ['whole-saw'], filesOnBar: false } }))).toEqual([]);
    expect(codes(saw({ job: { symptoms: ['needs-force'] } }))).toEqual(['sharpen-sooner']);
    expect(codes(saw({ job: { carriesWrench: false } }))).toEqual(['carry-wrench']);
    expect(codes(saw({ job: { turnOver: 'never' } }))).toEqual(['turn-over']);
    expect(codes(saw({ bar: { noseGreased: true } }))).toEqual(['go-on-greasing']);
    expect(codes(saw({ bar: { noseGreased: true, nosePort: false } }))).toEqual([]);
    expect(codes(saw({ chain: { checks: { crack: 'yes' } } }))).toEqual(['check-tension-soon']);
  });
});

describe('a dip that both rails of one edge share (common practice, no source)', () => {
  const edge = (...depths: readonly number[]) => ({
    stations: depths.map((depth, i) => ({ at: `${60 + 90 * i} mm`, near: `${depth} mm`, far: `${depth} mm` })),
  });
  const level = edge(8, 8, 8, 8, 8);
  const dip = edge(8, 7.9, 6.9, 7.9, 8);
  const seldom = (A: object, B: object) => {
    const { bar, advice } = assessed(saw({ bar: { edges: { A, B } } }));
    return { pattern: bar.wearPattern, advised: advice.map(({ code }) => code).includes('turn-over') };
  };
  it('says that the bar is seldom turned over, and nothing of turning where both edges dip or none does', () => {
    expect(seldom(dip, level)).toEqual({ pattern: { code: 'dipped', edges: ['A'] }, advised: true });
    expect(seldom(level, dip)).toEqual({ pattern: { code: 'dipped', edges: ['B'] }, advised: true });
    expect(seldom(dip, dip)).toEqual({ pattern: { code: 'dipped', edges: ['A', 'B'] }, advised: false });
    expect(seldom(level, level).advised).toBe(false);
  });
});

describe('working days', () => {
  it('leave weekends out', () => {
    // 2026-11-27 is a Friday (proleptic calendar).
    expect(new Date('2026-11-27T00:00:00Z').getUTCDay()).toBe(5);
    expect(workingDaysAfter('2026-11-27', 0)).toBe('2026-11-27');
    expect(workingDaysAfter('2026-11-27', 1)).toBe('2026-11-30');
    expect(workingDaysAfter('2026-11-28', 0)).toBe('2026-11-30');
    expect(workingDaysAfter('2026-11-26', 7)).toBe('2026-12-07');
  });
});
