import type { Part } from '../reading';

/** What may ail a saw, with the part that it lies in. */
export const CAUSE_PARTS = {
  'groove-worn': 'bar',
  'rails-unlevel': 'bar',
  'bar-bent': 'bar',
  'groove-pinched': 'bar',
  'groove-packed': 'bar',
  'link-on-floor': 'bar',
  'oil-blocked': 'bar',
  'oil-hole-differs': 'bar',
  'tensioner-hole-torn': 'bar',
  'nose-failing': 'nose',
  'nose-worn': 'nose',
  'cutters-uneven': 'chain',
  'cutters-dull': 'chain',
  'cutters-hooked': 'chain',
  'cutters-blunt': 'chain',
  'depth-gauges-high': 'chain',
  'depth-gauges-low': 'chain',
  'chain-slack': 'chain',
  'chain-tight': 'chain',
  'chain-stretched': 'chain',
  'chain-thin-for-groove': 'chain',
  'links-differ': 'chain',
  'tangs-burred': 'chain',
  'tight-joints': 'chain',
  'adjuster-at-end': 'chain',
  'sprocket-worn': 'driveSprocket',
  'sprocket-pitch-differs': 'driveSprocket',
  'bearing-worn': 'driveSprocket',
} as const satisfies Record<string, Part>;

export type Cause = keyof typeof CAUSE_PARTS;
