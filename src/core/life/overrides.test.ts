import { describe, expect, it } from 'vitest';
import { DEFAULTS } from '../limits';
import type { Part } from '../reading';
import type { Action } from '../sheet';
import { isSaved, keptMoney } from './kept-money';
import { overridesOf } from './overrides';
import { NOTHING_SAID, type Visit } from './piece';
import { piecesOf } from './pieces';
import type { VisitFacts } from './visit';

const NOTHING: VisitFacts = {
  ...{ brought: [], renewed: [], others: [], hoursPerWeek: null, marks: {}, worked: {} },
  ...{ edge: { came: null, went: null }, came: {}, went: {}, found: {} },
};

const day = (days: number): string => new Date(Date.UTC(2024, 0, 1 + days)).toISOString();

/** Jobs of one saw, each out the day after. */
const pieces = (...facts: readonly Partial<VisitFacts>[]) =>
  piecesOf(
    [
      {
        saw: 'saw',
        visits: facts.map((each, i): Visit => {
          return { jobId: `${i}`, tag: `${i}`, came: day(9 * i), went: day(9 * i + 1), facts: { ...NOTHING, ...each } };
        }),
      },
    ],
    NOTHING_SAID,
  );

const found = (part: Part, came: Action, went: Action, renewed: readonly Part[] = []): Partial<VisitFacts> => ({
  brought: [part],
  found: { [part]: { came, went } },
  renewed,
});

const all = () => true;
const stayed = (stay: string, parts: number, again: number, condemned: number) => ({ stay, parts, again, condemned });

describe('overridden verdicts', () => {
  it('are told apart from what stayed by its verdict, with what became of each', () => {
    const its = pieces(
      found('bar', 'recondition', 'keep'),
      found('bar', 'replace', 'replace'),
      found('bar', 'keep', 'undecided'),
      found('bar', 'replace', 'replace', ['bar']),
    );
    expect(overridesOf(its, all)).toEqual({
      // The first came again and was condemned; the second came again sound; the third was condemned.
      stayed: [stayed('by-verdict', 1, 1, 1), stayed('undecided', 1, 1, 1), stayed('against', 1, 1, 0)],
      renewed: { condemned: 1, notCondemned: 0 },
    });
  });

  it('tell of a new part that replaced a sound one, and nothing of a nose that came with its bar', () => {
    const together = {
      brought: ['bar', 'nose'] as const,
      found: { bar: { came: 'keep', went: 'keep' }, nose: { came: 'keep', went: 'keep' } } as const,
    };
    const { renewed } = overridesOf(pieces({ ...together, renewed: ['bar', 'nose'] }), all);
    expect(renewed).toEqual({ condemned: 0, notCondemned: 1 });
  });

  it('count the visits that are asked for, and look at all for what came of them', () => {
    const its = pieces(found('chain', 'keep', 'keep'), found('chain', 'replace', 'replace'));
    const first = overridesOf(its, ({ jobId }) => jobId === '0');
    expect(first.stayed).toContainEqual(stayed('by-verdict', 1, 1, 1));
    expect(first.stayed).toContainEqual(stayed('against', 0, 0, 0));
  });
});

describe('money kept', () => {
  const worked = (...operations: NonNullable<VisitFacts['worked']['bar']>) => ({
    ...NOTHING,
    worked: { bar: operations },
  });

  it('is a new part and its fitting less the work, by the figures in force', () => {
    const [price, fitting, work] = [DEFAULTS['plan.price.bar'].value, 3, 4 + 6 + (4 + 8 * 0.5)];
    const hour = DEFAULTS['plan.labour'].value;
    const kept = price + Math.round((fitting * hour) / 60) - Math.round((work * hour) / 60);
    expect(keptMoney([worked('rake-groove', 'dress-rails', 'deburr')], DEFAULTS)).toEqual([
      { part: 'bar', times: 1, cents: kept - DEFAULTS['plan.consumables'].value },
    ]);
  });

  it('is nothing where a part was only cleaned or serviced, or went on new', () => {
    expect(isSaved(worked('rake-groove', 'turn-over', 'grease-nose'), 'bar')).toBe(false);
    expect(isSaved({ ...worked('deburr'), renewed: ['bar'] }, 'bar')).toBe(false);
    expect(keptMoney([NOTHING, worked('turn-over')], DEFAULTS)).toEqual([]);
  });

  it('is nothing of a chain that was filed, and of one that was mended what a new one costs', () => {
    const chain = (...operations: NonNullable<VisitFacts['worked']['chain']>) => ({
      ...NOTHING,
      worked: { chain: operations },
    });
    expect(keptMoney([chain('sharpen', 'lower-gauges', 'even-cutters')], DEFAULTS)).toEqual([]);
    expect(keptMoney([chain('sharpen', 'file-back')], DEFAULTS)).toMatchObject([{ part: 'chain', times: 1 }]);
  });

  it('of a nose is its bar’s', () => {
    const nose = { ...NOTHING, worked: { bar: ['re-nose'], nose: ['re-nose'] } } as const;
    expect(keptMoney([nose], DEFAULTS)).toMatchObject([{ part: 'bar', times: 1 }]);
  });
});
