import { subDays } from 'date-fns';
import { DEMO_FURTHER_JOBS, DEMO_FURTHER_SAWS, DEMO_PEOPLE, type FurtherJob } from '../data/demo';
import { addOrder, addOrderEvent, addSaw, lastReading, partsBySku, partOf } from '../data/repositories';
import type { ChosenPlan } from '../contract';
import type { Choices } from '../core/plan';
import { calendarDay } from '../wording';
import type { Context } from './context';
import { handOverJob } from './use-cases/handing-over';
import { revisionOf } from './use-cases/rests-on';
import { jobPlans } from './use-cases/plans';
import { rulesInForce, rulesMark, shopView } from './use-cases/shop';
import { signOff } from './use-cases/sign-off';
import { refreshSummary } from './use-cases/summary';

/** The context as it was some days ago: what is written then says so. */
const ago = (context: Context, days: number): Context => ({
  ...context,
  now: () => subDays(context.now(), days),
});

const nameOf = (id: string): string => DEMO_PEOPLE.find((person) => person.id === id)!.name;

const inOrder = (choices: object): string => JSON.stringify(Object.entries(choices).sort());

/** The cheapest plan of a job that makes these choices, as it is signed. */
async function chosen(context: Context, id: string, choices: Choices): Promise<ChosenPlan> {
  const { plans } = await jobPlans(context, id);
  const plan = plans.find((each) => inOrder(each.choices) === inOrder(choices));
  if (!plan) throw new Error(`The demo has no plan with ${inOrder(choices)}.`);
  const { key, costToday, parts } = plan;
  return { key, choices: plan.choices, skus: parts.map(({ sku }) => sku), costToday, reason: '' };
}

/** Signs a job, with the cheapest plan that makes these choices where it has any. */
async function signed(context: Context, id: string, { by, choices }: FurtherJob): Promise<readonly string[]> {
  const plan = choices && (await chosen(context, id, choices));
  const [rules, upToReading] = [await rulesInForce(context), await lastReading(context.store.db, id)];
  await signOff(context, id, { by: nameOf(by), upToReading, rules: rulesMark(rules), plan });
  return plan?.skus ?? [];
}

/** An order that was to be here yesterday. */
async function orderLate(context: Context, id: string, skus: readonly string[], by: string): Promise<void> {
  const { timeZone } = await shopView(context);
  const day = (days: number) => calendarDay(ago(context, days).now(), timeZone);
  const rules = await rulesInForce(context);
  await context.store.write(async (tx) => {
    for (const part of await partsBySku(tx, skus)) {
      const [orderId, at] = [context.newId(), ago(context, 6).now().toISOString()];
      await addOrder(tx, { id: orderId, jobId: id, sku: part.sku, part: partOf(part), at, by });
      const event = { orderId, note: '', at, by };
      await addOrderEvent(tx, { ...event, state: 'ordered', due: null });
      await addOrderEvent(tx, { ...event, state: 'confirmed', due: day(1) });
      await addOrderEvent(tx, {
        ...event,
        state: 'late',
        due: day(-5),
        note: 'Held up on the way.',
        at: ago(context, 1).now().toISOString(),
      });
    }
    await refreshSummary(tx, id, rules);
  });
}

/** How the demo's papers were given: where Serrata is usually reached. */
const GIVING = { unit: 'mm', origin: 'http://127.0.0.1:4173' } as const;

/**
 * Loads the jobs that have gone further: signed, with parts on order, or handed over some weeks ago.
 * @param load stores a job as it was taken in and tells its id
 */
export async function loadFurther(
  context: Context,
  load: (past: Context, job: FurtherJob, customerId: string) => Promise<string>,
): Promise<number> {
  const written = { at: ago(context, 1095).now().toISOString(), by: DEMO_PEOPLE[0].name };
  await context.store.write(async (tx) => {
    for (const saw of DEMO_FURTHER_SAWS) await addSaw(tx, { ...saw, ...written });
  });
  for (const job of DEMO_FURTHER_JOBS) {
    const past = ago(context, (job.goneSince ?? 2) + 1);
    const { customerId } = DEMO_FURTHER_SAWS.find(({ id }) => id === job.sawId)!;
    const id = await load(past, job, customerId);
    const skus = await signed(past, id, job);
    if (job.late) await orderLate(context, id, skus, nameOf(job.by));
    if (job.goneSince === null) continue;
    const { by, note = '' } = job;
    const request = { by: nameOf(by), nextVisit: null, note, revision: await revisionOf(context.store.db, id) };
    await handOverJob(ago(context, job.goneSince), id, request, GIVING);
  }
  return DEMO_FURTHER_JOBS.length;
}
