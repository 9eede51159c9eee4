import { describe, expect, it } from 'vitest';
import { random } from './random';
import { anyParts } from './parts';
import * as sim from './simulations';

/**
 * Parts with known truth, read as model §1 says that hands and tools read, and judged. The figures wanted are those of model §12; the readings are drawn from
 * seeds, so a run that fails can be run again. `npm run truth` runs more of them and prints the tables.
 */
const SEED = 2026;

/** What stated and true shares may lie apart: two points, and the scatter of the shares themselves at these numbers of parts (two standard deviations). */
const within = (runs: number) => 0.02 + 1 / Math.sqrt(runs);

describe('level bars by depth rod', () => {
  it.each([
    [2, 0.12],
    [5, 0.1],
    [8, 0.05],
    [12, 0.05],
    [24, 0.05],
  ])('at %i stations an edge are sent to the file in at most %f of cases', (stations, most) => {
    expect(sim.levelFiled(random(SEED), 120, stations, 'depth-rod')).toBeLessThanOrEqual(most);
  });

  it.each([
    [5, 0.8],
    [8, 0.97],
    [12, 0.98],
  ])('at %i stations a step of 0.3 mm over a third is found in at least %f of cases', (stations, least) => {
    expect(sim.stepsFound(random(SEED), 120, stations, 0.3, 'depth-rod')).toBeGreaterThanOrEqual(least);
  });

  it('at 24 stations are not left undecided for a tenth of a millimetre, nor condemned at half of that', () => {
    expect(sim.levelBars(random(SEED), 240, 24, 0.1, 'depth-rod').share('undecided')).toBeLessThanOrEqual(0.25);
    expect(sim.levelBars(random(SEED), 120, 24, 0.05, 'depth-rod').share('condemned')).toBeLessThanOrEqual(0.05);
  });

  it('are sent to the file by a tool that cannot show a step hardly ever', () => {
    for (const stations of [2, 5, 12])
      expect(sim.levelFiled(random(SEED), 80, stations, 'depth-marks')).toBeLessThanOrEqual(0.05);
  });
});

describe('bars as they wear, with steps and dips', () => {
  const kind = { dips: 0.3, steps: 0.35 };

  it.each([
    [2, 'depth-rod'],
    [5, 'depth-rod'],
    [12, 'depth-rod'],
    [24, 'depth-rod'],
    [48, 'depth-rod'],
    [5, 'depth-marks'],
    [12, 'caliper'],
  ] as const)('at %i stations by %s: no false keep to speak of, and no sound bar condemned', (stations, tool) => {
    const tally = sim.wornBars(random(SEED), 160, stations, tool, kind, true);
    expect(tally.share('falseKeep')).toBeLessThanOrEqual(0.0126);
    expect(tally.share('falseCondemned', 'good')).toBeLessThanOrEqual(0.025);
    expect(tally.miscalibration).toBeLessThan(0.13);
  });

  it.each([2, 5, 24])(
    'at %i stations states a chance that comes true, wherever on the edge the truth lies',
    (stations) => {
      const tally = sim.wornBars(random(SEED), 300, stations, 'depth-rod', { dips: 0.12, steps: 0.35 }, false);
      expect(tally.miscalibration).toBeLessThan(within(300));
      expect(tally.share('falseKeep')).toBeLessThanOrEqual(0.02);
    },
  );

  it('says what lies between its stations only as far as the roughness shows it', () => {
    const tally = sim.wornBars(random(SEED), 160, 12, 'depth-rod', { dips: 0, steps: 0.35 }, false);
    expect(tally.share('falseKeep', 'bad')).toBeLessThanOrEqual(0.03);
  });
});

describe('grooves with a flare that ends', () => {
  it.each([1, 5, 12])('with mouth and floor at %i stations are judged by what the link rocks in', (stations) => {
    const tally = sim.flaredBars(random(SEED), 120, stations, true);
    expect(tally.share('falseKeep')).toBeLessThanOrEqual(0.01);
    expect(tally.share('falseCondemned', 'good')).toBeLessThanOrEqual(0.02);
    expect(tally.share('undecided')).toBeLessThanOrEqual(0.3);
  });

  it('by the mouth alone are never condemned', () => {
    const tally = sim.flaredBars(random(SEED), 80, 5, false);
    expect(tally.share('condemned')).toBe(0);
    expect(tally.share('falseKeep')).toBe(0);
  });
});

describe('stated probabilities', () => {
  it.each(['once', 'thrice', 'between'] as const)('of one reading, taken %s, are right', (how) => {
    expect(sim.singleReadings(random(SEED), 600, how).miscalibration).toBeLessThan(within(600));
  });

  it('of two lengths by one tape are right', () => {
    expect(sim.tapedChains(random(SEED), 600).miscalibration).toBeLessThan(within(600));
  });

  it.each([
    [1, 0, false],
    [6, 0.05, false],
    [30, 0.02, false],
    [30, 0.1, false],
    [30, 0.3, true],
  ])('of the shortest of %i cutters, spread by %f, are right (to a mark: %s)', (count, spread, marked) => {
    const tally = sim.cutterChains(random(SEED), 250, count, spread, marked);
    expect(tally.miscalibration).toBeLessThan(within(250));
    expect(tally.share('falseKeep')).toBeLessThanOrEqual(0.012);
  });
});

describe('a thousand parts of every kind', () => {
  it('are judged whole with at most 0.5 % kept that are finished, and 0.5 % condemned that are sound', () => {
    const tally = anyParts(random(SEED), 1000);
    expect(tally.share('falseKeep')).toBeLessThanOrEqual(0.005);
    expect(tally.share('falseCondemned')).toBeLessThanOrEqual(0.005);
    expect(tally.share('undecided')).toBeLessThan(0.25);
  });

  it('have a stated chance that is right within 3 points per tenth', () => {
    const { tenths, miscalibration } = anyParts(random(SEED + 1), 3000);
    expect(miscalibration).toBeLessThan(0.03);
    for (const { count, stated, good } of tenths) {
      if (count < 20) continue;
      // Three points, and two and a half standard deviations of a share of so few.
      const [said, was] = [stated / count, good / count];
      expect(Math.abs(said - was), `${count} parts at ${said.toFixed(2)}`).toBeLessThan(
        0.03 + 2.5 * Math.sqrt((said * (1 - said)) / count),
      );
    }
  });
});
