import { judgedParts, type Verdict } from '../judge';
import type { Proof } from '../proof';
import type { Part } from '../reading';
import { refitList, renewedParts, type SignedChoices } from '../refit';
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
  | { readonly code: 'slack' }
  | { readonly code: 'not-proved' }
  | { readonly code: 'proof-failed' };

/** What of a job is looked at before it goes. */
export interface Leaving {
  readonly sheet: BenchSheet;
  readonly verdicts: Readonly<Record<Part, Verdict>>;
  readonly proof: Proof;
  /** Whether the chain lifts more than it may. */
  readonly slack: boolean;
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

/** All that is still open about a job, in the order of the work. */
export function stillOpen({ sheet, verdicts, proof, slack, signed, choices, notTaken }: Leaving): readonly StillOpen[] {
  const renewed = renewedParts(verdicts, choices);
  const done = sheet.refit?.done ?? [];
  const acts = refitList({ sheet, renewed }).filter((act) => !done.includes(act)).length;
  return [
    ...(signed ? [] : [{ code: 'not-signed' } as const]),
    ...judgedParts(sheet).flatMap((part) => ofPart(part, verdicts[part], choices?.[part] === 'replace')),
    ...(notTaken.length > 0 ? [{ code: 'parts-missing', skus: notTaken } as const] : []),
    ...(acts > 0 ? [{ code: 'refit-left', acts } as const] : []),
    ...(slack ? [{ code: 'slack' } as const] : []),
    ...(proof.state === 'failed' ? [{ code: 'proof-failed' } as const] : []),
    ...(proof.state === 'not-proved' ? [{ code: 'not-proved' } as const] : []),
  ];
}
