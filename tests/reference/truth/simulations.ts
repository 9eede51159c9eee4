import type { InstrumentId } from '../../../src/core/quantity';
import { block, leastOf, level, raised, stationsAt, worn, type Kind, type Rails } from './bars';
import { hand } from './hand';
import { judged, judgedBar, soundBar } from './judged';
import type { Random } from './random';
import { Tally } from './tally';

const LIMIT = 6;

const depthProbability = (appraisal: ReturnType<typeof judged>): number | null =>
  appraisal.checks.find(({ id }) => id === 'bar.depth')?.probability ?? null;

/** Level bars a little over their limit: are they condemned, left undecided, sent to the file? */
export function levelBars(random: Random, runs: number, count: number, over: number, tool: InstrumentId): Tally {
  const tally = new Tally();
  for (let run = 0; run < runs; run += 1) {
    const edges: [Rails, Rails] = [level(LIMIT + over), level(LIMIT + over)];
    const { verdicts } = judgedBar(edges, count, hand(tool, random));
    tally.take(true, verdicts.bar.action);
  }
  return tally;
}

/** Share of level bars, well over their limit, that are sent to the file. */
export function levelFiled(random: Random, runs: number, count: number, tool: InstrumentId): number {
  let filed = 0;
  for (let run = 0; run < runs; run += 1)
    if (judgedBar([level(7.5), level(7.5)], count, hand(tool, random)).verdicts.bar.operations.includes('dress-rails'))
      filed += 1;
  return filed / runs;
}

/** Share of edges with a true step over a third of them that are found. */
export function stepsFound(random: Random, runs: number, count: number, height: number, tool: InstrumentId): number {
  let found = 0;
  for (let run = 0; run < runs; run += 1) {
    const appraisal = judgedBar([block(random, 7.5, height), level(7.5)], count, hand(tool, random));
    if (appraisal.bar.edges.A.dressing?.advised) found += 1;
  }
  return found / runs;
}

/** Bars as they wear, with their least depth anywhere near the limit. `seen` counts only what stations can see. */
export function wornBars(
  random: Random,
  runs: number,
  count: number,
  tool: InstrumentId,
  kind: Kind,
  seen: boolean,
): Tally {
  const tally = new Tally();
  const dense = Array.from({ length: 141 }, (_, i) => 40 + i * 2.5);
  for (let run = 0; run < runs; run += 1) {
    const made = [worn(random, kind), worn(random, kind)] as const;
    const goal = LIMIT + random.between(-0.4, 0.4);
    const by = goal - leastOf(made, seen ? stationsAt(count) : dense);
    const appraisal = judgedBar([raised(made[0], by), raised(made[1], by)], count, hand(tool, random));
    const depth = appraisal.checks.find(({ id }) => id === 'bar.depth')!;
    const action = depth.outcome === 'fail' ? 'replace' : depth.outcome === 'undecided' ? 'undecided' : 'keep';
    tally.take(goal >= LIMIT, action, depthProbability(appraisal));
  }
  return tally;
}

/**
 * Grooves with a flare that ends: what the link truly rocks in, against the verdict on play (limit 0.5 mm, link 1.27
 * mm).
 */
export function flaredBars(random: Random, runs: number, count: number, deepToo: boolean): Tally {
  const tally = new Tally();
  const [link, limit, tang] = [1.27, 0.5, 5];
  for (let run = 0; run < runs; run += 1) {
    const { read } = hand('caliper', random);
    const flare = random.between(0, 0.35);
    const ends = random.between(1.5, 3);
    const wave = random.between(0, 0.08);
    const floorAt = (at: number) => (wave * at) / 390;
    const rocking = (at: number) => base + floorAt(at) + flare / 2;
    const goal = limit + random.between(-0.25, 0.25);
    const base = link + goal - flare / 2 - floorAt(stationsAt(count).at(-1)!);
    const edge = () => ({
      stations: stationsAt(count).map((at) => ({
        at: `${at} mm`,
        near: '8 mm',
        far: '8 mm',
        mouth: read(rocking(at) + flare / 2),
        ...(deepToo ? { deep: read(rocking(at) - flare / 2), deepAt: `${ends.toFixed(2)} mm` } : {}),
      })),
    });
    const bar = soundBar({ A: edge(), B: edge() });
    delete bar.checks!.straightEdge;
    const appraisal = judged({ bar, chain: { tang: `${tang} mm` } });
    const play = appraisal.checks.find(({ id }) => id === 'bar.play')!;
    const action = play.outcome === 'fail' ? 'replace' : play.outcome === 'undecided' ? 'undecided' : 'keep';
    tally.take(goal <= limit, action, play.probability);
  }
  return tally;
}

/** Chains of many cutters: the shortest against the limit of 4 mm. */
export function cutterChains(random: Random, runs: number, count: number, spread: number, marked: boolean): Tally {
  const tally = new Tally();
  for (let run = 0; run < runs; run += 1) {
    const { read } = hand('caliper', random);
    const lengths = Array.from({ length: count }, () => random.normal(spread));
    const goal = random.between(-0.15, 0.15);
    const mark = marked ? random.between(3.8, 4.2) : 4;
    const by = mark + goal - Math.min(...lengths);
    const sides = lengths.map((length) => read(length + by));
    const { checks } = judged({
      chain: {
        cuttersLeft: sides.filter((_, i) => i % 2 === 0),
        cuttersRight: sides.filter((_, i) => i % 2 === 1),
        ...(marked ? { witnessLimit: read(mark) } : {}),
      },
    });
    const check = checks.find(({ id }) => id === 'chain.cutter')!;
    const action = check.outcome === 'fail' ? 'replace' : check.outcome === 'undecided' ? 'undecided' : 'keep';
    tally.take(goal >= 0, action, check.probability);
  }
  return tally;
}

/** One reading against one limit: wear of a sprocket by blade, by repeats, by two marks. */
export function singleReadings(random: Random, runs: number, how: 'once' | 'thrice' | 'between'): Tally {
  const tally = new Tally();
  for (let run = 0; run < runs; run += 1) {
    const truth = random.between(0.3, 0.7);
    const { read } = hand('feeler', random);
    const step = random.between(0.05, 0.3);
    const below = Math.max(0, truth - random.between(0, step));
    const wear =
      how === 'between'
        ? { enters: `${below.toFixed(4)} mm`, refuses: `${(below + step).toFixed(4)} mm` }
        : read(truth, how === 'thrice' ? 3 : 1);
    const { checks, verdicts } = judged({ driveSprocket: { wear } });
    const check = checks.find(({ id }) => id === 'sprocket.wear')!;
    tally.take(truth <= 0.5, verdicts.driveSprocket.action, check.probability);
  }
  return tally;
}

/** Elongation by one tape for both lengths, against 3 %. */
export function tapedChains(random: Random, runs: number): Tally {
  const tally = new Tally();
  for (let run = 0; run < runs; run += 1) {
    const percent = random.between(2.7, 3.3);
    const { read } = hand('tape', random);
    const closed = random.between(450, 550);
    const { checks } = judged({
      chain: { pushPull: { joints: 60, closed: read(closed), pulled: read(closed * (1 + percent / 100)) } },
    });
    const check = checks.find(({ id }) => id === 'chain.elongation')!;
    const action = check.outcome === 'fail' ? 'replace' : check.outcome === 'undecided' ? 'undecided' : 'keep';
    tally.take(percent <= 3, action, check.probability);
  }
  return tally;
}
