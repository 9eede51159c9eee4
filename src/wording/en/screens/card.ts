export const title = 'Scale card';
export const whatItIs =
  'A printed card in a photograph is a measure: its squares tell how the picture was taken, so that pitch, rivets, slot and holes beside it can be read with an honest doubt. For whoever has no caliper at hand.';
export const onPaper = { A4: 'A4', letter: 'Letter' } as const;
export const asPdf = (paper: string): string => `Card for ${paper} (PDF)`;
export const steps = [
  'Print at 100 %, without fitting to the page, and cut along the thin line. Measure the line of 100 mm with a caliper or a good rule, and note what it measures.',
  'Tape the card down flat on something hard: a card that bends by 2 mm reads up to 2 % wrong.',
  'Lay the part on the free field: a chain on its side and pulled taut, a bar flat. Leave at least three of the corner squares in view, better all eight.',
  'Hold the phone upright over the middle, some 25 to 40 cm away, in even light, and let it focus on the card.',
] as const;
export const large = 'A5 card: for a run of chain, a bar’s tail, a sprocket';
export const small = 'A6 card: for what travels in a pocket';
export const whatIsOnIt = (card: string): string =>
  `The ${card} card: eight coded squares round a free field, and a line of 100 mm near its lower edge.`;
export const line = '100 mm, from outside to outside';
export const cut = 'Cut here. Tape it flat. Measure this line after printing, and tell Serrata what it measures.';
export const measureAPicture = 'Measure a photograph';
export const stillByCaliper =
  'A picture says which part it is. It condemns nothing: wear and stretch near a limit ask for the caliper, and maker’s limits stand before it.';
