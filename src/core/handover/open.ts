import { flatMap } from '../flat-map';
import { judgedParts, type Check, type Verdict } from '../judge';
import type { Proof } from '../proof';
import type { Part } from '../reading';
import { isWholeSaw, tensionOf, type SignedChoices } from '../refit';
import { type RefitAct } from '../declared';
import type { BenchSheet } from '../sheet';

/** Something that is still open when a job is handed over: listed, and let through with a reason. */
export type StillOpen =
  | { readonly code: 'not-signed' }
  | { readonly code: 'undecided'; readonly part: Part }
  /** A part is condemned and goes back on. */
  | { readonly code: 'condemned'; readonly part: Part }
  | { readonly code: 'work-left'; readonly part: Part }
  | { readonly code: 'parts-missing'; readonly skus: readonly string[] }
  | { readonly code: 'refit-left'; readonly acts: number }
  | { readonly code: 'slack' | 'tight' }
  /** The tension was not measured, or cannot be judged. */
  | { readonly code: 'tension-open' }
  | { readonly code: 'not-proved' }
  | { readonly code: 'proof-failed' };

/** What of a job is looked at before it goes. */
export interface Leaving {
  readonly sheet: BenchSheet;
  readonly verdicts: Readonly<Record<Part, Verdict>>;
  readonly checks: readonly Check[];
  /** Acts of putting it back on that apply. */
  readonly refit: readonly RefitAct[];
  readonly proof: Proof;
  readonly signed: boolean;
  readonly choices: SignedChoices | null;
  /** Parts of the plan that were not taken. */
  readonly notTaken: readonly string[];
}

function ofPart(part: Part, { action, operations }: Verdict, isReplaced: boolean): readonly StillOpen[] {
  if (isReplaced) return [];
  if (action === 'undecided') return [{ code: 'undecided', part }];
  if (action === 'replace') return [{ code: 'condemned', part }];
  return operations.length > 0 ? [{ code: 'work-left', part }] : [];
}

/** Whether the chain hangs, or nobody can say that it does not. */
function ofTension({ sheet, checks }: Leaving): readonly StillOpen[] {
  const tension = tensionOf(checks);
  if (tension?.outcome === 'fail') return [{ code: tension.kind === 'min' ? 'tight' : 'slack' }];
  return tension?.outcome === 'ok' || (!tension && !isWholeSaw(sheet)) ? [] : [{ code: 'tension-open' }];
}

/** All that is still open about a job, in the order of the work. */
export function stillOpen(leaving: Leaving): readonly StillOpen[] {
  const { sheet, verdicts, refit, proof, signed, choices, notTaken } = leaving;
  const done = sheet.refit?.done ?? [];
  const acts = refit.filter((act) => !done.includes(act)).length;
  return [
    ...(signed ? [] : [{ code: 'not-signed' } as const]),
    ...flatMap(judgedParts(sheet), (part) => ofPart(part, verdicts[part], choices?.[part] === 'replace')),
    ...(notTaken.length > 0 ? [{ code: 'parts-missing', skus: notTaken } as const] : []),
    ...(acts > 0 ? [{ code: 'refit-left', acts } as const] : []),
    ...ofTension(leaving),
    ...(proof.state === 'failed' ? [{ code: 'proof-failed' } as const] : []),
    ...(proof.state === 'not-proved' ? [{ code: 'not-proved' } as const] : []),
  ];
}
