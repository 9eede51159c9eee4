import { goesWith, group, length, oneOf } from '../reading';

/** The side a test cut drifts to, seen along the saw. */
export const CUT_SIDES = ['left', 'right', 'none'] as const;

/** The saw is proved: does its chain stand at idle, does oil come, does it cut straight, does it cut chips. */
export const proofReadings = group(
  {
    idle: oneOf(['stands', 'turns'], {
      means: 'Whether the chain stands or turns while the saw idles: one that turns is not tried.',
    }),
    oil: oneOf(['flies', 'none'], {
      means: 'Whether oil flies off the nose onto a pale surface.',
    }),
    cut: group(
      {
        depth: length(
          { kind: 'cutDepth', instrument: 'rule' },
          { idle: goesWith('proof.cut.drift', 'proof.cut.side') },
        ),
        drift: length(
          { kind: 'cutDrift', instrument: 'rule' },
          {
            means: 'How far the cut is off the square line at its full depth.',
            idle: goesWith('proof.cut.depth', 'proof.cut.side'),
          },
        ),
        side: oneOf(CUT_SIDES, { idle: goesWith('proof.cut.depth', 'proof.cut.drift') }),
      },
      { minutes: 2 },
    ),
    swarf: oneOf(['chips', 'dust'], { means: 'What the chain throws.' }),
  },
  { step: 'prove', minutes: 0.5 },
);
