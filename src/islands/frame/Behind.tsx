import { Away } from './away/Away';
import { KeySheet } from './KeySheet';
import { SignedOut } from './SignedOut';
import { StoreTrouble } from './StoreTrouble';

/** What every page has and seldom shows: that one is signed out, that the shop is away, the trouble of the store, and the sheet of keys. */
export function Behind() {
  return (
    <>
      <SignedOut />
      <Away />
      <StoreTrouble />
      <KeySheet />
    </>
  );
}
