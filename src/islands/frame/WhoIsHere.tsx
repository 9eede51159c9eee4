import { useState } from 'react';
import type { Me, ShopView } from '../../contract';
import { useFrame } from './frame-context';
import { opened } from './opened';
import * as texts from '#language/screens/frame';
import * as people from '#language/screens/people';

const NEW = '+new';

/** The dialog is fetched when the list of names is entered. */
const AddPerson = opened(() => import('./AddPerson').then(({ AddPerson: View }) => View));

/** What somebody who is signed in may do with that is fetched when the button is entered. */
const WhoDialog = opened(() => import('./who/WhoDialog').then(({ WhoDialog: View }) => View));

/** Who is at the bench: every reading is stored under that name. */
export function WhoIsHere({ onShop }: { onShop: (shop: ShopView) => void }) {
  const { me } = useFrame().shop;
  return me ? <SignedIn me={me} /> : <WhoSaysSo onShop={onShop} />;
}

/** Who is signed in, and the way to give the bench over. */
function SignedIn({ me }: { me: Me }) {
  const [open, setOpen] = useState<'never' | 'open' | 'closed'>('never');
  return (
    <>
      <button
        type="button"
        className="quiet min-h-10 max-w-48 truncate font-semibold"
        aria-label={people.whoIsHere(me.name)}
        onFocus={WhoDialog.fetch}
        onPointerEnter={WhoDialog.fetch}
        onClick={() => setOpen('open')}
      >
        {me.name}
      </button>
      {open !== 'never' && <WhoDialog me={me} open={open === 'open'} onClose={() => setOpen('closed')} />}
    </>
  );
}

/** Where nobody signs in, whoever is here says so. */
function WhoSaysSo({ onShop }: { onShop: (shop: ShopView) => void }) {
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
