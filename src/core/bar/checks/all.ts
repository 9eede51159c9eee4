import type { BarContext } from './context';
import { depthChecks } from './depth';
import { levelChecks } from './level';
import { playChecks } from './play';
import { observations, stationsSeen } from './seen';
import type { Check } from '../../judge';

/**
 * All checks of a bar: what was seen, what all its readings together say of depth, play and level, and what dressing
 * would leave.
 */
export function barChecks(context: BarContext): readonly Check[] {
  return [
    ...observations(context),
    ...depthChecks(context),
    ...playChecks(context),
    ...levelChecks(context),
    ...stationsSeen(context),
  ];
}
