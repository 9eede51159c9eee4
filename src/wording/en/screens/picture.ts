export const title = 'Measure a photograph';
export const whatItDoes =
  'A photograph with the scale card in it is measured here, on this shop’s own server: it is not kept. Nobody is asked to guess: what cannot be read is refused, and says why.';
export const toTheCard = 'The scale card';
export const toTheCounter = 'Counter';
export const whatToLookFor = 'What to look for';
export const features = { rivets: 'Pitch, from the rivets of a chain', mount: 'Slot and holes of a bar' } as const;
export const choosePicture = 'Choose or take a photograph';
export const measuring = 'Measuring…';
export const printedLine = 'The printed line of 100 mm measures, mm';
export const lineHint = 'Left empty, the print is taken to be right to one part in a thousand.';
export const notALength = 'A length in mm, such as 99.6.';
export const tapsFor = {
  rivets: 'The straightest row of rivets is looked for. Is it the wrong one, tap its first rivet and its last.',
  mount: 'Tap twice in the middle line of the slot, near its two ends; then once in each hole.',
} as const;
export const pictureWithMarks = 'The photograph, with what was measured marked on it';
export const moveTap = (number: number): string =>
  `Tap ${number}: arrow keys move it by a tenth of a pixel, with Shift by five pixels; Delete takes it away`;
export const thePhotograph = 'The photograph';
export const addATap = 'Add a tap in the middle';
export const measureAgain = 'Measure by the taps';
export const withoutTaps = 'Take the taps away';
export const result = 'What it tells';
export const lookFirst = 'Look first';
export const noPicture = (name: string): string => `${name} is no picture that can be read.`;
export const notMeasured = 'The picture could not be measured.';
export const cardSeen = (squares: number, tilt: string, height: string): string =>
  `${squares} squares of the card, seen at ${tilt}° from upright, from ${height} mm above.`;
export const names = {
  'chain.pitch': 'Pitch of the chain',
  'chain.rivets': 'Rivets in the run',
  'bar.slotWidth': 'Width of the slot',
  'bar.slotLength': 'Length of the slot',
  'bar.holeDiameter': 'Diameter of the hole',
  'bar.holeDistance': 'From hole to hole',
  distance: 'Distance on the card',
} as const;
export const doubtOf = (most: string): string => `± ${most} mm (95 %)`;
export const countByEye = 'Count them by eye before you rely on it.';
export const speaksFor = (families: readonly string[]): string => `Speaks for ${families.join(' or ')}.`;
export const speaksForNone =
  'No pitch family fits: see whether these are neighbouring rivets, and whether the printed line was measured.';

// Into a job
export const toTheJob = 'The job';
export const takeOver = (rivets: number, length: string): string => `Take over: ${rivets} rivets span ${length} mm`;
export const replaceWith = (rivets: number, length: string): string =>
  `Replace what stands there: ${rivets} rivets span ${length} mm`;
export const standsThere = (text: string, by: string): string =>
  `A span over rivets was read already (${text}, by ${by}). Nothing was changed.`;
export const takenOver = 'Taken over into Identify, as measured by picture.';
export const writtenMeanwhile = 'Somebody wrote there meanwhile. Look at what stands there, then take it over again.';
export const notTakenOver = 'It could not be taken over.';
