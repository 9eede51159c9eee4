import type { PeopleView } from '../../../contract';
import { useFrame } from '../../frame/frame-context';
import { useServerData } from '../../frame/server-data';
import { Accounts } from './Accounts';
import { FirstOwner } from './FirstOwner';
import { Sessions } from './Sessions';
import { Tokens } from './Tokens';

const NOT_YET: PeopleView = { accounts: [], sessions: [], tokens: [] };

/** Everybody who may come in: people, their browsers, and other programs. */
export function People() {
  const view = useServerData('/api/people/accounts', NOT_YET, { shown: ['shop', 'door'], isWhole: false });
  const isOpen = useFrame().shop.me === null;
  return (
    <div className="grid grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)] items-start gap-x-10 gap-y-6 max-lg:grid-cols-1">
      <div className="grid gap-6">
        {isOpen && view !== NOT_YET && <FirstOwner accounts={view.accounts} />}
        <Accounts accounts={view.accounts} />
      </div>
      {!isOpen && (
        <div className="grid gap-6">
          <Sessions sessions={view.sessions} />
          <Tokens tokens={view.tokens} />
        </div>
      )}
    </div>
  );
}
