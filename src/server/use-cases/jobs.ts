import { readSheet, sheetFromEntries, entriesFromSheet, type Entry, type WrittenBenchSheet } from '../../core/sheet';
import { assess } from '../../core/assess';
import type { Limits } from '../../core/families';
import {
  addCustomer,
  addJob,
  addSaw,
  addSignOff,
  countJobs,
  currentReadings,
  findCustomer,
  findCustomerByName,
  findJob,
  findSaw,
  lastReading,
  listCustomers,
  listJobs,
  nextTag,
  sawsOf,
  setState,
  setSummary,
  signOffsOf,
  storeFirstReadings,
  storeReading,
  type JobFilter,
  type JobRecord,
  type SawRecord,
  type StoredReading,
} from '../../data/repositories';
import type { Transaction } from '../../data/store';
import type { BenchView, CreateJob, JobRow, JobSummary, JobView, PutReadings, PutReadingsReply } from '../../contract';
import { assessmentDocument, sheetProblem } from '../../wording';
import { day, type Context } from '../context';
import { notFound, Refusal } from '../refusal';
import { PROGRAMME_VERSION } from '../version';
import { limitsInForce, shopView } from './shop';
import { summarise, summaryKey } from './summary';

const PAGE = 24;
/** Customers offered for a new job; others are found by typing. */
const OFFERED_CUSTOMERS = 200;

/** Summaries of a page of jobs: stored ones where they are still true, made afresh where they are not. */
async function summaries(
  context: Context,
  jobs: readonly JobRecord[],
  limits: Limits,
): Promise<ReadonlyMap<string, JobSummary>> {
  const key = summaryKey(limits);
  const stale = jobs.filter((job) => job.summaryKey !== key);
  const readings = await currentReadings(
    context.store.db,
    stale.map(({ id }) => id),
  );
  const made = stale.map((job) => ({
    job,
    summary: summarise(
      readings.filter(({ jobId }) => jobId === job.id),
      limits,
      job.state === 'signed-off',
    ),
  }));
  if (made.length > 0) {
    await context.store.write(async (tx) => {
      for (const { job, summary } of made) await setSummary(tx, job.id, summary, key);
    });
  }
  const fresh = new Map(made.map(({ job, summary }) => [job.id, summary]));
  return new Map(jobs.map((job) => [job.id, fresh.get(job.id) ?? (job.summary as JobSummary)]));
}

async function rows(context: Context, jobs: readonly JobRecord[]): Promise<readonly JobRow[]> {
  const limits = await limitsInForce(context);
  const [made, complaints] = await Promise.all([summaries(context, jobs, limits), complaintsOf(context, jobs)]);
  return jobs.map((job) => ({
    id: job.id,
    tag: job.tag,
    state: job.state,
    promisedFor: job.promisedFor,
    customer: job.customer.name,
    saw: job.saw && [job.saw.label, job.saw.tag].filter(Boolean).join(', '),
    complaint: complaints.get(job.id) ?? '',
    summary: made.get(job.id)!,
  }));
}

async function complaintsOf({ store }: Context, jobs: readonly JobRecord[]): Promise<ReadonlyMap<string, string>> {
  const readings = await currentReadings(
    store.db,
    jobs.map(({ id }) => id),
    'job.complaint',
  );
  return new Map(readings.map(({ jobId, text }) => [jobId, text]));
}

/** The Bench: open jobs by the day they are promised for, or the jobs of one customer or saw. */
export async function benchView(
  context: Context,
  wanted: { page: number; customerId?: string | undefined; sawId?: string | undefined; done?: boolean },
): Promise<BenchView> {
  const { db } = context.store;
  const filter = jobFilter(wanted);
  const page = Math.max(1, Math.floor(wanted.page) || 1);
  const [shop, total, jobs, customers, title] = await Promise.all([
    shopView(context),
    countJobs(db, filter),
    listJobs(db, filter, { limit: PAGE, offset: (page - 1) * PAGE }),
    listCustomers(db, OFFERED_CUSTOMERS),
    titleOf(context, filter),
  ]);
  const saws = await sawsOf(
    db,
    customers.map(({ id }) => id),
  );
  return {
    shop,
    today: day(context.now()),
    title,
    jobs: await rows(context, jobs),
    total,
    page,
    pages: Math.max(1, Math.ceil(total / PAGE)),
    customers: customers.map(({ id, name }) => ({
      id,
      name,
      saws: saws
        .filter(({ customerId }) => customerId === id)
        .map((saw) => ({ id: saw.id, label: saw.label, tag: saw.tag })),
    })),
  };
}

function jobFilter({
  customerId,
  sawId,
  done,
}: {
  customerId?: string | undefined;
  sawId?: string | undefined;
  done?: boolean;
}): JobFilter {
  if (customerId) return { show: 'customer', customerId };
  if (sawId) return { show: 'saw', sawId };
  return { show: done ? 'signed-off' : 'open' };
}

async function titleOf({ store }: Context, filter: JobFilter): Promise<string | null> {
  if (filter.show === 'customer') return (await findCustomer(store.db, filter.customerId))?.name ?? null;
  if (filter.show === 'saw') return (await findSaw(store.db, filter.sawId))?.label ?? null;
  return filter.show === 'signed-off' ? 'Signed off' : null;
}

async function mustFindJob({ store }: Context, id: string): Promise<JobRecord> {
  const job = await findJob(store.db, id);
  if (!job) throw notFound('job');
  return job;
}

const message = ({ jobId: _jobId, ...reading }: StoredReading) => reading;

/** Everything the job's screen shows. */
export async function jobView(context: Context, id: string): Promise<JobView> {
  const { db } = context.store;
  const record = await mustFindJob(context, id);
  const [shop, readings, limits, signOffs] = await Promise.all([
    shopView(context),
    currentReadings(db, [id]),
    limitsInForce(context),
    signOffsOf(db, id),
  ]);
  const { tag, state, promisedFor, createdAt, createdBy, customer, saw } = record;
  return {
    shop,
    job: { id, tag, state, promisedFor, createdAt, createdBy },
    customer,
    saw: saw && { id: saw.id, label: saw.label, tag: saw.tag },
    readings: readings.map(message),
    limits,
    signOffs,
  };
}

/** The bench sheet of a job as a document, with what was typed and cannot be used. */
export async function jobSheet(
  context: Context,
  id: string,
): Promise<ReturnType<typeof sheetFromEntries> & { readonly tag: string }> {
  const { tag } = await mustFindJob(context, id);
  const entered = sheetFromEntries(await currentReadings(context.store.db, [id]));
  const written: WrittenBenchSheet = { ...entered.written, job: { ...entered.written.job, reference: tag } };
  return { ...entered, written, tag };
}

/** Stores readings and brings the job's summary up to date. Conflicts are returned, not overwritten. */
export async function putReadings(
  context: Context,
  jobId: string,
  { by, readings }: PutReadings,
): Promise<PutReadingsReply> {
  const job = await mustFindJob(context, jobId);
  const limits = await limitsInForce(context);
  const at = context.now().toISOString();
  return context.store.write(async (tx) => {
    const results: PutReadingsReply['results'] = [];
    for (const next of readings) {
      const stored = await storeReading(tx, { ...next, jobId, at, by });
      if (stored.outcome === 'stored') results.push({ outcome: 'stored', id: next.id });
      else results.push({ outcome: 'conflict', id: next.id, current: message(stored.current) });
    }
    await refreshSummary(tx, jobId, limits, job.state === 'signed-off');
    return { results, lastReading: await lastReading(tx, jobId) };
  });
}

async function refreshSummary(tx: Transaction, jobId: string, limits: Limits, signedOff: boolean): Promise<void> {
  const entries = await currentReadings(tx, [jobId]);
  await setSummary(tx, jobId, summarise(entries, limits, signedOff), summaryKey(limits));
}

/** What the saw's record says, as first entries of the job's sheet. */
function sawEntries(saw: SawRecord | null): readonly Entry[] {
  if (!saw) return [];
  const known = { 'saw.label': saw.label, 'saw.mount': saw.mount, 'saw.maxRpm': saw.maxRpm };
  return Object.entries(known).flatMap(([path, value]) =>
    value === null ? [] : [{ path, text: String(value), unit: 'mm' as const }],
  );
}

function importedEntries(sheet: unknown): readonly Entry[] {
  if (sheet === undefined) return [];
  const read = readSheet(sheet);
  if (!read.ok)
    throw new Refusal(422, 'sheet-refused', 'This bench sheet cannot be read.', read.error.map(sheetProblem));
  return entriesFromSheet(sheet as WrittenBenchSheet);
}

/** Takes in a job: finds or adds the customer and the saw, and stores what is known as its first readings. */
export async function createJob(context: Context, wanted: CreateJob): Promise<{ id: string; tag: string }> {
  const imported = importedEntries(wanted.sheet);
  const limits = await limitsInForce(context);
  const written = { at: context.now().toISOString(), by: wanted.by };
  const id = context.newId();
  return context.store.write(async (tx) => {
    const customerId = await customerFor(tx, context, wanted.customer, written);
    const saw = await sawFor(tx, context, wanted.saw, customerId, written);
    const tag = await nextTag(tx);
    await addJob(tx, { id, tag, customerId, sawId: saw?.id ?? null, promisedFor: wanted.promisedFor, ...written });
    const complaint: Entry[] =
      wanted.complaint.trim() === '' ? [] : [{ path: 'job.complaint', text: wanted.complaint, unit: 'mm' }];
    const entries = new Map([...imported, ...sawEntries(saw), ...complaint].map((entry) => [entry.path, entry]));
    entries.delete('job.reference');
    await storeFirstReadings(
      tx,
      [...entries.values()].map((entry) => ({
        ...entry,
        id: context.newId(),
        jobId: id,
        supersedes: null,
        ...written,
      })),
    );
    await refreshSummary(tx, id, limits, false);
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
    if (!saw || saw.customerId !== customerId)
      throw new Refusal(
        422,
        'saw-of-another',
        'That saw belongs to another customer: pick one of theirs or write a new one.',
      );
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

/** Signs the verdicts off as they stand, keeping all they rest on. Refused when readings have come in since they were looked at. */
export async function signOff(
  context: Context,
  jobId: string,
  { by, upToReading }: { by: string; upToReading: number },
): Promise<JobView['signOffs']> {
  await mustFindJob(context, jobId);
  const limits = await limitsInForce(context);
  await context.store.write(async (tx) => {
    const last = await lastReading(tx, jobId);
    if (last !== upToReading)
      throw new Refusal(
        409,
        'read-again',
        'Readings have come in since this verdict was shown: look at it again, then sign off.',
      );
    const entries = await currentReadings(tx, [jobId]);
    const { sheet, written } = sheetFromEntries(entries);
    const assessment = assessmentDocument(assess(sheet, limits));
    await addSignOff(tx, {
      id: context.newId(),
      jobId,
      at: context.now().toISOString(),
      by,
      sheet: written,
      limits,
      assessment,
      version: PROGRAMME_VERSION,
      upToReading,
    });
    await setState(tx, jobId, 'signed-off');
    await setSummary(tx, jobId, summarise(entries, limits, true), summaryKey(limits));
  });
  return signOffsOf(context.store.db, jobId);
}

/** Opens a signed-off job again; what was signed stays on record. */
export async function reopen(context: Context, jobId: string): Promise<void> {
  await mustFindJob(context, jobId);
  const limits = await limitsInForce(context);
  await context.store.write(async (tx) => {
    await setState(tx, jobId, 'open');
    await refreshSummary(tx, jobId, limits, false);
  });
}
