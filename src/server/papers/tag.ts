import type { HandOverDocument } from '../../core/report';
import type { Paper, ShopView } from '../../contract';
import { actionWord, partName, plainDay } from '../../wording';
import { handOverDocumentOf } from '../use-cases/hand-over';
import type { JobPaper } from './job-paper';
import { scanCode } from './scan-code';

/** The bench tag, to tie to the saw: whose it is, how its parts stand, and a code that opens the job. */
const tagPaper = (
  { job, parts, on }: HandOverDocument,
  shop: ShopView,
  address: string,
  promisedFor: string | null,
): Paper => ({
  shop,
  title: job.reference,
  tag: '',
  lines: [
    job.customer,
    job.saw ?? 'no saw named',
    promisedFor ? `Promised for ${plainDay(promisedFor, shop)}` : `Written ${plainDay(on, shop)}`,
  ],
  size: 'tag',
  blocks: [
    { is: 'drawing', drawing: scanCode(address, `Code that opens job ${job.reference}`) },
    {
      is: 'pairs',
      items: parts.map(({ part, verdict }) => ({ name: partName[part], value: actionWord[verdict].toLowerCase() })),
    },
  ],
});

export const tag: JobPaper = {
  name: 'Bench tag',
  step: 'take-in',
  write: async ({ context, job, origin }) => {
    const { id, promisedFor } = job.record;
    return tagPaper(await handOverDocumentOf(context, job), job.shop, `${origin}/jobs/${id}`, promisedFor);
  },
};
