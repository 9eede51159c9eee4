import { NOT_SIGNED } from '../../../tests/support/course';
import { readdirSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { appraise, DEFAULT_RULES } from '../assess';
import { stepRow, STEPS } from '../reading';
import { readSheet, type WrittenBenchSheet } from '../sheet';
import { stepStates } from './index';

function statesOf(sheet: Partial<WrittenBenchSheet>) {
  const read = readSheet({ format: 'serrata-bench-sheet', version: 1, ...sheet });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  const states = stepStates(read.value, appraise(read.value, DEFAULT_RULES, null), NOT_SIGNED);
  return Object.fromEntries(states.map(({ step, state }) => [step, state]));
}

describe('every step', () => {
  it('has a view of its name, and no view is left over', () => {
    const views = readdirSync(new URL('../../islands/job/steps', import.meta.url)).filter((file) =>
      file.endsWith('.tsx'),
    );
    expect(views.sort()).toEqual(STEPS.map((step) => `${step}.tsx`).sort());
  });

  it('stands somehow on an empty sheet', () => {
    expect(Object.keys(statesOf({}))).toEqual([...STEPS]);
  });
});

describe('a step of acts', () => {
  const acts = STEPS.flatMap((step) => {
    const { acts: row } = stepRow(step);
    return row ? [{ step, options: row.are, askedBy: row.askedBy }] : [];
  });

  it.each(acts)('$step is asked for by what was brought, and done when all is ticked', (each) => {
    const { step, options, askedBy } = each;
    const brought = (what: string) => ({ job: { brought: [what] } }) as unknown as Partial<WrittenBenchSheet>;
    const ticked = (done: readonly string[]) => ({ [step]: { done } });
    expect(statesOf({})[step]).toBe('not-needed');
    for (const what of askedBy) expect(statesOf(brought(what))[step]).toBe('open');
    expect(statesOf(brought('scrap'))[step]).toBe('not-needed');
    expect(statesOf({ ...brought(askedBy[0]!), ...ticked(options.slice(1)) })[step]).toBe('open');
    expect(statesOf({ ...brought(askedBy[0]!), ...ticked(options) })[step]).toBe('done');
  });
});

describe('rework', () => {
  const edges = (after?: string) => {
    const station = { at: '60 mm', near: '8 mm', far: '8 mm', mouth: '1.34 mm' };
    return { A: { stations: [after ? { ...station, after: { near: after, far: after } } : station] } };
  };

  it('is not needed where nothing was asked and nothing done, and done where acts are ticked or it was measured again', () => {
    expect(statesOf({ bar: { edges: edges() } }).rework).toBe('not-needed');
    expect(statesOf({ bar: { edges: edges('7.9 mm') } }).rework).toBe('done');
    expect(statesOf({ driveSprocket: { wear: '0.05 mm', reworkDone: ['renew-clip'] } }).rework).toBe('done');
    expect(statesOf({ driveSprocket: { wear: '0.05 mm' } }).rework).toBe('not-needed');
  });
});
