import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULTS, type LimitId } from '../limits';
import { PARTS, type Part } from '../reading';
import { DEFAULT_SCHOOLS } from '../schools';
import { customsOf } from './due';
import { firstReached, lifeOf } from './life';
import { lookKey, namedBy, NOTHING_SAID, type Move, type Piece, type Visit } from './piece';
import { piecesOf } from './pieces';
import type { VisitFacts } from './visit';

const NOTHING: VisitFacts = {
  brought: [],
  renewed: [],
  others: [],
  hoursPerWeek: null,
  marks: {},
  worked: {},
  edge: { came: null, went: null },
  came: {},
  went: {},
  found: {},
};

const MS_PER_DAY = 24 * 3600 * 1000;
const FIRST_DAY = Date.UTC(2024, 0, 1) / MS_PER_DAY;
const day = (days: number): string => new Date(Date.UTC(2024, 0, 1 + days)).toISOString();

/** Jobs of a saw, a hundred days apart, each out after one. */
const visits = (...facts: readonly Partial<VisitFacts>[]): readonly Visit[] =>
  facts.map((each, i) => ({
    jobId: `job-${i}`,
    tag: `L-${i}`,
    came: day(100 * i),
    went: day(100 * i + 1),
    facts: { ...NOTHING, ...each },
  }));

const bar = (value: number, more: Partial<VisitFacts> = {}): Partial<VisitFacts> => ({
  brought: ['bar'],
  came: { 'bar.depth': { value, u: 0.05 } },
  ...more,
});

/** The pieces of one saw of which nothing is said. */
const onOne = (past: readonly Visit[]) => piecesOf([{ saw: 'saw', visits: past }], NOTHING_SAID);

const of = (part: Part, pieces: readonly Piece[]) => pieces.filter((piece) => piece.part === part);

/** What a job may say of the parts that came with it. */
const value = fc.record({ value: fc.double({ min: 4, max: 10, noNaN: true }), u: fc.constant(0.05) });
const someFacts = fc.record({
  brought: fc.subarray([...PARTS]),
  renewed: fc.subarray([...PARTS]),
  others: fc.subarray(['bar', 'nose', 'chain', 'driveSprocket'] as const),
  came: fc.record({ 'bar.depth': value, 'chain.cutter': value }, { requiredKeys: [] }),
  went: fc.record({ 'bar.depth': value }, { requiredKeys: [] }),
  marks: fc.record({ chain: fc.record({ driveLinks: fc.constantFrom(66, 72) }) }, { requiredKeys: [] }),
});

describe('pieces', () => {
  it('stay the same as long as nothing says otherwise', () => {
    const [only, ...others] = onOne(visits(bar(9), bar(8.7), bar(8.75)));
    expect(others).toEqual([]);
    expect(only).toMatchObject({ id: 'bar.found.job-0', ended: null });
    expect(only!.seen.map(({ visit }) => visit.tag)).toEqual(['L-0', 'L-1', 'L-2']);
  });

  it('are others where a bar is said to be another, and its nose with it', () => {
    const came = { brought: ['bar', 'nose'] as Part[] };
    const pieces = onOne(visits(came, { ...came, others: ['bar', 'nose'] }, came));
    expect(pieces.map(({ part, ended }) => [part, ended?.how ?? null])).toEqual(
      expect.arrayContaining([
        ['bar', 'gone'],
        ['bar', null],
        ['nose', 'gone'],
        ['nose', null],
      ]),
    );
    expect(pieces).toHaveLength(4);
  });

  it('are others where what only wears came back better than it went, by more than doubt allows', () => {
    const [first, second] = onOne(visits(bar(7), bar(7.2), bar(8)));
    expect(first!.seen).toHaveLength(2);
    expect(first!.ended).toMatchObject({
      how: 'gone',
      because: { code: 'better', wear: 'bar.depth', was: 7.2, is: 8 },
    });
    expect(second!.began).toMatchObject({ how: 'found', jobId: 'job-2' });
  });

  it('are measured against what work left', () => {
    const dressed = bar(8, { went: { 'bar.depth': { value: 7.5, u: 0.05 } }, worked: { bar: ['dress-rails'] } });
    expect(of('bar', onOne(visits(dressed, bar(7.45))))).toHaveLength(1);
    expect(of('bar', onOne(visits(dressed, bar(8))))).toHaveLength(2);
  });

  it('are others where a mark differs that both times was known', () => {
    const chain = (driveLinks?: number): Partial<VisitFacts> => ({
      brought: ['chain'],
      marks: { chain: driveLinks === undefined ? {} : { driveLinks } },
    });
    expect(onOne(visits(chain(72), chain(), chain(72)))).toHaveLength(1);
    expect(onOne(visits(chain(72), chain(), chain(66)))[1]!.began).toMatchObject({
      because: { code: 'marks', mark: 'driveLinks', was: '72', is: '66' },
    });
  });

  it('go on new when the job goes out, whether or not it was measured before, and a bar brings its nose', () => {
    const renewed = bar(6, { renewed: ['bar', 'nose', 'chain'] });
    const pieces = onOne(visits(renewed, bar(9.4)));
    expect(pieces.map(({ id, ended }) => [id, ended?.how ?? null])).toEqual(
      [
        ['bar.found.job-0', 'replaced'],
        ['bar.fitted.job-0', null],
        ['nose.fitted.job-0', null],
        ['chain.fitted.job-0', null],
      ].toSorted(([one], [other]) => PARTS.indexOf(namedBy(one!)!.part) - PARTS.indexOf(namedBy(other!)!.part)),
    );
    expect(pieces.find(({ id }) => id === 'bar.fitted.job-0')!.seen).toHaveLength(1);
  });

  it('of a job that has not gone stay on', () => {
    const [visit] = visits(bar(6, { renewed: ['bar'] }));
    expect(onOne([{ ...visit!, went: null }])).toHaveLength(1);
  });

  it('lose and double no look, overlap nowhere, and one of a part at most is on the saw', () => {
    fc.assert(
      fc.property(fc.array(someFacts, { maxLength: 8 }), (all) => {
        const past = visits(...all);
        const pieces = onOne(past);
        expect(new Set(pieces.map(({ id }) => id)).size).toBe(pieces.length);
        for (const part of PARTS) {
          const its = of(part, pieces);
          const seen = its.flatMap((piece) => piece.seen.map(({ visit }) => visit.jobId));
          expect(seen).toEqual(past.filter((visit) => visit.facts.brought.includes(part)).map(({ jobId }) => jobId));
          expect(its.slice(0, -1).every(({ ended }) => ended !== null)).toBe(true);
          its.slice(1).forEach((piece, i) => expect(piece.began.at >= its[i]!.ended!.at).toBe(true));
        }
      }),
      { seed: 2901, numRuns: 300 },
    );
  });

  it('are what somebody says they are, whatever was measured', () => {
    const past = visits(bar(7), bar(8), bar(7.9));
    const said = (isSame: boolean, jobId: string) => ({
      ...NOTHING_SAID,
      isSame: new Map([[lookKey('bar', jobId), isSame]]),
    });
    expect(onOne(past)).toHaveLength(2);
    expect(piecesOf([{ saw: 'saw', visits: past }], said(true, 'job-1'))).toHaveLength(1);
    const split = piecesOf([{ saw: 'saw', visits: past }], said(false, 'job-2'));
    expect(split.map(({ ended }) => ended?.how ?? null)).toEqual(['gone', 'gone', null]);
    expect(split[2]!.began).toMatchObject({ because: { code: 'said' } });
  });

  it('are named by their job and part', () => {
    expect(namedBy('bar.found.a.b')).toEqual({ part: 'bar', how: 'found', jobId: 'a.b' });
    for (const none of ['', 'bar', 'bar.lost.x', 'wheel.found.x', 'bar.found.']) expect(namedBy(none)).toBeNull();
  });
});

describe('pieces that go over to another saw', () => {
  const other = (...facts: readonly Partial<VisitFacts>[]) =>
    visits(...facts).map((visit) => ({
      ...visit,
      jobId: `other-${visit.jobId}`,
      came: day(Date.parse(visit.came) / MS_PER_DAY - FIRST_DAY + 50),
    }));
  const both = (here: readonly Visit[], there: readonly Visit[]) => [
    { saw: 'one', visits: here },
    { saw: 'two', visits: there },
  ];
  const move = (piece: string, at: number): Move => ({ piece, from: 'one', to: 'two', at: day(at) });

  it('take what was seen of them along, and what was there makes room', () => {
    const pasts = both(visits(bar(9), bar(8.6)), other(bar(7), bar(8.5)));
    const pieces = piecesOf(pasts, { ...NOTHING_SAID, moves: [move('bar.found.job-0', 120)] });
    const [left, was, went] = pieces;
    expect(left).toMatchObject({ saw: 'one', ended: { how: 'moved', to: 'two' } });
    expect(was).toMatchObject({ saw: 'two', ended: { how: 'displaced', by: 'bar.found.job-0' } });
    expect(went).toMatchObject({
      id: 'bar.found.job-0',
      saw: 'two',
      began: { how: 'moved', from: 'one' },
      ended: null,
    });
    expect(went!.seen.map(({ visit }) => visit.jobId)).toEqual(['job-0', 'job-1', 'other-job-1']);
    // Its hours are counted from when it was known first.
    expect(lifeOf(went!, DEFAULTS).hours.value).toBeGreaterThan(lifeOf(left!, DEFAULTS).hours.value);
  });

  it('stay where they are where the piece that was meant is no longer there', () => {
    const pasts = both(visits(bar(9, { renewed: ['bar'] })), other());
    const pieces = piecesOf(pasts, { ...NOTHING_SAID, moves: [move('bar.found.job-0', 120)] });
    expect(pieces.map(({ saw }) => saw)).toEqual(['one', 'one']);
  });

  it('take the nose along with the bar', () => {
    const with_ = { ...bar(9), brought: ['bar', 'nose'] as Part[] };
    const pieces = piecesOf(both(visits(with_), []), { ...NOTHING_SAID, moves: [move('bar.found.job-0', 50)] });
    expect(pieces.filter(({ ended }) => ended === null).map(({ part, saw }) => [part, saw])).toEqual(
      PARTS.filter((part) => part === 'bar' || part === 'nose').map((part) => [part, 'two']),
    );
  });

  it('lose and double no look, and are on one saw at most, however often they go', () => {
    const saws = ['a', 'b', 'c'] as const;
    const past = fc.array(someFacts, { maxLength: 4 });
    const going = fc.array(
      fc.record({ which: fc.nat(), to: fc.constantFrom(...saws), day: fc.integer({ min: 0, max: 420 }) }),
      { maxLength: 6 },
    );
    fc.assert(
      fc.property(fc.tuple(past, past, past), going, (all, wishes) => {
        const pasts = saws.map((saw, i) => ({
          saw,
          visits: visits(...all[i]!).map((visit) => ({ ...visit, jobId: `${saw}-${visit.jobId}` })),
        }));
        const moves: Move[] = [];
        for (const { which, to, day: on } of wishes.toSorted((one, next) => one.day - next.day)) {
          const there = piecesOf(pasts, { ...NOTHING_SAID, moves });
          if (there.length === 0) break;
          const { id, saw } = there[which % there.length]!;
          moves.push({ piece: id, from: saw, to, at: day(on) });
        }
        const pieces = piecesOf(pasts, { ...NOTHING_SAID, moves });
        const on = pieces.filter(({ ended }) => ended === null);
        expect(new Set(on.map(({ saw, part }) => `${saw} ${part}`)).size).toBe(on.length);
        expect(new Set(on.map(({ id }) => id)).size).toBe(on.length);
        // The last time that a piece is told, all is told that was seen of it.
        const whole = [...new Map(pieces.map((piece) => [piece.id, piece])).values()];
        const seen = whole.flatMap(({ part, seen: looks }) => looks.map(({ visit }) => lookKey(part, visit.jobId)));
        const came = pasts.flatMap(({ visits: its }) =>
          its.flatMap(({ jobId, facts }) => facts.brought.map((part) => lookKey(part, jobId))),
        );
        expect(seen.toSorted()).toEqual(came.toSorted());
      }),
      { seed: 2902, numRuns: 300 },
    );
  });
});

describe('lives', () => {
  const told = { hoursPerWeek: 7, marks: { bar: { pitch: '325' } } } as const;
  const life = (...facts: readonly Partial<VisitFacts>[]) => lifeOf(onOne(visits(...facts))[0]!, DEFAULTS);

  it('run by the hours a week that somebody told, while the saw is not in the shop', () => {
    const { hours, use, isTold } = life(bar(9, told), bar(8.5, told));
    // 99 days from going out to coming back, an hour a day.
    expect(hours.value).toBeCloseTo(99, 6);
    expect(hours.u).toBeCloseTo(99 * 0.15, 6);
    expect([use.hoursPerWeek, isTold]).toEqual([7, true]);
  });

  it('run as saws usually do where nobody told, and say so', () => {
    const { use, isTold, hours } = life(bar(9), bar(8.5));
    expect(isTold).toBe(false);
    expect(use).toEqual({ hoursPerWeek: 5, u: 2.5 });
    expect(hours.u / hours.value).toBeCloseTo(0.5, 6);
  });

  it('end by the limit in force, as far as the pitch tells it', () => {
    const [depth] = life(bar(9, told), bar(8.5, told)).wears;
    expect(depth!.limit).toBe(DEFAULTS['bar.depth.325'].value);
    const [open] = life(bar(9), bar(8.5)).wears;
    expect(open).toMatchObject({ limit: null, reach: null, days: null });
  });

  it('go on from where work left them', () => {
    const dressed = bar(8.5, { ...told, went: { 'bar.depth': { value: 8.1, u: 0.04 } } });
    const [depth] = life(bar(9, told), dressed).wears;
    expect(depth!.line.now).toEqual({ value: 8.1, u: 0.04 });
    expect(depth!.points.map(({ after }) => after)).toEqual([false, false, true]);
    const [untouched] = life(bar(9, told), bar(8.5, told)).wears;
    expect(depth!.line.rate.value).toBeCloseTo(untouched!.line.rate.value, 12);
    expect(depth!.reach!.middle!).toBeLessThan(untouched!.reach!.middle!);
  });

  it('count the time over a job that measured nothing of it', () => {
    const unmeasured = { ...told, brought: ['bar'] as Part[] };
    const [depth] = life(bar(9, told), unmeasured, bar(8.5, told)).wears;
    expect(depth!.points.map(({ hours }) => Math.round(hours))).toEqual([0, 198]);
  });

  it('stay finite whatever the figures of the shop are set to', () => {
    const figures = [
      ...['life.spread', 'life.hours', 'life.week', 'life.week.spread'],
      ...['bar.dress.loss', 'plan.life.dressing', 'plan.life.bar', 'bar.play'],
    ] as LimitId[];
    const zeroes = fc.subarray(figures);
    fc.assert(
      fc.property(zeroes, fc.boolean(), (none, isTold) => {
        const limits = { ...DEFAULTS, ...Object.fromEntries(none.map((id) => [id, { ...DEFAULTS[id], value: 0 }])) };
        const worn = { 'bar.depth': { value: 8, u: 0.05 }, 'bar.play': { value: 0.2, u: 0.02 } };
        const facts = { ...(isTold ? told : { marks: told.marks }), brought: ['bar'] as Part[], came: worn };
        const { wears, hours } = lifeOf(onOne(visits(facts, facts, facts))[0]!, limits);
        expect(wears).toHaveLength(2);
        for (const { line, reach, days } of wears)
          for (const value of [line.now.value, line.now.u, line.rate.value, line.rate.u, reach!.already, days!.already])
            expect(Number.isFinite(value)).toBe(true);
        expect(Number.isFinite(hours.value + hours.u)).toBe(true);
      }),
      { seed: 2902, numRuns: 100 },
    );
  });

  it('name what is reached first, and nothing where nothing was measured', () => {
    const near = bar(6.1, {
      ...told,
      came: { 'bar.depth': { value: 6.1, u: 0.05 }, 'bar.play': { value: 0.1, u: 0.02 } },
    });
    expect(firstReached(life(near))!.wear).toBe('bar.depth');
    expect(firstReached(life({ brought: ['bar'] }))).toBeNull();
  });
});

describe('custom', () => {
  const on = (more: Partial<VisitFacts> = {}): Partial<VisitFacts> => ({
    brought: ['bar', 'chain', 'driveSprocket'],
    ...more,
  });
  const newChain = on({ renewed: ['chain'] });
  const turned = { edge: { came: 'A', went: 'B' } } as const;
  const due = (...facts: readonly Partial<VisitFacts>[]) =>
    customsOf(onOne(visits(...facts)), DEFAULTS, DEFAULT_SCHOOLS).map(({ piece, custom }) => [piece.part, custom.code]);

  it('changes a drive sprocket once more chains ran on it than it is said to carry, and counts anew on a new one', () => {
    expect(due(newChain)).toEqual([]);
    expect(due(newChain, newChain)).toEqual([['driveSprocket', 'chains']]);
    expect(due(newChain, on({ renewed: ['chain', 'driveSprocket'] }))).toEqual([]);
    expect(due(newChain, on({ renewed: ['chain', 'driveSprocket'] }), newChain, newChain)).toEqual([
      ['driveSprocket', 'chains'],
    ]);
  });

  it('turns a bar over with the chain, where somebody noted its edges and the school says so', () => {
    expect(due(on(turned), on())).toEqual([]);
    expect(due(on(turned), newChain, on())).toEqual([['bar', 'turn-over']]);
    expect(due(on(turned), newChain, on(turned))).toEqual([]);
    expect(due(on(), newChain, on())).toEqual([]);
    const whenWorn = { ...DEFAULT_SCHOOLS, turnOver: 'when-worn' as const };
    expect(customsOf(onOne(visits(on(turned), newChain)), DEFAULTS, whenWorn)).toEqual([]);
  });
});
