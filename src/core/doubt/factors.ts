import { flatMap } from '../flat-map';
import { EDGES } from '../declared';
import { metalUnknown, type BarAssessment } from '../bar/checks';
import { isMended, openWork, readingOf, type Check, type Repeat, type Verdict } from '../judge';
import { waysWithin, type Way } from '../belief';
import type { LimitKind } from '../quantity';
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
  /** What one more such reading is worth; null where it is looked at and not measured. */
  readonly repeat: Repeat | null;
  /** The sums that decide it, as they can be drawn; null where it only comes out well or badly. */
  readonly rests: Rests | null;
}

/** Sums that are to be on the good side of their limits. */
export interface Rests {
  readonly ways: readonly Way[];
  readonly kind: LimitKind;
}

/**
 * Somebody who was not sure of what they saw is as likely right as wrong (shop's figure); so is a bound that leaves all
 * open.
 */
const UNSURE = 0.5;

/**
 * What somebody saw, and condemns by itself, is not so once in so many (shop's figure): nothing that was only looked at
 * is beyond doubt.
 */
const MISSEEN = 0.02;

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
  'chain.elongation': 'stretch',
  'chain.feel': 'stretch',
};

/**
 * Sums of a check, and their limit unless another is named: a way beside the settled one counts where it changes
 * anything.
 */
function restsOf({ ways, kind }: Check, limit: number | null = null): Rests | null {
  if (!ways || kind === 'observation') return null;
  return { ways: limit === null ? ways : ways.map((way) => ({ ...way, limit })), kind };
}

/** Chance that a condemning check is on the good side, whatever pitch or gauge is right. */
function chanceOf(check: Check, rests: Rests | null): number {
  const { probability, outcome } = check;
  if (rests && rests.ways.length > 1) return waysWithin(rests.ways, rests.kind);
  if (probability !== null) return probability;
  if (outcome === 'undecided') return UNSURE;
  return outcome === 'fail' ? MISSEEN : 1;
}

const callsOf = (operation: Operation | null): 'recondition' | 'clean' =>
  operation !== null && CLEANING.includes(operation) ? 'clean' : 'recondition';

/** Levelling is asked of the rails of an edge as a whole, and not of each check of a step. */
const ASKED_ELSEWHERE = ['bar.step', 'bar.dip', 'bar.marker', 'bar.square', 'bar.stands'];

type Head = Pick<Factor, 'group' | 'measure' | 'repeat'>;
type Outlook = Pick<Factor, 'calls' | 'well' | 'rests'>;

/**
 * Written out member by member: a check's factors are made anew at every keystroke, and what is spread and then added
 * to is slow.
 */
const factor = ({ measure, repeat }: Head, group: string, { calls, well, rests }: Outlook): Factor => ({
  group,
  calls,
  well,
  measure,
  repeat,
  rests,
});

/**
 * Work that a check calls for, or would if its value is beyond the limit in truth: a value near its limit is work that
 * may be needed.
 */
function workFactor(check: Check, head: Head, done: readonly Operation[]): readonly Factor[] {
  const { might, work, condemns, outcome, probability, watch } = check;
  const operation = might?.operation ?? work;
  if (operation && openWork([operation], done).length === 0) return [];
  if (!might) return work === null ? [] : [factor(head, head.group, { calls: callsOf(work), well: 0, rests: null })];
  const calls = callsOf(might.operation);
  const group = condemns ? `${head.group} work` : head.group;
  if (might.from === 'watch') {
    const rests = watch === null ? null : restsOf(check, watch);
    const well = rests ? waysWithin(rests.ways, rests.kind) : Number(work === null);
    return [factor(head, group, { calls, well, rests })];
  }
  if (condemns) return [];
  // What was found by another way than its figures is found.
  const isByFigures = probability !== null && probability > UNSURE === (outcome !== 'fail');
  const [well, rests] = isByFigures ? [probability, restsOf(check)] : [Number(work === null), null];
  return [factor(head, group, { calls, well, rests })];
}

function factorsOfCheck(check: Check, done: readonly Operation[]): readonly Factor[] {
  const { id, outcome, condemns, repeat } = check;
  if (outcome === 'not-measured' || ASKED_ELSEWHERE.includes(id)) return [];
  const measure = repeat?.measure ?? readingOf(id);
  const head: Head = { group: TOGETHER[id] ?? id, measure, repeat };
  if (!condemns) return workFactor(check, head, done);
  const rests = restsOf(check);
  const condemned = factor(head, head.group, { calls: 'replace', well: chanceOf(check, rests), rests });
  return [condemned, ...workFactor(check, head, done)];
}

/**
 * The rails of each edge: how likely they stand level. What only the plan of the dressing finds is as good as certain.
 */
function rails({ standing }: BarAssessment): readonly Factor[] {
  return flatMap(EDGES, (edge): readonly Factor[] => {
    const { belief, called } = standing[edge];
    if (!belief) return called ? [certain('recondition', `rails ${edge}`)] : [];
    const isByStep = belief.stepChance > UNSURE === called;
    return [
      {
        group: `rails ${edge}`,
        calls: 'recondition',
        well: isByStep ? 1 - belief.stepChance : called ? 0 : 1,
        measure: `bar.edges.${edge}.stands`,
        repeat: null,
        rests: null,
      },
    ];
  });
}

/** Of bars whose depth nobody has measured about so many are deep enough (shop's figure). */
const DEEP_ENOUGH = 0.9;

/** What was not measured and may yet condemn the part: a bar that level tests alone send to the file. */
const unmeasured = (bar: BarAssessment): readonly Factor[] =>
  metalUnknown(bar).length > 0
    ? [{ ...certain('replace', 'depth'), well: DEEP_ENOUGH, measure: 'bar.edges.depth' }]
    : [];

const certain = (calls: Factor['calls'], group: string): Factor => ({
  group,
  calls,
  well: 0,
  measure: null,
  repeat: null,
  rests: null,
});

/** Work that is planned beside what checks call for. */
const planned = (operations: readonly Operation[], checks: readonly Check[]): readonly Factor[] =>
  operations
    .filter((operation) => operation !== 'dress-rails' && operation !== 'deburr')
    .filter((operation) => !checks.some(({ work }) => work === operation))
    .map((operation) => certain(callsOf(operation), operation));

/**
 * All that the verdict on a part hangs on; null while readings are missing that it waits for: of what nobody looked at
 * nothing can be said.
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
  return [
    ...flatMap(checks, (check) => factorsOfCheck(check, done)),
    ...(part === 'bar' ? [...rails(bar), ...unmeasured(bar)] : []),
    ...planned(verdict.operations, checks),
  ];
}
