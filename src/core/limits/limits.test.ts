import { describe, expect, it } from 'vitest';
import { DEFAULTS, resolveLimits } from './limits';
import { limitsFile, limitsFileSchema } from './limits-file';

describe('limits', () => {
  it('keep their provenance until they are changed', () => {
    const same = resolveLimits({ 'bar.depth.325': 6 });
    expect(same.ok && same.value['bar.depth.325'].provenance).toBe('memory');
    const changed = resolveLimits({ 'bar.depth.325': '5.5 mm' });
    expect(changed.ok && changed.value['bar.depth.325']).toMatchObject({ value: 5.5, provenance: 'shop' });
  });

  it('take a maker’s figure with its source', () => {
    const maker = resolveLimits({
      'bar.depth.325': { value: 6, provenance: 'published', source: 'bar maker’s leaflet' },
    });
    expect(maker.ok && maker.value['bar.depth.325']).toMatchObject({
      provenance: 'published',
      source: 'bar maker’s leaflet',
    });
    expect(resolveLimits({ 'bar.depth.325': { value: 6, provenance: 'published' } })).toMatchObject({
      ok: false,
      error: [{ code: 'published-without-source' }],
    });
  });

  it('return every problem at once', () => {
    const result = resolveLimits({
      'bar.dept': 3,
      'bar.step': -1,
      'chain.elongation.watch': 4,
      'sprocket.wear': { value: 0.4, unit: 'in' },
      'bar.bow': 'wide',
    });
    expect(result.ok ? [] : result.error.map(({ code }) => code).sort()).toEqual([
      'negative',
      'not-a-number',
      'unknown-limit',
      'watch-beyond-limit',
      'wrong-unit',
    ]);
  });

  it('let a warning begin at the limit itself', () => {
    const { value } = DEFAULTS['chain.elongation'];
    expect(resolveLimits({ 'chain.elongation.watch': value }).ok).toBe(true);
    expect(resolveLimits({ 'chain.elongation.watch': value + 0.1 }).ok).toBe(false);
  });

  it('survive being written to a file and read again', () => {
    const file = limitsFileSchema.parse(JSON.parse(JSON.stringify(limitsFile(DEFAULTS))));
    expect(resolveLimits(file.limits)).toEqual({ ok: true, value: DEFAULTS });
  });
});
