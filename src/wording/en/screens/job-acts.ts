// Several of them
export const inThisOrder = 'In this order';

// clean
export const cleanBeforeJudging = 'Clean before judging';
export const compressedAir =
  'Compressed air: eye protection on, blow away from the nose, and never spin the nose sprocket with air. Rake away from the nose, so that dirt is not packed into its bearing.';
export const foundOnTheWay = 'Found on the way';

// refit
export const putItBackOn = 'Put it back on';
export const newParts = (list: string): string => `New: ${list}`;
export const onceTheyAreReplaced = ', once they are replaced';
export const nothingToPutTogether =
  'Nothing to put together: no whole saw came. Say so under Take in if it did; single parts go home as they are.';
export const asItGoesBack = 'As it goes back';
export const edgeWithMoreDepth = (edgeDownNext: string): string =>
  `More depth is left on edge ${edgeDownNext}: that one down. A is down when the stamp reads upright.`;
export const otherEdgeThanCame = 'The other one than came down. A is down when the stamp reads upright.';

// strip
export const makeSafeAndStrip = 'Make safe and strip';
export const powerOffFirst =
  'Battery out or spark lead off before anything else. Gloves on: a worn bar edge cuts like a knife.';
export const seenWhileStripping = 'Seen while stripping';
