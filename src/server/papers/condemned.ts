import type { HandOverDocument } from '../../core/report';
import type { Paper, PaperBlock, ShopView } from '../../contract';
import { partName } from '../../wording';
import { handOverDocumentOf } from '../use-cases/hand-over';
import { headOf } from './customer';
import type { JobPaper } from './job-paper';

function condemnedBlocks({ parts }: HandOverDocument): readonly PaperBlock[] {
  const gone = parts.filter(({ condemned }) => condemned !== null);
  if (gone.length === 0) return [{ is: 'notice', kind: 'info', items: ['No part of this job was condemned.'] }];
  return gone.flatMap(({ part, condemned }): PaperBlock[] => [
    { is: 'heading', text: `${partName[part]}: condemned` },
    { is: 'list', items: condemned! },
  ]);
}

/** The note that goes with a condemned part: which, why, and that it does not go back on. */
const condemnedPaper = (document: HandOverDocument, shop: ShopView): Paper => ({
  shop,
  title: 'Condemned part',
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
            items: [
              'It does not go back on a saw. Whoever keeps it should make it unfit to be fitted again.',
              'Measured by the limits of this shop; where the maker of the saw gives a limit, that one wins.',
            ],
          } as const,
        ]
      : []),
  ],
});

export const condemned: JobPaper = {
  name: 'Condemned-part note',
  step: 'hand-over',
  write: async ({ context, job }) => condemnedPaper(await handOverDocumentOf(context, job), job.shop),
};
