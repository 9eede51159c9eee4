// LongTable
export const restNotFetched = 'The other rows could not be fetched.';
export const tryAgain = 'Try again';
export const fetchingTheRest = (here: number, total: number): string =>
  `${here} of ${total} are here; the rest is on its way.`;
export const onItsWay = '…';
export const orderBy = (column: string): string => `Order by: ${column}`;

// ColumnChoice
export const columns = 'Columns';
export const columnsToShow = 'Columns to show';
