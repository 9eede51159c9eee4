import { KeySheet } from './KeySheet';
import { SignedOut } from './SignedOut';
import { StoreTrouble } from './StoreTrouble';

/** What every page has and seldom shows: that one is signed out, the trouble of the store, and the sheet of keys. */
export function Behind() {
  return (
    <>
      <SignedOut />
      <StoreTrouble />
      <KeySheet />
    </>
  );
}
