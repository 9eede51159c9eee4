import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULTS, resolveLimits } from '../core/limits';
import { INSTRUMENT_IDS } from '../core/quantity';
import type { StoredReadingMessage } from './readings';
import { packJob, unpackJob, type SentJob } from './sent-job';
import type { JobView } from './views';

const reading: fc.Arbitrary<StoredReadingMessage> = fc.record({
  seq: fc.nat(),
  id: fc.uuid(),
  path: fc.constantFrom('job.complaint', 'bar.edges.A.stations.0.near', 'no place\tof\nours\\t'),
  text: fc.string({ unit: fc.constantFrom('a', '\\', 't', 'n', '\t', '\n', '\r', '"', '<', 'é', ' ') }),
  unit: fc.constantFrom('mm', 'in'),
  instrument: fc.constantFrom(null, ...INSTRUMENT_IDS),
  at: fc.constant('2026-11-25T08:00:00.000Z'),
  by: fc.string(),
});

/** A packed job as it comes out of its page. */
const arrived = (sent: SentJob): SentJob => structuredClone(sent);

describe('a job in its page', () => {
  it('comes out as it went in, whatever was typed', () => {
    fc.assert(
      fc.property(fc.array(reading, { maxLength: 12 }), (readings) => {
        const view = { job: { id: 'x', tag: 'L-1 "<&' }, limits: DEFAULTS, readings } as unknown as JobView;
        expect(unpackJob(arrived(packJob(view)))).toEqual(view);
      }),
      { seed: 11, numRuns: 300 },
    );
  });

  it('brings the limits of the shop, and those nobody changed without naming them', () => {
    const resolved = resolveLimits({ 'bar.play': { value: 0.4, source: 'the shop’s own' } });
    if (!resolved.ok) throw new Error(JSON.stringify(resolved.error));
    const sent = packJob({ limits: resolved.value, readings: [] } as unknown as JobView);
    expect(unpackJob(arrived(sent)).limits).toEqual(resolved.value);
    expect(Object.keys((JSON.parse(sent.view) as JobView).limits)).toEqual(['bar.play']);
  });

  it('is what it was where it is drawn on the spot', () => {
    const view = { limits: DEFAULTS, readings: [] } as unknown as JobView;
    expect(unpackJob(packJob(view))).toBe(view);
  });

  it('is far smaller than as a list of objects', () => {
    const one = {
      seq: 1,
      id: 'x',
      path: 'bar.edges.A.stations.0.near',
      text: '7.9',
      unit: 'mm',
      instrument: null,
      at: '',
      by: 'I',
    };
    const readings = Array.from({ length: 100 }, () => one);
    const { readings: packed } = packJob({ limits: DEFAULTS, readings } as unknown as JobView);
    expect(packed.length).toBeLessThan(JSON.stringify(readings).length / 2);
  });
});
