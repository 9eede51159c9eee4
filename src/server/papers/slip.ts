import type { Paper, PaperBlock, SlipView, StockAnswer } from '../../contract';
import { money } from '../../wording';
import { slipView } from '../use-cases/stock';
import type { JobPaper } from './job-paper';

const FIT = {
  true: { tone: 'good', word: 'holds' },
  false: { tone: 'gone', word: 'broken' },
  null: { tone: 'open', word: 'not known' },
} as const;

const fitOf = (holds: boolean | null) => FIT[String(holds) as keyof typeof FIT];

/** Parts on the shelf that fit. */
function shelf(view: SlipView, answers: readonly StockAnswer[]): readonly PaperBlock[] {
  const fitting = answers.filter(({ answer }) => answer === 'fits');
  if (fitting.length === 0) return [{ is: 'text', text: 'On the shelf: none that fits. Order by what stands above.' }];
  return [
    {
      is: 'table',
      title: 'On the shelf',
      head: ['Part', 'Number', 'Left', 'Price'],
      rows: fitting.map(({ part }) => [
        part.name,
        part.sku,
        `${part.quantity} left`,
        money(part.priceCents, view.shop),
      ]),
    },
  ];
}

function numbers({ order, withheld }: SlipView): readonly PaperBlock[] {
  if (!order) return [{ is: 'notice', kind: 'info', items: ['No order yet', ...withheld] }];
  return [
    {
      is: 'numbers',
      items: [
        { name: 'Pitch', value: order.pitch, note: order.pitchNote },
        { name: 'Gauge', value: order.gauge, note: order.gaugeNote },
        { name: 'Drive links', value: String(order.driveLinks), note: '' },
      ],
    },
    { is: 'text', text: `Kickback class: ${order.kickbackClass}`, look: 'strong' },
  ];
}

/** The order slip: three numbers, what was checked, and what the shelf has. */
export function slipPaper(view: SlipView): Paper {
  const { cautions, replaces, fit, others } = view;
  return {
    shop: view.shop,
    title: others.length > 0 ? 'Order slip' : 'Order slip · chain loop',
    tag: view.tag,
    lines: [
      `${view.shop.name} · ${view.date}`,
      [view.customer && `For ${view.customer}`, view.saw].filter(Boolean).join(', '),
    ].filter((line) => line !== ''),
    size: 'page',
    blocks: [
      ...numbers(view),
      ...(cautions.length > 0 ? [{ is: 'notice', kind: 'caution', items: cautions } as const] : []),
      ...replaces.map((text) => ({ is: 'text', text, look: 'strong' }) as const),
      ...(fit.length > 0
        ? [
            { is: 'heading', text: 'Checked' } as const,
            { is: 'marks', items: fit.map(({ holds, text }) => ({ ...fitOf(holds), text })) } as const,
          ]
        : []),
      ...(view.order ? shelf(view, view.stock) : []),
      ...others.map(({ name, needed, stock }): PaperBlock => ({
        is: 'section',
        title: name,
        label: `Order: ${name.toLowerCase()}`,
        blocks: [{ is: 'text', text: needed, look: 'strong' }, ...shelf(view, stock)],
      })),
      {
        is: 'text',
        look: 'small',
        text: 'Follow the saw maker’s approved combinations and the local rules on kickback class. Check the tension again after the first minutes of a new chain.',
      },
    ],
  };
}

export const slip: JobPaper = {
  name: 'Order slip',
  step: 'order',
  write: async ({ context, job }) => slipPaper(await slipView(context, job)),
};
