import { handOverSchema, type HandOverDocument } from '../../core/report';
import { entriesFromSheet, isWithin, readSheet, showPath, type Entry, type WrittenBenchSheet } from '../../core/sheet';
import {
  addCustomer,
  addJob,
  addSaw,
  findCustomer,
  findJob,
  findCustomerByName,
  findOwners,
  findSaw,
  nextTag,
  storeFirstReadings,
  type SawRecord,
} from '../../data/repositories';
import type { Transaction } from '../../data/store';
import { LONGEST_CUSTOMER, type CreateJob, type OwnerView } from '../../contract';
import { sheetProblem } from '../../wording';
import type { Context } from '../context';
import { notFound, Refusal } from '../refusal';
import { foreseenEntries } from './foreseen';
import { rulesInForce } from './shop';
import { refreshSummary } from './summary';
import { turnLogEntries } from './turn-overs';
import * as texts from '#language/server';

/** What the saw's record says, as first entries of the job's sheet. */
function sawEntries(saw: SawRecord | null): readonly Entry[] {
  if (!saw) return [];
  const known = { 'saw.label': saw.label, 'saw.mount': saw.mount, 'saw.maxRpm': saw.maxRpm };
  return Object.entries(known).flatMap(([path, value]) =>
    value === null ? [] : [{ path, text: String(value), unit: 'mm' as const }],
  );
}

/** The bench sheet that a hand-over rests on; a bench sheet is its own. */
function sheetOf(document: unknown): unknown {
  const isHandOver =
    typeof document === 'object' && document !== null && 'format' in document && document.format === 'serrata-handover';
  if (!isHandOver) return document;
  const read = handOverSchema.safeParse(document);
  if (read.success) return (document as unknown as HandOverDocument).sheet;
  throw new Refusal(
    422,
    'hand-over-refused',
    texts.handOverNotRead,
    read.error.issues.map(({ path, message }) => `${showPath(path)}: ${message}`),
  );
}

function importedEntries(document: unknown): readonly Entry[] {
  if (document === undefined) return [];
  const sheet = sheetOf(document);
  const read = readSheet(sheet);
  if (!read.ok) throw new Refusal(422, 'sheet-refused', texts.sheetNotRead, read.error.map(sheetProblem));
  return entriesFromSheet(sheet as WrittenBenchSheet);
}

const isOfTurnLog = ({ path }: Entry): boolean => isWithin(path, 'saw.turnLog');
const isForeseen = ({ path }: Entry): boolean => isWithin(path, 'saw.foreseen');

/** What earlier jobs let foresee of the saw's parts; a sheet that brings it keeps its own. */
async function foreseenFor(context: Context, saw: CreateJob['saw'], imported: readonly Entry[]) {
  return saw && 'id' in saw && !imported.some(isForeseen) ? foreseenEntries(context, saw.id) : [];
}

/** How its bar was turned until now; a sheet that brings a log of its own keeps it. */
async function turnLogFor(context: Context, saw: CreateJob['saw'], imported: readonly Entry[]) {
  return saw && 'id' in saw && !imported.some(isOfTurnLog) ? turnLogEntries(context, saw.id) : [];
}

/** Customers offered at once for a new job. */
const OFFERED = 40;

/** Customers that a new job may be of, by what is typed of their name so far. */
export const ownersView = ({ store }: Context, typed: string): Promise<readonly OwnerView[]> =>
  findOwners(store.db, typed.slice(0, LONGEST_CUSTOMER), OFFERED);

/**
 * Takes in a job: finds or adds the customer and the saw, and stores what is known as its first readings. One whose id
 * is known already was asked for twice, and is told again.
 */
export async function createJob(context: Context, wanted: CreateJob): Promise<{ id: string; tag: string }> {
  const imported = importedEntries(wanted.sheet);
  const rules = await rulesInForce(context);
  const log = await turnLogFor(context, wanted.saw, imported);
  const foreseen = await foreseenFor(context, wanted.saw, imported);
  const written = { at: context.now().toISOString(), by: wanted.by };
  const id = wanted.id ?? context.newId();
  return context.store.write(async (tx) => {
    const known = wanted.id ? await findJob(tx, id) : null;
    if (known) return { id, tag: known.tag };
    const customerId = await customerFor(tx, context, wanted.customer, written);
    const saw = await sawFor(tx, context, wanted.saw, customerId, written);
    const tag = await nextTag(tx);
    await addJob(tx, { id, tag, customerId, sawId: saw?.id ?? null, promisedFor: wanted.promisedFor, ...written });
    const complaint: Entry[] =
      wanted.complaint.trim() === '' ? [] : [{ path: 'job.complaint', text: wanted.complaint, unit: 'mm' }];
    const told: readonly Entry[] = wanted.entries ?? [];
    const entries = new Map(
      [...log, ...foreseen, ...imported, ...told, ...sawEntries(saw), ...complaint].map((entry) => [entry.path, entry]),
    );
    entries.delete('job.reference');
    await storeFirstReadings(
      tx,
      // What an imported sheet was measured by stays in the name of that hand.
      [...entries.values()].map(({ hand, ...entry }) => ({
        ...entry,
        id: context.newId(),
        jobId: id,
        supersedes: null,
        at: written.at,
        by: hand ?? written.by,
      })),
    );
    await refreshSummary(tx, id, rules);
    return { id, tag };
  });
}

type Written = { at: string; by: string };

async function customerFor(
  tx: Transaction,
  context: Context,
  wanted: CreateJob['customer'],
  written: Written,
): Promise<string> {
  if ('id' in wanted) {
    if (!(await findCustomer(tx, wanted.id))) throw notFound('customer');
    return wanted.id;
  }
  const known = await findCustomerByName(tx, wanted.name);
  if (known) return known.id;
  const id = context.newId();
  await addCustomer(tx, { id, name: wanted.name, contact: '', ...written });
  return id;
}

async function sawFor(
  tx: Transaction,
  context: Context,
  wanted: CreateJob['saw'],
  customerId: string,
  written: Written,
): Promise<SawRecord | null> {
  if (!wanted) return null;
  if ('id' in wanted) {
    const saw = await findSaw(tx, wanted.id);
    if (!saw || saw.customerId !== customerId) throw new Refusal(422, 'saw-of-another', texts.sawOfAnotherCustomer);
    return saw;
  }
  const saw: SawRecord = {
    id: context.newId(),
    customerId,
    label: wanted.label,
    tag: '',
    mount: wanted.mount || null,
    maxRpm: null,
  };
  await addSaw(tx, { ...saw, ...written });
  return saw;
}
