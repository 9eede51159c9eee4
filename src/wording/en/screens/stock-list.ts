import { plural } from '../plural';

// Several of them
export const line = (line: number): string => `line ${line}`;

// Act
export const itWasNotUndone = 'It was not undone.';
export const takeRows = (good: number): string => plural(good, { one: 'Take # row in', other: 'Take # rows in' });
export const losing = (losing: number): string => `, losing ${losing}`;
export const stopHere = 'Stop here';
export const undoing = 'Undoing…';
export const undoThisList = 'Undo this list';
export const showTheShelf = 'Show the shelf';
export const rowsTakenIn = 'Rows taken in';
export const taken = (taken: number, all: number): string => `${taken} of ${all}`;
export const movedSinceShown = (moved: number): string =>
  plural(moved, {
    one: 'One part has moved since it was shown, and stands as it is: look at it again above.',
    other: '# parts have moved since they were shown, and stand as they are: look at them again above.',
  });
export const theRestCanBeTaken = 'The rest can be taken in when you like.';
export const badRowsStay = (bad: number): string =>
  plural(bad, { one: 'The bad row stays here to be mended.', other: 'The # bad rows stay here to be mended.' });

// BadRows
export const standsInLineAlready = (text: string, line: number): string => `${text} stands in line ${line} already.`;
export const rowsToMend = 'Rows to mend';
export const rowsCannotBeReadYet = (bad: number): string =>
  plural(bad, { one: '# row cannot be read yet', other: '# rows cannot be read yet' });
export const andMoreToMend = (bad: number): string => `and ${bad} more, shown as these are mended.`;
export const columnOfLine = (line: number, column: string): string => `Line ${line}, ${column}`;

// ColumnMatching
export const whichHeading = 'Which heading is which';
export const sayWhichHeading = (named: string): string =>
  `Say which heading holds ${named}: without it no row can be read.`;

// Preview
export const whatItWouldChange = 'What it would change';
export const rowsReadWell = (good: number): string =>
  plural(good, { one: '# row reads well', other: '# rows read well' });
export const cellIsEmpty = (entries: number): string =>
  plural(entries, {
    one: '# entry would be lost: the cell is there and empty. To keep what stands on the shelf, say “not in the list” for that column.',
    other:
      '# entries would be lost: the cell is there and empty. To keep what stands on the shelf, say “not in the list” for that column.',
  });
export const columnsThatTheListDoes = 'Columns that the list does not have change nothing.';
export const laidBesideTheShelf = (compared: number, all: number): string =>
  `laid beside the shelf, ${compared} of ${all}`;
export const countNew = (count: number): string => plural(count, { one: '# part new', other: '# parts new' });
export const countChanged = (count: number): string =>
  plural(count, { one: '# part changed', other: '# parts changed' });
export const countAsBefore = (count: number): string =>
  plural(count, { one: '# part as before', other: '# parts as before' });
export const changes = 'Changes';
export const andMoreThatChange = (changed: number): string => `and ${changed} more that change.`;
export const lost = (name: string, before: string): string => `${name}: lost, ${before}`;
export const becomes = (after: string): string => ` becomes ${after}`;

// TakeInList
export const takeInAList = 'Take in a list';
export const csvWithAHeaderRow =
  'CSV with a header row. Rows that cannot be read stay here with their reason; the others are taken in.';
export const closeTheList = 'Close the list';
export const theList = 'The list';
export const readOfTheFile = 'Read of the file';
export const cancel = 'Cancel';
export const wasRead = (name: string, encoding: string): string =>
  `${name} was read as ${encoding}. Look whether letters such as é, ø and £ came out right.`;

// comparison
export const notLaidBeside = 'It could not be laid beside the shelf.';

// use-take-in
export const notReadAsCsv = 'It cannot be read as CSV: a header row, then one part a row would be right.';
export const stoppedHere = 'Stopped here.';
export const stopped = 'Stopped.';
