import type { Paper, PaperBlock, SlipView, StockAnswer } from '../../contract';
import { bookingWord, money } from '../../wording';
import { slipView } from '../use-cases/stock';
import type { JobPaper } from './job-paper';
import * as texts from '#language/papers';

const FIT = {
  true: { tone: 'good', word: texts.holds },
  false: { tone: 'gone', word: texts.broken },
  null: { tone: 'open', word: texts.notKnown },
} as const;

const fitOf = (holds: boolean | null) => FIT[String(holds) as keyof typeof FIT];

/** Parts on the shelf that fit. */
function shelf(view: SlipView, answers: readonly StockAnswer[]): readonly PaperBlock[] {
  const fitting = answers.filter(({ answer }) => answer === 'fits');
  if (fitting.length === 0) return [{ is: 'text', text: texts.noneOnTheShelf }];
  return [
    {
      is: 'table',
      title: texts.onTheShelf,
      head: [texts.part, texts.number, texts.left, texts.price],
      rows: fitting.map(({ part, shop }) => [
        shop === null ? part.name : `${part.name}, ${texts.liesAt(shop)}`,
        part.sku,
        texts.countLeft(part.quantity),
        shop === null ? money(part.priceCents, view.shop) : '',
      ]),
    },
  ];
}

/** The new parts of the plan, each once, with how it stands. */
const plannedParts = (view: SlipView): PaperBlock => ({
  is: 'table',
  title: texts.partsOfThePlan,
  head: [texts.part, texts.number, texts.left, texts.price, texts.stands],
  rows: view.planned.map(({ name, sku, left, priceCents, state }) => [
    name,
    sku,
    texts.countLeft(left),
    money(priceCents, view.shop),
    bookingWord[state],
  ]),
});

function numbers({ order, withheld }: SlipView): readonly PaperBlock[] {
  if (!order) return [{ is: 'notice', kind: 'info', items: [texts.noOrderYet, ...withheld] }];
  return [
    {
      is: 'numbers',
      items: [
        { name: texts.pitch, value: order.pitch, note: order.pitchNote },
        { name: texts.gauge, value: order.gauge, note: order.gaugeNote },
        { name: texts.driveLinks, value: String(order.driveLinks), note: '' },
      ],
    },
    { is: 'text', text: texts.kickbackClass(order.kickbackClass), look: 'strong' },
    { is: 'text', text: texts.sequence(order.sequence), look: 'strong' },
  ];
}

/** The order slip: three numbers, what was checked, and what the shelf has. */
export function slipPaper(view: SlipView): Paper {
  const { cautions, replaces, fit, others, planned } = view;
  return {
    shop: view.shop,
    title: others.length > 0 || planned.length > 1 ? texts.orderSlip : texts.orderSlipChainLoop,
    tag: view.tag,
    lines: [
      `${view.shop.name} · ${view.date}`,
      [view.customer && texts.forCustomer(view.customer), view.saw].filter(Boolean).join(', '),
    ].filter((line) => line !== ''),
    size: 'page',
    blocks: [
      ...numbers(view),
      ...(cautions.length > 0 ? [{ is: 'notice', kind: 'caution', items: cautions } as const] : []),
      ...replaces.map((text) => ({ is: 'text', text, look: 'strong' }) as const),
      ...(fit.length > 0
        ? [
            { is: 'heading', text: texts.checked } as const,
            { is: 'marks', items: fit.map(({ holds, text }) => ({ ...fitOf(holds), text })) } as const,
          ]
        : []),
      ...(view.planned.length > 0 ? [plannedParts(view)] : []),
      ...(view.order && view.planned.length === 0 ? shelf(view, view.stock) : []),
      ...others.map(({ name, needed, stock }): PaperBlock => ({
        is: 'section',
        title: name,
        label: texts.orderNamed(name.toLowerCase()),
        blocks: [{ is: 'text', text: needed, look: 'strong' }, ...shelf(view, stock)],
      })),
      {
        is: 'text',
        look: 'small',
        text: texts.followTheSawMakersApproved,
      },
    ],
  };
}

export const slip: JobPaper = {
  name: texts.orderSlip,
  step: 'order',
  write: async ({ context, job }) => slipPaper(await slipView(context, job)),
};
