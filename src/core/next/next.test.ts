import { describe, expect, it } from 'vitest';
import { appraise, DEFAULT_RULES } from '../assess';
import { readSheet, type Askable, type WrittenBenchSheet } from '../sheet';

type Parts = Omit<WrittenBenchSheet, 'format' | 'version'>;

function judged(parts: Parts) {
  const read = readSheet({ format: 'serrata-bench-sheet', version: 1, ...parts });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return appraise(read.value, DEFAULT_RULES, null);
}

const asked = (parts: Parts): readonly Askable[] => judged(parts).plan.steps.map(({ measure }) => measure);

type Bar = NonNullable<Parts['bar']>;

/** A sound bar of .325, read by depth rod at five stations an edge. */
function bar(depth: string, checks: Bar['checks'] = {}, far = depth): Bar {
  const reading = (of: string) => ({ instrument: 'depth-rod' as const, repeats: [of, of] });
  const stations = [40, 130, 215, 300, 390].map((at) => ({
    at: `${at} mm`,
    near: reading(depth),
    far: reading(far),
    mouth: '1.36 mm',
    deep: '1.34 mm',
    deepAt: '3 mm',
  }));
  return {
    stamp: '.325 .050 72DL',
    nose: 'sprocket',
    checks: { crack: 'no', bow: '0 mm', noseTurns: 'free', straightEdge: 'gap-stays', ...checks },
    edges: { A: { stations }, B: { stations } },
  };
}

describe('a depth that only a dip between the stations leaves open', () => {
  it('is asked of a rule along the rails, which settles it', () => {
    const open = judged({ bar: bar('6.3 mm') });
    expect(open.verdicts.bar.action).toBe('undecided');
    expect(open.checks.find(({ id }) => id === 'bar.depth')?.note).toEqual({ code: 'may-hide', ruled: false });
    expect(open.plan.steps[0]).toMatchObject({ measure: 'bar.checks.railLine', reason: { code: 'may-hide' } });
    expect(judged({ bar: bar('6.3 mm', { railLine: 'even' }) }).verdicts.bar.action).not.toBe('undecided');
  });

  it('is asked in the widest gap where the rule shows light', () => {
    const low = judged({ bar: bar('6.3 mm', { railLine: 'low' }) });
    expect(low.verdicts.bar.action).toBe('undecided');
    expect(low.plan.steps[0]).toMatchObject({ at: 85, measure: 'bar.edges.A.stations.5.near' });
    expect(low.checks.find(({ id }) => id === 'bar.rail-line')?.outcome).toBe('watch');
  });

  it('is no question of a bar that is deep enough for the deepest dip, nor of one that is too shallow as it was read', () => {
    for (const depth of ['6.8 mm', '5.5 mm'])
      expect(judged({ bar: bar(depth) }).checks.find(({ id }) => id === 'bar.depth')?.note).toBeNull();
    expect(judged({ bar: bar('5.5 mm', { railLine: 'even' }) }).verdicts.bar.action).toBe('replace');
  });

  it('moves no value that is told', () => {
    const value = (checks?: Bar['checks']) =>
      judged({ bar: bar('6.3 mm', checks) }).checks.find(({ id }) => id === 'bar.depth')?.value;
    expect(value()).toBeCloseTo(value({ railLine: 'even' })!, 9);
  });
});

describe('what a figure waits for', () => {
  it('is the bar’s thickness where a cut runs crooked and the rails lean', () => {
    const leaning = bar('8 mm', {}, '7.6 mm');
    const crooked = { job: { symptoms: ['cuts-curved-right' as const] } };
    expect(asked({ ...crooked, bar: leaning })).toContain('bar.thickness');
    expect(asked({ ...crooked, bar: { ...leaning, thickness: '4.6 mm' } })).not.toContain('bar.thickness');
    expect(asked({ ...crooked, bar: bar('8 mm') })).not.toContain('bar.thickness');
    expect(asked({ bar: leaning })).not.toContain('bar.thickness');
  });

  it('is the angle of a side whose cutters are too close to their limit', () => {
    const cutters = (length: string) => ({
      checks: { crack: 'no' as const },
      cuttersLeft: [length, length],
      cuttersRight: [length, length],
    });
    const angles = ['chain.topPlateAngleLeft', 'chain.topPlateAngleRight'] as const;
    expect(asked({ chain: cutters('4.01 mm') })).toEqual(expect.arrayContaining([...angles]));
    for (const angle of angles) expect(asked({ chain: cutters('7 mm') })).not.toContain(angle);
    expect(asked({ chain: { ...cutters('4.01 mm'), topPlateAngleLeft: 30, topPlateAngleRight: 30 } })).not.toContain(
      angles[0],
    );
  });
});
