import { useState } from 'react';
import type { ShopView } from '../../contract';
import { useFrame } from './frame-context';
import { opened } from './opened';
import * as texts from '#language/screens/frame';

const NEW = '+new';

/** The dialog is fetched when the list of names is entered. */
const AddPerson = opened(() => import('./AddPerson').then(({ AddPerson: View }) => View));

/** Who is at the bench: every reading is stored under that name. */
export function WhoIsHere({ onShop }: { onShop: (shop: ShopView) => void }) {
  const { shop, who, setWho } = useFrame();
  const [adding, setAdding] = useState<'never' | 'open' | 'closed'>('never');
  return (
    <>
      <label className="flex items-center gap-2">
        <span className="sr-only">{texts.atTheBench}</span>
        <select
          className="entry min-h-10 max-w-40 font-semibold"
          value={who}
          onFocus={AddPerson.fetch}
          onChange={({ target }) => (target.value === NEW ? setAdding('open') : setWho(target.value))}
        >
          {who === '' && <option value="">{texts.whoIsHere}</option>}
          {shop.people.map((person) => (
            <option key={person.id}>{person.name}</option>
          ))}
          <option value={NEW}>{texts.somebodyElse}</option>
        </select>
      </label>
      {adding !== 'never' && (
        <AddPerson
          open={adding === 'open'}
          onClose={() => setAdding('closed')}
          onAdded={(next, name) => {
            onShop(next);
            setWho(name);
            setAdding('closed');
          }}
        />
      )}
    </>
  );
}
