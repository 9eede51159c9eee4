import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { inches, mm } from '../quantity';
import {
  adjusterPosition,
  centresFor,
  effectiveRange,
  lengthOfLinks,
  linksInTravel,
  listedAgrees,
  listedLengths,
  loopLength,
  pitchDiameter,
  plausibleLoop,
  usualLinks,
} from './index';

const wheels = { drive: pitchDiameter(9.525, 7) / 2, nose: pitchDiameter(9.525, 10) / 2 };
const anyWheels = fc.record({
  drive: fc.double({ min: 12, max: 40, noNaN: true }),
  nose: fc.double({ min: 12, max: 40, noNaN: true }),
});

describe('the way round two wheels', () => {
  it('is turned round exactly', () => {
    fc.assert(
      fc.property(anyWheels, fc.double({ min: 60, max: 1500, noNaN: true }), (given, centres) => {
        expect(centresFor(given, loopLength(given, centres))).toBeCloseTo(centres, 5);
      }),
      { seed: 41, numRuns: 200 },
    );
  });

  it('is the same whichever wheel drives', () => {
    fc.assert(
      fc.property(anyWheels, fc.double({ min: 60, max: 1500, noNaN: true }), ({ drive, nose }, centres) => {
        expect(loopLength({ drive, nose }, centres)).toBeCloseTo(loopLength({ drive: nose, nose: drive }, centres), 8);
      }),
      { seed: 42, numRuns: 100 },
    );
  });

  it('is too short for a loop that cannot go round', () => {
    expect(centresFor(wheels, 50)).toBeNull();
  });
});

describe('the tensioner', () => {
  const travel = { back: 400, out: 412 };

  it('takes the loops whose centre distance lies in its travel, and no others', () => {
    const links = linksInTravel(wheels, travel, 9.525);
    expect(links).toEqual([51]);
    for (const count of [50, 51, 52]) {
      const position = adjusterPosition(wheels, travel, count, 9.525)!;
      expect(position.state === 'in-travel').toBe(links.includes(count));
    }
  });

  it('will not take up a stretched chain that new would fit', () => {
    expect(adjusterPosition(wheels, travel, 51, 9.525)).toMatchObject({ state: 'in-travel' });
    const stretched = adjusterPosition(wheels, travel, 51, 9.525 * 1.03)!;
    expect(stretched.state).toBe('will-not-take-up');
    expect(stretched.left).toBeLessThan(0);
  });

  it('will not go on with a link too few', () => {
    expect(adjusterPosition(wheels, travel, 49, 9.525)).toMatchObject({ state: 'will-not-go-on' });
  });

  it('used and left make up the travel', () => {
    fc.assert(
      fc.property(fc.integer({ min: 45, max: 60 }), (links) => {
        const position = adjusterPosition(wheels, travel, links, 9.525)!;
        expect(position.used + position.left).toBeCloseTo(12, 9);
      }),
      { seed: 43, numRuns: 16 },
    );
  });
});

describe('listed lengths', () => {
  const listed = (length: number) => listedLengths(inches(length)).map(({ inches: size }) => size);

  it('an even length is that length', () => {
    expect(listed(16)).toEqual([16]);
    expect(listed(16.02)).toEqual([16]);
  });

  it('every length agrees with each of its listed lengths', () => {
    fc.assert(
      fc.property(fc.double({ min: 8, max: 40, noNaN: true }), (length) => {
        for (const size of listed(length)) expect(listedAgrees(inches(size), inches(length))).toBe(true);
      }),
      { seed: 44, numRuns: 300 },
    );
  });

  it('a bar four inches off is another bar', () => {
    expect(listedAgrees(inches(18), inches(13.25))).toBe(false);
    expect(listedAgrees(inches(18), inches(19))).toBe(false);
    expect(effectiveRange(inches(18)).lo).toBeCloseTo(inches(16), 6);
  });
});

describe('loops seen', () => {
  it('stand between their neighbours, and nothing is said far outside', () => {
    expect(usualLinks('38lp', inches(14))).toBe(51);
    expect(usualLinks('38lp', inches(60))).toBeNull();
    // The line is followed for eight inches beyond the loops seen, and no further.
    for (const [within, beyond] of [
      [12.1, 11.9],
      [32, 32.1],
    ] as const) {
      expect(usualLinks('38', inches(within))).not.toBeNull();
      expect(usualLinks('38', inches(beyond))).toBeNull();
    }
    expect(plausibleLoop('38lp', inches(16), 56)).toEqual({ usual: 56, plausible: true });
    expect(plausibleLoop('38lp', inches(16), 72)).toMatchObject({ plausible: false });
    expect(plausibleLoop('325', mm(18 * 25.4), 72)).toMatchObject({ plausible: true });
  });
});

describe('the length of links', () => {
  it('is two pitches each', () => {
    expect(lengthOfLinks(72, 9.525)).toBeCloseTo(inches(54), 9);
  });
});
