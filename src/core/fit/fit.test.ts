import { describe, expect, it } from 'vitest';
import { identify } from '../identify';
import { readSheet, type WrittenBenchSheet } from '../sheet';
import { classKnown, FIT_RULES, fitContext, judgeFit } from './index';

function judged(parts: Omit<WrittenBenchSheet, 'format' | 'version'>, sound: boolean | 'close' | null = true) {
  const read = readSheet({ format: 'serrata-bench-sheet', version: 1, ...parts });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  const fit = judgeFit(fitContext(read.value, identify(read.value, []), sound, null));
  return Object.fromEntries(fit.map((each) => [each.rule, each]));
}

const chain = { stamp: '325 .050', driveLinks: [72, 72] };
const bar = { stamp: '18 in 325 .050 72DL', mount: 'M1', oilHole: 'O1' };

describe('rules between parts', () => {
  it('are all judged, and those of nothing that is known are open', () => {
    const all = judged({});
    expect(Object.keys(all).sort()).toEqual([...FIT_RULES].sort());
    expect(all['chain-pitch-is-bar-pitch']!.holds).toBeNull();
  });

  it('hold where chain and bar say the same, and break where they do not', () => {
    const same = judged({ chain, bar });
    for (const rule of ['chain-pitch-is-bar-pitch', 'chain-gauge-is-bar-gauge', 'chain-links-are-bar-links'] as const)
      expect(same[rule]!.holds, rule).toBe(true);
    const other = judged({ chain: { stamp: '3/8 .058', driveLinks: [68, 68] }, bar });
    for (const rule of ['chain-pitch-is-bar-pitch', 'chain-gauge-is-bar-gauge', 'chain-links-are-bar-links'] as const)
      expect(other[rule]!.holds, rule).toBe(false);
  });

  it('tell a chain that goes in and must not from one that will not run', () => {
    const thin = judged({ chain, bar: { ...bar, stamp: '18 in 325 .058 72DL' } });
    expect(thin['chain-gauge-is-bar-gauge']!.reason.code).toBe('goes-in-must-not');
    const thick = judged({ chain: { ...chain, stamp: '325 .058' }, bar });
    expect(thick['chain-gauge-is-bar-gauge']!.reason.code).toBe('will-not-run');
  });

  it('compare mounts and oil holes of bar and saw as they are called', () => {
    const fits = judged({ bar, saw: { mount: 'M1', oilHole: 'O2' } });
    expect(fits['bar-mount-is-saw-mount']!.holds).toBe(true);
    expect(fits['oil-hole-is-saw-oil-hole']!.holds).toBe(false);
  });

  it('leave a drive sprocket that nobody measured open, and refuse one that is worn', () => {
    expect(judged({ chain, bar }, null)['sprocket-takes-new-chain']!.holds).toBeNull();
    expect(judged({ chain, bar }, 'close')['sprocket-takes-new-chain']!.holds).toBeNull();
    expect(judged({ chain, bar }, false)['sprocket-takes-new-chain']!.holds).toBe(false);
  });

  it('never step a low-kickback chain up in silence', () => {
    const low = { ...chain, bumperLinks: true };
    expect(judged({ chain: low, bar })['kickback-not-stepped-up']!.holds).not.toBe(false);
    const read = readSheet({ format: 'serrata-bench-sheet', version: 1, chain: low });
    if (!read.ok) throw new Error('unread');
    expect(classKnown(read.value, { codeClass: null }).kickbackClass).toBe('low-kickback');
  });
});

describe('what is counted and what the saw takes', () => {
  it('a ticked sequence that two counts contradict breaks the rule, and the count stands', () => {
    const said = judged({ chain: { ...chain, cutters: 24, sequence: 'full-complement' }, bar });
    expect(said['sequence-is-counted']).toMatchObject({
      holds: false,
      reason: { code: 'sequence-doubted', says: 'full-skip', ticked: 'full-complement' },
    });
    expect(said['chain-links-are-bar-links']!.holds).toBe(true);
    expect(judged({ chain: { ...chain, cutters: 36 } })['sequence-is-counted']!.holds).toBe(true);
    expect(judged({ chain: { ...chain, cutters: 31 } })['sequence-is-counted']!.holds).toBe(false);
    expect(judged({ chain })['sequence-is-counted']).toMatchObject({ reason: { missing: ['chain.cutters'] } });
  });

  it('a drive sprocket is of the kind that the saw takes, a rim of its splines too', () => {
    const rule = (driveSprocket: WrittenBenchSheet['driveSprocket'], saw: WrittenBenchSheet['saw']) =>
      judged({ driveSprocket, saw })['sprocket-is-saws']!.holds;
    expect(rule({ type: 'spur' }, { sprocketKind: 'rim' })).toBe(false);
    expect(rule({ type: 'spur' }, { sprocketKind: 'spur' })).toBe(true);
    expect(rule({ type: 'rim', splines: 7 }, { sprocketKind: 'rim', splines: 9 })).toBe(false);
    expect(rule({ type: 'rim', splines: 7 }, { sprocketKind: 'rim', splines: 7 })).toBe(true);
    expect(rule({ type: 'rim' }, { sprocketKind: 'rim', splines: 7 })).toBeNull();
    expect(rule(undefined, undefined)).toBeNull();
  });
});
