import { describe, expect, it } from 'vitest';
import { identify } from '../identify';
import { readSheet, type WrittenBenchSheet } from '../sheet';
import { fitContext, judgeFit, nearMisses } from './index';

function missesOf(parts: Omit<WrittenBenchSheet, 'format' | 'version'>) {
  const read = readSheet({ format: 'serrata-bench-sheet', version: 1, ...parts });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  const identity = identify(read.value, []);
  return nearMisses({ identity, fit: judgeFit(fitContext(read.value, identity, false, null)) });
}

const bar = { stamp: '18 in 325 .050 72DL', mount: 'M1' };
/** Ten rivets of .325 over nine half-pitches, and a drive link of .050. */
const measured = { span: { rivets: 11, length: '82.55 mm' }, driveLinkThickness: '1.27 mm' };

describe('near misses', () => {
  it('are none of a set that agrees, whatever state it is in', () => {
    expect(missesOf({ chain: { stamp: '325 .050', driveLinks: [72, 72], ...measured }, bar })).toEqual([]);
    expect(missesOf({})).toEqual([]);
  });

  it('are parts that do not go together, each rule once', () => {
    expect(missesOf({ chain: { stamp: '3/8LP .050', driveLinks: [68, 68] }, bar, saw: { mount: 'M2' } })).toEqual([
      'chain-pitch-is-bar-pitch',
      'chain-pitch-is-nose-pitch',
      'chain-links-are-bar-links',
      'bar-mount-is-saw-mount',
    ]);
  });

  it('are marks that name another number than was settled, not those that leave the build open', () => {
    const chain = { stamp: '325 .058', driveLinks: [72, 72], ...measured };
    // As long as mark and measurement stand against each other nothing is settled.
    expect(missesOf({ chain, bar })).toEqual([]);
    expect(missesOf({ chain, bar, setAside: ['chain.stamp'] })).toEqual(['mark-says-otherwise']);
    const plain = { stamp: '3/8 .050', span: { rivets: 11, length: '93.1 mm' }, chassis: 'large' as const };
    expect(missesOf({ chain: { ...plain, driveLinkThickness: '1.27 mm' } })).toEqual([]);
  });
});
