import { useState } from 'react';
import { LIMIT_IDS } from '../../core/limits';
import type { ShopPageView } from '../../contract';
import { Tabbed, TabList, TabPanel } from '../../ui/parts/Tabs';
import { limitName, type ChangedPlace } from '../../wording';
import { Frame } from '../frame/Frame';
import { About } from './About';
import { Backup } from './backup/Backup';
import { Changed, changedAt } from './Changed';
import { Codes } from './Codes';
import { Instruments } from './instruments/Instruments';
import { LimitRow } from './LimitRow';
import { SchoolChoices } from './SchoolChoices';
import { Supplier } from './Supplier';
import type { Preferences } from '../frame/preferences';
import { ServerData, useServerData } from '../frame/server-data';

const VIEWS = {
  limits: 'Limits',
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

function Limits({ view }: { view: ShopPageView }) {
  const { limits } = view;
  return (
    <>
      <p className="mb-3 max-w-prose text-ink-soft">
        Defaults of a shop, not of the trade. Where the saw’s maker gives a figure, write it here with its source: it
        wins. Signed-off verdicts keep the limits they were made with.
      </p>
      <div className="border-t-2 border-ink">
        {LIMIT_IDS.map((id) => (
          <LimitRow key={id} id={id} limit={limits[id]} />
        ))}
      </div>
      <Changed
        lines={view.changes.map(({ limitId, text, at, by }) => ({
          key: `${limitId}${at}`,
          name: limitName[limitId],
          became: text,
          at,
          by,
        }))}
      />
    </>
  );
}
