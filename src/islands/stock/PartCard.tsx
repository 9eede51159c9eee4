import type { StockPart } from '../../core/stock';
import { amountText, decimalsOf } from '../../wording';
import { api } from '../frame/api';
import { Form, Refusal, SendButton, TextField, useSentForm } from '../frame/form';
import { useFrame } from '../frame/frame-context';

const isWhole = (text: string) => /^\d{1,7}$/.test(text.trim()) || 'A whole number, such as 4.';
const isAmount = (text: string) => /^\d+([.,]\d{1,2})?$/.test(text.trim()) || 'A number such as 17.90.';

interface Card {
  readonly quantity: string;
  readonly minimum: string;
  readonly price: string;
}

/** The card of a part, where quantity, minimum and price are put right. */
export function PartCard({ part, onChanged }: { part: StockPart; onChanged: () => Promise<void> }) {
  const { shop } = useFrame();
  const form = useSentForm<Card>({
    start: {
      quantity: String(part.quantity),
      minimum: String(part.minimum),
      price: amountText(part.priceCents, shop),
    },
    send: async ({ quantity, minimum, price }) => {
      await api.put(`/api/stock/parts/${encodeURIComponent(part.sku)}`, {
        quantity: Number(quantity),
        minimum: Number(minimum),
        priceCents: Math.round(Number(price.replace(',', '.')) * 10 ** decimalsOf(shop)),
      });
      await onChanged();
    },
    otherwise: 'It was not stored. Try again.',
  });
  return (
    <Form form={form}>
      <p className="figures text-sm text-ink-soft">{part.sku}</p>
      <div className="grid grid-cols-3 gap-3">
        <TextField form={form} name="quantity" label="On the shelf" look="figures" rules={{ validate: isWhole }} />
        <TextField form={form} name="minimum" label="Minimum" look="figures" rules={{ validate: isWhole }} />
        <TextField form={form} name="price" label="Price" look="figures" rules={{ validate: isAmount }} />
      </div>
      <Refusal form={form} />
      <SendButton form={form}>Put it right</SendButton>
    </Form>
  );
}
