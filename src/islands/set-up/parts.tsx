import type { ComponentType } from 'react';
import type { PeopleView, SetUpItem, SetUpView } from '../../contract';
import { useServerData } from '../frame/server-data';
import { About } from '../shop/About';
import { LimitList } from '../shop/LimitList';
import { Accounts } from '../shop/people/Accounts';
import { FirstOwner } from '../shop/people/FirstOwner';
import * as texts from '#language/screens/set-up';

/** What a part of the set-up is given. */
export interface PartProps {
  readonly view: SetUpView;
  readonly onDone: () => Promise<unknown>;
}

const NOT_YET: PeopleView = { accounts: [], sessions: [], tokens: [] };

function People() {
  const { accounts } = useServerData('/api/people/accounts', NOT_YET, { shown: ['shop', 'door'], isWhole: false });
  return (
    <div className="max-w-3xl">
      <Accounts accounts={accounts} />
    </div>
  );
}

function SignIn() {
  const view = useServerData('/api/people/accounts', NOT_YET, { shown: ['shop', 'door'], isWhole: false });
  return <div className="max-w-3xl">{view !== NOT_YET && <FirstOwner accounts={view.accounts} />}</div>;
}

function Limits({ view, which }: PartProps & { readonly which: 'limits' | 'rates' }) {
  return (
    <>
      <p className="mb-3 max-w-prose text-ink-soft">{which === 'limits' ? texts.limitsSay : texts.ratesSay}</p>
      <LimitList limits={view.limits} which={which} />
    </>
  );
}

/** What is brought as a list, and where. */
function Brought({ says, to, href }: { readonly says: string; readonly to: string; readonly href: string }) {
  return (
    <div className="max-w-prose">
      <p className="mb-3">{says}</p>
      <a className="inline-grid quiet place-items-center" href={href}>
        {to}
      </a>
    </div>
  );
}

/** What each thing of the set-up is said or brought with. */
export const PART: Readonly<Record<SetUpItem, ComponentType<PartProps>>> = {
  shop: ({ view, onDone }) => <About shop={view.shop} onWritten={onDone} />,
  people: People,
  limits: (props) => <Limits {...props} which="limits" />,
  rates: (props) => <Limits {...props} which="rates" />,
  stock: () => <Brought says={texts.stockSays} to={texts.toStock} href="/stock" />,
  saws: () => <Brought says={texts.sawsSay} to={texts.toGear} href="/gear" />,
  'sign-in': SignIn,
};
