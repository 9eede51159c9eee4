import { useMemo, useState } from 'react';
import { unpackView, type Sent, type ShopPageView } from '../../contract';
import { Tabbed, TabList, TabPanel } from '../../ui/parts/Tabs';
import { Frame } from '../frame/Frame';
import type { Preferences } from '../frame/preferences';
import { ServerData, useServerData } from '../frame/server-data';
import { changedBy, SHOP_VIEW, SHOP_VIEWS, viewAsked, viewsFor, type ShopViewName } from './views';
import { inSentence } from '../../wording';
import * as setUp from '#language/screens/set-up';
import * as people from '#language/screens/people';
import * as texts from '#language/screens/shop';

interface ShopPageProps {
  readonly sent: Sent<ShopPageView>;
  readonly preferences: Preferences;
  /** The view asked for in the address. */
  readonly asked: string;
}

/**
 * Shop: the limits every judgement is made with, the codes the shop has learned, and the supplier it practises with.
 */
export function ShopPage(props: ShopPageProps) {
  return (
    <ServerData>
      <Shop {...props} />
    </ServerData>
  );
}

function Shop({ sent, preferences, asked }: ShopPageProps) {
  const arrived = useMemo(() => unpackView(sent), [sent]);
  const view = useServerData('/api/shop', arrived, { shown: ['shop', 'rules', 'door'] });
  const { me } = view.shop;
  const [chosen, setChosen] = useState<ShopViewName>(() => viewAsked(asked, me));
  const choose = (next: ShopViewName) => {
    setChosen(next);
    window.history.replaceState(null, '', `/shop?view=${next}`);
  };
  const View = SHOP_VIEW[chosen];
  const by = changedBy(chosen, me);
  return (
    <Frame shop={view.shop} preferences={preferences} place="shop">
      <Tabbed chosen={chosen} onChoose={choose}>
        <div className="mb-3 flex flex-wrap items-center gap-x-6">
          <h1 className="text-2xl font-extrabold">{texts.shop}</h1>
          <TabList label={texts.shop} tabs={viewsFor(me).map((id) => ({ id, name: SHOP_VIEWS[id] }))} />
        </div>
        <TabPanel of={chosen}>
          {view.stillOpen.length > 0 && (me === null || me.role === 'owner') && (
            <p className="mb-3 flex flex-wrap items-center gap-x-3">
              {setUp.stillOpen(view.stillOpen.map((item) => inSentence(setUp.itemName[item])))}
              <a className="grid min-h-11 place-items-center font-bold underline" href="/set-up">
                {setUp.toTheSetUp}
              </a>
            </p>
          )}
          {by && <p className="mb-3 max-w-prose font-semibold">{people.changedBy[by]}</p>}
          <fieldset disabled={by !== null} className="min-w-0">
            <View key={chosen} view={view} />
          </fieldset>
        </TabPanel>
      </Tabbed>
    </Frame>
  );
}
