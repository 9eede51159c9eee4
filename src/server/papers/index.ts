import type { Paper, PaperLink } from '../../contract';
import { notFound } from '../refusal';
import { appraisedJob } from '../use-cases/appraised';
import { condemned } from './condemned';
import { customer } from './customer';
import type { AskedPaper, JobPaper } from './job-paper';
import { slip } from './slip';
import { tag } from './tag';
import { workCard } from './work-card';

export { slipPaper } from './slip';

/** The papers of a job, in the order they are offered. */
export const PAPERS = { customer, condemned, slip, 'work-card': workCard, tag } as const satisfies Readonly<
  Record<string, JobPaper>
>;

/** Their names, to be offered by. */
export const PAPER_LINKS: readonly PaperLink[] = Object.entries(PAPERS).map(([id, { name }]) => ({ id, name }));

/** A kind of paper, as an address names it. */
export function paperOf(id: string): JobPaper {
  if (!Object.hasOwn(PAPERS, id)) throw notFound('paper');
  return PAPERS[id as keyof typeof PAPERS];
}

/** Writes a paper of a job: the job is read and appraised once, whatever the paper needs of it. */
export async function writePaper(
  id: string,
  { jobId, ...asked }: Omit<AskedPaper, 'job'> & { readonly jobId: string },
): Promise<Paper> {
  const { write } = paperOf(id);
  return write({ ...asked, job: await appraisedJob(asked.context, jobId) });
}
