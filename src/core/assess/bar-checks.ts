import type { BarContext } from './bar-context';
import { depthChecks } from './bar-depth';
import { levelChecks } from './bar-level';
import { playChecks } from './bar-play';
import { observations, stationsSeen } from './bar-seen';
import type { Check } from './check';

/** All checks of a bar: what was seen, what all its readings together say of depth, play and level, and what dressing would leave. */
export function barChecks(context: BarContext): readonly Check[] {
  return [
    ...observations(context),
    ...depthChecks(context),
    ...playChecks(context),
    ...levelChecks(context),
    ...stationsSeen(context),
  ];
}
