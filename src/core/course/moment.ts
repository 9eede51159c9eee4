import type { SignedChoices } from '../refit';

/** When a job is spoken of: as it came, as its signed plan has it, as it went out. */
export const MOMENTS = ['came', 'planned', 'out'] as const;
export type Moment = (typeof MOMENTS)[number];

/** What became of a job beside its sheet. */
export interface JobCourse {
  readonly signedOff: boolean;
  readonly handedOver: boolean;
  /** What the signed plan does with each part; null where none was signed. */
  readonly choices: SignedChoices | null;
}

/** The moment that everything which speaks of a job speaks of. */
export const momentOf = ({ signedOff, handedOver }: Pick<JobCourse, 'signedOff' | 'handedOver'>): Moment =>
  handedOver ? 'out' : signedOff ? 'planned' : 'came';
