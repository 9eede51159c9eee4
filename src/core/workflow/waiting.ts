import type { Appraisal } from '../assess';
import { judgedParts, missingReadings } from '../judge';
import { isWholeSaw, tensionOf } from '../refit';
import type { Waits } from '../reading';
import type { BenchSheet } from '../sheet';

/** What is known of a job beside its sheet. */
export interface JobStanding {
  readonly sheet: BenchSheet;
  readonly appraisal: Pick<Appraisal, 'verdicts' | 'checks' | 'renewed' | 'refit' | 'proof'>;
  /** Signed off as it stands. */
  readonly signed: boolean;
  /** A part of the plan is neither taken nor on the shelf. */
  readonly lacksParts: boolean;
}

/** Whether work is left on the parts, or on putting them together. */
function isWorkLeft({ sheet, appraisal: { verdicts, checks, renewed, refit } }: JobStanding): boolean {
  const parts = judgedParts(sheet).filter((part) => !renewed.includes(part));
  const toWork = parts.some((part) => verdicts[part].operations.length > 0 || verdicts[part].action === 'undecided');
  const done = sheet.refit?.done ?? [];
  const tension = tensionOf(checks);
  const hangs = tension !== null && tension.outcome !== 'ok';
  return toWork || hangs || refit.some((act) => !done.includes(act));
}

/** Whether a verdict is open for want of a reading, or although all are there. */
function isOpen({ sheet, appraisal: { verdicts } }: JobStanding): Waits | null {
  const parts = judgedParts(sheet);
  if (parts.length === 0) return 'to-measure';
  const open = parts.filter((part) => verdicts[part].action === 'undecided');
  if (open.length === 0) return null;
  return open.some((part) => missingReadings(sheet, part).length > 0) ? 'to-measure' : 'too-close';
}

/** What a job waits for: readings, a call, a signature, parts, the vise, the proof, or whoever it belongs to. */
export function waitsFor(job: JobStanding): Waits {
  if (!job.signed) return isOpen(job) ?? 'to-decide';
  if (job.lacksParts) return 'waiting-for-parts';
  if (isWorkLeft(job)) return 'at-the-vise';
  return isWholeSaw(job.sheet) && job.appraisal.proof.state !== 'passed' ? 'to-prove' : 'ready';
}
