import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { INSTRUMENT_IDS } from '../core/quantity';
import type { StoredReadingMessage } from './readings';
import { packJob, unpackJob } from './sent-job';
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

describe('a job in its page', () => {
  it('comes out as it went in, whatever was typed', () => {
    fc.assert(
      fc.property(fc.array(reading, { maxLength: 12 }), (readings) => {
        const view = { job: { id: 'x', tag: 'L-1 "<&' }, readings } as unknown as JobView;
        expect(unpackJob(packJob(view))).toEqual(view);
      }),
      { seed: 11, numRuns: 300 },
    );
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
    const { readings: packed } = packJob({ readings } as unknown as JobView);
    expect(packed.length).toBeLessThan(JSON.stringify(readings).length / 2);
  });
});
