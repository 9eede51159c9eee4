import { test as plain } from '@playwright/test';
import { addressOf } from '../../playwright.config';

export * from '@playwright/test';

/** A test at the bench: each of those that run at once has a server and a store of its own. */
export const test = plain.extend({
  // eslint-disable-next-line no-empty-pattern -- what it rests on is told by the braces
  baseURL: ({}, use, { parallelIndex }) => use(addressOf(parallelIndex)),
});

/** Where the server of the test that runs is reached. */
export const address = (): string => addressOf(test.info().parallelIndex);
