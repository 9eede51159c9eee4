import { kickbackClassWord, money } from '../../wording';
import { useEffect, useState } from 'react';
import type { CounterReply, StockAnswer, SupplierReply } from '../../contract';
import { api } from '../frame/api';
import { useFrame } from '../frame/frame-context';
import * as common from '#language/screens/common';
import * as texts from '#language/screens/counter';
import { liesAt } from '#language/screens/job-order';

const ANSWER = {
  fits: { mark: '●', word: texts.fits, tone: 'text-leaf' },
  'may-fit': { mark: '○', word: texts.mayFit, tone: 'text-steel' },
  near: { mark: '◐', word: texts.near, tone: 'text-brass' },
} as const;

/** What is on the shelf for what is known so far: fits, may fit, near misses with the rule they break. */
export function Shelf({ reply }: { reply: CounterReply | null }) {
  if (!reply) return null;
  const sells = reply.stock.some(({ answer, part, shop }) => answer === 'fits' && part.quantity > 0 && shop === null);
  return (
    <section aria-label={texts.onTheShelf}>
      <h2 className="mb-1 font-bold">{texts.onTheShelf}</h2>
      {reply.stock.length === 0 && (
        <p className="text-ink-soft">
          {reply.numbers.every(({ status }) => status === 'unknown') ? texts.partsAppearHere : texts.nothingComesNear}
        </p>
      )}
      <ul>
        {reply.stock.map((answer) => (
          <ShelfRow key={`${answer.shop ?? ''} ${answer.part.sku}`} answer={answer} />
        ))}
      </ul>
      {reply.order && !sells && <Supplier order={reply.order} />}
    </section>
  );
}

function ShelfRow({ answer: { part, answer, misses, equals, shop: at } }: { answer: StockAnswer }) {
  const { shop } = useFrame();
  const { mark, word, tone } = ANSWER[answer];
  return (
    <li className="grid grid-cols-[5rem_minmax(0,1fr)_auto] items-center gap-x-3 border-t border-line py-1.5">
      <span className={`font-bold ${tone}`}>
        {mark} {word}
      </span>
      <span className="min-w-0">
        <span className="block truncate font-semibold">{part.name}</span>
        <span className="block text-sm text-ink-soft">
          <span className="figures">{part.sku}</span>
          {part.kickbackClass && ` · ${kickbackClassWord[part.kickbackClass]}`}
          {misses.length > 0 && <span className="text-ink"> · {misses.join('; ')}</span>}
          {at !== null && <span className="block font-bold text-steel">{liesAt(at)}</span>}
          {equals.length > 0 && <span className="text-ink"> {texts.equalAndHere(equals.join(', '))}</span>}
        </span>
      </span>
      <span className="text-right figures">
        {at === null && <span className="block font-semibold">{money(part.priceCents, shop)}</span>}
        <span className="block text-sm text-ink-soft">{texts.left(part.quantity)}</span>
      </span>
    </li>
  );
}

type Order = NonNullable<CounterReply['order']>;

/** Asks the supplier for what the shelf lacks. Its silence is shown and blocks nothing. */
function useSupplier(order: Order): SupplierReply | null {
  const query = new URLSearchParams({
    pitch: order.pitch,
    gauge: order.gauge,
    links: String(order.links),
    class: order.kickbackClass ?? '',
  }).toString();
  const [heard, setHeard] = useState<{ query: string; reply: SupplierReply } | null>(null);
  useEffect(() => {
    let stale = false;
    const hear = (reply: SupplierReply) => !stale && setHeard({ query, reply });
    api
      .get<SupplierReply>(`/api/supplier/quote?${query}`)
      .then(hear, () => hear({ state: 'no-answer', why: common.theServerCannotBeReached }));
    return () => {
      stale = true;
    };
  }, [query]);
  return heard?.query === query ? heard.reply : null;
}

function Supplier({ order }: { order: Order }) {
  const reply = useSupplier(order);
  const { shop } = useFrame();
  return (
    <section aria-label={texts.supplier} className="mt-3 border-t-2 border-line-strong pt-2">
      <h3 className="text-sm font-semibold text-ink-soft">{texts.supplierSimulated}</h3>
      {!reply && <p role="status">{texts.askingPriceAndDelivery}</p>}
      {reply?.state === 'no-answer' && <p role="status">{texts.numbersHoldAllTheSame(reply.why)}</p>}
      {reply?.state === 'none' && <p role="status">{texts.theSupplierHasNone}</p>}
      {reply?.state === 'offers' && (
        <ul>
          {reply.offers.map(({ sku, name, days, priceCents, kickbackClass }) => (
            <li key={sku} className="grid grid-cols-[minmax(0,1fr)_auto] gap-3 border-t border-line py-1.5">
              <span>
                <span className="font-semibold">{name}</span>{' '}
                <span className="text-sm text-ink-soft">
                  <span className="figures">{sku}</span> · {kickbackClassWord[kickbackClass]}
                </span>
              </span>
              <span className="text-right figures">
                {money(priceCents, shop)} · {texts.days(days)}
              </span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
