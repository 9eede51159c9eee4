import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { possiblePlans } from '../../src/core/plan';
import { appraisedJob } from '../../src/server/use-cases/appraised';
import { jobView } from '../../src/server/use-cases/jobs';
import { previewLimit } from '../../src/server/use-cases/limit-preview';
import { jobPlans } from '../../src/server/use-cases/plans';
import { changeLimit, rulesInForce, rulesMark } from '../../src/server/use-cases/shop';
import { signOff } from '../../src/server/use-cases/sign-off';
import { stockAsked } from '../../src/server/use-cases/stock-asked';
import { allStock, listJobs, putPart } from '../../src/data/repositories';
import { DEMO_STOCK } from '../../src/data/demo';
import type { ChosenPlan, PlanView } from '../../src/contract';
import { demoContext, type TestContext } from '../support/context';
import { anyStock } from '../support/plans';

let context: TestContext;
beforeEach(() => {
  context = demoContext();
});
afterEach(() => context.done());

async function jobOf(tag: string): Promise<string> {
  const jobs = await listJobs(context.store.db, { show: 'bench', waits: null }, { limit: 50, offset: 0 });
  return jobs.find((job) => job.tag === tag)!.id;
}

const chosen = ({ key, choices, parts, costToday }: PlanView, reason = ''): ChosenPlan => ({
  key,
  choices,
  skus: parts.map(({ sku }) => sku),
  costToday,
  reason,
});

async function sign(id: string, plan: ChosenPlan | null) {
  const upToReading = (await jobView(context, id)).readings.at(-1)!.seq;
  return signOff(context, id, { by: 'Ines', upToReading, rules: rulesMark(await rulesInForce(context)), plan });
}

describe('the plans of a job', () => {
  it('are one for each combination that is possible, the unbeaten ones marked, with what is on the shelf', async () => {
    const { plans, ruledOut, upToReading } = await jobPlans(context, await jobOf('L-0418'));
    expect(plans.length).toBeGreaterThan(2);
    expect(plans.every(({ choices }) => choices.bar === 'replace')).toBe(true);
    expect(plans.filter(({ isBeaten }) => !isBeaten).length).toBeGreaterThan(1);
    expect(new Set(plans.map(({ key }) => key)).size).toBe(plans.length);
    expect(plans[0]!.parts).toContainEqual(expect.objectContaining({ part: 'bar', quantity: expect.any(Number) }));
    expect(ruledOut['parts-may-go-back-on']).toBeGreaterThan(0);
    expect(upToReading).toBeGreaterThan(0);
  });

  it('are those of the whole list, though only what is asked for is read of it', async () => {
    const { store } = context;
    const [parts] = fc.sample(anyStock(400), { seed: 26, numRuns: 40 }).sort((a, b) => b.length - a.length);
    await store.write(async (tx) => {
      for (const part of [
        ...parts!,
        ...DEMO_STOCK.map((part) => ({ ...part, sku: `${part.sku}-2`, mount: part.mount?.toLowerCase() ?? null })),
      ])
        await putPart(tx, part);
    });
    const stock = await allStock(store.db);
    const jobs = await listJobs(store.db, { show: 'bench', waits: null }, { limit: 50, offset: 0 });
    let planned = 0;
    for (const { id } of jobs) {
      const { sheet, rules, appraisal } = await appraisedJob(context, id);
      const input = { judged: { sheet, ...appraisal }, limits: rules.limits, schools: rules.schools, toOrder: true };
      const asked = await stockAsked(store.db, input.judged, rules.schools);
      const whole = possiblePlans({ ...input, stock });
      expect(possiblePlans({ ...input, stock: asked })).toEqual(whole);
      planned += whole.plans.length;
    }
    expect(planned).toBeGreaterThan(20);
  });

  it('are signed with the verdicts, and stay with them', async () => {
    const id = await jobOf('L-0418');
    const [best] = (await jobPlans(context, id)).plans;
    await sign(id, chosen(best!));
    expect((await jobView(context, id)).signOffs[0]).toMatchObject({
      by: 'Ines',
      plan: { choices: best!.choices, costToday: best!.costToday, reason: '' },
    });
  });

  it('are refused where a price has changed since they were shown', async () => {
    const id = await jobOf('L-0418');
    const [best] = (await jobPlans(context, id)).plans;
    const bar = DEMO_STOCK.find(({ sku }) => sku === best!.parts[0]!.sku)!;
    await context.store.write((tx) => putPart(tx, { ...bar, priceCents: bar.priceCents + 100 }));
    await expect(sign(id, chosen(best!))).rejects.toMatchObject({ status: 409, code: 'plan-gone' });
    await expect(sign(id, { ...chosen(best!), key: 'chain:keep:' })).rejects.toMatchObject({ code: 'plan-gone' });
  });

  it('that another one beats take a reason', async () => {
    const id = await jobOf('L-0417');
    const beaten = (await jobPlans(context, id)).plans.find(({ isBeaten }) => isBeaten)!;
    await expect(sign(id, chosen(beaten))).rejects.toMatchObject({ status: 422, code: 'reason-missing' });
    await sign(id, chosen(beaten, 'the customer wants a new chain'));
    expect((await jobView(context, id)).signOffs[0]!.plan!.reason).toBe('the customer wants a new chain');
  });
});

describe('the supplier', () => {
  it('is asked only when one wishes; what it offers comes in days, and nobody who does not answer stops a plan', async () => {
    const id = await jobOf('L-0423');
    const own = await jobPlans(context, id);
    const silent = await jobPlans(context, id, 'http://127.0.0.1:9/nobody');
    expect(silent.plans.map(({ key }) => key)).toEqual(own.plans.map(({ key }) => key));
    const server = createServer((_request, response) =>
      response.end(
        JSON.stringify({
          offers: [{ sku: 'SUP-1', name: 'Chain by order', kickbackClass: 'low-kickback', priceCents: 100, days: 3 }],
        }),
      ),
    );
    const address = await new Promise<string>((resolve) =>
      server.listen(0, '127.0.0.1', () => resolve(`http://127.0.0.1:${(server.address() as AddressInfo).port}/`)),
    );
    try {
      const { plans } = await jobPlans(context, id, address);
      const ordered = plans.find(({ parts }) => parts.some(({ sku }) => sku === 'SUP-1'))!;
      expect(ordered.parts.find(({ part }) => part === 'chain')).toMatchObject({ days: 3, quantity: 0 });
      // Signed without asking again it is not possible; asked again it is.
      await expect(sign(id, chosen(ordered, 'cheaper'))).rejects.toMatchObject({ code: 'plan-gone' });
      const upToReading = (await jobView(context, id)).readings.at(-1)!.seq;
      const rules = rulesMark(await rulesInForce(context));
      const plan = { ...chosen(ordered, 'cheaper'), supplier: true };
      await signOff(context, id, { by: 'Ines', upToReading, rules, plan }, address);
      expect((await jobView(context, id)).signOffs[0]!.plan!.skus).toContain('SUP-1');
    } finally {
      server.close();
    }
  });
});

describe('what a change of a limit or a rate would do', () => {
  it('is told for each open job, and nothing is changed by looking', async () => {
    const before = await rulesInForce(context);
    const dearer = await previewLimit(context, 'plan.labour', { value: '9000' });
    expect(dearer.effects.find(({ tag }) => tag === 'L-0417')).toMatchObject({
      verdicts: [],
      todayBy: expect.any(Number),
    });
    const deeper = await previewLimit(context, 'bar.depth.325', { value: '9' });
    const changed = deeper.effects.find(({ tag }) => tag === 'L-0417')!;
    expect(changed.verdicts).toContainEqual({ part: 'bar', from: 'recondition', to: 'replace' });
    expect(await rulesInForce(context)).toEqual(before);
  });

  it('is what comes when it is saved', async () => {
    const id = await jobOf('L-0417');
    const before = (await jobPlans(context, id)).plans[0]!.costToday;
    const { effects } = await previewLimit(context, 'plan.labour', { value: '8400' });
    await changeLimit(context, 'plan.labour', { by: 'Ines', value: '8400', source: null });
    const after = (await jobPlans(context, id)).plans[0]!.costToday;
    expect(after - before).toBe(effects.find(({ tag }) => tag === 'L-0417')!.todayBy);
  });

  it('is refused where the figure makes no sense', async () => {
    await expect(previewLimit(context, 'plan.labour', { value: 'much' })).rejects.toMatchObject({ status: 422 });
    await expect(previewLimit(context, 'plan.nothing', { value: '1' })).rejects.toMatchObject({ status: 404 });
  });
});
