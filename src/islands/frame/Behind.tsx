import { KeySheet } from './KeySheet';
import { StoreTrouble } from './StoreTrouble';

/** What every page has and seldom shows: the trouble of the store, and the sheet of keys. */
export function Behind() {
  return (
    <>
      <StoreTrouble />
      <KeySheet />
    </>
  );
}
