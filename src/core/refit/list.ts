import type { Verdict } from '../judge';
import type { Part } from '../reading';
import type { BenchSheet } from '../sheet';
import { REFIT_ACTS, type RefitAct } from '../declared';

/** What is known when parts go back on: what the sheet says, and what becomes of each part. */
export interface Refitting {
  readonly sheet: BenchSheet;
  /** Parts that are new: as the signed plan has it, else as the verdicts do. */
  readonly renewed: readonly Part[];
}

/** What a signed plan does with each part: keep, recondition, replace. */
export type SignedChoices = Readonly<Partial<Record<Part, string>>>;

/**
 * Parts that are new on the saw.
 * @param choices of the signed plan; null where none was signed: then what is condemned is taken to be replaced
 */
export function renewedParts(
  verdicts: Readonly<Record<Part, Pick<Verdict, 'action'>>>,
  choices: SignedChoices | null,
): readonly Part[] {
  const parts = Object.keys(verdicts) as Part[];
  if (choices) return parts.filter((part) => choices[part] === 'replace');
  return parts.filter((part) => verdicts[part].action === 'replace');
}

/** When an act is asked for; those that are not named are, whenever a whole saw came. */
const ASKED_FOR: Readonly<Partial<Record<RefitAct, (refitting: Refitting) => boolean>>> = {
  // A new sprocket stands further out than a worn one: the tensioner is backed off first.
  'tensioner-back': ({ renewed }) => renewed.includes('driveSprocket'),
  // A new bar has no other edge yet.
  'other-edge-down': ({ renewed }) => !renewed.includes('bar'),
  // A new bar's port is as it left the shelf.
  'port-clear': ({ renewed }) => !renewed.includes('bar'),
  'tension-again': ({ renewed }) => renewed.includes('chain'),
  // Proved with the saw running.
  'oil-flies': () => false,
};

/** Whether the whole saw came: only then are parts put back on and the saw proved. */
export const isWholeSaw = ({ job }: BenchSheet): boolean => job?.brought?.includes('whole-saw') ?? false;

/** Acts of putting the parts back on that apply to this saw, in working order; none where no whole saw came. */
export function refitList(refitting: Refitting): readonly RefitAct[] {
  if (!isWholeSaw(refitting.sheet)) return [];
  return REFIT_ACTS.filter((act) => ASKED_FOR[act]?.(refitting) ?? true);
}
