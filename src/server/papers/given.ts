import { choicesByHandOver } from '../../core/course';
import type { HandOverDocument } from '../../core/report';
import type { GivenPaper, Paper } from '../../contract';
import { handOverById, lastHandOver, type HandOverRecord } from '../../data/repositories';
import { actionWord, partName, shopMoment } from '../../wording';
import type { Context } from '../context';
import { notFound } from '../refusal';
import { appraisedJob, type AppraisedJob } from '../use-cases/appraised';
import { handOverNow } from '../use-cases/hand-over';
import { appraised } from '../use-cases/kept-appraisals';
import { shopAndRules } from '../use-cases/shop';
import type { AskedPaper } from './job-paper';
import { paperOf, PAPERS } from './kinds';
import * as texts from '#language/papers';

/** Papers of a hand-over by their names, as they were given. */
export type GivenPapers = Readonly<Record<string, GivenPaper>>;

/** A job as it is once it has gone with a document. */
function gone(job: AppraisedJob, document: HandOverDocument): AppraisedJob {
  const choices = choicesByHandOver(document);
  return {
    ...job,
    record: { ...job.record, state: 'handed-over' },
    course: { ...job.course, signedOff: true, handedOver: true, choices },
    appraisal: appraised(job.sheet, job.rules, choices),
  };
}

/** How papers are given: in which unit, and where the code on the tag leads. */
export type Giving = Pick<AskedPaper, 'unit' | 'origin'>;

/** Every paper of a job as it goes with a document, to be kept. */
export async function givenPapers(
  context: Context,
  job: AppraisedJob,
  going: HandOverDocument,
  giving: Giving,
): Promise<GivenPapers> {
  const asked = { context, job: gone(job, going), going, ...giving };
  const written = Object.keys(PAPERS).map(async (id) => {
    const { shop: _shop, ...paper } = await paperOf(id).write(asked);
    return [id, paper] as const;
  });
  return Object.fromEntries(await Promise.all(written));
}

/** What is judged otherwise by the rules in force than it was when it was given, part by part. */
async function since(context: Context, id: string, given: HandOverDocument): Promise<readonly string[]> {
  const now = await handOverNow(context, await appraisedJob(context, id, await shopAndRules(context)));
  return now.parts.flatMap(({ part, verdict, why }) => {
    const then = given.parts.find((each) => each.part === part);
    if (then?.verdict === verdict && then.why.join() === why.join()) return [];
    const before = then ? actionWord[then.verdict] : texts.notJudged;
    return [texts.judgedOtherwiseNow(partName[part], before, actionWord[verdict], why[0] ?? '')];
  });
}

/** The hand-over whose papers are asked for; null where it is the paper of the job as it stands. */
async function handOverAsked(
  { store: { db } }: Context,
  { id, state }: AppraisedJob['record'],
  given: string | null,
): Promise<HandOverRecord | null> {
  if (given === null) return state === 'handed-over' ? lastHandOver(db, id) : null;
  const found = await handOverById(db, given);
  if (found?.jobId !== id) throw notFound('paper');
  return found;
}

/**
 * A paper of a job as it was given, marked with its day; null where none was kept. What is judged otherwise by now is
 * said beside it.
 * @param given the hand-over; null for the one that stands
 */
export async function givenPaper(
  context: Context,
  job: AppraisedJob,
  id: string,
  given: string | null,
): Promise<Paper | null> {
  const record = await handOverAsked(context, job.record, given);
  const paper = (record?.papers as GivenPapers | null | undefined)?.[id];
  if (!record || !paper) return null;
  const document = record.document as HandOverDocument;
  const foot = texts.asGiven(shopMoment(record.at, job.shop), record.by, document.recordCode ?? '');
  return { ...paper, shop: job.shop, foot, since: await since(context, job.record.id, document) };
}
