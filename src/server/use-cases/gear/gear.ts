import type { Rules } from '../../../core/assess';
import {
  countSawsOf,
  customerFactsOf,
  findCustomer,
  findCustomers,
  lastSaws,
  sawsById,
  sawsCalled,
  sawsOfCustomer,
  type CustomerRecord,
  type GearSawRecord,
} from '../../../data/repositories';
import type { Queryable } from '../../../data/store';
import type { CustomerGearView, DueGear, GearView, SawGear } from '../../../contract';
import { calendarDay } from '../../../wording';
import type { Context } from '../../context';
import { paging } from '../../paging';
import { notFound } from '../../refusal';
import { shopAndRules } from '../shop';
import { dueOf, inOrderOfDue } from './due';
import { linesOf, sawGear } from './lines';
import { piecesOfSaws } from './pieces';
import { listsView, saidView } from './said';

const PAGE = 12;
const MOST_CUSTOMERS = 24;
/** More is no name. */
const LONGEST_ASKED = 100;

/** Saws with what is on them. */
async function gearOf(
  context: Context,
  saws: readonly GearSawRecord[],
  rules: Rules,
  timeZone: string,
): Promise<readonly (SawGear & { readonly due: readonly DueGear[] })[]> {
  const { db } = context.store;
  const all = await piecesOfSaws(
    context,
    saws.map(({ id }) => id),
    rules,
  );
  return Promise.all(
    saws.map(async (saw) => {
      const past = all.pasts.get(saw.id)!;
      const lines = await linesOf(db, all, saw.id, rules.limits, timeZone);
      const gear = await sawGear(
        db,
        saw,
        past,
        lines.map(({ line }) => line),
      );
      return { ...gear, due: dueOf(saw, lines, rules) };
    }),
  );
}

/** The saws that answer what was typed; where none is called so, those of the customer who is. */
async function sawsFound(db: Queryable, text: string, customers: readonly CustomerRecord[]) {
  if (text === '') return sawsById(db, await lastSaws(db, PAGE));
  const [first] = customers;
  const called = await sawsById(db, await sawsCalled(db, text, PAGE));
  if (called.length > 0 || !first) return called;
  const saws = await sawsOfCustomer(db, first.id, { limit: PAGE, offset: 0 });
  return saws.map((saw) => ({ saw, customer: first }));
}

/** Gear: the saws and customers that answer what was typed, or the saws that were in the shop last. */
export async function gearView(context: Context, asked: string): Promise<GearView> {
  const { db } = context.store;
  const { shop, rules } = await shopAndRules(context);
  const text = asked.trim().slice(0, LONGEST_ASKED);
  const customers = text === '' ? [] : await findCustomers(db, text, MOST_CUSTOMERS);
  const found = await sawsFound(db, text, customers);
  const gear = await gearOf(
    context,
    found.map(({ saw }) => saw),
    rules,
    shop.timeZone,
  );
  return {
    shop,
    asked: text,
    saws: gear.map(({ due: _due, ...each }, i) => ({ ...each, customer: found[i]!.customer })),
    customers,
    lists: text === '' ? await listsView(db) : [],
    today: calendarDay(context.now(), shop.timeZone),
  };
}

/** A customer with their saws. */
export async function customerGear(context: Context, id: string, asked: string | null): Promise<CustomerGearView> {
  const { db } = context.store;
  const [customer, { shop, rules }, total, facts, said] = await Promise.all([
    findCustomer(db, id),
    shopAndRules(context),
    countSawsOf(db, id),
    customerFactsOf(db, id),
    saidView(db, { customerId: id }),
  ]);
  if (!customer || !facts) throw notFound('customer');
  const { page, pages, limit, offset } = paging(asked, total, PAGE);
  const saws = await sawsOfCustomer(db, id, { limit, offset });
  const today = calendarDay(context.now(), shop.timeZone);
  const gear = await gearOf(context, saws, rules, shop.timeZone);
  return {
    shop,
    customer,
    facts,
    said,
    saws: gear.map(({ due: _due, ...each }) => each),
    due: inOrderOfDue(
      // A saw that is offered no more is waited for by nobody.
      gear.flatMap(({ saw, due }) => (saw.retired ? [] : due)),
      today,
    ),
    total,
    page,
    pages,
    today,
  };
}
