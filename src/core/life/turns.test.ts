import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULTS } from '../limits';
import { DEFAULT_SCHOOLS } from '../schools';
import { customsOf } from './due';
import { lifeOf } from './life';
import { lookKey, NOTHING_SAID, type InTurn, type Piece, type Said, type Visit } from './piece';
import { piecesOf } from './pieces';
import type { VisitFacts } from './visit';

const NOTHING: VisitFacts = {
  ...{ brought: ['chain'], renewed: [], others: [], hoursPerWeek: 4, marks: {}, worked: {} },
  ...{ edge: { came: null, went: null }, came: {}, went: {}, found: {} },
};
const day = (days: number): string => new Date(Date.UTC(2024, 0, 1 + days)).toISOString();

const visits = (...facts: readonly Partial<VisitFacts>[]): readonly Visit[] =>
  facts.map((each, i) => {
    const facts_ = { ...NOTHING, ...each };
    return { jobId: `${i}`, tag: `L-${i}`, came: day(70 * i), went: day(70 * i), facts: facts_ };
  });
const cutter = (value: number, more: Partial<VisitFacts> = {}): Partial<VisitFacts> => ({
  came: { 'chain.cutter': { value, u: 0.05 } },
  ...more,
});

/** What is told of one saw's chains: each with the jobs that it came with. */
const told = (past: readonly Visit[], said: Partial<Said> = {}) =>
  piecesOf([{ saw: 'saw', visits: past }], { ...NOTHING_SAID, ...said }).filter(({ part }) => part === 'chain');
const cameWith = (pieces: readonly Piece[]) => pieces.map(({ seen }) => seen.map(({ visit }) => visit.jobId).join());
const inTurn = (...pieces: readonly string[]): InTurn => ({ saw: 'saw', pieces, at: day(1000) });

/** One of 7 mm and one of 8.5 mm, in turn; each loses half a millimetre between its jobs. */
const TWO = visits(cutter(7), cutter(8.5), cutter(6.5), cutter(8), cutter(6));
const [ONE, OTHER] = ['chain.found.0', 'chain.found.1'];

describe('chains that go in turn', () => {
  it('are many as long as nobody says so, and two from then on, each with its own looks', () => {
    expect(cameWith(told(TWO))).toEqual(['0', '1,2', '3,4']);
    const [one, other] = told(TWO, { inTurn: [inTurn(ONE!, OTHER!)] });
    expect(cameWith([one!, other!])).toEqual(['0,2,4', '1,3']);
    expect([one!.rests, other!.rests, one!.ended, other!.ended]).toEqual([false, true, null, null]);
    expect([one!.turns, other!.turns]).toEqual([2, 2]);
  });

  it('share the hours of their saw, so that each is due as much later', () => {
    const [alone] = told(visits(cutter(7), cutter(6.5), cutter(6)));
    const [one] = told(TWO, { inTurn: [inTurn(ONE!, OTHER!)] });
    const [own, shared] = [lifeOf(alone!, DEFAULTS), lifeOf(one!, DEFAULTS)];
    expect(own.hours.value).toBeCloseTo(20 * 4, 6);
    // Twice the weeks, half the hours of each.
    expect(shared.hours.value).toBeCloseTo(40 * 2, 6);
    expect(shared.use.hoursPerWeek).toBe(2);
  });

  it('go as somebody says, whatever was measured', () => {
    const [set, last] = [{ inTurn: [inTurn(ONE!, OTHER!)] }, lookKey('chain', '4')];
    expect(cameWith(told(TWO, { ...set, which: new Map([[last, OTHER!]]) }))).toEqual(['0,2', '1,3,4']);
    expect(cameWith(told(TWO, { ...set, isSame: new Map([[last, true]]) }))).toEqual(['0,2', '1,3,4']);
    const itself = new Map([[last, 'chain.found.4']]);
    expect(cameWith(told(TWO, { ...set, which: itself }))).toEqual(['0,2', '1,3', '4']);
    // What is no chain of the set says nothing.
    expect(cameWith(told(TWO, { ...set, which: new Map([[last, 'chain.found.x']]) }))).toEqual(['0,2,4', '1,3']);
  });

  it('are told apart by what does not wear, and rest where a third comes that is none of them', () => {
    const marked = (driveLinks: number) => cutter(7, { marks: { chain: { driveLinks } } });
    const past = visits(marked(72), marked(66), marked(72), marked(68), marked(66));
    const pieces = told(past, { inTurn: [inTurn(ONE!, OTHER!)] });
    expect(cameWith(pieces)).toEqual(['0,2', '1,4', '3']);
    // The third came once and was gone when the second came again.
    expect(pieces.map(({ ended }) => ended?.how ?? null)).toEqual([null, null, 'gone']);
  });

  it('hand their turn on to the chain that replaces them', () => {
    const past = visits(cutter(7), cutter(8.5, { renewed: ['chain'] }), cutter(6.5), cutter(8.8));
    const pieces = told(past, { inTurn: [inTurn(ONE!, OTHER!)] });
    expect(pieces.map(({ id, seen }) => [id, seen.map(({ visit }) => visit.jobId).join()])).toEqual([
      [ONE, '0,2'],
      [OTHER, '1'],
      ['chain.fitted.1', '3'],
    ]);
    // One that ended had its share of the hours until then.
    expect(pieces.map(({ turns }) => turns)).toEqual([2, 2, 2]);
  });

  it('go alone again from when somebody says so: what rests then is the saw’s no more', () => {
    const pieces = told(TWO, { inTurn: [inTurn(ONE!, OTHER!), { saw: 'saw', pieces: [], at: day(1001) }] });
    expect(cameWith(pieces)).toEqual(['0,2,4', '1,3']);
    expect(pieces.map(({ ended }) => ended?.how ?? null)).toEqual([null, 'out-of-turn']);
    // Said in between, what comes after is told as of chains that go alone.
    const between = { saw: 'saw', pieces: [], at: day(70 * 2 + 1) };
    const alone = told(TWO, { inTurn: [{ ...inTurn(ONE!, OTHER!), at: day(71) }, between] });
    expect(cameWith(alone)).toEqual(['0,2', '1', '3,4']);
    expect(alone.map(({ ended }) => ended?.how ?? null)).toEqual(['gone', 'out-of-turn', null]);
  });

  it('go over to another saw while they rest, and leave the one on it there', () => {
    const moves = [{ piece: OTHER!, from: 'saw', to: 'two', at: day(1001) }];
    const pieces = told(TWO, { inTurn: [inTurn(ONE!, OTHER!)], moves });
    const now = pieces.filter(({ ended }) => ended === null);
    expect(now.map(({ id, saw, rests, turns }) => [id, saw, rests, turns])).toEqual([
      [ONE, 'saw', false, 1],
      [OTHER, 'two', false, 1],
    ]);
    // There it goes alone: it is gone once another comes.
    const there = visits(cutter(8), cutter(8.9)).map((visit, i) => ({
      ...visit,
      jobId: `two-${i}`,
      came: day(1100 + i),
      went: null,
    }));
    const both = piecesOf(
      [
        { saw: 'saw', visits: TWO },
        { saw: 'two', visits: there },
      ],
      { ...NOTHING_SAID, inTurn: [inTurn(ONE!, OTHER!)], moves },
    );
    expect(both.findLast(({ id }) => id === OTHER)).toMatchObject({ saw: 'two', rests: false, ended: { how: 'gone' } });
  });

  it('count as many as they are against the custom of the sprocket', () => {
    const on = (value: number) => ({ ...cutter(value), brought: ['chain', 'driveSprocket'] as const });
    const three = visits(on(6), on(7), on(8), on(5.8));
    const all = (said: Partial<Said>) => piecesOf([{ saw: 'saw', visits: three }], { ...NOTHING_SAID, ...said });
    const due = (said: Partial<Said>) => customsOf(all(said), DEFAULTS, DEFAULT_SCHOOLS).map(({ custom }) => custom);
    expect(due({})).toMatchObject([{ code: 'chains', chains: 3, limit: 2 }]);
    expect(due({ inTurn: [inTurn('chain.found.0', 'chain.found.1', 'chain.found.2')] })).toEqual([]);
  });

  it('lose and double no look, and one at most is on the saw, whatever is said of them', () => {
    const facts = fc.record({
      renewed: fc.subarray(['chain'] as const),
      others: fc.subarray(['chain'] as const),
      came: fc.record(
        { 'chain.cutter': fc.record({ value: fc.double({ min: 4, max: 9, noNaN: true }), u: fc.constant(0.05) }) },
        { requiredKeys: [] },
      ),
      marks: fc.record({ chain: fc.record({ driveLinks: fc.constantFrom(66, 72) }) }, { requiredKeys: [] }),
    });
    const saying = fc.record({
      turns: fc.array(fc.tuple(fc.array(fc.nat(20), { maxLength: 4 }), fc.integer({ min: 0, max: 700 })), {
        maxLength: 3,
      }),
      which: fc.array(fc.tuple(fc.nat(9), fc.nat(20)), { maxLength: 3 }),
      moves: fc.array(fc.tuple(fc.nat(20), fc.integer({ min: 0, max: 700 })), { maxLength: 2 }),
    });
    fc.assert(
      fc.property(fc.array(facts, { minLength: 1, maxLength: 9 }), saying, (all, { turns, which, moves }) => {
        const past = visits(...all);
        const ids = told(past).map(({ id }) => id);
        const id = (n: number) => ids[n % ids.length]!;
        const pieces = told(past, {
          inTurn: turns
            .toSorted(([, one], [, other]) => one - other)
            .map(([of, at]) => ({ saw: 'saw', pieces: [...new Set(of.map(id))], at: day(at) })),
          which: new Map(which.map(([job, n]) => [lookKey('chain', `${job % all.length}`), id(n)])),
          moves: moves
            .toSorted(([, one], [, other]) => one - other)
            .map(([n, at]) => ({ piece: id(n), from: 'saw', to: 'two', at: day(at) })),
        });
        const on = pieces.filter(({ ended, rests }) => ended === null && !rests);
        expect(new Set(on.map(({ saw }) => saw)).size).toBe(on.length);
        expect(pieces.every(({ ended, rests }) => ended === null || !rests)).toBe(true);
        const whole = [...new Map(pieces.map((piece) => [piece.id, piece])).values()];
        const seen = whole.flatMap(({ seen: looks }) => looks.map(({ visit }) => visit.jobId));
        expect(seen.toSorted()).toEqual(past.map(({ jobId }) => jobId).toSorted());
      }),
      { seed: 2911, numRuns: 400 },
    );
  });
});
