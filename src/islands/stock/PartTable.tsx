import { useState, type FormEvent } from 'react';
import type { StockPart } from '../../core/stock';
import { Dialog } from '../../ui/parts/Dialog';
import { Notice } from '../../ui/parts/Notice';
import { amountText, decimalsOf, money, familyLabel, stockKindWord } from '../../wording';
import { api, failure } from '../frame/api';
import { useFrame } from '../frame/frame-context';
import { useChangedHere } from '../frame/server-data';

/** Parts on the shelf. A part's name opens its card, where quantity, minimum and price are put right. */
export function PartTable({ parts }: { parts: readonly StockPart[] }) {
  const [open, setOpen] = useState<StockPart | null>(null);
  const { shop } = useFrame();
  const changedHere = useChangedHere();
  const changed = async () => {
    await changedHere();
    setOpen(null);
  };
  return (
    <div className="overflow-x-auto">
      <table className="w-full border-collapse">
        <thead>
          <tr className="border-b-2 border-ink text-left text-sm">
            {['Part', 'Kind', 'Pitch', 'Gauge', 'Links', 'Class'].map((name) => (
              <th key={name} scope="col" className="px-2 py-1.5">
                {name}
              </th>
            ))}
            {['On the shelf', 'Price'].map((name) => (
              <th key={name} scope="col" className="px-2 py-1.5 text-right">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {parts.map((part) => (
            <tr key={part.sku} className="border-b border-line">
              <th scope="row" className="px-2 text-left font-normal">
                <button type="button" className="min-h-11 py-1 text-left hover:underline" onClick={() => setOpen(part)}>
                  <span className="block font-semibold">{part.name}</span>
                  <span className="figures text-sm text-ink-soft">
                    {[part.sku, part.mount && `mount ${part.mount}`, part.oilHole && `oil hole ${part.oilHole}`]
                      .filter(Boolean)
                      .join(' · ')}
                  </span>
                </button>
              </th>
              <td className="px-2">{stockKindWord[part.kind]}</td>
              <td className="px-2 figures">{part.pitch ? familyLabel(part.pitch) : ''}</td>
              <td className="px-2 figures">{part.gauge ?? ''}</td>
              <td className="px-2 figures">{part.driveLinks ?? ''}</td>
              <td className="px-2 text-sm">{part.kickbackClass ?? ''}</td>
              <td className="px-2 text-right figures">
                {part.quantity}
                {part.quantity < part.minimum && (
                  <span className="ml-2 font-sans text-sm font-bold text-brass">below {part.minimum}</span>
                )}
              </td>
              <td className="px-2 text-right figures">{money(part.priceCents, shop)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <Dialog title={open?.name ?? ''} open={open !== null} onClose={() => setOpen(null)}>
        {open && <PartCard part={open} onChanged={changed} />}
      </Dialog>
    </div>
  );
}

const whole = (text: string): number | null => (/^\d{1,7}$/.test(text.trim()) ? Number(text) : null);

function PartCard({ part, onChanged }: { part: StockPart; onChanged: () => Promise<void> }) {
  const { shop } = useFrame();
  const [quantity, setQuantity] = useState(String(part.quantity));
  const [minimum, setMinimum] = useState(String(part.minimum));
  const [price, setPrice] = useState(amountText(part.priceCents, shop));
  const [refused, setRefused] = useState<string | null>(null);
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const [pieces, least] = [whole(quantity), whole(minimum)];
    const amount = /^\d+([.,]\d{1,2})?$/.test(price.trim()) ? Number(price.replace(',', '.')) : null;
    if (pieces === null || least === null)
      return setRefused('On the shelf and minimum are whole numbers, such as 4. Nothing was changed.');
    if (amount === null) return setRefused('The price is a number such as 17.90. Nothing was changed.');
    try {
      await api.put(`/api/stock/parts/${encodeURIComponent(part.sku)}`, {
        quantity: pieces,
        minimum: least,
        priceCents: Math.round(amount * 10 ** decimalsOf(shop)),
      });
      await onChanged();
    } catch (error) {
      setRefused(failure(error, 'It was not stored. Try again.'));
    }
  };
  const fields = [
    { name: 'On the shelf', value: quantity, set: setQuantity },
    { name: 'Minimum', value: minimum, set: setMinimum },
    { name: 'Price', value: price, set: setPrice },
  ];
  return (
    <form noValidate onSubmit={(event) => void submit(event)} className="grid gap-3">
      <p className="figures text-sm text-ink-soft">{part.sku}</p>
      <div className="grid grid-cols-3 gap-3">
        {fields.map(({ name, value, set }) => (
          <label key={name} className="grid gap-1">
            <span className="text-sm font-semibold text-ink-soft">{name}</span>
            <input className="entry figures" value={value} onChange={({ target }) => set(target.value)} />
          </label>
        ))}
      </div>
      {refused && <Notice kind="error">{refused}</Notice>}
      <button type="submit" className="act">
        Put it right
      </button>
    </form>
  );
}
