import type { HandOverDocument } from '../../core/report';
import type { Paper, ShopView } from '../../contract';
import { actionWord, partName, plainDay } from '../../wording';
import { handOverDocumentOf } from '../use-cases/hand-over';
import type { JobPaper } from './job-paper';
import { scanCode } from './scan-code';
import * as texts from '#language/papers';

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
    job.saw ?? texts.noSawNamed,
    promisedFor ? texts.promisedFor(plainDay(promisedFor, shop)) : texts.written(plainDay(on, shop)),
  ],
  size: 'tag',
  blocks: [
    { is: 'drawing', drawing: scanCode(address, texts.codeThatOpensJob(job.reference)) },
    {
      is: 'pairs',
      items: parts.map(({ part, verdict }) => ({ name: partName[part], value: actionWord[verdict].toLowerCase() })),
    },
  ],
});

export const tag: JobPaper = {
  name: texts.benchTag,
  step: 'take-in',
  write: async ({ context, job, origin }) => {
    const { id, promisedFor } = job.record;
    return tagPaper(await handOverDocumentOf(context, job), job.shop, `${origin}/jobs/${id}`, promisedFor);
  },
};
