import { useState } from 'react';
import type { SharingShopView, ShopsView } from '../../../contract';
import { waitingCounts } from '../../../offline/outbox';
import { Dialog } from '../../../ui/parts/Dialog';
import { Notice } from '../../../ui/parts/Notice';
import { api, failure } from '../../frame/api';
import { wipe } from '../../frame/away/keep';
import { GiveOwner } from './GiveOwner';
import * as texts from '#language/screens/shops';

/** Has this bench work for another shop: what waits here for the one before is stored first. */
async function workFor(shop: string): Promise<string | null> {
  const waiting = [...waitingCounts(localStorage).values()].reduce((sum, each) => sum + each, 0);
  if (waiting > 0) return texts.bringInFirst(waiting);
  try {
    await api.put('/api/shops/here', { shop });
  } catch (error) {
    return failure(error, texts.notChanged);
  }
  // What is kept of one shop is none of the other's.
  await wipe();
  window.location.assign('/');
  return null;
}

/** A shop that shares the store. */
export function ShopRow({ shop, view }: { readonly shop: SharingShopView; readonly view: ShopsView }) {
  const [refused, setRefused] = useState<string | null>(null);
  const [isGiving, setGiving] = useState(false);
  const { id, name, people, sharesGear, isOwn, hasOwner } = shop;
  const lacksOwner = view.isClosed && !hasOwner;
  return (
    <li className="grid grid-cols-[minmax(9rem,1fr)_minmax(0,1.4fr)_minmax(9rem,auto)] items-center gap-3 border-b border-line py-1.5 max-md:grid-cols-1">
      <span className="min-h-11 min-w-0 content-center font-bold wrap-anywhere">
        {name}
        {isOwn && <span className="block text-sm font-normal text-ink-soft">{texts.thisOne}</span>}
      </span>
      <span className="text-sm text-ink-soft">
        {texts.peopleThere(people)}, {sharesGear ? texts.shows : texts.keepsToItself}
        {lacksOwner && <span className="block font-bold text-oxide">{texts.nobodyCanSignIn}</span>}
      </span>
      <span className="flex flex-wrap gap-2">
        {!view.isClosed && !isOwn && (
          <button
            type="button"
            className="quiet"
            aria-label={texts.workFor(name)}
            onClick={() => void workFor(id).then(setRefused)}
          >
            {texts.workForIt}
          </button>
        )}
        {view.isClosed && view.keepsStore && !isOwn && (
          <button type="button" className="quiet" aria-label={texts.giveOwnerTo(name)} onClick={() => setGiving(true)}>
            {texts.giveOwner}
          </button>
        )}
      </span>
      {refused && (
        <div className="col-span-full">
          <Notice kind="error">{refused}</Notice>
        </div>
      )}
      <Dialog title={texts.giveOwnerTo(name)} open={isGiving} onClose={() => setGiving(false)}>
        <GiveOwner shop={id} onDone={() => setGiving(false)} />
      </Dialog>
    </li>
  );
}
