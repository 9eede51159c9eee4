import type { Part, Step } from '../../../core/reading';

/** The part that a step is about; the others begin with the bar. */
const PART_OF_STEP: Partial<Record<Step, Part>> = {
  identify: 'chain',
  bar: 'bar',
  chain: 'chain',
  sprocket: 'driveSprocket',
  order: 'chain',
};

/**
 * The part whose verdict leads the tag: the one wanted, or the one of the step, where it is there; else the first that
 * is.
 */
export function leadingPart(there: readonly Part[], step: Step, wanted?: Part | null): Part | undefined {
  const asked = wanted ?? PART_OF_STEP[step];
  return asked && there.includes(asked) ? asked : there[0];
}
