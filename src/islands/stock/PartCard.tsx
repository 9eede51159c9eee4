import { useEffect, useRef, useState } from 'react';
import type { PartCardView, ShelvedPartView, StockMovementView } from '../../contract';
import { amountText, decimalsOf, movementWord, shopMoment, UNNAMED } from '../../wording';
import { api, RequestFailed } from '../frame/api';
import { Form, Refusal, SendButton, TextField, useSentForm } from '../frame/form';
import { useFrame } from '../frame/frame-context';
import { useServerData } from '../frame/server-data';
import { sentOnce } from '../frame/sent-once';
import * as common from '#language/screens/common';
import * as texts from '#language/screens/stock';

const isWhole = (text: string) => /^\d{1,6}$/.test(text.trim()) || texts.wholeNumberWanted;
const isSome = (text: string) => /^[1-9]\d{0,4}$/.test(text.trim()) || texts.piecesWanted;
const isAmount = (text: string) => /^\d+([.,]\d{1,2})?$/.test(text.trim()) || texts.priceWanted;

const addressOf = (sku: string): string => `/api/stock/parts/${encodeURIComponent(sku)}`;

interface CardProps {
  readonly part: ShelvedPartView;
  /** Told when something was stored, so that the shelf is shown anew. */
  readonly onChanged: () => Promise<void>;
}

/** The card of a part: pieces taken and booked in, quantity, minimum and price put right, and what moved lately. */
export function PartCard({ part: listed, onChanged }: CardProps) {
  const listedOnly = { part: listed, movements: [] };
  const { part, movements } = useServerData<PartCardView>(addressOf(listed.sku), listedOnly, {
    shown: ['stock'],
    isWhole: false,
  });
  return (
    <div className="grid gap-5">
      <p className="flex flex-wrap items-baseline justify-between gap-3">
        <span className="figures text-sm text-ink-soft">{part.sku}</span>
        <span>
          <strong className="figures text-2xl">{part.quantity}</strong> {texts.onTheShelf}
        </span>
      </p>
      <Move part={part} onChanged={onChanged} />
      <PutRight part={part} onChanged={onChanged} />
      <Movements movements={movements} />
    </div>
  );
}

interface Moving {
  readonly pieces: string;
  readonly note: string;
}

/** Takes from the shelf, or books in. */
function Move({ part, onChanged }: CardProps) {
  const { who } = useFrame();
  // The way it was asked for: the first button, or Enter, takes.
  const kind = useRef<'taken' | 'booked'>('taken');
  const form = useSentForm<Moving>({
    start: { pieces: '1', note: '' },
    send: async ({ pieces, note }) => {
      const movement = { by: who || UNNAMED, kind: kind.current, pieces: Number(pieces), note };
      const address = addressOf(part.sku);
      // The same movement of another count is another: the first was seen to be stored.
      await sentOnce([address, movement, part.quantity], (id) => api.post(address, { id, ...movement }));
      await onChanged();
    },
    otherwise: common.notStored,
  });
  useEffect(() => {
    if (!form.formState.isSubmitting) kind.current = 'taken';
  }, [form.formState.isSubmitting]);
  return (
    <Form form={form}>
      <div className="grid grid-cols-[7rem_minmax(0,1fr)] gap-3">
        <TextField form={form} name="pieces" label={texts.pieces} look="figures" rules={{ validate: isSome }} />
        <TextField form={form} name="note" label={texts.forWhat} />
      </div>
      <Refusal form={form} />
      <div className="flex flex-wrap gap-3">
        <SendButton form={form}>{texts.takeFromTheShelf}</SendButton>
        <button
          type="button"
          className="quiet"
          disabled={form.formState.isSubmitting}
          onClick={() => {
            kind.current = 'booked';
            form.submit();
          }}
        >
          {texts.bookIn}
        </button>
      </div>
    </Form>
  );
}

interface Card {
  readonly quantity: string;
  readonly minimum: string;
  readonly price: string;
}

/**
 * Puts the card right after counting, or when the price changed. It says what it was based on, so that nobody's change
 * is overwritten unseen.
 */
function PutRight({ part, onChanged }: CardProps) {
  const { shop, who } = useFrame();
  const [basedOn, setBasedOn] = useState(part.version);
  const form = useSentForm<Card>({
    start: {
      quantity: String(part.quantity),
      minimum: String(part.minimum),
      price: amountText(part.priceCents, shop),
    },
    send: async ({ quantity, minimum, price }) => {
      try {
        const stored = await api.put<PartCardView>(addressOf(part.sku), {
          by: who || UNNAMED,
          version: basedOn,
          quantity: Number(quantity),
          minimum: Number(minimum),
          priceCents: Math.round(Number(price.replace(',', '.')) * 10 ** decimalsOf(shop)),
        });
        setBasedOn(stored.part.version);
      } catch (error) {
        // What stands now is said; sent once more, it is put right knowing it.
        if (error instanceof RequestFailed && error.reply.code === 'changed-since')
          setBasedOn((await api.get<PartCardView>(addressOf(part.sku))).part.version);
        throw error;
      }
      await onChanged();
    },
    otherwise: common.notStored,
  });
  return (
    <Form form={form}>
      <h3 className="border-t border-line pt-3 font-bold">{texts.putRight}</h3>
      <div className="grid grid-cols-3 gap-3 max-md:grid-cols-1">
        <TextField
          form={form}
          name="quantity"
          label={texts.countedOnTheShelf}
          look="figures"
          rules={{ validate: isWhole }}
        />
        <TextField form={form} name="minimum" label={texts.minimum} look="figures" rules={{ validate: isWhole }} />
        <TextField form={form} name="price" label={texts.price} look="figures" rules={{ validate: isAmount }} />
      </div>
      <Refusal form={form} />
      <p>
        <SendButton form={form}>{texts.putItRight}</SendButton>
      </p>
    </Form>
  );
}

const signed = (change: number): string => (change > 0 ? `+${change}` : String(change).replace('-', '−'));

function Movements({ movements }: { movements: readonly StockMovementView[] }) {
  const { shop } = useFrame();
  if (movements.length === 0) return null;
  return (
    <section>
      <h3 className="border-t border-line pt-3 font-bold">{texts.lately}</h3>
      <ul className="text-sm">
        {movements.map(({ id, kind, change, left, note, at, by }) => (
          <li key={id} className="flex flex-wrap gap-x-3 border-b border-line py-1">
            <span className="w-10 text-right figures font-semibold">{change === 0 ? '' : signed(change)}</span>
            <span>{movementWord[kind]}</span>
            <span className="text-ink-soft">{texts.left(left, note && `, ${note}`)}</span>
            <span className="ml-auto text-ink-soft">
              {by}, {shopMoment(at, shop)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
