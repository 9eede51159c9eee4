import type { ShopsView } from '../../../contract';
import { useServerData } from '../../frame/server-data';
import { AddShop } from './AddShop';
import { OwnGear } from './OwnGear';
import { ShopRow } from './ShopRow';
import * as texts from '#language/screens/shops';

const NOT_YET: ShopsView = { shops: [], isClosed: true, keepsStore: false };

/** The shops that share this store: who they are, what they show one another, and how another one begins. */
export function Shops() {
  const view = useServerData('/api/shops', NOT_YET, { shown: ['shop', 'door'], isWhole: false });
  const own = view.shops.find(({ isOwn }) => isOwn);
  return (
    <div className="grid grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)] items-start gap-x-10 gap-y-6 max-lg:grid-cols-1">
      <section aria-labelledby="shops">
        <h2 id="shops" className="mb-2 text-lg font-bold">
          {texts.onThisStore}
        </h2>
        <p className="mb-3 max-w-prose text-ink-soft">{texts.says}</p>
        <ul className="border-t-2 border-ink">
          {view.shops.map((shop) => (
            <ShopRow key={shop.id} shop={shop} view={view} />
          ))}
        </ul>
      </section>
      <div className="grid gap-6">
        {own && view.shops.length > 1 && <OwnGear own={own} />}
        {view.keepsStore && view !== NOT_YET && <AddShop isClosed={view.isClosed} />}
      </div>
    </div>
  );
}
