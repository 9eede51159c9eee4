import { NOSE_OPERATIONS } from '../declared';
import type { Part } from '../reading';
import type { BenchSheet, Operation, ReadingPath } from '../sheet';

const OF_NOSE: readonly Operation[] = NOSE_OPERATIONS;

/** Work on a part that was ticked off; the nose is worked on with its bar. */
export function doneOn(part: Part, { bar, chain, driveSprocket }: BenchSheet): readonly Operation[] {
  const onBar: readonly Operation[] = bar?.reworkDone ?? [];
  switch (part) {
    case 'bar':
      return onBar;
    case 'nose':
      return onBar.filter((operation) => OF_NOSE.includes(operation));
    case 'chain':
      return chain?.reworkDone ?? [];
    case 'driveSprocket':
      return driveSprocket?.reworkDone ?? [];
  }
}

/** Places of the sheet where work on a part is ticked off. */
export const WORK_PLACES: readonly ReadingPath[] = ['bar.reworkDone', 'chain.reworkDone', 'driveSprocket.reworkDone'];
