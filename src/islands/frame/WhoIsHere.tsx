import { useState, type FormEvent } from 'react';
import type { ShopView } from '../../contract';
import { Dialog } from '../../ui/parts/Dialog';
import { Notice } from '../../ui/parts/Notice';
import { api, failure } from './api';
import { useFrame } from './frame-context';

const NEW = '+new';

/** Who is at the bench: every reading is stored under that name. */
export function WhoIsHere({ onShop }: { onShop: (shop: ShopView) => void }) {
  const { shop, who, setWho } = useFrame();
  const [adding, setAdding] = useState(false);
  const [name, setName] = useState('');
  const [refused, setRefused] = useState<string | null>(null);
  const add = async (event: FormEvent) => {
    event.preventDefault();
    try {
      onShop(await api.post<ShopView>('/api/people', { name }));
      setWho(name.trim());
      setAdding(false);
      setName('');
      setRefused(null);
    } catch (error) {
      setRefused(failure(error, 'The name was not saved.'));
    }
  };
  return (
    <>
      <label className="flex items-center gap-2">
        <span className="sr-only">At the bench</span>
        <select
          className="entry min-h-10 max-w-40 font-semibold"
          value={who}
          onChange={({ target }) => (target.value === NEW ? setAdding(true) : setWho(target.value))}
        >
          {who === '' && <option value="">Who is here?</option>}
          {shop.people.map((person) => (
            <option key={person.id}>{person.name}</option>
          ))}
          <option value={NEW}>Somebody else…</option>
        </select>
      </label>
      <Dialog title="Who is at the bench?" open={adding} onClose={() => setAdding(false)}>
        <form onSubmit={(event) => void add(event)} className="grid gap-3">
          <label className="grid gap-1">
            <span className="text-sm font-semibold text-ink-soft">Name</span>
            <input className="entry" value={name} maxLength={80} onChange={({ target }) => setName(target.value)} />
          </label>
          {refused && <Notice kind="error">{refused}</Notice>}
          <button type="submit" className="act justify-self-start" disabled={name.trim() === ''}>
            Come to the bench
          </button>
        </form>
      </Dialog>
    </>
  );
}
