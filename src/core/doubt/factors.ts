import { EDGES } from '../bar';
import type { BarAssessment } from '../bar/checks';
import { isMended, type Check, type Verdict } from '../judge';
import type { Part } from '../reading';
import { CLEANING, type Askable, type Operation } from '../sheet';

/** What a verdict on one part hangs on: one thing that may be this way or that. */
export interface Factor {
  /** What it rests on: factors of one group are read off one and the same, and come out together. */
  readonly group: string;
  /** What it does where it comes out badly. */
  readonly calls: 'replace' | 'recondition' | 'clean';
  /** Chance that it comes out well. */
  readonly well: number;
  /** The reading to take again for it; null where there is none. */
  readonly measure: Askable | null;
}

/** Somebody who was not sure of what they saw is as likely right as wrong (shop's figure); so is a bound that leaves all open. */
const UNSURE = 0.5;

/** Checks that are read off one thing: the least depth decides them all, or the widest place of the groove does. */
const TOGETHER: Readonly<Record<string, string>> = {
  'bar.depth': 'depth',
  'bar.depth-after': 'depth',
  'bar.floor-clearance': 'depth',
  'bar.floor-clearance-after': 'depth',
  'bar.play': 'play',
  'bar.play-after': 'play',
  'bar.straight-edge': 'play',
  'chain.cutter': 'cutters',
  'chain.half': 'cutters',
  'sprocket.wear': 'sprocket',
  'sprocket.grade': 'sprocket',
};

/** Chance that a condemning check is on the good side. */
function chanceOf({ probability, outcome }: Check): number {
  if (probability !== null) return probability;
  if (outcome === 'undecided') return UNSURE;
  return outcome === 'fail' ? 0 : 1;
}

const callsOf = (operation: Operation | null): 'recondition' | 'clean' =>
  operation !== null && CLEANING.includes(operation) ? 'clean' : 'recondition';

/** Levelling is asked of the rails of an edge as a whole, and not of each check of a step. */
const ASKED_ELSEWHERE = ['bar.step', 'bar.marker', 'bar.square', 'bar.stands'];

function factorOf(check: Check): readonly Factor[] {
  const { id, outcome, condemns, work, probability, repeat } = check;
  if (outcome === 'not-measured' || ASKED_ELSEWHERE.includes(id)) return [];
  const head = { group: TOGETHER[id] ?? id, measure: repeat?.measure ?? null };
  const called: readonly Factor[] =
    work === null && (condemns || probability === null)
      ? []
      : [
          {
            group: condemns ? `${head.group} work` : head.group,
            measure: head.measure,
            calls: callsOf(work),
            well: condemns || probability === null ? 0 : probability,
          },
        ];
  return condemns ? [{ ...head, calls: 'replace', well: chanceOf(check) }, ...called] : called;
}

/** The rails of each edge: how likely they stand level. What only the plan of the dressing finds is as good as certain. */
function rails({ standing }: BarAssessment): readonly Factor[] {
  return EDGES.flatMap((edge): readonly Factor[] => {
    const { belief, dressing } = standing[edge];
    const chance = belief?.stepChance ?? null;
    if (chance === null) return dressing?.advised ? [certain('recondition', `rails ${edge}`)] : [];
    const isByStep = chance > UNSURE === (dressing?.advised ?? false);
    return [
      {
        group: `rails ${edge}`,
        calls: 'recondition',
        well: isByStep ? 1 - chance : dressing?.advised ? 0 : 1,
        measure: `bar.edges.${edge}.stands`,
      },
    ];
  });
}

const certain = (calls: Factor['calls'], group: string): Factor => ({ group, calls, well: 0, measure: null });

/** Work that is planned beside what checks call for. */
const planned = (operations: readonly Operation[], checks: readonly Check[]): readonly Factor[] =>
  operations
    .filter((operation) => operation !== 'dress-rails' && operation !== 'deburr')
    .filter((operation) => !checks.some(({ work }) => work === operation))
    .map((operation) => certain(callsOf(operation), operation));

/**
 * All that the verdict on a part hangs on; null while readings are missing that it waits for: of what nobody looked at nothing can be said.
 * @param done work on the part that was done
 */
export function factorsOf(
  verdict: Verdict,
  all: readonly Check[],
  bar: BarAssessment,
  done: readonly Operation[],
): readonly Factor[] | null {
  const part: Part = verdict.part;
  const waits = verdict.reasons.some(({ code }) => code === 'missing' || code === 'not-brought');
  const checks = all.filter((check) => check.part === part && !isMended(check, done));
  const unjudged = checks.some(
    ({ condemns, outcome, value }) => condemns && outcome === 'not-measured' && value !== null,
  );
  if (waits || unjudged) return null;
  return [...checks.flatMap(factorOf), ...(part === 'bar' ? rails(bar) : []), ...planned(verdict.operations, checks)];
}
