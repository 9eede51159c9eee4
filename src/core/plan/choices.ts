import { flatMap } from '../flat-map';
import type { BarAssessment } from '../bar/checks';
import type { ChainAssessment } from '../chain/checks';
import { SPEAKS_OF, type FitJudgement, type FitRule } from '../fit';
import type { Identity } from '../identify';
import { judgedParts, type Check, type Verdict } from '../judge';
import { PARTS, type Part } from '../reading';
import type { BenchSheet } from '../sheet';

/** What may be done with a part of the set. */
export const CHOICES = ['keep', 'recondition', 'replace'] as const;
export type Choice = (typeof CHOICES)[number];

/** One choice for every part that is there. */
export type Choices = Readonly<Partial<Record<Part, Choice>>>;

/** What a set means that is planned for. */
export interface Judged {
  readonly sheet: BenchSheet;
  readonly identity: Identity;
  readonly bar: BarAssessment;
  readonly chain: ChainAssessment;
  readonly checks: readonly Check[];
  readonly fit: readonly FitJudgement[];
  readonly verdicts: Readonly<Record<Part, Verdict>>;
}

/** What rules a combination out: a rule of the set, a verdict, or that there is no such part to be had. */
export type PlanRule =
  FitRule | 'part-needs-work' | 'nose-not-replaceable' | 'numbers-not-settled' | 'class-not-known' | `no-${Part}`;

/** Why a choice for a part is out of the question by its verdict; null where it is not. */
function ruledOut(action: Verdict['action'], choice: Choice): PlanRule | null {
  if (choice === 'replace') return null;
  if (action === 'replace' || action === 'undecided') return 'parts-may-go-back-on';
  return choice === 'keep' && action === 'recondition' ? 'part-needs-work' : null;
}

/** The nose of a bar that is kept may be renewed only where it can be; a hard nose is the bar itself. */
function noseRuledOut({ sheet }: Judged, { bar, nose }: Choices): PlanRule | null {
  if (nose !== 'replace' || bar === 'replace') return null;
  if (sheet.bar?.nose === 'hard' || sheet.bar?.noseReplaceable !== true) return 'nose-not-replaceable';
  const { noseTeeth, thickness } = sheet.bar;
  return noseTeeth === undefined || thickness === undefined ? 'nose-is-known' : null;
}

/** The rule of the set that parts break which stay; null where they break none. */
function brokenByWhatStays({ fit }: Judged, choices: Choices): FitRule | null {
  const stays = (part: Part) => choices[part] !== undefined && choices[part] !== 'replace';
  return fit.find(({ rule, holds }) => holds === false && (SPEAKS_OF[rule]?.every(stays) ?? false))?.rule ?? null;
}

/**
 * The rule that a combination breaks by the verdicts of its parts and by what stays together; null where it breaks
 * none.
 */
export function brokenByWhatIs(judged: Judged, choices: Choices): PlanRule | null {
  for (const part of PARTS) {
    const choice = choices[part];
    const broken = choice && ruledOut(judged.verdicts[part].action, choice);
    // A nose that goes with its bar needs no verdict of its own.
    if (broken && !(part === 'nose' && choices.bar === 'replace')) return broken;
  }
  return noseRuledOut(judged, choices) ?? brokenByWhatStays(judged, choices);
}

/** Parts that a plan is made for. */
export const plannedParts = ({ sheet }: Judged): readonly Part[] => judgedParts(sheet);

/** Choices that mean something for a part: only what calls for work is worked on. */
const choicesFor = (part: Part, { verdicts }: Judged): readonly Choice[] =>
  verdicts[part].operations.length > 0 && verdicts[part].action !== 'clean'
    ? CHOICES
    : CHOICES.filter((choice) => choice !== 'recondition');

/** Every combination of choices for the parts that are there; a new bar brings its nose. */
export function combinations(judged: Judged): readonly Choices[] {
  const all = plannedParts(judged).reduce<readonly Choices[]>(
    (before, part) =>
      flatMap(before, (choices) => choicesFor(part, judged).map((choice) => ({ ...choices, [part]: choice }))),
    [{}],
  );
  return all.filter(({ bar, nose }) => bar !== 'replace' || nose === undefined || nose === 'replace');
}
