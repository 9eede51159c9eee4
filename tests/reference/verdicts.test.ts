import { describe, expect, it } from 'vitest';
import { appraise, DEFAULT_RULES } from '../../src/core/assess';
import { readSheet, type WrittenBenchSheet } from '../../src/core/sheet';

/**
 * Verdicts that were wrong once, each as it was found on parts with known truth. The facts are those of the trade
 * (common practice, no source) and of JCGM 106:2012 where a probability is meant.
 */
type Parts = Omit<WrittenBenchSheet, 'format' | 'version'>;
type Bar = NonNullable<WrittenBenchSheet['bar']>;
type Station = NonNullable<NonNullable<NonNullable<Bar['edges']>['A']>['stations']>[number];

function appraised(parts: Parts) {
  const read = readSheet({ format: 'serrata-bench-sheet', version: 1, ...parts });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return appraise(read.value, DEFAULT_RULES, null);
}

const at = (position: number, depth: number, over: Partial<Station> = {}): Station => ({
  at: `${position} mm`,
  near: `${depth} mm`,
  far: `${depth} mm`,
  ...over,
});

/** A bar with nothing against it; its pitch asks for 6 mm of depth. */
const bar = (A: Station[], over: Partial<Bar> = {}, B: Station[] = [at(60, 8), at(300, 8)]): Bar => ({
  stamp: '325 .050 72DL',
  ...over,
  checks: { crack: 'no', bow: '0 mm', noseTurns: 'free', ...over.checks },
  edges: { A: { stations: A }, B: { stations: B } },
});
const sound = [at(60, 8, { mouth: '1.36 mm' }), at(300, 8)];
const action = (parts: Parts) => appraised(parts).verdicts;
const check = (parts: Parts, id: string) => appraised(parts).checks.find((each) => each.id === id)!;

describe('a reading known by one mark alone', () => {
  it.each([
    ['a sprocket that a 0.9 blade enters is worn out', { driveSprocket: { wear: { enters: '0.9 mm' } } }, 'replace'],
    ['one that refuses 0.2 is not', { driveSprocket: { wear: { refuses: '0.2 mm' } } }, 'keep'],
    ['one that a 0.3 blade enters is open', { driveSprocket: { wear: { enters: '0.3 mm' } } }, 'undecided'],
    ['one that refuses 0.8 is open', { driveSprocket: { wear: { refuses: '0.8 mm' } } }, 'undecided'],
  ] as const)('%s', (_said, parts, wanted) => {
    expect(action(parts).driveSprocket.action).toBe(wanted);
  });

  it.each([
    ['bow beyond a blade of 0.9', { checks: { bow: { enters: '0.9 mm' } } }, [], 'replace'],
    ['bow within a blade of 0.1', { checks: { bow: { refuses: '0.1 mm' } } }, [], 'keep'],
    ['bow beyond a blade of 0.1', { checks: { bow: { enters: '0.1 mm' } } }, [], 'undecided'],
    ['a depth that refuses 6 mm', {}, [at(150, 8, { far: { refuses: '6 mm' } })], 'replace'],
    ['a depth that takes 7 mm', {}, [at(150, 8, { far: { enters: '7 mm' } })], 'keep'],
    ['a depth that takes 4 mm', {}, [at(150, 8, { far: { enters: '4 mm' } })], 'undecided'],
    ['a depth that refuses 9 mm', {}, [at(150, 8, { far: { refuses: '9 mm' } })], 'undecided'],
    ['a mouth that refuses 1.6', {}, [at(150, 8, { mouth: { refuses: '1.6 mm' } })], 'keep'],
    ['a mouth that takes 1.3', {}, [at(150, 8, { mouth: { enters: '1.3 mm' } })], 'undecided'],
    ['a floor that takes 2.0', {}, [at(150, 8, { deep: { enters: '2.0 mm' } })], 'replace'],
  ] as const)('%s', (_said, over, more, wanted) => {
    expect(action({ bar: bar([...sound, ...more], over as Partial<Bar>) }).bar.action).toBe(wanted);
  });

  it('counts in elongation and cutters as the bound it is', () => {
    const chain = {
      checks: { crack: 'no' as const },
      cuttersLeft: ['6 mm'],
      cuttersRight: ['6 mm'],
      pushPull: { joints: 60, closed: '495 mm', pulled: '500 mm' },
    };
    expect(action({ chain }).chain.action).toBe('keep');
    const pulled = (mark: object) => ({ ...chain, pushPull: { ...chain.pushPull, pulled: mark } }) as Parts['chain'];
    expect(action({ chain: pulled({ enters: '520 mm' })! }).chain.action).toBe('replace');
    expect(action({ chain: pulled({ enters: '498 mm' })! }).chain.action).toBe('undecided');
    expect(action({ chain: pulled({ refuses: '500 mm' })! }).chain.action).toBe('keep');
    const cutter = (mark: object) => ({ ...chain, cuttersLeft: ['6 mm', mark] }) as Parts['chain'];
    expect(action({ chain: cutter({ refuses: '3.5 mm' })! }).chain.action).toBe('replace');
    expect(action({ chain: cutter({ enters: '3.5 mm' })! }).chain.action).toBe('undecided');
    expect(action({ chain: cutter({ enters: '5 mm' })! }).chain.action).toBe('keep');
  });

  it('between two marks is judged by its share (JCGM 106:2012)', () => {
    const wear = (enters: string, refuses: string) =>
      check({ driveSprocket: { wear: { enters, refuses } } }, 'sprocket.wear');
    expect(wear('0.3 mm', '0.55 mm').probability).toBeCloseTo(0.8, 9);
    expect(wear('0.49 mm', '0.69 mm').probability).toBeCloseTo(0.05, 9);
  });
});

describe('side play', () => {
  it('is held against the link of the bar itself; where nothing tells it, what would tell is asked for', () => {
    const bare = bar([at(60, 8, { deep: '1.9 mm', mouth: '2 mm', deepAt: '3 mm' }), at(300, 8)], { stamp: '325' });
    expect(action({ bar: bare }).bar.action).toBe('undecided');
    const unread = bar([at(60, 8, { deep: '1.35 mm' }), at(300, 8)], { stamp: '325 .050' });
    expect(action({ bar: unread }).bar.action).toBe('undecided');
    expect(appraised({ bar: unread }).next.map(({ measure }) => measure)).toContain('bar.edges.A.stations.0.mouth');
    const worn = bar([at(60, 8, { deep: '1.95 mm' }), at(300, 8)], { stamp: '325 .050' });
    expect(action({ bar: worn }).bar.action).toBe('replace');
  });

  it('is not judged with a thin chain that was on: that is the fit’s business', () => {
    const parts = {
      bar: bar([at(60, 8, { mouth: '1.62 mm', deep: '1.60 mm', deepAt: '4 mm' }), at(300, 8)], {
        stamp: '3/8 .058 72DL',
      }),
      chain: { driveLinkThickness: '1.07 mm', chassis: 'large' as const, stamp: '3/8' },
    };
    const { verdicts, fit } = appraised(parts);
    expect(verdicts.bar.action).toBe('keep');
    expect(fit.find(({ rule }) => rule === 'chain-gauge-is-bar-gauge')?.holds).toBe(false);
  });

  it('is not less in a wider mouth, and no pinch where the floor is wide', () => {
    const of = (mouth: number) =>
      check(
        { bar: bar([at(60, 8, { mouth: `${mouth} mm`, deep: '1.70 mm', deepAt: '1.5 mm' })]), chain: { tang: '5 mm' } },
        'bar.play',
      );
    const plays = [1.75, 1.9, 2.1, 2.4, 3].map((mouth) => of(mouth).value!);
    expect([...plays].sort((a, b) => a - b)).toEqual(plays);
    expect(of(2.2).note?.code).not.toBe('pinches');
    expect(of(2.2).value).toBeCloseTo((2.2 + 1.7) / 2 - 1.27, 1);
  });

  it('has no number without end where the floor reading was placed at nothing', () => {
    const { bar: found } = appraised({
      bar: bar([at(60, 8, { mouth: '1.6 mm', deep: '1.4 mm', deepAt: '0 mm' })]),
      chain: { tang: '5 mm' },
    });
    expect(found.edges.A.figures[0]!.play!.value).toBeCloseTo(0.23, 9);
    expect(JSON.stringify(found)).not.toMatch(/null,"u":null|Infinity/);
  });

  it('from the mouth alone may clear and may ask, and condemns nothing', () => {
    const of = (mouth: string, more: Partial<Bar> = {}) =>
      appraised({ bar: bar([at(60, 8, { mouth }), at(300, 8)], more) });
    expect(of('1.4 mm').verdicts.bar.action).toBe('keep');
    const wide = of('2.4 mm');
    expect(wide.verdicts.bar.action).toBe('undecided');
    expect(wide.next.map(({ measure }) => measure)).toEqual(
      expect.arrayContaining(['bar.edges.A.stations.0.deep', 'bar.checks.straightEdge']),
    );
    expect(of('2.4 mm', { checks: { straightEdge: 'gap-stays' } }).verdicts.bar.action).toBe('keep');
    expect(of('2.4 mm', { checks: { straightEdge: 'gap-closes' } }).verdicts.bar.action).toBe('replace');
  });
});

describe('marks and worn places', () => {
  it.each(['1.6 mm', '2 mm', '3.5 mm'])('a mouth worn to %s overrules no stamped pitch', (mouth) => {
    const { identity, bar: found } = appraised({ bar: bar([at(60, 5, { mouth })], { stamp: '1/4' }) });
    expect(identity.bar.pitch.value).toBe('quarter');
    expect(found.depthLimit).toBe(4);
  });

  it('nor does a floor worn wide', () => {
    const { identity } = appraised({
      bar: bar([at(60, 5, { deep: '1.75 mm', mouth: '1.8 mm' })], { stamp: '1/4 .050' }),
    });
    expect(identity.bar).toMatchObject({ pitch: { value: 'quarter' }, gauge: { value: '.050' } });
  });

  it('a number that stands on one mark says so, with the half minute that confirms it; two kinds of evidence do not', () => {
    const { identity } = appraised({ chain: { stamp: '.325' } });
    expect(identity.chain.pitch).toMatchObject({ value: '325', onMark: { confirmedBy: { minutes: 0.5 } } });
    const spanned = appraised({ chain: { stamp: '.325', span: { rivets: 11, length: '82.7 mm' } } });
    expect(spanned.identity.chain.pitch).toMatchObject({ value: '325', onMark: null });
  });

  it('an open number always has something proposed', () => {
    const between = appraised({ chain: { driveLinkThickness: '1.15 mm', stamp: 'K' } }).identity.chain.gauge;
    expect(between.status).toBe('open');
    expect(between.settledBy).not.toBeNull();
    for (const more of [{}, { stamp: 'K-77' }, { stamp: 'K-77', nose: 'hard' as const }, { nosePitch: '3/8' as const }])
      expect(appraised({ bar: { ...more } }).identity.bar.pitch.settledBy).not.toBeNull();
  });
});

describe('work and tests', () => {
  it('a second measurement forgets no first one that was not taken again', () => {
    const shallow = at(60, 8, { near: '5.2 mm', mouth: '1.36 mm' });
    expect(action({ bar: bar([shallow, at(300, 8)]) }).bar.action).toBe('replace');
    const again = { ...shallow, after: { far: '7.9 mm' } };
    expect(action({ bar: bar([again, at(300, 8)], { reworkDone: ['dress-rails'] }) }).bar.action).toBe('replace');
    const loose = at(60, 8, {
      mouth: '2.4 mm',
      deep: '2.2 mm',
      deepAt: '3 mm',
      after: { near: '7.9 mm', far: '7.9 mm' },
    });
    expect(action({ bar: bar([loose, at(300, 8)]) }).bar.action).toBe('replace');
  });

  it('a measured step takes nothing back that the straight-edge test condemned', () => {
    const stepped = [
      at(60, 8, { far: '7.4 mm', mouth: '1.4 mm' }),
      at(180, 8, { far: '7.4 mm' }),
      at(300, 8, { far: '7.4 mm' }),
    ];
    const { verdicts } = appraised({ bar: bar(stepped, { checks: { straightEdge: 'passes-beyond' } }) });
    expect(verdicts.bar.action).toBe('replace');
  });

  // Common practice, no source: a mouth that is splayed at its top is good again below, once the top is dressed off.
  it.each([
    ['comes back whole', '7.2 mm', '2.4 mm', 'ok', 'recondition'],
    ['comes back to be watched', '7.6 mm', '2.4 mm', 'watch', 'recondition'],
    ['was not lost by the widths', '7.2 mm', '1.9 mm', 'ok', 'replace'],
  ] as const)(
    'the straight-edge test is taken back where play that the widths lost %s',
    (_said, far, mouth, then, wanted) => {
      const splayed = [60, 150, 240].map((position) =>
        at(position, 8, { far, mouth, deep: '1.36 mm', deepAt: '0.8 mm' }),
      );
      const parts: Parts = {
        bar: bar(splayed, { checks: { straightEdge: 'gap-closes' } }),
        chain: { driveLinkThickness: '1.26 mm', tang: '5 mm' },
      };
      expect(check(parts, 'bar.play-after').outcome).toBe(then);
      expect(action(parts).bar.action).toBe(wanted);
    },
  );

  it('levelling takes a pass off the low rail too: what is left is less than before', () => {
    const stepped = [60, 120, 180, 240, 300].map((position) => at(position, 8, { far: '7.5 mm', mouth: '1.4 mm' }));
    const { bar: found, checks } = appraised({ bar: bar(stepped) });
    const { plan } = found.edges.A.dressing!;
    expect(plan.weakest!.depth).toBeLessThan(7.5);
    expect(plan.weakest!.depth).toBeCloseTo(7.45, 1);
    expect(checks.find(({ id }) => id === 'bar.depth-after')!.uncertainty).toBeGreaterThan(0.03);
  });

  it('stations entered from the nose tell the same wear place', () => {
    const depths = [8.2, 8.1, 8, 7.8, 7.2];
    const along = depths.map((depth, i) => at(60 + 80 * i, depth));
    const place = (A: Station[]) => appraised({ bar: bar(A) }).bar.wearPlace.code;
    expect(place(along)).toBe('at-nose');
    expect(place([...along].reverse())).toBe('at-nose');
  });
});

describe('the chain', () => {
  const chain = {
    checks: { crack: 'no' as const },
    cuttersLeft: ['6 mm', '6 mm'],
    cuttersRight: ['6 mm', '6 mm'],
    pushPull: { joints: 60, closed: '495 mm', pulled: '500 mm' },
  };

  it('closed longer than pulled is no keep, and no negative wear', () => {
    const { verdicts, chain: found } = appraised({
      chain: { ...chain, pushPull: { joints: 60, closed: '515 mm', pulled: '495 mm' } },
    });
    expect(verdicts.chain.action).toBe('undecided');
    expect(found.stretch.measured).toBeNull();
    const close = appraised({ chain: { ...chain, pushPull: { joints: 60, closed: '495.3 mm', pulled: '495 mm' } } });
    expect(close.verdicts.chain.action).toBe('keep');
    expect(close.chain.stretch.measured?.percent).toBe(0);
  });

  it.each([
    [3.6, 'loose', 'fail'],
    [2.6, 'loose', 'watch'],
    [1.5, 'some', 'watch'],
    [0.4, 'tight', 'ok'],
    [0.3, 'loose', 'watch'],
    [3.6, 'tight', 'watch'],
  ] as const)(
    'grown by %f %% by the tape and %s in the hand, the hand says %s; where they contradict, that one of them is made again',
    (percent, feel, outcome) => {
      const pushPull = { joints: 60, closed: '495 mm', pulled: `${(495 * (1 + percent / 100)).toFixed(2)} mm` };
      const { checks } = appraised({ chain: { ...chain, checks: { ...chain.checks, feel }, pushPull } });
      const said = checks.find(({ id }) => id === 'chain.feel')!;
      expect(said.outcome).toBe(outcome);
      const contradicts = (percent < 1 && feel === 'loose') || (percent > 3 && feel === 'tight');
      expect(said.note?.code === 'feel-disagrees').toBe(contradicts);
    },
  );

  it('damage on a side that nobody measured is filed back all the same', () => {
    const { cuttersRight: _right, ...left } = chain;
    const damage = [{ side: 'right' as const, cutter: 2, setBack: '2.5 mm' }];
    expect(action({ chain: { ...left, damage } }).chain.action).toBe('replace');
  });

  it('counted twice alike against cutters that cannot be is a sequence that does not agree', () => {
    const { chain: found } = appraised({ chain: { driveLinks: [72, 72], cutters: 30, sequence: 'full-complement' } });
    expect(found.sequence.agrees).toBe(false);
  });

  it('the witness mark was measured too: by one tool its own error cancels, by two it does not', () => {
    const of = (witnessLimit: NonNullable<WrittenBenchSheet['chain']>['witnessLimit']) =>
      check({ chain: { ...chain, cuttersLeft: ['4.05 mm'], cuttersRight: [], witnessLimit } }, 'chain.cutter')
        .probability!;
    // Each reading places to hypot(0.02, 0.01/√12); the caliper's own 0.03/√3 is in both alike.
    expect(of('4.00 mm')).toBeCloseTo(0.959, 2);
    expect(of({ repeats: ['4.0 mm'], instrument: 'rule' })).toBeLessThan(0.6);
  });
});

describe('what to measure next', () => {
  it('names the field’s own tool and its own minutes, and holds percent against percent', () => {
    const tape = appraised({
      chain: {
        checks: { crack: 'no' },
        cuttersLeft: ['6 mm'],
        pushPull: { joints: 60, closed: '500 mm', pulled: '514.8 mm' },
      },
    });
    expect(tape.verdicts.chain.action).toBe('undecided');
    const again = tape.next.find(({ measure }) => measure === 'chain.pushPull')!;
    expect(again).toMatchObject({ minutes: 2, reason: { code: 'too-close', instrument: 'tape' } });
    const wear = appraised({ driveSprocket: { wear: '0.48 mm' } }).next[0]!;
    expect(wear).toMatchObject({ measure: 'driveSprocket.wear', minutes: 1, reason: { instrument: 'feeler' } });
  });
});
