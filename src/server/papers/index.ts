import type { Paper } from '../../contract';
import { codeOf } from '../../data/chain/link';
import { headOf } from '../../data/chain/append';
import { appraisedJob } from '../use-cases/appraised';
import { givenPaper } from './given';
import type { AskedPaper } from './job-paper';
import { paperOf } from './kinds';
import * as texts from '#language/papers';

export { PAPER_LINKS, paperOf, PAPERS } from './kinds';
export { slipPaper } from './slip';

/** A paper that is asked for, by the job's id. */
interface Wanted extends Omit<AskedPaper, 'job' | 'going'> {
  readonly jobId: string;
  /** The hand-over whose papers are wanted; null for the paper as it stands. */
  readonly given?: string | null;
}

/**
 * Writes a paper of a job: the job is read and appraised once, whatever the paper needs of it. Of a job that has gone
 * it is the paper that was given.
 */
export async function writePaper(id: string, { jobId, given = null, ...asked }: Wanted): Promise<Paper> {
  const { write } = paperOf(id);
  const job = await appraisedJob(asked.context, jobId);
  const kept = await givenPaper(asked.context, job, id, given);
  if (kept) return kept;
  const head = await headOf(asked.context.store.db);
  return { ...(await write({ ...asked, job, going: null })), foot: texts.restsOn(codeOf(head)) };
}
