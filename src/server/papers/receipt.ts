import { handOverDocumentOf } from '../use-cases/hand-over';
import { headOf } from './customer';
import type { JobPaper } from './job-paper';

/** What was brought and when, for whoever brought it. */
export const receipt: JobPaper = {
  name: 'Receipt',
  step: 'take-in',
  write: async ({ context, job }) => ({
    shop: job.shop,
    title: 'Received',
    tag: job.record.tag,
    lines: headOf(await handOverDocumentOf(context, job), job.shop),
    size: 'page',
    blocks: [],
  }),
};
