import { handOverSchema } from '../../core/report';
import { addHandOver, findJob, setState } from '../../data/repositories';
import { codeOf } from '../../data/chain/link';
import { headOf } from '../../data/chain/append';
import type { HandOverRequest, HandOverView } from '../../contract';
import type { Context } from '../context';
import { givenPapers, type Giving } from '../papers/given';
import { Refusal } from '../refusal';
import { appraisedJob } from './appraised';
import { handOverNow, handOverView } from './hand-over';
import { mustFindJob } from './jobs';
import { revisionOf } from './rests-on';
import { refreshSummary } from './summary';
import * as texts from '#language/server';

const MOVED = new Refusal(409, 'read-again', texts.movedSinceShown);

/**
 * Hands a job over: its document and its papers are kept as they stand, and it leaves the bench. Refused when anything
 * they rest on has moved since they were shown, or where something is open and nobody says why.
 */
export async function handOverJob(
  context: Context,
  jobId: string,
  { by, revision, nextVisit, note }: HandOverRequest,
  giving: Giving,
): Promise<HandOverView> {
  const { state } = await mustFindJob(context, jobId);
  if (state === 'handed-over') throw new Refusal(409, 'handed-over-already', texts.handedOverAlready);
  if ((await revisionOf(context.store.db, jobId)) !== revision) throw MOVED;
  const job = await appraisedJob(context, jobId);
  const recordCode = codeOf(await headOf(context.store.db));
  const document = { ...(await handOverNow(context, job, { by, note, nextVisit, isGoing: true })), recordCode };
  // What is kept must be readable by whoever brings it back.
  handOverSchema.parse(document);
  if (document.open.length > 0 && note === '')
    throw new Refusal(422, 'reason-missing', texts.stillOpenSayWhy, document.open);
  const papers = await givenPapers(context, job, document, giving);
  await context.store.write(async (tx) => {
    if ((await findJob(tx, jobId))!.state === 'handed-over')
      throw new Refusal(409, 'handed-over-already', texts.handedOverAlready);
    if ((await revisionOf(tx, jobId)) !== revision) throw MOVED;
    const at = context.now().toISOString();
    await addHandOver(tx, { id: context.newId(), jobId, document, papers, nextVisit: document.nextVisit.on, at, by });
    await setState(tx, jobId, 'handed-over');
    await refreshSummary(tx, jobId, job.rules);
  });
  return handOverView(context, jobId);
}
