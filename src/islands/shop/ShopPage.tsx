import { useState } from 'react';
import type { LimitId } from '../../core/limits';
import type { ShopPageView } from '../../contract';
import { Tabbed, TabList, TabPanel } from '../../ui/parts/Tabs';
import { limitName, type ChangedPlace } from '../../wording';
import { Frame } from '../frame/Frame';
import { About } from './About';
import { Backup } from './backup/Backup';
import { Changed, changedAt } from './Changed';
import { Codes } from './Codes';
import { Instruments } from './instruments/Instruments';
import { LimitList } from './LimitList';
import { SchoolChoices } from './SchoolChoices';
import { Supplier } from './Supplier';
import type { Preferences } from '../frame/preferences';
import { ServerData, useServerData } from '../frame/server-data';

const VIEWS = {
  limits: 'Limits',
  rates: 'Rates and lives',
  instruments: 'Instruments',
  about: 'About',
  codes: 'Codes',
  schools: 'Schools',
  supplier: 'Supplier',
  backup: 'Backup',
} as const;
type View = keyof typeof VIEWS;

/** Views whose changes are told below them. */
const PLACES: Partial<Record<View, ChangedPlace>> = { about: 'fact', codes: 'code', schools: 'school' };

interface ShopPageProps {
  readonly view: ShopPageView;
  readonly preferences: Preferences;
  /** The view asked for in the address. */
  readonly asked: string;
}

/** Shop: the limits every judgement is made with, the codes the shop has learned, and the supplier it practises with. */
export function ShopPage(props: ShopPageProps) {
  return (
    <ServerData>
      <Shop {...props} />
    </ServerData>
  );
}

function Shop({ view: arrived, preferences, asked }: ShopPageProps) {
  const view = useServerData('/api/shop', arrived);
  const [chosen, setChosen] = useState<View>(
    () => (Object.keys(VIEWS) as View[]).find((each) => each === asked) ?? 'limits',
  );
  const choose = (next: View) => {
    setChosen(next);
    window.history.replaceState(null, '', `/shop?view=${next}`);
  };
  return (
    <Frame shop={view.shop} preferences={preferences} place="shop">
      <Tabbed chosen={chosen} onChoose={choose}>
        <div className="mb-3 flex flex-wrap items-center gap-x-6">
          <h1 className="text-2xl font-extrabold">Shop</h1>
          <TabList label="Shop" tabs={(Object.keys(VIEWS) as View[]).map((id) => ({ id, name: VIEWS[id] }))} />
        </div>
        <TabPanel of={chosen}>
          {chosen === 'limits' && <Limits view={view} />}
          {chosen === 'rates' && <Rates view={view} />}
          {chosen === 'instruments' && <Instruments studies={view.studies} today={view.today} />}
          {chosen === 'about' && <About shop={view.shop} />}
          {chosen === 'codes' && <Codes codes={view.codes} />}
          {chosen === 'schools' && <SchoolChoices schools={view.schools} />}
          {PLACES[chosen] && <Changed lines={changedAt(view.written, PLACES[chosen])} />}
          {chosen === 'supplier' && <Supplier mood={view.supplier} />}
          {chosen === 'backup' && <Backup backups={view.backups} />}
        </TabPanel>
      </Tabbed>
    </Frame>
  );
}

/** Which list a limit belongs to. */
const isRate = (id: LimitId): boolean => id.startsWith('plan.');

function LimitChanges({ view, which }: { view: ShopPageView; which: 'limits' | 'rates' }) {
  return (
    <Changed
      lines={view.changes
        .filter(({ limitId }) => isRate(limitId) === (which === 'rates'))
        .map(({ limitId, text, at, by }) => ({
          key: `${limitId}${at}`,
          name: limitName[limitId],
          became: text,
          at,
          by,
        }))}
    />
  );
}

function Limits({ view }: { view: ShopPageView }) {
  return (
    <>
      <p className="mb-3 max-w-prose text-ink-soft">
        Defaults of a shop, not of the trade. Where the saw’s maker gives a figure, write it here with its source: it
        wins. Signed-off verdicts keep the limits they were made with.
      </p>
      <LimitList limits={view.limits} which="limits" />
      <LimitChanges view={view} which="limits" />
    </>
  );
}

function Rates({ view }: { view: ShopPageView }) {
  return (
    <>
      <p className="mb-3 max-w-prose text-ink-soft">
        What plans are reckoned with. They are invented until the shop sets them: write your own, and see first what
        they change in the open jobs. Money is in the smallest unit of the currency.
      </p>
      <LimitList limits={view.limits} which="rates" />
      <LimitChanges view={view} which="rates" />
    </>
  );
}
