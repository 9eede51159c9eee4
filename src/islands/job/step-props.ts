import type { Part, Step } from '../../core/reading';
import type { Askable } from '../../core/sheet';

/** Goes to what is asked for; where along an edge, mm, for a place where no station is yet. */
export type Measuring = (asked: Askable, at?: number | null) => void;

/** What a step's view is given. */
export interface StepProps {
  readonly onOpen: (step: Step) => void;
  /** Goes to what the assessment asks for. */
  readonly onMeasure: Measuring;
  /** Says which part is in hand, where a step is about several: its verdict leads the tag. */
  readonly onPart: (part: Part) => void;
}
