import type { HandOverDocument } from '../../core/report';
import type { Paper, PaperBlock, ShopView } from '../../contract';
import { partName } from '../../wording';
import { headOf } from './customer';
import { documentFor, type JobPaper } from './job-paper';
import * as texts from '#language/papers';

function condemnedBlocks({ parts }: HandOverDocument): readonly PaperBlock[] {
  const gone = parts.filter(({ condemned }) => condemned !== null);
  if (gone.length === 0) return [{ is: 'notice', kind: 'info', items: [texts.noPartOfThisJob] }];
  return gone.flatMap(({ part, condemned }): PaperBlock[] => [
    { is: 'heading', text: texts.condemned(partName[part]) },
    { is: 'list', items: condemned! },
  ]);
}

/** The note that goes with a condemned part: which, why, and that it does not go back on. */
const condemnedPaper = (document: HandOverDocument, shop: ShopView): Paper => ({
  shop,
  title: texts.condemnedPart,
  tag: document.job.reference,
  lines: headOf(document, shop),
  size: 'page',
  blocks: [
    ...condemnedBlocks(document),
    ...(document.parts.some(({ condemned }) => condemned !== null)
      ? [
          {
            is: 'notice',
            kind: 'caution',
            items: [texts.itDoesNotGoBack, texts.measuredByTheLimits],
          } as const,
        ]
      : []),
  ],
});

export const condemned: JobPaper = {
  name: texts.condemnedPartNote,
  step: 'hand-over',
  write: async (asked) => condemnedPaper(await documentFor(asked), asked.job.shop),
};
