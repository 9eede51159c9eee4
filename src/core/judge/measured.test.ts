import { describe, expect, it } from 'vitest';
import { appraise, DEFAULT_RULES } from '../assess';
import { DEFAULTS, resolveLimits, type LimitId } from '../limits';
import { measured, mm, type Mm } from '../quantity';
import { READINGS, sheetFromEntries, type JudgedId } from '../sheet';
import { measuredCheck, measuredChecks } from './measured';

const JUDGED = READINGS.flatMap(({ id, kind, told: { judged } }) =>
  judged && kind.kind === 'length' ? [{ id: id as JudgedId, tool: kind.spec.instrument, judged }] : [],
);

describe('a length that is judged by itself', () => {
  it.each(JUDGED)('$id has its limits among those of the shop, as they are told', ({ judged }) => {
    const { check, role, limit, watch } = judged;
    expect(DEFAULTS[check as LimitId]).toEqual({ ...limit, role });
    if (watch) expect(DEFAULTS[watch.id as LimitId]).toEqual({ ...watch.limit, role });
  });

  it.each(JUDGED)('$id is judged wherever it stands on a sheet', ({ id, judged }) => {
    const path = id.replace('stations.', 'A.stations.0.');
    const beyond = judged.limit.value + (judged.role === 'max' ? 5 : -5);
    const said = [
      { path, text: `${Math.max(0, beyond)} mm`, unit: 'mm' as const },
      ...(path === id ? [] : [{ path: 'bar.edges.A.stations.0.at', text: '60 mm', unit: 'mm' as const }]),
    ];
    const { sheet, refused } = sheetFromEntries(said);
    expect(refused).toEqual([]);
    const made = appraise(sheet, DEFAULT_RULES, null).checks.filter((check) => check.id === judged.check);
    expect(made).toMatchObject([{ part: judged.part, outcome: 'fail' }]);
  });

  it.each(JUDGED)('$id is within, watched and beyond where its limits say so', ({ id, tool, judged }) => {
    const { limit, watch, role, condemns, work } = judged;
    const way = role === 'max' ? 1 : -1;
    const at = (value: number) => measuredCheck(id, measured([mm(value)], tool), DEFAULTS);
    const far = at(limit.value + way * 5);
    expect(far).toMatchObject({ id: judged.check, outcome: 'fail', condemns, value: limit.value + way * 5 });
    expect(far.work).toBe(condemns ? null : (work?.operation ?? null));
    expect(at(0).outcome).toBe(role === 'max' ? 'ok' : 'fail');
    if (!watch) return;
    const between = measuredCheck(id, measured([mm((limit.value + watch.limit.value) / 2)], 'caliper'), DEFAULTS);
    expect(between.outcome).toBe('watch');
    expect(between.work).toBe(work?.from === 'watch' ? work.operation : null);
  });

  it.each(JUDGED.filter(({ judged }) => judged.watch))('$id is watched on the good side of its limit', ({ judged }) => {
    const { check, watch, limit, role } = judged;
    const beyond = resolveLimits({ [watch!.id]: limit.value + (role === 'max' ? 1 : -1) });
    expect(beyond).toMatchObject({ ok: false, error: [{ id: watch!.id, code: 'watch-beyond-limit' }] });
    expect(resolveLimits({ [check]: limit.value }).ok).toBe(true);
  });

  it('is a bound of its own where one mark alone is known', () => {
    const at = (lo: Mm | null, hi: Mm | null) => measuredCheck('bar.checks.bow', { kind: 'bounded', lo, hi }, DEFAULTS);
    expect(at(mm(2), null)).toMatchObject({ outcome: 'fail', value: 2, bound: 'at-least' });
    expect(at(null, mm(0.1))).toMatchObject({ outcome: 'ok', value: 0.1, bound: 'at-most' });
  });

  it('waits for its reading where it is always listed, and is left out elsewhere', () => {
    expect(measuredCheck('bar.checks.bow', undefined, DEFAULTS)).toMatchObject({
      outcome: 'not-measured',
      note: { code: 'needs', readings: ['bar.checks.bow'] },
    });
    expect(measuredChecks('chain', 'chain.checks', {}, DEFAULTS)).toEqual([]);
    const burred = { tangBurr: measured([mm(0.2)], 'caliper') };
    expect(measuredChecks('chain', 'chain.checks', burred, DEFAULTS)).toMatchObject([
      { id: 'chain.tang-burr', outcome: 'fail', work: 'file-tangs' },
    ]);
    expect(measuredChecks('bar', 'chain.checks', burred, DEFAULTS)).toEqual([]);
  });
});
