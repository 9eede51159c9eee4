import { flatMap } from '../flat-map';
import { ownOf, toolOf, towards, type Latent, type Way } from '../belief';
import type { InstrumentId } from '../quantity';
import { PARTS, type Part } from '../reading';
import type { Factor } from './factors';

/** A pitch or a gauge that may be one of several: their names, and the sum of the weights up to each. */
export interface Choice {
  readonly of: 'pitch' | 'gauge';
  readonly cases: readonly string[];
  readonly upTo: Float64Array;
}

/** All that verdicts hang on, laid out flat: a draw is arithmetic over these arrays. */
export interface Compiled {
  readonly parts: readonly Part[];
  readonly tools: readonly InstrumentId[];
  readonly toolError: Float64Array;
  readonly choices: readonly Choice[];
  readonly groups: readonly string[];
  readonly latents: readonly Latent[];
  /** Number of the tool whose error is in a latent; −1 for none. */
  readonly latentTool: Int16Array;
  readonly latentToward: Int8Array;
  readonly latentOwn: Float64Array;
  /** Questions: of which part, what they call for, what they rest on. */
  readonly part: Uint8Array;
  readonly rank: Uint8Array;
  readonly group: Uint16Array;
  readonly well: Float64Array;
  /** 1 where a sum is to be at least its limit, −1 where at most, 0 where nothing is summed and the group decides. */
  readonly sense: Int8Array;
  readonly wayFrom: Uint16Array;
  /** Ways: the choice and the case in which they count (−1 for always), their limit, their terms. */
  readonly wayChoice: Int16Array;
  readonly wayCase: Int16Array;
  readonly wayLimit: Float64Array;
  readonly termFrom: Uint16Array;
  readonly termLatent: Uint16Array;
  readonly termTimes: Float64Array;
}

/** What a verdict is, in the order in which the worst counts. */
const RANK: Readonly<Record<Factor['calls'], number>> = { clean: 1, recondition: 2, replace: 3 };

/** What makes two latents one and the same: the readings they are made of. */
const identityOf = (latent: Latent): object =>
  latent.is === 'value' ? latent.estimate : latent.is === 'least' ? latent.least : latent.kinds;

/** Things in the order in which they come, each once, by what makes it itself. */
class Listed<T> {
  readonly all: T[] = [];
  private readonly numbers = new Map<unknown, number>();

  constructor(private readonly by: (thing: T) => unknown) {}

  numberOf(thing: T): number {
    const key = this.by(thing);
    const known = this.numbers.get(key);
    if (known !== undefined) return known;
    this.numbers.set(key, this.all.length);
    return this.all.push(thing) - 1;
  }
}

/** The choices that ways differ by, with the weights of their cases. */
function choicesOf(factors: readonly Factor[]): readonly Choice[] {
  const weights = new Map<Choice['of'], Map<string, number>>();
  for (const { rests } of factors)
    for (const { case: which, weight } of rests?.ways ?? []) {
      if (!which) continue;
      const cases = weights.get(which.of) ?? new Map<string, number>();
      weights.set(which.of, cases.set(which.is, weight));
    }
  return [...weights].map(([of, cases]) => {
    const total = [...cases.values()].reduce((sum, weight) => sum + weight, 0);
    let sum = 0;
    const upTo = Float64Array.from(cases.values(), (weight) => (sum += weight / total));
    return { of, cases: [...cases.keys()], upTo };
  });
}

/** Where each run of things begins, and where the last one ends. */
function begins(lengths: readonly number[]): Uint16Array {
  const from = new Uint16Array(lengths.length + 1);
  lengths.forEach((length, i) => (from[i + 1] = from[i]! + length));
  return from;
}

/**
 * Lays out what verdicts hang on, once for all draws. What rests on the same reading, the same tool, the same pitch or
 * the same group shares it.
 * @param hangsOn factors by part; null where nothing can be said
 */
export function compile(hangsOn: Readonly<Record<Part, readonly Factor[] | null>>): Compiled {
  const parts = PARTS.filter((part) => hangsOn[part] !== null);
  const questions = flatMap(parts, (part, i) => hangsOn[part]!.map((factor) => ({ factor, part: i })));
  const factors = questions.map(({ factor }) => factor);
  const ways: readonly (readonly Way[])[] = factors.map(({ rests }) => rests?.ways ?? []);
  const all = ways.flat();
  const terms = flatMap(all, (way) => way.terms);
  const [latents, tools, groups] = [
    new Listed<Latent>(identityOf),
    new Listed<InstrumentId>((tool) => tool),
    // What is read of one part is not read of another.
    new Listed<string>((group) => group),
  ];
  const termLatent = Uint16Array.from(terms, ({ of }) => latents.numberOf(of));
  const used = latents.all.map(toolOf);
  const latentTool = Int16Array.from(used, (tool) => (tool ? tools.numberOf(tool.tool) : -1));
  const choices = choicesOf(factors);
  const choiceOf = ({ case: which }: Way) => choices.findIndex(({ of }) => of === which?.of);
  return {
    parts,
    tools: tools.all,
    toolError: Float64Array.from(tools.all, (id) =>
      Math.max(...flatMap(used, (tool) => (tool?.tool === id ? tool.shared : []))),
    ),
    choices,
    latents: latents.all,
    latentTool,
    latentToward: Int8Array.from(latents.all, towards),
    latentOwn: Float64Array.from(latents.all, ownOf),
    part: Uint8Array.from(questions, ({ part }) => part),
    rank: Uint8Array.from(factors, ({ calls }) => RANK[calls]),
    group: Uint16Array.from(questions, ({ factor, part }) => groups.numberOf(`${parts[part]!} ${factor.group}`)),
    groups: groups.all,
    well: Float64Array.from(factors, ({ well }) => well),
    sense: Int8Array.from(factors, ({ rests }) => (rests === null ? 0 : rests.kind === 'min' ? 1 : -1)),
    wayFrom: begins(ways.map(({ length }) => length)),
    wayChoice: Int16Array.from(all, choiceOf),
    wayCase: Int16Array.from(all, (way) => choices[choiceOf(way)]?.cases.indexOf(way.case!.is) ?? -1),
    wayLimit: Float64Array.from(all, ({ limit }) => limit),
    termFrom: begins(all.map((way) => way.terms.length)),
    termLatent,
    termTimes: Float64Array.from(terms, ({ times }) => times),
  };
}
