import type { Step } from '../../core/reading';
import type { HandOverDocument } from '../../core/report';
import type { UnitSystem } from '../../core/quantity';
import type { Paper } from '../../contract';
import type { Context } from '../context';
import type { AppraisedJob } from '../use-cases/appraised';
import { handOverDocumentOf } from '../use-cases/hand-over';

/** A paper that is asked for. */
export interface AskedPaper {
  readonly context: Context;
  readonly job: AppraisedJob;
  readonly unit: UnitSystem;
  /** Where the application is reached, so that a code can lead back to it. */
  readonly origin: string;
  /** The hand-over that it is given with; null for the job as it stands. */
  readonly going: HandOverDocument | null;
}

/** The hand-over that a paper tells of. */
export const documentFor = async ({ context, job, going }: AskedPaper): Promise<HandOverDocument> =>
  going ?? handOverDocumentOf(context, job);

/** One kind of paper of a job: its name, the step that it belongs to, and how it is written. */
export interface JobPaper {
  readonly name: string;
  readonly step: Step;
  readonly write: (asked: AskedPaper) => Promise<Paper>;
}
