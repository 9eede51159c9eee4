import { formatLength, formatPosition, mm, type UnitSystem } from '../../core/quantity';
import type { Paper, PaperBlock, WorkCardView, WorkOnPart } from '../../contract';
import { workCardView } from '../use-cases/work-card';
import type { JobPaper } from './job-paper';
import * as texts from '#language/papers';

/** Less than this is nothing that a file could take. */
const NOTHING = 0.005;

function edgeTable({ edge, effort, rows }: WorkCardView['edges'][number], unit: UnitSystem): readonly PaperBlock[] {
  const off = (amount: number | null): string =>
    amount === null ? texts.stayOff : amount < NOTHING ? '–' : formatLength(mm(amount), unit);
  return [
    {
      is: 'table',
      title: texts.edge(edge),
      head: ['at', texts.nearOff, texts.farOff],
      rows: rows.map(({ at, near, far }) => [formatPosition(mm(at), unit), off(near), off(far)]),
      large: true,
    },
    { is: 'text', text: effort },
  ];
}

/** What comes off which rail, in which order, and how it is levelled. */
function barBlocks(view: WorkCardView, unit: UnitSystem): readonly PaperBlock[] {
  const { edges, left, operations, isUndecided, isService, deburring, levelling, cautions } = view;
  if (operations.length === 0 && edges.length === 0)
    return [{ is: 'notice', kind: 'info', items: [isUndecided ? texts.barIsUndecided : texts.nothingIsToBeDone] }];
  if (isService)
    return [
      { is: 'heading', text: texts.atEveryService },
      { is: 'list', items: operations, numbered: true },
    ];
  return [
    ...(edges.length === 0 && left.length > 0
      ? []
      : edges.length === 0
        ? [{ is: 'notice', kind: 'info', items: [texts.noMetalHasToCome] } as const]
        : [{ is: 'columns', columns: edges.map((edge) => edgeTable(edge, unit)) } as const]),
    ...left.map((text) => ({ is: 'text', text }) as const),
    {
      is: 'columns',
      columns: [
        [
          { is: 'heading', text: texts.inThisOrder },
          { is: 'list', items: [...operations, texts.measureAgain], numbered: true },
        ],
        [
          { is: 'heading', text: texts.levelling(levelling.school) },
          { is: 'list', items: levelling.steps, numbered: true },
          ...(deburring.length > 0
            ? [
                { is: 'heading', text: texts.deburring } as const,
                { is: 'list', items: deburring, numbered: true } as const,
              ]
            : []),
        ],
      ],
    },
    { is: 'notice', kind: 'caution', items: cautions },
  ];
}

/** The work on the chain or the drive sprocket, below the bar's. */
const partBlocks = ({ title, verdict, rows, notes, operations, cautions }: WorkOnPart): readonly PaperBlock[] => [
  { is: 'heading', text: `${title}: ${verdict}` },
  {
    is: 'columns',
    columns: [
      [{ is: 'list', items: operations, numbered: true }],
      ...(rows.length > 0 ? [[{ is: 'pairs', items: rows } as const]] : []),
    ],
  },
  ...notes.map((text) => ({ is: 'text', text }) as const),
  { is: 'notice', kind: 'caution', items: cautions },
];

/** The work card, large, to lay beside the vise. */
const workCardPaper = (view: WorkCardView, unit: UnitSystem): Paper => ({
  shop: view.shop,
  title: texts.workCard,
  tag: view.tag,
  lines: [[view.customer, view.saw, view.date].filter(Boolean).join(' · ')],
  size: 'page',
  large: true,
  blocks: [
    ...(view.verdict === null
      ? []
      : [{ is: 'text', text: texts.bar(view.verdict), look: 'lead' } as const, ...barBlocks(view, unit)]),
    ...view.others.flatMap(partBlocks),
  ],
});

export const workCard: JobPaper = {
  name: texts.workCard,
  step: 'rework',
  write: async ({ context, job, unit }) => workCardPaper(await workCardView(context, job), unit),
};
