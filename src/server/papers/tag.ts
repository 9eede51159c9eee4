import { momentOf, saidByHandOver, type Moment } from '../../core/course';
import type { HandOverDocument } from '../../core/report';
import type { Paper, ShopView } from '../../contract';
import { inSentence, momentWord, partName, plainDay, sentence, storyWord } from '../../wording';
import { documentFor, type JobPaper } from './job-paper';
import { scanCode } from './scan-code';
import * as texts from '#language/papers';

/** The bench tag, to tie to the saw: whose it is, how its parts stand, and a code that opens the job. */
const tagPaper = (
  document: HandOverDocument,
  moment: Moment,
  shop: ShopView,
  address: string,
  promisedFor: string | null,
): Paper => ({
  shop,
  title: document.job.reference,
  tag: '',
  lines: [
    document.job.customer,
    document.job.saw ?? texts.noSawNamed,
    promisedFor ? texts.promisedFor(plainDay(promisedFor, shop)) : texts.written(plainDay(document.on, shop)),
    ...(moment === 'came' ? [] : [sentence(momentWord[moment])]),
  ],
  size: 'tag',
  blocks: [
    { is: 'drawing', drawing: scanCode(address, texts.codeThatOpensJob(document.job.reference)) },
    {
      is: 'pairs',
      items: saidByHandOver(document, moment).map((said) => ({
        name: partName[said.part],
        value: inSentence(storyWord(said)),
      })),
    },
  ],
});

export const tag: JobPaper = {
  name: texts.benchTag,
  step: 'take-in',
  write: async (asked) => {
    const { job, origin } = asked;
    const { id, promisedFor } = job.record;
    return tagPaper(await documentFor(asked), momentOf(job.course), job.shop, `${origin}/jobs/${id}`, promisedFor);
  },
};
