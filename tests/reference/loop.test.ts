import { describe, expect, it } from 'vitest';
import { inches, toInches } from '../../src/core/quantity';
import { FAMILIES, GAUGES } from '../../src/core/families';
import { cuttersExpected } from '../../src/core/identify';
import {
  chainSpeed,
  COMMON_LOOPS,
  lengthOfLinks,
  listedLengths,
  loopLength,
  pitchDiameter,
  plausibleLoop,
} from '../../src/core/loop';

/**
 * Chain length in pitches after the handbooks: `L/p = 2C/p + (A + B)/2 + ((A − B)/2π)²·p/C`.
 * Machinery's Handbook, section "Roller Chain Drives": length of driving chain (from memory).
 */
function handbookPitches(centres: number, pitch: number, a: number, b: number): number {
  const c = centres / pitch;
  return 2 * c + (a + b) / 2 + ((a - b) / (2 * Math.PI)) ** 2 / c;
}

/** A polygon's circumscribed circle drawn out: the vertices of a 2N-gon of side p, measured across. */
function acrossPolygon(pitch: number, teeth: number): number {
  const sides = 2 * teeth;
  let radius = pitch;
  // The radius at which 2N chords of length p close the circle, by bisection on the sum of their angles.
  let [lo, hi] = [pitch / 2, pitch * sides];
  for (let i = 0; i < 200; i += 1) {
    radius = (lo + hi) / 2;
    const turn = sides * 2 * Math.asin(Math.min(1, pitch / 2 / radius));
    if (turn > 2 * Math.PI) lo = radius;
    else hi = radius;
  }
  return 2 * radius;
}

describe('pitch diameter', () => {
  // Machinery's Handbook, section "Roller Chain Sprockets": P / sin(180°/N) for a wheel of N teeth at pitch P (from
  // memory).
  it('is 1.685 in for 7 drive links of 3/8 in', () => {
    expect(toInches(pitchDiameter(inches(0.375), 7))).toBeCloseTo(1.685, 3);
  });

  it.each([6, 7, 8, 10, 12])('closes a polygon of 2 × %i chords', (teeth) => {
    expect(pitchDiameter(8.25, teeth)).toBeCloseTo(acrossPolygon(8.25, teeth), 6);
  });
});

describe('chain length', () => {
  const wheels = { drive: pitchDiameter(9.525, 7) / 2, nose: pitchDiameter(9.525, 10) / 2 };

  it.each([
    [400, 963.1, 50.6],
    [550, 1263.0, 66.3],
  ])('centres %i mm: %d mm, %d links', (centres, length, links) => {
    expect(loopLength(wheels, centres)).toBeCloseTo(length, 0);
    expect(loopLength(wheels, centres) / (2 * 9.525)).toBeCloseTo(links, 1);
  });

  it.each([250, 400, 550, 900])('agrees with the handbook formula within 0.2 %% at %i mm', (centres) => {
    const pitches = handbookPitches(centres, 9.525, 14, 20);
    expect(Math.abs(loopLength(wheels, centres) / 9.525 / pitches - 1)).toBeLessThan(0.002);
  });

  it('agrees with a belt walked round in small steps', () => {
    const { drive, nose } = wheels;
    const centres = 400;
    const lean = Math.asin((drive - nose) / centres);
    const steps = 20_000;
    let walked = 2 * centres * Math.cos(lean);
    for (let i = 0; i < steps; i += 1) {
      walked += (drive * (Math.PI + 2 * lean)) / steps + (nose * (Math.PI - 2 * lean)) / steps;
    }
    expect(loopLength(wheels, centres)).toBeCloseTo(walked, 3);
  });
});

describe('chain speed', () => {
  // Circumference of the pitch polygon times turns: 2·N·p·n (any handbook of machine elements; from memory).
  it('3/8 in, 7 teeth, 10 000 turns a minute: 22.2 m/s, 4375 ft/min', () => {
    expect(chainSpeed(9.525, 7, 10_000)).toBeCloseTo(22.225, 6);
    expect(chainSpeed(9.525, 7, 10_000) * 196.850394).toBeCloseTo(4375, 0);
  });
});

// Facts of the trade: common practice, no source.
describe('listed lengths', () => {
  it.each([
    [9.75, [10]],
    [13.25, [14]],
    [16.5, [18]],
    [20.125, [20, 22, 21]],
    [24.375, [24, 26, 25]],
  ])('%d in is sold as %j', (length, sold) => {
    expect(listedLengths(inches(length)).map(({ inches: size }) => size)).toEqual(sold);
  });
});

describe('loops of the trade', () => {
  it.each(COMMON_LOOPS.map((loop) => [loop.family, loop.inches, loop.links] as const))(
    '%s, %i in, %i links is plausible',
    (family, size, links) => {
      expect(plausibleLoop(family, inches(size), links)).toMatchObject({ plausible: true });
    },
  );

  it('72 links of nominal 3/8 in are 54.0 in round', () => {
    expect(toInches(lengthOfLinks(72, inches(0.375)))).toBeCloseTo(54, 9);
  });

  it('72 links carry 36 cutters in full complement and 24 in full skip', () => {
    expect(cuttersExpected(72, 'full-complement')).toEqual([36]);
    expect(cuttersExpected(72, 'full-skip')).toEqual([24]);
    expect(cuttersExpected(70, 'semi-skip')).toEqual([28]);
  });
});

describe('pitches and gauges in inch and millimetre', () => {
  // Label in inches against the millimetre name it is sold under: within a tenth of a millimetre (common practice, no
  // source).
  it.each([
    ['.043', 1.1],
    ['.050', 1.3],
    ['.058', 1.5],
    ['.063', 1.6],
  ] as const)('gauge %s is called %d mm', (id, name) => {
    expect(Math.abs(GAUGES[id].thickness - name)).toBeLessThan(0.1);
    expect(GAUGES[id].thickness).toBeCloseTo(Number(id) * 25.4, 9);
  });

  it.each([
    ['quarter', 0.25],
    ['325', 0.325],
    ['38lp', 0.375],
    ['38', 0.375],
    ['404', 0.404],
  ] as const)('pitch %s is its label within 2.2 %%: the label is coarser than the metal', (family, label) => {
    expect(Math.abs(toInches(FAMILIES[family].pitch) / label - 1)).toBeLessThan(0.022);
  });
});
