import type { PaperLink } from '../../contract';
import { notFound } from '../refusal';
import { condemned } from './condemned';
import { customer } from './customer';
import type { JobPaper } from './job-paper';
import { slip } from './slip';
import { tag } from './tag';
import { workCard } from './work-card';

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
