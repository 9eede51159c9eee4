import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { appraise, DEFAULT_RULES, type Appraisal } from '../assess';
import { readSheet, type WrittenBenchSheet } from '../sheet';
import { wornBy } from '../life';
import { normalCdf, type LimitKind } from '../quantity';
import { chanceForeseen, chanceTogether, CONTRADICTS, HAPPENED, isContradicted, WIDENED } from './index';

const density = (x: number, mean: number, u: number): number => Math.exp(-(((x - mean) / u) ** 2) / 2) / u;

/** The same by plain numbers: prior times likelihood on a fine grid. */
function onGrid(was: number, u: number, read: number, s: number, limit: number, kind: LimitKind): number {
  const [low, high] = [Math.min(was - 20 * u, read - 8 * s), Math.max(was + 20 * u, read + 8 * s)];
  const steps = 40_000;
  let [all, good] = [0, 0];
  for (let i = 0; i < steps; i += 1) {
    const x = low + ((high - low) * (i + 0.5)) / steps;
    const prior = (1 - HAPPENED) * density(x, was, u) + HAPPENED * density(x, was, WIDENED * u);
    const weight = prior * density(x, read, s);
    all += weight;
    if (kind === 'min' ? x >= limit : x <= limit) good += weight;
  }
  return good / all;
}

const amount = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const figures = fc.record({
  ...{ was: amount(-2, 2), u: amount(0.05, 0.5), read: amount(-2, 2), s: amount(0.05, 0.5), limit: amount(-2, 2) },
  kind: fc.constantFrom('min', 'max'),
});

describe('what was foreseen, weighed', () => {
  it('is a normal that is four times as wide once in twenty (model.md §15)', () => {
    const expected = 0.95 * normalCdf(2) + 0.05 * normalCdf(0.5);
    expect(chanceForeseen({ value: 7, u: 0.5 }, 6, 'min')).toBeCloseTo(expected, 12);
    expect(chanceForeseen({ value: 0.3, u: 0.1 }, 0.5, 'max')).toBeCloseTo(expected, 12);
  });

  it('and what was read of it come together as on a grid, by the plain rule of Bayes', () => {
    fc.assert(
      fc.property(figures, ({ was, u, read, s, limit, kind }) => {
        const [foreseen, today] = [
          { value: was, u },
          { value: read, u: s },
        ];
        fc.pre(!isContradicted(foreseen, today));
        const found = chanceTogether(foreseen, today, limit, kind);
        expect(Math.abs(found - onGrid(was, u, read, s, limit, kind))).toBeLessThan(2e-3);
      }),
      { seed: 29, numRuns: 60 },
    );
  });

  it('never outweighs a reading that contradicts it by three standard doubts: that counts alone', () => {
    fc.assert(
      fc.property(figures, amount(CONTRADICTS, 9), fc.boolean(), ({ was, u, s, limit, kind }, apart, above) => {
        const value = was + (above ? 1 : -1) * apart * 1.0001 * Math.hypot(u, s);
        const alone = normalCdf((kind === 'min' ? value - limit : limit - value) / s);
        expect(chanceTogether({ value: was, u }, { value, u: s }, limit, kind)).toBeCloseTo(alone, 9);
      }),
      { seed: 30, numRuns: 300 },
    );
  });
});

type Written = Omit<WrittenBenchSheet, 'format' | 'version'>;
const FROM = { seen: 'L-0301', on: '2026-09-01' };
const FORESEEN = [
  { of: 'bar.depth', value: 7.4, doubt: 0.1, edge: 'B', at: 310, ...FROM },
  { of: 'bar.play', value: 0.2, doubt: 0.03, ...FROM },
  { of: 'chain.elongation', value: 1, doubt: 0.2, ...FROM },
  { of: 'sprocket.wear', value: 0.15, doubt: 0.05, ...FROM },
] as const;

/** A saw that came with its stamps read and everything looked at but what is measured. */
const looked = ({ saw, bar, driveSprocket }: Written): Written => ({
  job: { brought: ['whole-saw'] },
  bar: {
    ...{ stamp: '.325 .050 72DL', nose: 'sprocket', noseReplaceable: false },
    checks: { crack: 'no', bow: '0.1 mm', noseTurns: 'free', straightEdge: 'gap-stays' },
    ...bar,
  },
  chain: {
    ...{ stamp: '.325 .050', driveLinks: [72, 72], driveLinkThickness: '1.27 mm' },
    ...{ cuttersLeft: ['6 mm'], checks: { crack: 'no' } },
  },
  driveSprocket: { pitch: '325', ...driveSprocket },
  saw: { foreseen: [...FORESEEN], ...saw },
});

function judged(parts: Written): Appraisal {
  const read = readSheet({ format: 'serrata-bench-sheet', version: 1, ...looked(parts) });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return appraise(read.value, DEFAULT_RULES, null);
}

const SAME = { sameBar: true, sameChain: true, sameSprocket: true };
const bornOut = (near: string): Written['bar'] => ({
  edges: { A: { stands: 'yes' }, B: { stands: 'yes', stations: [{ at: '310 mm', near }] } },
});
const codesOf = ({ checks }: Appraisal) =>
  checks.flatMap(({ id, note }) => (note?.code.includes('foreseen') ? [`${id} ${note.code}`] : []));

describe('parts that come again', () => {
  it('are first asked for, and nothing of their past counts before', () => {
    const { verdicts, plan, past, checks } = judged({});
    expect(verdicts.bar.action).toBe('undecided');
    expect(codesOf({ checks } as Appraisal)).toEqual([]);
    expect(plan.steps[0]).toMatchObject({ measure: 'saw.sameBar', reason: { code: 'spares', seen: 'L-0301' } });
    expect(past.wouldSpare?.spares).toEqual(['bar.edges.A.stations', 'bar.edges.B.stations']);
  });

  it('are decided by one depth at the weakest place and how the edges stand, and say what was trusted', () => {
    const asked = judged({ saw: SAME }).plan.steps;
    expect(asked.map(({ measure }) => measure)).toEqual(
      expect.arrayContaining(['bar.edges.B.stations.0.near', 'bar.edges.A.stands', 'bar.edges.B.stands']),
    );
    expect(asked.find(({ measure }) => measure === 'bar.edges.B.stations.0.near')).toMatchObject({
      ...{ mm: 310, reason: { code: 'bears-out' } },
    });
    const told = judged({ saw: SAME, bar: bornOut('7.35 mm') });
    expect(told.verdicts.bar.action).toBe('keep');
    expect(codesOf(told)).toContain('bar.depth foreseen');
    expect(told.verdicts.bar.reasons.filter(({ code }) => code === 'check')).toHaveLength(1);
    expect(told.doubts.bar!.wrong).toBeGreaterThan(0);
    const left = told.plan.steps.map(({ measure }) => measure);
    for (const spared of told.past.spared) expect(left).not.toContain(spared);
  });

  it('are measured as ever where they are others, are worked on, lie near a limit, or one depth says otherwise', () => {
    const near = { sameBar: true, foreseen: [{ of: 'bar.depth', value: 6.3, doubt: 0.2, ...FROM }] } as const;
    for (const parts of [
      { saw: { ...SAME, sameBar: false }, bar: bornOut('7.35 mm') },
      { saw: SAME, bar: { ...bornOut('7.35 mm'), reworkDone: ['dress-rails'] } },
      { saw: { ...near, foreseen: [...near.foreseen] }, bar: bornOut('6.03 mm') },
      { saw: SAME, bar: bornOut('6.5 mm') },
    ] as const satisfies readonly Written[]) {
      const { verdicts, past, checks } = judged(parts);
      expect(verdicts.bar.action).toBe('undecided');
      expect(past.spared).toEqual([]);
      expect(checks.some(({ id, note }) => id === 'bar.depth' && note?.code === 'foreseen')).toBe(false);
    }
  });

  it('let a reading that lies near a limit lean on what was foreseen', () => {
    const near = { pitch: '325', wear: '0.46 mm' } as const;
    const foreseen = [{ of: 'sprocket.wear', value: 0.4, doubt: 0.03, ...FROM }] as const;
    const of = (saw: Written['saw']) =>
      judged({ saw, driveSprocket: near }).checks.find(({ id }) => id === 'sprocket.wear')!;
    const [alone, beside] = [of({}), of({ sameSprocket: true, foreseen: [...foreseen] })];
    expect(beside.note).toMatchObject({ code: 'with-foreseen', foreseen: 0.4 });
    expect(beside.value).toBe(alone.value);
    expect(beside.probability!).toBeGreaterThan(alone.probability!);
  });

  it('are never kept by their past alone: what was read beyond its limit is read again', () => {
    const foreseen = [{ of: 'sprocket.wear', value: 0.42, doubt: 0.01, ...FROM }] as const;
    const saw = { sameSprocket: true, foreseen: [...foreseen] };
    const { checks, verdicts, plan } = judged({ saw, driveSprocket: { pitch: '325', wear: '0.52 mm' } });
    const check = checks.find(({ id }) => id === 'sprocket.wear')!;
    expect(check).toMatchObject({ note: { code: 'with-foreseen' }, outcome: 'undecided' });
    expect(check.probability!).toBeGreaterThan(0.95);
    expect(verdicts.driveSprocket.action).toBe('undecided');
    expect(plan.steps.map(({ measure }) => measure)).toContain('driveSprocket.wear');
  });

  it('ask a reading again that contradicts the past, once, and count it alone', () => {
    const of = (wear: NonNullable<Written['driveSprocket']>['wear'], saw: Written['saw'] = SAME) =>
      judged({ saw, driveSprocket: { pitch: '325', wear } });
    const [alone, once] = [of('0.62 mm', { foreseen: [] }), of('0.62 mm')];
    const check = ({ checks }: Appraisal) => checks.find(({ id }) => id === 'sprocket.wear')!;
    expect(check(once).note).toMatchObject({ code: 'not-as-foreseen', better: false });
    expect(check(once).probability).toBe(check(alone).probability);
    expect(once.verdicts.driveSprocket.action).toBe('replace');
    const again = ({ next }: Appraisal) => next.some(({ reason }) => reason.code === 'contradicts');
    expect(again(once)).toBe(true);
    expect(again(of({ instrument: 'feeler', repeats: ['0.62 mm', '0.63 mm'] }))).toBe(false);
  });

  it('are no look of their own: a life is never made of its own forecast', () => {
    const { checks } = judged({ saw: SAME, bar: bornOut('7.35 mm') });
    const foreseen = checks.filter(({ note }) => note?.code === 'foreseen');
    expect(foreseen).toHaveLength(1);
    expect(wornBy(foreseen)).toEqual({});
  });
});
