import { useId, useState, type FormEvent } from 'react';
import { STYLES, type ShopFacts, type ShopView } from '../../contract';
import { Notice } from '../../ui/parts/Notice';
import { money, shopMoment } from '../../wording';
import { api, failure } from '../frame/api';
import { useChangedHere } from '../frame/server-data';

/** Facts as they may be half chosen: what does not exist shows no example. */
function example(facts: ShopFacts): string {
  try {
    return `${money(123450, facts)}, ${shopMoment('2026-12-31T15:30:00Z', facts)}`;
  } catch {
    return 'this currency or time zone does not exist';
  }
}

/** What the shop says of itself: its name, its currency, where it stands, and how it writes numbers and dates. */
export function About({ shop }: { shop: ShopView }) {
  const changedHere = useChangedHere();
  const id = useId();
  const [typed, setTyped] = useState<Partial<ShopFacts>>({});
  const [said, setSaid] = useState<{ kind: 'good' | 'error'; text: string } | null>(null);
  const { name, currency, timeZone, style } = shop;
  const facts = { name, currency, timeZone, style, ...typed } as ShopFacts;
  const set = (key: keyof ShopFacts) => (value: string) => {
    setTyped((before) => ({ ...before, [key]: value }));
    setSaid(null);
  };
  const save = async (event: FormEvent) => {
    event.preventDefault();
    try {
      await api.put('/api/shop', facts);
      await changedHere();
      setTyped({});
      setSaid({ kind: 'good', text: 'Written down. Pages that are opened from now on show it.' });
    } catch (error) {
      setSaid({
        kind: 'error',
        text: failure(error, 'It was not stored. Try again.'),
      });
    }
  };
  const choices = [
    { key: 'currency', label: 'Currency', list: Intl.supportedValuesOf('currency') },
    { key: 'timeZone', label: 'Time zone', list: Intl.supportedValuesOf('timeZone') },
  ] as const;
  return (
    <form onSubmit={(event) => void save(event)} noValidate className="grid max-w-xl gap-3">
      <label className="grid gap-1">
        <span className="text-sm font-semibold text-ink-soft">Name of the shop</span>
        <input
          className="entry"
          value={facts.name}
          maxLength={80}
          onChange={({ target }) => set('name')(target.value)}
        />
      </label>
      <div className="grid grid-cols-2 gap-3 max-md:grid-cols-1">
        {choices.map(({ key, label, list }) => (
          <label key={key} className="grid gap-1">
            <span className="text-sm font-semibold text-ink-soft">{label}</span>
            <input
              className="entry"
              list={`${id}-${key}`}
              value={facts[key]}
              autoComplete="off"
              onChange={({ target }) => set(key)(target.value)}
            />
            <datalist id={`${id}-${key}`}>
              {list.map((value) => (
                <option key={value} value={value} />
              ))}
            </datalist>
          </label>
        ))}
      </div>
      <label className="grid gap-1">
        <span className="text-sm font-semibold text-ink-soft">Dates and numbers are written</span>
        <select className="entry" value={facts.style} onChange={({ target }) => set('style')(target.value)}>
          {Object.entries(STYLES).map(([tag, shown]) => (
            <option key={tag} value={tag}>
              {shown}
            </option>
          ))}
        </select>
      </label>
      <p className="text-sm text-ink-soft">
        So: <span className="figures text-ink">{example(facts)}</span>
      </p>
      {said && <Notice kind={said.kind}>{said.text}</Notice>}
      <button type="submit" className="act justify-self-start">
        Write it down
      </button>
    </form>
  );
}
