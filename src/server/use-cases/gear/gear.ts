import type { Rules } from '../../../core/assess';
import {
  countSawsOf,
  findCustomer,
  findCustomers,
  findSaws,
  lastSaws,
  sawsById,
  sawsOfCustomer,
  type SawRecord,
} from '../../../data/repositories';
import type { CustomerGearView, DueGear, GearView, SawGear } from '../../../contract';
import { calendarDay } from '../../../wording';
import type { Context } from '../../context';
import { paging } from '../../paging';
import { notFound } from '../../refusal';
import { shopAndRules } from '../shop';
import { dueOf, inOrderOfDue } from './due';
import { linesOf, sawGear } from './lines';
import { pastsOf } from './past';

const PAGE = 12;
const MOST_FOUND = 24;

/** Saws with what is on them. */
async function gearOf(
  context: Context,
  saws: readonly SawRecord[],
  rules: Rules,
  timeZone: string,
): Promise<readonly (SawGear & { readonly due: readonly DueGear[] })[]> {
  const { db } = context.store;
  const pasts = await pastsOf(
    context,
    saws.map(({ id }) => id),
    rules,
  );
  return Promise.all(
    saws.map(async (saw) => {
      const past = pasts.get(saw.id)!;
      const lines = await linesOf(db, past, rules.limits, timeZone);
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

/** Gear: the saws and customers that answer what was typed, or the saws that were in the shop last. */
export async function gearView(context: Context, asked: string): Promise<GearView> {
  const { db } = context.store;
  const { shop, rules } = await shopAndRules(context);
  const text = asked.trim();
  const ids = text === '' ? await lastSaws(db, PAGE) : (await findSaws(db, text, MOST_FOUND)).map(({ id }) => id);
  const [saws, customers] = await Promise.all([
    sawsById(db, ids),
    text === '' ? [] : findCustomers(db, text, MOST_FOUND),
  ]);
  const gear = await gearOf(
    context,
    saws.map(({ saw }) => saw),
    rules,
    shop.timeZone,
  );
  return {
    shop,
    asked: text,
    saws: gear.map(({ due: _due, ...each }, i) => ({ ...each, customer: saws[i]!.customer })),
    customers,
    today: calendarDay(context.now(), shop.timeZone),
  };
}

/** A customer with their saws. */
export async function customerGear(context: Context, id: string, asked: string | null): Promise<CustomerGearView> {
  const { db } = context.store;
  const customer = await findCustomer(db, id);
  if (!customer) throw notFound('customer');
  const [{ shop, rules }, total] = [await shopAndRules(context), await countSawsOf(db, id)];
  const { page, pages, limit, offset } = paging(asked, total, PAGE);
  const saws = await sawsOfCustomer(db, id, { limit, offset });
  const today = calendarDay(context.now(), shop.timeZone);
  const gear = await gearOf(context, saws, rules, shop.timeZone);
  return {
    shop,
    customer,
    saws: gear.map(({ due: _due, ...each }) => each),
    due: inOrderOfDue(
      gear.flatMap(({ due }) => due),
      today,
    ),
    total,
    page,
    pages,
    today,
  };
}
