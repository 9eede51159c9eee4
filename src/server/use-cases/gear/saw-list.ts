import type { ReadingPath } from '../../../core/sheet';
import { plainName } from '../../../core/same-name';
import {
  addCustomer,
  addGearChange,
  addSaw,
  findCustomerByName,
  findGearChange,
  forgetSaws,
  rememberSaw,
  sawsOfCustomer,
} from '../../../data/repositories';
import type { Transaction } from '../../../data/store';
import { letOthers } from '../../../data/turn';
import type { SawsTaken, TakeInSaws } from '../../../contract';
import type { Context } from '../../context';

type Listed = TakeInSaws['saws'][number];
type Known = Pick<Listed, 'label' | 'tag'>;

/** What a list brought, as undoing it needs it. */
interface Brought {
  readonly saws: readonly string[];
  readonly customers: readonly string[];
}

/** Customers that are looked up, and saws that are written, before others have their turn. */
const AT_ONCE = 40;

/** Saws of one customer that are compared with a list. */
const MOST_KNOWN = 20_000;

/** Saws of one customer by this are the same. */
const keyOf = ({ label, tag }: Known): string => `${plainName(label)}\n${tag}`;

/** Where what a list tells of a saw stands: as it would be punched on its bar. */
const STAMP: ReadingPath = 'bar.stamp';

/** Those of a list that are new, by their customers, whom the list may call by other capitals. */
async function newOnes(tx: Transaction, saws: readonly Listed[]) {
  const customers = new Map<
    string,
    { readonly id: string | null; readonly known: Set<string>; readonly saws: Listed[] }
  >();
  for (const saw of saws) {
    const key = plainName(saw.customer);
    let of = customers.get(key);
    if (!of) {
      const id = (await findCustomerByName(tx, saw.customer))?.id ?? null;
      const known = id === null ? [] : await sawsOfCustomer(tx, id, { limit: MOST_KNOWN, offset: 0 });
      of = { id, known: new Set(known.map(keyOf)), saws: [] };
      customers.set(key, of);
      // Others are answered meanwhile.
      if (customers.size % AT_ONCE === 0) await letOthers();
    }
    // The same row twice is one saw.
    if (of.known.has(keyOf(saw))) continue;
    of.known.add(keyOf(saw));
    of.saws.push(saw);
  }
  return [...customers.values()];
}

/**
 * Takes in a list of saws: customers that are new with it, saws that are known left as they are, and their numbers for
 * the next call. A list that comes twice is taken in once.
 */
export async function takeInSaws(context: Context, { id, by, name, saws, onlyTold }: TakeInSaws): Promise<SawsTaken> {
  return context.store.write(async (tx) => {
    const before = await findGearChange(tx, id);
    if (before) return before.said as SawsTaken;
    const written = { at: context.now().toISOString(), by };
    const all = await newOnes(tx, saws);
    const fresh = all.flatMap((of) => of.saws);
    const taken: SawsTaken = {
      saws: fresh.length,
      customers: all.filter((of) => of.id === null).length,
      known: saws.length - fresh.length,
    };
    if (onlyTold || fresh.length === 0) return taken;
    const brought = { saws: [] as string[], customers: [] as string[] };
    for (const { id: known, saws: its } of all) {
      const customerId = known ?? context.newId();
      if (known === null) {
        await addCustomer(tx, { id: customerId, name: its[0]!.customer, contact: '', ...written });
        brought.customers.push(customerId);
      }
      for (const { label, tag, mount, maxRpm, marks } of its) {
        const sawId = context.newId();
        await addSaw(tx, { id: sawId, customerId, label, tag, mount, maxRpm, ...written });
        // Told as a bar's stamp would be: the counter asks for a count before anything is ordered by it.
        if (marks !== '')
          await rememberSaw(tx, { sawId, entries: [{ path: STAMP, text: marks, unit: 'mm' }], ...written });
        brought.saws.push(sawId);
        // Others are answered meanwhile.
        if (brought.saws.length % AT_ONCE === 0) await letOthers();
      }
    }
    await addGearChange(tx, {
      ...{ id, what: 'saws-listed', customerId: null, sawId: null, otherSawId: null, piece: null, undoes: null },
      said: { name, ...taken },
      before: brought,
      ...written,
    });
    return taken;
  });
}

/** Takes a list back: what jobs, or what was said since, know of stays. */
export async function takeBackList(tx: Transaction, before: unknown): Promise<void> {
  const { saws, customers } = before as Brought;
  await forgetSaws(tx, saws, customers);
}
