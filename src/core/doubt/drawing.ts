import { flatMap } from '../flat-map';
import type { BarAssessment } from '../bar/checks';
import type { Identity } from '../identify';
import type { Verdict } from '../judge';
import type { InstrumentId } from '../quantity';
import type { Part } from '../reading';
import { minutesFor, type Askable } from '../sheet';
import { candidatesOf } from './candidates';
import { compile, type Compiled } from './compile';
import { drawWorld, emptyWorld, judgeWorld, sharesFrom } from './draw';
import type { Factor } from './factors';
import { seeded } from './seeded';
import { sharesOf, wrongOf, type PartDoubt } from './shares';
import { dropOf, type Candidate } from './worth';

/** Something that could be read: which reading, and where along an edge, mm, where no station is yet. */
interface Readable {
  readonly measure: Askable;
  readonly at: number | null;
}

/** A reading that could be made next, and what it would buy. */
export interface Worth extends Readable {
  readonly tool: InstrumentId | null;
  /** By how much it lowers the chance of a wrong verdict, on average. */
  readonly drop: number;
  readonly minutes: number;
}

/** A reading with its share of what all of them would take off the chance of a wrong verdict. */
export interface Mover extends Readable {
  readonly share: number;
}

/** What draws tell of one part. */
export interface DrawnPart extends PartDoubt {
  /** Readings by what perfect knowledge of each would take off the doubt, the most first. */
  readonly movedBy: readonly Mover[];
  /** What to measure next, the most for its minutes first; empty where another reading changes nothing. */
  readonly next: readonly Worth[];
}

/** What draws tell of every part that can be judged. */
export interface DrawnDoubt {
  readonly draws: number;
  readonly seed: number;
  readonly parts: Readonly<Partial<Record<Part, DrawnPart>>>;
}

/** What is drawn: what verdicts hang on, the verdicts, and what is known of bar and numbers. */
export interface Doubted {
  readonly hangsOn: Readonly<Record<Part, readonly Factor[] | null>>;
  readonly verdicts: Readonly<Record<Part, Verdict>>;
  readonly bar: BarAssessment;
  readonly identity: Identity;
}

/** A reading that lowers the chance of a wrong verdict by less than this changes nothing (shop's figure). */
export const WORTH_MEASURING = 0.005;

/** Draws between two tellings of how far it is. */
const AT_ONCE = 1000;
/** The share of the work that drawing is; the rest is looking at what each reading would buy. */
const DRAWING = 0.7;

/** Candidates of a part, with what each reads and what is so, draw by draw. */
interface Read {
  readonly part: Part;
  readonly candidate: Candidate;
  readonly read: Float64Array;
  readonly truth: Float64Array;
}

/** Everything that was drawn. */
interface Drawn {
  readonly deserved: Readonly<Partial<Record<Part, Uint8Array>>>;
  readonly reads: readonly Read[];
}

function readsOf(compiled: Compiled, { hangsOn, bar, identity }: Doubted, draws: number): readonly Read[] {
  let first = 0;
  return flatMap(compiled.parts, (part) => {
    const factors = hangsOn[part]!;
    // No reading takes off more than all the doubt there is.
    const isAsked = 1 - Math.max(...Object.values(sharesOf(factors))) >= WORTH_MEASURING / 2;
    const candidates = isAsked ? candidatesOf(compiled, factors, first, part === 'bar', { bar, identity }) : [];
    first += factors.length;
    return candidates.map((candidate) => ({
      part,
      candidate,
      read: new Float64Array(draws),
      truth: new Float64Array(draws),
    }));
  });
}

/**
 * Draws worlds, the verdicts deserved in them, and what every reading that could be made would show. What would be read
 * has a stream of its own, so that asking about it changes no verdict.
 */
function* drawAll(compiled: Compiled, doubted: Doubted, draws: number, seed: number): Generator<number, Drawn> {
  const [worlds, readings] = [seeded(seed), seeded(seed + 1)];
  const reads = readsOf(compiled, doubted, draws);
  const world = emptyWorld(compiled);
  const verdicts = new Uint8Array(compiled.parts.length);
  const deserved = compiled.parts.map(() => new Uint8Array(draws));
  for (let draw = 0; draw < draws; draw += 1) {
    if (draw % AT_ONCE === 0) yield draw / draws;
    drawWorld(compiled, draw, worlds, world);
    judgeWorld(compiled, world, verdicts);
    for (let i = 0; i < verdicts.length; i += 1) deserved[i]![draw] = verdicts[i]!;
    for (const { candidate, read, truth } of reads) {
      read[draw] = candidate.read(world, draw, readings);
      truth[draw] = candidate.truth(world, draw);
    }
  }
  return { deserved: Object.fromEntries(compiled.parts.map((part, i) => [part, deserved[i]!])), reads };
}

const isOne = (a: Readable, b: Readable): boolean => a.measure === b.measure && a.at === b.at;

/** What each reading would buy, the most for its minutes first; of one place the tool that buys most. */
function nextOf(reads: readonly Read[], deserved: Uint8Array): readonly Worth[] {
  const all = reads.map(({ candidate: { measure, tool, at }, read }): Worth => {
    return { measure, tool, at, drop: dropOf(read, deserved), minutes: minutesFor(measure) };
  });
  const worthy = all
    .filter(({ drop }) => drop >= WORTH_MEASURING)
    .sort((a, b) => b.drop / b.minutes - a.drop / a.minutes);
  return worthy.filter((each, i) => worthy.findIndex((other) => isOne(other, each)) === i);
}

/** Readings by what knowing each exactly would take off the doubt. */
function moversOf(reads: readonly Read[], deserved: Uint8Array): readonly Mover[] {
  const first = reads.filter(({ candidate }, i) => reads.findIndex((each) => isOne(each.candidate, candidate)) === i);
  const drops = first
    .map(({ candidate: { measure, at }, truth }) => ({ measure, at, drop: dropOf(truth, deserved) }))
    .filter(({ drop }) => drop >= WORTH_MEASURING);
  const all = drops.reduce((sum, { drop }) => sum + drop, 0);
  return drops.sort((a, b) => b.drop - a.drop).map(({ drop, ...where }) => ({ ...where, share: drop / all }));
}

/**
 * Draws how everything may be, from every reading's distribution with what readings share drawn once, and judges each
 * draw whole: the share of each verdict, what moves it, and what another reading would buy. It yields how far it is, 0
 * to 1, so that whoever runs it may stop or let others go first; the same seed gives the same.
 * @param draws how many, at least 1
 * @param seed a whole number
 * @see JCGM 101:2008 (propagation of distributions by draws)
 */
export function* drawing(doubted: Doubted, draws: number, seed: number): Generator<number, DrawnDoubt> {
  const compiled = compile(doubted.hangsOn);
  const steps = drawAll(compiled, doubted, draws, seed);
  let step = steps.next();
  for (; !step.done; step = steps.next()) yield DRAWING * step.value;
  const { deserved, reads } = step.value;
  const parts: Partial<Record<Part, DrawnPart>> = {};
  for (const [i, part] of compiled.parts.entries()) {
    yield DRAWING + ((1 - DRAWING) * i) / compiled.parts.length;
    const own = reads.filter((read) => read.part === part);
    const shares = sharesFrom(deserved[part]!);
    const wrong = wrongOf(shares, doubted.verdicts[part].action);
    parts[part] = { shares, wrong, movedBy: moversOf(own, deserved[part]!), next: nextOf(own, deserved[part]!) };
  }
  return { draws, seed, parts };
}

/** The same at once, without telling how far it is. */
export function drawnDoubt(doubted: Doubted, draws: number, seed: number): DrawnDoubt {
  const steps = drawing(doubted, draws, seed);
  let step = steps.next();
  while (!step.done) step = steps.next();
  return step.value;
}
