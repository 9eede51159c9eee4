import type { Step } from '../../core/reading';
import type { UnitSystem } from '../../core/quantity';
import type { Paper } from '../../contract';
import type { Context } from '../context';
import type { AppraisedJob } from '../use-cases/appraised';

/** A paper that is asked for. */
export interface AskedPaper {
  readonly context: Context;
  readonly job: AppraisedJob;
  readonly unit: UnitSystem;
  /** Where the application is reached, so that a code can lead back to it. */
  readonly origin: string;
}

/** One kind of paper of a job: its name, the step that it belongs to, and how it is written. */
export interface JobPaper {
  readonly name: string;
  readonly step: Step;
  readonly write: (asked: AskedPaper) => Promise<Paper>;
}
