import { flatMap } from '../flat-map';
import { adviceFor, type Advice } from '../advice';
import type { BarAssessment } from '../bar/checks';
import type { FamilyId, GaugeId } from '../families';
import { doneOn, judgedParts, type Check, type Verdict } from '../judge';
import type { Limits } from '../limits';
import { numbersOfSet, type Choice, type Choices, type Judged } from '../plan';
import type { Proof } from '../proof';
import type { Part } from '../reading';
import { refitList, renewedParts, tensionOf } from '../refit';
import { type RefitAct } from '../declared';
import type { Schools } from '../schools';
import type { Operation } from '../sheet';
import { nextVisit, type NextVisit } from '../visit';
import { findingsOf, type Finding } from './findings';

/** A new part that went on. */
export interface NewPart {
  readonly sku: string;
  readonly name: string;
  readonly pitch: FamilyId | null;
  readonly gauge: GaugeId | null;
  readonly driveLinks: number | null;
}

/** What became of one part. */
export interface PartOutcome {
  readonly part: Part;
  readonly verdict: Verdict;
  /** As it came, before anything was done. */
  readonly before: Verdict;
  readonly choice: Choice | null;
  /** The verdict that condemns it: as it stands, or of one that went as it came. */
  readonly condemned: Verdict | null;
  readonly done: readonly Operation[];
}

/** A job as it is handed over. */
export interface HandOver {
  readonly parts: readonly PartOutcome[];
  readonly findings: readonly Finding[];
  readonly numbers: {
    readonly pitch: FamilyId | null;
    readonly gauge: GaugeId | null;
    readonly driveLinks: number | null;
  };
  readonly edgeDown: 'A' | 'B' | null;
  readonly refit: {
    readonly list: readonly RefitAct[];
    readonly done: readonly RefitAct[];
    readonly tension: Check | null;
  };
  readonly proof: Proof;
  readonly advice: readonly Advice[];
  readonly visit: NextVisit;
}

/** What a hand-over is made of. */
export interface HandedOver {
  /** The job as it stands. */
  readonly judged: Judged & { readonly proof: Proof; readonly bar: BarAssessment };
  /** Checks and verdicts of the sheet as the parts came. */
  readonly before: { readonly checks: readonly Check[]; readonly verdicts: Readonly<Record<Part, Verdict>> };
  /** What the signed plan does with each part; null where none was signed. */
  readonly choices: Choices | null;
  /** Parts that went on new; null while it has not gone yet, and the plan says what will. */
  readonly fitted: readonly Part[] | null;
  /** The new chain, where the plan put one on: its numbers are those for next time. */
  readonly newChain: NewPart | null;
  readonly limits: Limits;
  readonly schools: Schools;
}

/** What the verdicts come to where no plan was signed. */
const CHOICE_OF: Readonly<Record<Verdict['action'], Choice | null>> = {
  keep: 'keep',
  clean: 'keep',
  recondition: 'recondition',
  replace: 'replace',
  undecided: null,
};

/** The choices of a plan, else those that the verdicts come to. */
export function choicesOf({ sheet, verdicts }: Pick<Judged, 'sheet' | 'verdicts'>, signed: Choices | null): Choices {
  if (signed) return signed;
  return Object.fromEntries(
    flatMap(judgedParts(sheet), (part) => {
      const choice = CHOICE_OF[verdicts[part].action];
      return choice ? [[part, choice]] : [];
    }),
  ) as Choices;
}

/** The verdict that condemns a part; null where none does, or where work has saved what came condemned. */
function condemnedBy(standing: Verdict, before: Verdict, choice: Choice | undefined): Verdict | null {
  if (standing.action === 'replace') return standing;
  return choice === 'replace' && before.action === 'replace' ? before : null;
}

/** What was done of what was chosen: a part whose new one is not on goes as it is. A new bar brings its nose. */
function madeOf(choices: Choices, fitted: readonly Part[] | null): Choices {
  if (fitted === null) return choices;
  const isOn = (part: Part) => fitted.includes(part) || (part === 'nose' && fitted.includes('bar'));
  return Object.fromEntries(
    (Object.entries(choices) as [Part, Choice][]).map(([part, choice]) => [
      part,
      choice === 'replace' && !isOn(part) ? 'keep' : choice,
    ]),
  );
}

/**
 * Puts together what is handed over: what was found, done and condemned, the numbers, the proof, advice, and the next
 * visit.
 */
export function handOver({ judged, before, choices, fitted, newChain, limits, schools }: HandedOver): HandOver {
  const { sheet, verdicts, checks, bar, proof } = judged;
  const made = madeOf(choicesOf(judged, choices), fitted);
  const renewed = renewedParts(verdicts, made);
  // What was done to the nose is told of the nose.
  const onNose = doneOn('nose', sheet);
  const done = (part: Part) => doneOn(part, sheet).filter((each) => part !== 'bar' || !onNose.includes(each));
  return {
    parts: judgedParts(sheet).map((part) => ({
      part,
      verdict: verdicts[part],
      before: before.verdicts[part],
      choice: made[part] ?? null,
      condemned: condemnedBy(verdicts[part], before.verdicts[part], made[part]),
      done: done(part),
    })),
    findings: findingsOf(before.checks, checks, renewed),
    numbers: newChain ?? numbersOfSet(judged.identity),
    // A new bar has no edge that has worn yet.
    edgeDown: renewed.includes('bar') ? null : (sheet.bar?.edgeDownNow ?? null),
    refit: {
      list: refitList({ sheet, renewed }),
      done: sheet.refit?.done ?? [],
      tension: tensionOf(checks),
    },
    proof,
    advice: adviceFor({ sheet, bar, checks: before.checks, renewed, schools }),
    visit: nextVisit(judged, made, limits),
  };
}
