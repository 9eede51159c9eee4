import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { INSTRUMENTS, type InstrumentId } from '../quantity';
import { isReadingPath, type Action } from '../sheet';
import {
  answer,
  asMade,
  brierScore,
  everything,
  FAULTS,
  forNothing,
  isAllRead,
  LEVELS,
  makeTruth,
  minutesOfAll,
  minutesTaken,
  PRACTICE_PARTS,
  reliability,
  score,
  shareInterval,
  shortestMinutes,
  take,
  THEME_IDS,
  untold,
  type Ask,
  type FaultId,
  type Level,
  type Recipe,
  type Said,
  type Taken,
  type Truth,
} from '.';

const recipes = fc.record({
  seed: fc.nat(),
  level: fc.constantFrom(...(Object.keys(LEVELS) as Level[])),
  theme: fc.constantFrom(...THEME_IDS),
});

const SETTINGS = { seed: 32, numRuns: 200 };

/** What is said by whoever knows all. */
const known = (truth: Truth): Said => ({
  actions: Object.fromEntries(PRACTICE_PARTS.map((part) => [part, truth.actions[part][0]])),
  faults: truth.faults,
  causes: truth.causes,
  belongs: truth.belongs,
  order: truth.order,
  minutes: shortestMinutes(truth),
  open: [],
});

/** Every reading of a set as it is, by its place. */
const exactly = (truth: Truth): ReadonlyMap<string, string> =>
  new Map(everything(truth).map((ask) => [ask.path, answer(truth, ask, true)!.text]));

/** The faults that exact readings show, by the limits of the trade alone. */
function examined(truth: Truth): readonly FaultId[] {
  const read = exactly(truth);
  const all = (begin: string, end = '') =>
    [...read].filter(([path]) => path.startsWith(begin) && path.endsWith(end)).map(([, text]) => Number(text));
  const word = (path: string) => read.get(path);
  const depths = [...all('bar.edges', '.near'), ...all('bar.edges', '.far')];
  const dip = Object.values(truth.shape.edges).find((edge) => edge.dip !== null)?.dip;
  const lows = word('bar.checks.railLine') === 'low';
  const gauge = Number(read.get('bar.stamp')!.split(' ')[1]) * 25.4;
  const link = Number(read.get('chain.driveLinkThickness'));
  const wide = Number(read.get('bar.edges.A.stations.0.deep')) - gauge > 0.5;
  const [left, right] = [all('chain.cuttersLeft'), all('chain.cuttersRight')];
  const setBack = Number(read.get('chain.damage.0.setBack') ?? 0);
  const mean = (of: readonly number[]) => of.reduce((sum, each) => sum + each / of.length, 0);
  const punched = Number(read.get('chain.stamp')!.split(' ')[1]) * 25.4;
  const shown: Readonly<Partial<Record<FaultId, boolean>>> = {
    'rails-stepped': word('bar.edges.A.stands') !== 'yes',
    'groove-splayed': word('bar.checks.grooveShape') === 'splayed',
    'groove-worn': wide,
    'rails-low': !lows && Math.min(...depths) < 6,
    dip: lows && dip!.at < 300,
    'dip-behind-nose': lows && dip!.at > 300,
    'bar-bent': Number(read.get('bar.checks.bow')) > 0.5,
    'bar-cracked': word('bar.checks.crack') === 'yes',
    'oil-blocked': word('bar.checks.oilHoles') === 'blocked',
    'groove-packed': word('bar.checks.groove') === 'packed',
    'nose-seized': word('bar.checks.noseTurns') === 'seized',
    'chain-thin': gauge - link > 0.1,
    'stamp-wrong': Math.abs(punched - link) > 0.1,
    'cutters-short': Math.max(...left, ...right) < 4.2,
    'damage-deep': setBack > 0 && Math.min(...left, ...right) - setBack < 4.2,
    'cutters-dull': word('chain.checks.edge') === 'dull',
    'cutters-uneven': Math.abs(mean(left) - mean(right)) > 0.4,
    'gauges-high': mean(all('chain.depthGaugesLeft')) < 0.5,
    'chain-stretched': Number(read.get('chain.pushPull.pulled')) / Number(read.get('chain.pushPull.closed')) > 1.03,
    'chain-cracked': word('chain.checks.crack') === 'yes',
    'sprocket-worn': Number(read.get('driveSprocket.wear')) > 0.5,
    'turns-at-idle': word('proof.idle') === 'turns',
  };
  return (Object.keys(FAULTS) as FaultId[]).filter((id) => shown[id]);
}

describe('a set with known truth', () => {
  it('is the same for its seed for ever', () => {
    const told = (recipe: Recipe) => {
      const truth = makeTruth(recipe);
      const { faults, complaint } = truth;
      const at = (path: string, place: number | null = null) =>
        answer(truth, { path: path as Ask['path'], at: place, instrument: null, before: 0 })!.text;
      return [faults, complaint, at('bar.stamp'), at('bar.edges.A.stations.3.near', 120), at('chain.cuttersLeft.2')];
    };
    expect(told({ seed: 1, level: 'usual', theme: 'any' })).toMatchInlineSnapshot(`
      [
        [
          "rails-low",
        ],
        null,
        "3/8 .058 66DL",
        "7.28",
        "6.36",
      ]
    `);
    expect(told({ seed: 2, level: 'fine', theme: 'two-at-once' })).toMatchInlineSnapshot(`
      [
        [
          "groove-packed",
          "damage-deep",
        ],
        "runs-hot",
        ".325 .058 72DL",
        "7.59",
        "5.90",
      ]
    `);
    expect(told({ seed: 3, level: 'plain', theme: 'dip-behind-nose' })).toMatchInlineSnapshot(`
      [
        [
          "dip-behind-nose",
        ],
        null,
        "3/8 .063 66DL",
        "7.69",
        "7.35",
      ]
    `);
  });

  it('tells one truth: exact readings show the faults that were made, and no others', () => {
    fc.assert(
      fc.property(recipes, (recipe) => {
        const truth = makeTruth(recipe);
        expect(examined(truth)).toEqual(Object.keys(FAULTS).filter((id) => truth.faults.includes(id as FaultId)));
      }),
      SETTINGS,
    );
  });

  it('has a complaint that follows from what is wrong, and none where nothing is', () => {
    fc.assert(
      fc.property(recipes, (recipe) => {
        const truth = makeTruth(recipe);
        const causes = truth.faults.map((id) => FAULTS[id].cause);
        expect(truth.complaint !== null).toBe(causes.some((cause) => cause !== null));
        expect(causes).toEqual(expect.arrayContaining([...truth.causes]));
        expect(truth.causes.length > 0).toBe(truth.complaint !== null);
        if (recipe.theme === 'nothing-wrong') expect(truth).toMatchObject({ faults: [], belongs: true });
        if (recipe.theme === 'two-at-once') expect(truth.faults).toHaveLength(2);
      }),
      SETTINGS,
    );
  });

  it('answers each question within what its tool can err, the same whatever was asked before', () => {
    fc.assert(
      fc.property(recipes, fc.nat(), (recipe, pick) => {
        const truth = makeTruth(recipe);
        const asks = everything(truth);
        const ask = asks[pick % asks.length]!;
        expect(isReadingPath(ask.path)).toBe(true);
        const read = answer(truth, ask)!;
        for (const other of asks.slice(0, 5)) answer(truth, other);
        expect(answer(makeTruth(recipe), ask)).toEqual(read);
        const tool = (read as { instrument?: InstrumentId }).instrument;
        if (!tool) return;
        const { maxError, placing, resolution } = INSTRUMENTS[tool];
        const off = Math.abs(Number(read.text) - Number(answer(truth, ask, true)!.text));
        expect(off).toBeLessThanOrEqual(maxError + 6 * Math.max(placing, 0.1) + resolution);
      }),
      SETTINGS,
    );
  });

  it('answers a place once more, or with another tool, anew', () => {
    const truth = makeTruth({ seed: 5, level: 'usual', theme: 'nothing-wrong' });
    const ask = { path: 'bar.edges.A.stations.2.near', at: 200, instrument: null, before: 0 } as const;
    const texts = [ask, { ...ask, before: 1 }, { ...ask, before: 2 }, { ...ask, before: 3 }].map(
      (each) => answer(truth, each)!.text,
    );
    expect(new Set(texts).size).toBeGreaterThan(1);
    expect(answer(truth, { ...ask, instrument: 'depth-marks' })!.text).toMatch(/\.(00|50)$/);
  });

  it('has nothing where the set has nothing', () => {
    const truth = makeTruth({ seed: 5, level: 'usual', theme: 'nothing-wrong' });
    const at = (path: string) => answer(truth, { path: path as Ask['path'], at: null, instrument: null, before: 0 });
    expect(at('chain.damage.0.setBack')).toBeNull();
    expect(at('chain.cuttersLeft.99')).toBeNull();
    expect(at('no.such.place')).toBeNull();
  });
});

describe('a score', () => {
  it('is full for whoever knows all and reads no more than was needed', () => {
    fc.assert(
      fc.property(recipes, (recipe) => {
        const truth = makeTruth(recipe);
        const whole = score(truth, known(truth));
        expect(whole.points).toBeCloseTo(1, 9);
        expect(whole.dangers).toEqual([]);
      }),
      SETTINGS,
    );
  });

  it('is for a guesser, of the parts, what chance gives', () => {
    const actions: readonly Action[] = ['keep', 'clean', 'recondition', 'replace'];
    fc.assert(
      fc.property(recipes, (recipe) => {
        const truth = makeTruth(recipe);
        for (const part of PRACTICE_PARTS) {
          const right = actions.filter((action) => {
            const said = { ...known(truth), actions: { ...known(truth).actions, [part]: action } };
            return score(truth, said).parts[part] === 'right';
          });
          expect(right).toEqual(
            actions.filter((action) => (truth.actions[part] as readonly Action[]).includes(action)),
          );
        }
      }),
      SETTINGS,
    );
  });

  it('never rises by a wrong call, an invented fault, or minutes', () => {
    fc.assert(
      fc.property(recipes, fc.constantFrom(...PRACTICE_PARTS), fc.nat(60), (recipe, part, more) => {
        const truth = makeTruth(recipe);
        const right = known(truth);
        const points = (said: Partial<Said>) => score(truth, { ...right, ...said }).points;
        expect(points({ actions: { ...right.actions, [part]: 'undecided' } })).toBeLessThan(1);
        expect(points({ minutes: right.minutes + 1 + more })).toBeLessThan(1);
        const other = (Object.keys(FAULTS) as FaultId[]).find((id) => !truth.faults.includes(id))!;
        expect(points({ faults: [...truth.faults, other] })).toBeLessThan(1);
        expect(points({ belongs: null })).toBeLessThan(1);
        // What the readings leave open is not wrong either way.
        expect(points({ actions: { ...right.actions, [part]: 'undecided' }, open: [part] })).toBeCloseTo(1, 9);
      }),
      SETTINGS,
    );
  });

  it('is low for whoever lets out what breaks, runs on its floor, or does not belong', () => {
    const dangers = new Set<string>();
    for (let seed = 0; seed < 400; seed += 1) {
      const truth = makeTruth({ seed, level: 'usual', theme: 'any' });
      const said = {
        ...known(truth),
        actions: { bar: 'keep', chain: 'keep', driveSprocket: 'keep' },
        belongs: true,
      } as const;
      const result = score(truth, said);
      const out = ['bar-cracked', 'chain-cracked', 'rails-low', 'dip', 'dip-behind-nose'];
      const is = truth.faults.some((id) => out.includes(id)) || !truth.belongs;
      expect(result.dangers.length > 0).toBe(is);
      if (is) expect(result.points).toBeLessThanOrEqual(0.4);
      for (const { code } of result.dangers) dangers.add(code);
    }
    expect([...dangers].sort()).toEqual(['contact', 'cracked', 'does-not-belong']);
  });

  it('is low for whoever lets out a saw whose chain turns at idle', () => {
    const truth = makeTruth({ seed: 4, level: 'usual', theme: 'turns-at-idle' });
    expect(score(truth, known(truth))).toMatchObject({ dangers: [], points: 1 });
    const missed = score(truth, { ...known(truth), faults: [] });
    expect(missed.dangers).toEqual([{ code: 'turns-at-idle' }]);
    expect(missed.points).toBeLessThanOrEqual(0.4);
    // Seeds that were given out draw no such set: what they made once they make for ever.
    expect(makeTruth({ seed: 4, level: 'usual', theme: 'any' }).faults).not.toContain('turns-at-idle');
  });

  it('is low for whoever orders a chain that kicks back more than the one that came', () => {
    fc.assert(
      fc.property(recipes, (recipe) => {
        const truth = makeTruth(recipe);
        if (truth.order === null) return;
        const order = { ...truth.order, kickback: 'standard' } as const;
        const result = score(truth, { ...known(truth), order });
        const isDown = truth.order.kickback === 'low-kickback';
        expect(result.dangers.some(({ code }) => code === 'stepped-down')).toBe(isDown);
        if (isDown) expect(result.points).toBeLessThanOrEqual(0.4);
      }),
      SETTINGS,
    );
  });

  it('wants the chain that fits the groove, and none where the old one runs on', () => {
    fc.assert(
      fc.property(recipes, (recipe) => {
        const truth = makeTruth(recipe);
        const orderOf = (order: Said['order']) => score(truth, { ...known(truth), order }).order;
        const { shape } = truth;
        const stranger = { ...shape, gauge: shape.barGauge, driveLinks: shape.driveLinks + 1 };
        if (orderOf(null) === 'open') return;
        expect(orderOf(truth.order)).toBe('right');
        expect(orderOf(stranger)).toBe('wrong');
        if (truth.order) expect(orderOf(null)).toBe('not-said');
      }),
      SETTINGS,
    );
  });
});

/** Asks the questions one after the other. */
const asked = (truth: Truth, paths: readonly string[]): readonly Taken[] =>
  paths.reduce<readonly Taken[]>((taken, path) => {
    return [...taken, take(truth, taken, { path: path as Ask['path'], at: 120, instrument: null })];
  }, []);

describe('a round', () => {
  const truth = makeTruth({ seed: 2, level: 'fine', theme: 'two-at-once' });

  it('tells in one go what one look sees, and no more', () => {
    const [rails, row, damage, push] = asked(truth, [
      'bar.edges.A.stations.3.far',
      'chain.cuttersLeft.2',
      'chain.damage.0.kind',
      'chain.pushPull.pulled',
    ]);
    const paths = (taken: Taken | undefined) => taken!.entries.map(({ path }) => path);
    expect(paths(rails)).toEqual(['at', 'near', 'far'].map((field) => `bar.edges.A.stations.3.${field}`));
    expect(paths(row)).toEqual([0, 1, 2, 3, 4, 5].map((i) => `chain.cuttersLeft.${i}`));
    expect(paths(damage)).toHaveLength(5);
    expect(paths(push)).toEqual(['joints', 'closed', 'pulled'].map((field) => `chain.pushPull.${field}`));
  });

  it('costs its minutes, each set-up while it lasts, and what is read again costs again', () => {
    const taken = asked(truth, ['chain.cuttersLeft.0', 'chain.cuttersRight.0', 'chain.cuttersRight.0']);
    const [first, second, again] = taken.map(({ minutes }) => minutes);
    expect(first).toBeGreaterThan(second!);
    expect(again).toBeCloseTo(second!, 9);
    expect(minutesTaken(taken)).toBeCloseTo(first! + second! + again!, 9);
    expect(taken[2]!.entries).not.toEqual(taken[1]!.entries);
  });

  it('has nothing to say where the set has nothing, and takes another tool only where it reads that', () => {
    const sound = makeTruth({ seed: 4, level: 'usual', theme: 'nothing-wrong' });
    expect(asked(sound, ['chain.damage.0.kind'])[0]!.entries).toEqual([]);
    const read = (instrument: InstrumentId) =>
      take(sound, [], { path: 'bar.edges.A.stations.0.near', at: 60, instrument }).entries[1]!.instrument;
    expect(read('depth-marks')).toBe('depth-marks');
    expect(read('tape')).toBe('depth-rod');
  });

  it('is looked back on: what was not read and would have told, and what was read for nothing', () => {
    fc.assert(
      fc.property(recipes, (recipe) => {
        const set = makeTruth(recipe);
        expect(untold(set, []).map(({ fault }) => fault)).toEqual(
          set.faults.flatMap((id) => FAULTS[id].shownBy.map(() => id)),
        );
        const all = asked(
          set,
          everything(set).map(({ path }) => path),
        );
        expect(untold(set, all)).toEqual([]);
        expect(PRACTICE_PARTS.every((part) => isAllRead(part, set, all))).toBe(true);
        expect(PRACTICE_PARTS.some((part) => isAllRead(part, set, []))).toBe(false);
      }),
      { ...SETTINGS, numRuns: 20 },
    );
    expect(forNothing(truth, asked(truth, ['bar.checks.rust', 'chain.damage.0.kind', 'bar.stamp']))).toEqual([
      'bar.checks.rust',
    ]);
  });

  it('makes a test cut that is drawn to where the faults draw, and throws and oils as they have it', () => {
    const seen = new Set<string>();
    for (const seed of Array.from({ length: 200 }, (_, i) => i)) {
      const set = makeTruth({ seed, level: 'usual', theme: 'any' });
      const [cut, oil, swarf] = asked(set, ['proof.cut.drift', 'proof.oil', 'proof.swarf']);
      const [, drift, side] = cut!.entries.map(({ text }) => text);
      const toward = set.complaint?.startsWith('cuts-curved') ? set.complaint.split('-').at(-1) : undefined;
      if (toward) expect(side).toBe(toward);
      expect(Number(drift) > 5).toBe(side !== 'none');
      expect(oil!.entries[0]!.text === 'none').toBe(set.faults.includes('oil-blocked'));
      expect(swarf!.entries[0]!.text === 'dust').toBe(
        set.faults.includes('cutters-dull') || set.faults.includes('gauges-high'),
      );
      seen.add(`${side}`);
    }
    expect([...seen].sort()).toEqual(['left', 'none', 'right']);
  });

  it('is wrong by hand about as often as hands are, and the same for the same question', () => {
    const found = Array.from({ length: 3000 }, (_, seed) => {
      const set = makeTruth({ seed, level: 'usual', theme: 'nothing-wrong' });
      const ask = { path: 'bar.checks.straightEdge', at: null, instrument: null, before: 0 } as const;
      expect(answer(set, ask)).toEqual(answer(set, ask));
      return answer(set, ask)!.text === answer(set, ask, true)!.text;
    });
    const wrong = found.filter((isRight) => !isRight).length / found.length;
    // Three of a hundred, shared over what it may find (§18).
    expect(wrong).toBeGreaterThan(0.005);
    expect(wrong).toBeLessThan(0.03);
  });

  it('can be looked at as it was made, without any error', () => {
    const texts = new Map(asMade(truth).flatMap(({ entries }) => entries.map(({ path, text }) => [path, text])));
    expect(texts).toEqual(exactly(truth));
  });

  it('tells nothing that was not asked for', () => {
    // What a set looks like where nobody looked moves no answer.
    const one = take(truth, [], { path: 'chain.checks.edge', at: null, instrument: null });
    expect(JSON.stringify(one)).not.toMatch(/seed|theme|fault|shape|recipe/);
    expect(one.entries.map(({ path }) => path)).toEqual(['chain.checks.edge']);
  });
});

describe('minutes', () => {
  it('count a set-up once, and a reading once', () => {
    const one = minutesOfAll(['bar.edges.A.stations']);
    const both = minutesOfAll(['bar.edges.A.stations', 'bar.edges.B.stations']);
    expect(both).toBeLessThan(2 * one);
    expect(minutesOfAll(['bar.edges.A.stations', 'bar.edges.A.stations'])).toBe(one);
  });

  it('are fewer where one reading condemns than where all must clear', () => {
    const least = (theme: Recipe['theme']) => shortestMinutes(makeTruth({ seed: 9, level: 'usual', theme }));
    expect(least('dip')).toBeLessThan(least('nothing-wrong'));
    expect(least('deep-damage')).toBeLessThan(least('nothing-wrong'));
  });
});

describe('how sure somebody is', () => {
  it('is scored by the mean square', () => {
    const statements = [
      { sure: 0.9, isRight: true },
      { sure: 0.8, isRight: false },
      { sure: 0.3, isRight: false },
    ];
    expect(brierScore(statements)).toBeCloseTo(0.2467, 4);
    expect(brierScore([])).toBeNull();
  });

  it('is held against how often they were right, tenth by tenth', () => {
    const said = (sure: number, right: number, of: number) =>
      Array.from({ length: of }, (_, i) => ({ sure, isRight: i < right }));
    const curve = reliability([...said(0.95, 19, 20), ...said(1, 5, 5), ...said(0.5, 2, 4)]);
    expect(curve.map(({ right, of }) => [right, of])).toEqual([
      [2, 4],
      [24, 25],
    ]);
    for (const { right, of, from, until } of curve) {
      expect(from).toBeLessThan(right / of);
      expect(until).toBeGreaterThan(right / of);
    }
    expect(reliability([])).toEqual([]);
  });

  it('is known the better the more was said', () => {
    const width = (of: number) => shareInterval(of / 2, of).until - shareInterval(of / 2, of).from;
    expect(width(100)).toBeLessThan(width(10));
  });
});
