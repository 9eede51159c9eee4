import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { figuresView } from '../../src/server/use-cases/figures';
import { changeLimit } from '../../src/server/use-cases/shop';
import { demoContext, testContext, type TestContext } from '../support/context';

let context: TestContext;
beforeEach(() => {
  context = demoContext();
});
afterEach(() => context.done());

describe('what the records of the shop teach', () => {
  it('stands beside what is in force, and is in force once somebody takes it over', async () => {
    const told = async () => (await figuresView(context, '2020-01-01', '')).figures;
    const loss = (await told()).find(({ id }) => id === 'bar.dress.loss')!;
    expect(loss.count).toBe(9);
    expect(loss.from < loss.value && loss.value < loss.until).toBe(true);
    expect(loss.inForce).toEqual({ value: 0.3, unit: 'mm', provenance: 'shop' });
    await changeLimit(context, loss.id, { by: 'Ines', value: String(loss.offered), source: null, was: 0.3 });
    expect((await told()).find(({ id }) => id === 'bar.dress.loss')!.inForce.value).toBe(loss.offered);
  });

  it('is of the time that is asked for, day by day in the shop’s zone, and says how the shop did in it', async () => {
    const all = await figuresView(context, '2020-01-01', '');
    const { open, signedOff, handedOver } = all.states;
    expect(open + signedOff + handedOver).toBe(all.jobs);
    expect(all.parts.find(({ part }) => part === 'bar')!.saved).toBeGreaterThan(5);
    const days = [all.from, all.until].map((day) => Date.parse(day));
    let sum = 0;
    // Split anywhere, no job is lost or counted twice.
    for (const [from, until] of [
      ['2020-01-01', '2025-06-30'],
      ['2025-07-01', all.until],
    ] as const)
      sum += (await figuresView(context, from, until)).jobs;
    expect(sum).toBe(all.jobs);
    expect(days[0]! < days[1]!).toBe(true);
  });

  it('counts what was found behind complaints, the commonest first', async () => {
    const { causes, jobs } = await figuresView(context, '2020-01-01', '');
    expect(causes.map(({ cause }) => cause)).toContain('cutters-dull');
    const counts = causes.map((each) => each.jobs);
    expect(counts).toEqual(counts.toSorted((one, other) => other - one));
    expect(Math.max(...counts)).toBeLessThanOrEqual(jobs);
    expect((await figuresView(context, '2020-01-01', '2020-01-02')).causes).toEqual([]);
  });

  it('tells how long work took that was ticked off as it was done, beside what plans count with', async () => {
    const { paces, figures } = await figuresView(context, '2020-01-01', '');
    const deburring = paces.find(({ operation }) => operation === 'deburr')!;
    // The demo's bench takes five minutes, give or take a fifth.
    expect(deburring.middle).toBeGreaterThan(4);
    expect(deburring.middle).toBeLessThan(6);
    expect(figures.map(({ id }) => id)).toEqual(
      expect.arrayContaining(['plan.minutes.cleaning', 'plan.minutes.operation']),
    );
  });

  it('tells what was kept, what was overridden and what was nearly bought wrong', async () => {
    const { kept, overrides, nearMisses, parts, jobs, drift } = await figuresView(context, '2020-01-01', '');
    expect(kept.map(({ part, times }) => [part, times])).toEqual(
      parts.filter(({ saved }) => saved > 0).map(({ part, saved }) => [part, saved]),
    );
    const [byVerdict] = overrides.stayed;
    expect(byVerdict!.again).toBeGreaterThan(20);
    expect(byVerdict!.again).toBeLessThan(byVerdict!.parts);
    const caught = nearMisses.map((each) => each.jobs);
    expect(caught).toEqual(caught.toSorted((one, other) => other - one));
    expect(Math.max(...caught)).toBeLessThanOrEqual(jobs);
    expect(nearMisses.map(({ miss }) => miss)).toContain('chain-gauge-is-bar-gauge');
    expect(drift.cuts).toBeGreaterThanOrEqual(5);
  });

  it('asked for without days, or with days that are none, is of the last year', async () => {
    const last = await figuresView(context, '', '');
    expect(await figuresView(context, 'yesterday', '2026-13-99')).toEqual(last);
    expect(Number(last.until.slice(0, 4)) - Number(last.from.slice(0, 4))).toBe(1);
    // The wrong way round they are turned round.
    expect(await figuresView(context, last.until, last.from)).toEqual(last);
  });

  it('is nothing where nothing was done yet', async () => {
    const empty = testContext();
    const view = await figuresView(empty, '', '');
    expect(view).toMatchObject({ jobs: 0, isCut: false, days: null, figures: [], forecasts: [] });
    await empty.done();
  });
});
