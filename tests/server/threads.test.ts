import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { jobPlans } from '../../src/server/use-cases/plans';
import { demoContext, testContext, type TestContext } from '../support/context';
import { jobOf } from '../support/signing';

let [shop, other]: TestContext[] = [];
beforeEach(() => {
  [shop, other] = [demoContext(), testContext()];
  // A thread stands back behind the server; this one has tests to run.
  vi.doMock('../../src/server/heavy/aside', () => ({ standBack: () => undefined }));
});
afterEach(async () => {
  vi.doUnmock('../../src/server/heavy/aside');
  await Promise.all([shop, other].map((context) => context!.done()));
});

describe('a thread', () => {
  it('answers from the store that is asked for, whichever it looked into before', async () => {
    const { default: work } = await import('../../src/server/heavy/worker');
    const id = await jobOf(shop!, 'L-0417');
    const plans = ({ store }: TestContext) => work({ name: 'plans', url: store.url, args: [id, null] });
    const there = { is: 'done', value: await jobPlans(shop!, id) };
    const missing = { is: 'refused', refusal: { status: 404 } };
    expect(await plans(shop!)).toEqual(there);
    expect(await plans(other!)).toMatchObject(missing);
    expect(await plans(shop!)).toEqual(there);
  });
});
