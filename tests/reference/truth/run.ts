import { block, level } from './bars';
import { namedCauses, statedChances } from './causes';
import { crookedCuts } from './crooked-cuts';
import { returningSaws } from './fleets';
import { gaugedChains, seenSprockets } from './gauges';
import { hand } from './hand';
import { testedBars } from './hand-tests';
import { atRandom, byCard, byPlan, measuredJobs, overBruteForce } from './jobs';
import { practised } from './practised';
import { random } from './random';
import * as sim from './simulations';
import type { Tally } from './tally';

const runs = Number(process.argv[2] ?? 400);
const seed = Number(process.argv[3] ?? 2026);
const of = (share: number, digits = 1): string => `${(100 * share).toFixed(digits)} %`;
const say = (...words: string[]): void => void process.stdout.write(`${words.join('  ')}\n`);
const COUNTS = [2, 3, 5, 8, 12, 24, 48];

say(
  'Level bars by depth rod: condemned / undecided at a margin over the limit; filed though level; step of 0.3 mm over a third found',
);
for (const count of COUNTS) {
  const margins = [0.05, 0.1, 0.2].map((over) => {
    const tally = sim.levelBars(random(seed), runs, count, over, 'depth-rod');
    return `+${over}: ${of(tally.share('condemned'), 0)}/${of(tally.share('undecided'), 0)}`;
  });
  const filed = sim.levelFiled(random(seed), runs, count, 'depth-rod');
  const found = sim.stepsFound(random(seed), runs, count, 0.3, 'depth-rod');
  say(`${count} stations`, ...margins, `filed ${of(filed)}`, `found ${of(found)}`);
}
for (const tool of ['depth-marks', 'caliper'] as const)
  say(
    `filed though level by ${tool}:`,
    ...COUNTS.map((count) => `${count}: ${of(sim.levelFiled(random(seed), runs, count, tool))}`),
  );

for (const seen of [true, false])
  for (const tool of ['depth-rod', 'depth-marks', 'caliper'] as const) {
    say(
      `Bars as they wear, with steps and dips, ${seen ? 'at the stations' : 'anywhere'}, by ${tool}: false keep of all, of bad; false condemned of good; undecided; stated:true`,
    );
    for (const count of COUNTS) {
      const tally = sim.wornBars(random(seed), runs, count, tool, { dips: 0.3, steps: 0.35 }, seen);
      say(
        `${count} stations`,
        of(tally.share('falseKeep'), 2),
        of(tally.share('falseKeep', 'bad')),
        of(tally.share('falseCondemned', 'good')),
        of(tally.share('undecided'), 0),
        tally.curve,
      );
    }
  }
const line = (name: string, tally: Tally): void =>
  say(
    name,
    `keep ${of(tally.share('falseKeep'), 2)}`,
    `condemned ${of(tally.share('falseCondemned', 'good'))}`,
    `undecided ${of(tally.share('undecided'), 0)}`,
    `off by ${of(tally.miscalibration)}`,
    tally.curve,
  );
for (const count of [1, 5, 12]) {
  line(`Flares, mouth and floor, ${count}`, sim.flaredBars(random(seed), runs, count, true));
  line(`Flares, mouth alone, ${count}`, sim.flaredBars(random(seed), runs, count, false));
}
for (const [count, spread] of [
  [1, 0],
  [2, 0.1],
  [6, 0.05],
  [30, 0.02],
  [30, 0.1],
  [30, 0.3],
] as const) {
  line(`Shortest of ${count}, spread ${spread}`, sim.cutterChains(random(seed), runs, count, spread, false));
  line(
    `Shortest of ${count}, spread ${spread}, to the mark`,
    sim.cutterChains(random(seed), runs, count, spread, true),
  );
}
for (const how of ['once', 'thrice', 'between'] as const)
  line(`Sprocket wear, ${how}`, sim.singleReadings(random(seed), 4 * runs, how));
line('Elongation by one tape', sim.tapedChains(random(seed), 4 * runs));

say(
  'Bars by five squares and the balance: filed though level; a lean of 0.3 mm over a third found; over the whole edge found; squares more',
);
for (const how of ['blade', 'eye'] as const)
  for (const tool of [null, 'depth-rod', 'depth-marks'] as const) {
    const way = { with: how, squares: 5, depth: tool && hand(tool, random(seed)).read };
    const plain = testedBars(random(seed), runs, way, () => [level(8), level(8)]);
    const third = testedBars(random(seed), runs, way, (r) => [block(r, 8, 0.3), level(8)]);
    const whole = testedBars(random(seed), runs, way, () => [() => ({ near: 7.7, far: 8 }), level(8)]);
    say(`${how}, ${tool ?? 'no depth'}`, of(plain.filed), of(third.filed), of(whole.filed), plain.more.toFixed(2));
  }

say('Causes: what is there leads; all of it in three; stated chances off beyond their scatter');
for (const [count, share, asked] of [
  [1, 1, 0],
  [1, 1, 2],
  [1, 0.5, 2],
  [2, 1, 0],
  [0, 1, 2],
] as const) {
  const { first, inThree } = namedCauses(random(seed), 4 * runs, count, share, asked);
  say(`${count} there, ${of(share, 0)} looked at, ${asked} asked`, of(first), of(inThree));
}
say('stated', of(statedChances(random(seed), 10 * runs, 1)), of(statedChances(random(seed), 10 * runs, 0.5)));
say('crooked cuts, the largest part first', of(crookedCuts(random(seed), 4 * runs)));
const gauges = gaugedChains(random(seed), runs);
say(
  'Gauges: lowered for nothing, missed, too sure that none is too low; repeats',
  of(gauges.loweredForNothing),
  of(gauges.missed),
  of(gauges.tooSure, 2),
  gauges.repeats.toFixed(1),
);
const eyes = seenSprockets(random(seed), 4 * runs);
say(
  'Sprockets by eye, blade, both: condemned though sound, kept though finished',
  of(eyes.falselyCondemned, 2),
  of(eyes.falselyKept, 2),
);
say('Jobs: minutes, wrong verdicts, most readings');
for (const [name, policy] of [
  ['plan', byPlan],
  ['card', byCard],
  ['random', atRandom],
] as const) {
  const jobs = measuredJobs(random(seed), runs, policy, random(seed + 1));
  say(name, jobs.minutes.toFixed(1), of(jobs.wrong, 2), String(jobs.most));
}
say('the plan over brute force on small jobs', of(overBruteForce(random(seed), runs)));

say(
  'Saws that come again, without their past and with it: readings, minutes, wrong keeps, wrongly replaced, undecided',
);
for (const looks of [1, 2, 3]) {
  const { without, withPast } = returningSaws(seed, runs, looks);
  for (const [name, found] of Object.entries({ without, withPast }))
    say(`${looks} services before, ${name}:`, ...Object.values(found).map((each) => each.toFixed(1)));
}

const made = practised(Math.max(1000, runs));
say(
  'Sets made for practice, all readings taken:',
  `judged as made ${of(made.verdicts, 2)}`,
  `causes among three ${of(made.causes)}`,
);
say(...made.otherwise.map((each) => `${each}\n`));
