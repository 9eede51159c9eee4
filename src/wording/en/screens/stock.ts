import { plural } from '../plural';

// Several of them
export const price = 'Price';
export const kind = 'Kind';
export const pitch = 'Pitch';
export const gauge = 'Gauge';
export const countOfParts = (count: number): string => plural(count, { one: '# part', other: '# parts' });

// Imports
export const partsAreAsBefore = (restored: number): string =>
  plural(restored, { one: '# part is as before.', other: '# parts are as before.' });
export const andMore = (count: number): string => ` and ${count} more`;
export const changedSince = (back: string, list: string, more: string): string =>
  `${back} Changed since, and kept where they were: ${list}${more}.`;
export const itWasNotUndone = 'It was not undone.';
export const listsTakenIn = 'Lists taken in';
export const undoneBy = (undoneBy: string): string => `undone by ${undoneBy}`;
export const undoing = 'Undoing…';
export const undoTheRest = 'Undo the rest';
export const undo = 'Undo';
export const undoneShelfIsCurrent = 'Undone. The shelf above is as it is now.';
export const somebody = 'somebody';

// PartCard
export const wholeNumberWanted = 'A whole number, such as 4.';
export const piecesWanted = 'A whole number of pieces, such as 1.';
export const priceWanted = 'A number such as 17.90.';
export const onTheShelf = 'on the shelf';
export const pieces = 'Pieces';
export const forWhat = 'For what (may be empty)';
export const takeFromTheShelf = 'Take from the shelf';
export const bookIn = 'Book in';
export const putRight = 'Put right';
export const countedOnTheShelf = 'Counted on the shelf';
export const minimum = 'Minimum';
export const putItRight = 'Put it right';
export const lately = 'Lately';
export const left = (left: number, note: string): string => `${left} left${note}`;

// PartTable
export const part = 'Part';
export const links = 'Links';
export const classWord = 'Class';
export const onTheShelfHeading = 'On the shelf';
export const sequence = 'Sequence';
export const teeth = (count: number): string => `${count} teeth`;
export const splines = (count: number): string => `${count} splines`;
export const bore = (mm: number): string => `bore ${mm} mm`;
export const forSaws = (saws: string): string => `for ${saws}`;
export const mount = (mount: string): string => `mount ${mount}`;
export const oilHole = (oilHole: string): string => `oil hole ${oilHole}`;
export const below = (minimum: number): string => `below ${minimum}`;

// StockPage
export const stock = 'Stock';
export const takeInAList = 'Take in a list';
export const giveOutAsCsv = 'Give out as CSV';
export const fetchingWhatReadsAList = 'Fetching what reads a list…';
export const nothingOnTheShelfAnswers = 'Nothing on the shelf answers that';
export const showAllParts = 'Show all parts';
export const driveLinks = 'Drive links';
export const nameOrPartNumber = 'Name or part number';
export const belowMinimum = 'below minimum';
export const show = 'Show';
export const any = 'any';
export const partNumber = 'Part number';
export const mountHeading = 'Mount';
export const forSawHeading = 'For the saw';
export const minimumHeading = 'Minimum';
