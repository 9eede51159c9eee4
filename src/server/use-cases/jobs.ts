import { isSameName } from '../../core/same-name';
import { sheetFromEntries, type WrittenBenchSheet } from '../../core/sheet';
import {
  accounts,
  currentReadings,
  findJob,
  lastReading,
  MOST_PLACES,
  photosOf,
  storeAtOnce,
  storeReading,
  type JobRecord,
  type StoredReading,
} from '../../data/repositories';
import type { Transaction } from '../../data/store';
import { READINGS_FORMAT, type JobView, type PutReadings, type PutReadingsReply } from '../../contract';
import type { Context } from '../context';
import { Refusal } from '../refusal';
import { choicesOfJob } from './course';
import { jobRules, judgedAsOf, rulesAhead } from './job-rules';
import { rulesInForce, rulesMark } from './shop';
import { signOffViews } from './signed';
import { summariseAside, summaries } from './summaries';
import { refreshSummary } from './summary';
import { jobIsNotHere } from './sister-shops';
import { turnOversOf } from './turn-overs';
import * as texts from '#language/server';

/** The job, or a refusal that says there is none. */
export async function mustFindJob(context: Context, id: string): Promise<JobRecord> {
  const job = await findJob(context.store.db, id);
  if (!job) throw await jobIsNotHere(context, id);
  return job;
}

/** A job that was handed over is written to only once it is open again: its papers say how it went. */
export async function mustNotHaveGone(tx: Transaction, id: string): Promise<void> {
  if ((await findJob(tx, id))?.state === 'handed-over') throw new Refusal(409, 'handed-over', texts.goneOpenItAgain);
}

const message = ({ jobId: _jobId, ...reading }: StoredReading) => reading;

/** Everything the job's screen shows. */
export async function jobView(context: Context, id: string): Promise<JobView> {
  const { db } = context.store;
  // All that hangs on its id alone is asked for before it is found.
  const [record, ahead, readings, signOffs, photos] = await Promise.all([
    mustFindJob(context, id),
    rulesAhead(db, id),
    currentReadings(db, [id]),
    signOffViews(db, id),
    photosOf(db, id),
  ]);
  const { tag, state, promisedFor, createdAt, createdBy, customer, saw } = record;
  const [its, turnOvers, choices] = await Promise.all([
    jobRules(db, record, ahead),
    saw ? turnOversOf(context, saw.id) : [],
    choicesOfJob(db, id, state, state === 'open' ? null : (signOffs[0]?.plan ?? null)),
  ]);
  const { shop, rules } = its;
  const { visit: _visit, causes: _causes, ...kept } = (await summaries(context, [record], rules)).get(id)!;
  return {
    shop,
    job: { id, tag, state, promisedFor, createdAt, createdBy },
    customer,
    saw: saw && { id: saw.id, label: saw.label, tag: saw.tag },
    readings: readings.map(message),
    limits: rules.limits,
    codes: rules.codes,
    schools: rules.schools,
    studies: rules.studies,
    rulesMark: rulesMark(rules),
    rulesAsOf: judgedAsOf(its, readings, choices),
    kept,
    turnOvers,
    signOffs,
    choices,
    photos: photos.map(({ jobId: _jobId, ...about }) => about),
  };
}

/** The bench sheet of a job as a document, with what was typed and cannot be used. */
export async function jobSheet(
  context: Context,
  id: string,
): Promise<ReturnType<typeof sheetFromEntries> & { readonly tag: string }> {
  const { db } = context.store;
  const record = await mustFindJob(context, id);
  const { tag } = record;
  const [readings, { rules }] = await Promise.all([currentReadings(db, [id]), jobRules(db, record)]);
  const entered = sheetFromEntries(readings, rules.studies);
  const written: WrittenBenchSheet = { ...entered.written, job: { ...entered.written.job, reference: tag } };
  return { ...entered, written, tag };
}

/** Acknowledged means stored: an id that another reading has is never answered as if this one were. */
const ID_TAKEN = new Refusal(409, 'id-taken', texts.readingIdTaken);

const JOB_FULL = new Refusal(409, 'job-full', texts.tooManyPlaces(MOST_PLACES));

/** The name that readings are stored under: who typed them, and who brought them in where that is somebody else. */
async function broughtBy({ store }: Context, sender: string, typedBy = sender): Promise<string> {
  if (isSameName(typedBy, sender)) return sender;
  const typist = (await accounts(store.db)).find(({ name }) => isSameName(name, typedBy));
  return typist ? texts.typedByBroughtInBy(typist.name, sender) : sender;
}

/**
 * Stores readings and brings the job's summary up to date. Conflicts are returned, not overwritten. To a store on another
 * machine they go in one way, where nothing speaks against it, and nobody waits for the summary.
 */
export async function putReadings(
  context: Context,
  jobId: string,
  { by: sender, typedBy, format = READINGS_FORMAT, readings }: PutReadings,
): Promise<PutReadingsReply> {
  // A page that is newer than its server keeps them until it has a server of its own.
  if (format > READINGS_FORMAT) throw new Refusal(503, 'older-server', texts.pageIsNewer);
  const by = await broughtBy(context, sender, typedBy);
  const at = context.now().toISOString();
  if (context.store.isElsewhere) {
    const whole = readings.map((next) => ({ ...next, jobId, at, by }));
    const last = await storeAtOnce(context.store, whole);
    if (last !== null) {
      summariseAside(context, jobId);
      return { results: readings.map(({ id }) => ({ outcome: 'stored', id })), lastReading: last };
    }
  }
  const [rules] = await Promise.all([rulesInForce(context), mustFindJob(context, jobId)]);
  return context.store.write(async (tx) => {
    const results: PutReadingsReply['results'] = [];
    const before = await lastReading(tx, jobId);
    for (const next of readings) {
      const stored = await storeReading(tx, { ...next, jobId, at, by });
      if (stored.outcome === 'id-taken') throw ID_TAKEN;
      if (stored.outcome === 'job-full') throw JOB_FULL;
      if (stored.outcome === 'stored') results.push({ outcome: 'stored', id: next.id });
      else results.push({ outcome: 'conflict', id: next.id, current: message(stored.current) });
    }
    const [last] = await Promise.all([lastReading(tx, jobId), refreshSummary(tx, jobId, rules)]);
    // What came before it was handed over may come twice; what is new is taken back.
    if (last !== before) await mustNotHaveGone(tx, jobId);
    return { results, lastReading: last };
  });
}
