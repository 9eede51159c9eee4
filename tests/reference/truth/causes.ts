import {
  aggravated,
  noisyOr,
  presentBy,
  priorsOf,
  REACHES,
  rowOf,
  sideOf,
  type Cause,
  type FindingId,
  type Found,
  type Present,
  type Ranking,
  type Symptom,
} from '../../../src/core/symptom';
import { SYMPTOMS } from '../../../src/core/declared';
import type { Random } from './random';

/** Complaints whose causes add up; crooked cuts are asked of the drift. */
const COMPLAINTS: readonly Symptom[] = SYMPTOMS.filter((symptom) => sideOf(symptom) === null);

/** A finding as it comes out: its results with how often a saw without any of the causes shows each. */
interface Look {
  readonly id: FindingId;
  readonly results: readonly string[];
  readonly usual: readonly number[];
}

const ratioOfResult = (cause: Cause, id: FindingId, result: string): number => rowOf(cause).evidence[id]?.[result] ?? 1;

const LOOKS = new Map<string, Look>();

/**
 * A finding of a complaint. How often a sound saw shows each result follows from the ratios: with any cause there the
 * results add to one as well. It is found by exponentiated gradient, which keeps shares above nothing.
 */
function lookOf(id: FindingId, causes: readonly Cause[]): Look {
  const speaking = causes.filter((cause) => rowOf(cause).evidence[id]);
  const key = `${id} ${speaking.join()}`;
  const known = LOOKS.get(key);
  if (known) return known;
  // What is in between says little: a look finds or clears.
  const all = [...new Set(speaking.flatMap((cause) => Object.keys(rowOf(cause).evidence[id]!)))];
  const results = all.length > 2 ? all.filter((result) => result !== 'watch') : all;
  let usual = results.map(() => 1 / results.length);
  for (let step = 0; step < 4000; step += 1) {
    const off = speaking.map((cause) =>
      usual.reduce((sum, share, r) => sum + share * ratioOfResult(cause, id, results[r]!), -1),
    );
    usual = usual.map(
      (share, r) =>
        share *
        Math.exp(-0.05 * speaking.reduce((sum, cause, c) => sum + off[c]! * ratioOfResult(cause, id, results[r]!), 0)),
    );
    const sum = usual.reduce((whole, share) => whole + share, 0);
    usual = usual.map((share) => share / sum);
  }
  const look = { id, results, usual };
  LOOKS.set(key, look);
  return look;
}

/** What somebody who looks finds. */
function looked({ between }: Random, { id, results, usual }: Look, there: ReadonlySet<Cause>): Found {
  const shares = usual.map((share, r) =>
    [...there].reduce((product, cause) => product * ratioOfResult(cause, id, results[r]!), share),
  );
  let at = between(
    0,
    shares.reduce((sum, share) => sum + share, 0),
  );
  const result =
    results[
      Math.max(
        0,
        shares.findIndex((share) => (at -= share) < 0),
      )
    ]!;
  return { id, results: [result], sureness: 1, source: { from: 'word', reading: 'job.use', word: '' } };
}

/**
 * Whether the results of a look add to one for each cause: a row that tells one result only, or habits that are told,
 * say too little of how often the others come.
 */
const isWhole = ({ id, results, usual }: Look, causes: readonly Cause[]): boolean =>
  causes.every((cause) => {
    const all = usual.reduce((sum, share, r) => sum + share * ratioOfResult(cause, id, results[r]!), 0);
    return Math.abs(all - 1) < 0.03;
  });

/** All looks that speak of a complaint. */
function looksFor(causes: readonly Cause[]): readonly Look[] {
  const ids = new Set(causes.flatMap((cause) => REACHES.get(cause)!.map(([id]) => id)));
  return [...ids].map((id) => lookOf(id, causes)).filter((look) => isWhole(look, causes));
}

/** A saw that is complained of: which causes are there in truth, and what was found of each. */
interface Ailing {
  readonly symptom: Symptom;
  readonly there: ReadonlySet<Cause>;
  readonly looks: readonly Look[];
  readonly found: readonly Found[];
}

function ailing(random: Random, symptom: Symptom, there: ReadonlySet<Cause>, share: number): Ailing {
  const looks = looksFor(priorsOf(symptom, 'bar-first').map(({ cause }) => cause));
  const done = looks.filter(() => random.chance(share));
  return { symptom, there, looks, found: done.map((look) => looked(random, look, there)) };
}

const presentOf = ({ symptom }: Ailing, found: readonly Found[]): readonly Present[] =>
  presentBy(priorsOf(symptom, 'bar-first'), found);

const rankingOf = (saw: Ailing, found: readonly Found[]): Ranking => noisyOr(aggravated(presentOf(saw, found)));

const bestOf = ({ causes, unexplainedShare }: Ranking) => Math.max(unexplainedShare, causes[0]!.share);

/**
 * What raises the share of what leads most on average, looked at next: a look that is open, or one of the leader's once
 * more.
 */
function nextLook(saw: Ailing, found: readonly Found[], again: ReadonlySet<FindingId>): Look | null {
  const now = rankingOf(saw, found);
  const leader = now.causes[0]!.cause;
  const seen = new Set(found.map(({ id }) => id));
  const gain = ({ id, results, usual }: Look): number => {
    // How often each result comes, by what is believed now; each cause by itself.
    const weights = results.map((result, r) =>
      now.causes.reduce(
        (product, { cause, present }) => product * (1 - present + present * ratioOfResult(cause, id, result)),
        usual[r]!,
      ),
    );
    const all = weights.reduce((sum, weight) => sum + weight, 0);
    const after = results.reduce((sum, result, r) => {
      const one = {
        id,
        results: [result],
        sureness: 1,
        source: { from: 'word', reading: 'job.use', word: '' },
      } as const;
      return sum + (weights[r]! / all) * bestOf(rankingOf(saw, [...found, one]));
    }, 0);
    return after - bestOf(now);
  };
  const worth = saw.looks
    .filter(({ id }) => !seen.has(id) || (rowOf(leader).evidence[id] !== undefined && !again.has(id)))
    .map((look) => ({ look, by: gain(look) }))
    .sort((a, b) => b.by - a.by);
  return worth[0] && worth[0].by > 1e-6 ? worth[0].look : null;
}

/** How well causes were named. */
export interface Named {
  readonly first: number;
  readonly inThree: number;
  /**
   * Stated chances of being present against how often causes were: the largest gap of a tenth, beside its own scatter.
   */
  readonly gap: number;
}

const LED = (ranking: Ranking): readonly (Cause | null)[] =>
  [
    ...ranking.causes.map(({ cause, share }) => ({ cause: cause as Cause | null, share })),
    { cause: null, share: ranking.unexplainedShare },
  ]
    .sort((a, b) => b.share - a.share)
    .map(({ cause }) => cause);

/** The three causes in front; what nothing explains is a row of its own and takes no place among them. */
const threeOf = ({ causes }: Ranking): readonly Cause[] => causes.slice(0, 3).map(({ cause }) => cause);

/**
 * Saws with so many causes of their complaint, looked at in part, and asked on as the plan asks: how often what is true
 * leads, and how often all of it is among the three in front.
 * @param share of all looks that were made
 * @param asked how many looks more follow the plan
 */
export function namedCauses(random: Random, runs: number, count: 0 | 1 | 2, share: number, asked: number): Named {
  let [first, inThree] = [0, 0];
  const tenths = Array.from({ length: 10 }, () => ({ count: 0, stated: 0, there: 0 }));
  for (let run = 0; run < runs; run += 1) {
    const symptom = COMPLAINTS[run % COMPLAINTS.length]!;
    const there = new Set<Cause>();
    const priors = priorsOf(symptom, 'bar-first');
    while (there.size < count) {
      // Causes come as often as they bring the complaint about.
      const weights = priors.map(({ present, strength }) => present * strength);
      let at = random.between(
        0,
        weights.reduce((sum, each) => sum + each, 0),
      );
      const i = weights.findIndex((weight) => (at -= weight) < 0);
      there.add(priors[Math.max(0, i)]!.cause);
    }
    const saw = ailing(random, symptom, there, share);
    let { found } = saw;
    const again = new Set<FindingId>();
    for (let more = 0; more < asked; more += 1) {
      const look = nextLook(saw, found, again);
      if (!look) break;
      if (found.some(({ id }) => id === look.id)) again.add(look.id);
      found = [...found, looked(random, look, there)];
    }
    const ranking = rankingOf(saw, found);
    const [led] = LED(ranking);
    if (count === 0 ? led === null : led !== null && led !== undefined && there.has(led)) first += 1;
    if ([...there].every((cause) => threeOf(ranking).includes(cause))) inThree += 1;
    for (const { cause, present } of ranking.causes) {
      const tenth = tenths[Math.min(9, Math.floor(10 * present))]!;
      tenth.count += 1;
      tenth.stated += present;
      tenth.there += Number(there.has(cause));
    }
  }
  return { first: first / runs, inThree: inThree / runs, gap: gapOf(tenths) };
}

const gapOf = (
  tenths: readonly { readonly count: number; readonly stated: number; readonly there: number }[],
): number =>
  Math.max(
    0,
    ...tenths
      .filter(({ count }) => count > 30)
      .map(({ count, stated, there }) => {
        const said = stated / count;
        return Math.abs(said - there / count) - 2 * Math.sqrt((said * (1 - said)) / count);
      }),
  );

/**
 * Saws as the model makes them: causes there by their chances, the complaint by the causes. Are stated chances right?
 */
export function statedChances(random: Random, runs: number, share: number): number {
  const tenths = Array.from({ length: 10 }, () => ({ count: 0, stated: 0, there: 0 }));
  let made = 0;
  for (let tried = 0; made < runs; tried += 1) {
    const symptom = COMPLAINTS[tried % COMPLAINTS.length]!;
    const priors = priorsOf(symptom, 'bar-first');
    const there = new Set(priors.filter(({ present }) => random.chance(present)).map(({ cause }) => cause));
    const acts = priors.some(({ cause, strength }) => there.has(cause) && random.chance(strength));
    if (!acts && !random.chance(0.03)) continue;
    made += 1;
    const saw = ailing(random, symptom, there, share);
    for (const { cause, present } of noisyOr(presentOf(saw, saw.found)).causes) {
      const tenth = tenths[Math.min(9, Math.floor(10 * present))]!;
      tenth.count += 1;
      tenth.stated += present;
      tenth.there += Number(there.has(cause));
    }
  }
  return gapOf(tenths);
}
