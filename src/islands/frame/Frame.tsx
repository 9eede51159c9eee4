import { useEffect, useMemo, useState, type ComponentType, type ReactNode } from 'react';
import { formatFigure, formatLength, formatPosition, type Mm } from '../../core/quantity';
import type { ShopView } from '../../contract';
import { Band, type Place } from './Band';
import { doWhatWasEarly } from './early';
import { FrameContext, type FrameValue } from './frame-context';
import { remember, unitOn, type Preferences } from './preferences';
import { FRAME_KEYS, useKeys } from './keys';
import { WhereTroubleEnds } from './Trouble';

/** What is seldom seen, fetched when the page has arrived; `null` until it is here, and where it cannot be had. */
function useBehind(): { readonly View: ComponentType | null; readonly isSettled: boolean } {
  const [behind, setBehind] = useState<{ View: ComponentType | null; isSettled: boolean }>(NOTHING_YET);
  useEffect(
    () =>
      void import('./Behind').then(
        ({ Behind }) => setBehind({ View: Behind, isSettled: true }),
        () => setBehind({ View: null, isSettled: true }),
      ),
    [],
  );
  return behind;
}
const NOTHING_YET = { View: null, isSettled: false };

interface FrameProps {
  readonly shop: ShopView;
  readonly preferences: Preferences;
  readonly place: Place;
  /** A row under the band that stays in view, such as the linked plates. */
  readonly under?: (frame: FrameValue) => ReactNode;
  /** True when the page must not scroll: its zones do. */
  readonly fixed?: boolean;
  /** True while something of the page is still fetched: it does not answer yet. */
  readonly waits?: boolean;
  readonly children: ReactNode;
}

/** The frame of every place: band on top, one main act below. */
export function Frame({ shop: given, preferences, place, under, fixed = false, waits = false, children }: FrameProps) {
  const [unit, setUnitState] = useState(() => unitOn(preferences, given));
  const [bench, setBenchState] = useState(preferences.bench);
  const [who, setWhoState] = useState(preferences.who);
  const [shop, setShop] = useState(given);
  const { View: Behind, isSettled } = useBehind();
  useKeys(FRAME_KEYS);
  useEffect(doWhatWasEarly, []);
  const value = useMemo<FrameValue>(
    () => ({
      isUnitChosen: preferences.isUnitChosen,
      unit,
      bench,
      shop,
      who: shop.me?.name ?? (shop.people.some(({ name }) => name === who) ? who : ''),
      setUnit: (next) => {
        remember('unit', next);
        setUnitState(next);
      },
      setBench: (next) => {
        remember('bench', next);
        document.documentElement.dataset.bench = next;
        setBenchState(next);
      },
      setWho: (next) => {
        remember('who', next);
        setWhoState(next);
      },
      show: (mm, decimals) => formatLength(mm as Mm, unit, decimals),
      position: (mm) => formatPosition(mm as Mm, unit),
      figure: (mm, decimals) => formatFigure(mm as Mm, unit, decimals),
    }),
    [unit, bench, who, shop, preferences.isUnitChosen],
  );
  return (
    <FrameContext value={value}>
      <div
        data-ready={isSettled && !waits}
        className={fixed ? 'flex h-dvh flex-col max-md:h-auto max-md:min-h-dvh' : 'flex min-h-dvh flex-col'}
      >
        <Band place={place} slim={fixed} onShop={setShop} />
        {Behind && <Behind />}
        {under?.(value)}
        <main className={fixed ? 'min-h-0 flex-1' : 'mx-auto w-full max-w-[1800px] flex-1 px-5 py-5'}>
          <WhereTroubleEnds>{children}</WhereTroubleEnds>
        </main>
      </div>
    </FrameContext>
  );
}
