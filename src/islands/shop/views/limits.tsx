import { LimitList } from '../LimitList';
import { LimitChanges } from '../LimitChanges';
import type { ShopViewProps } from '.';
import * as texts from '#language/screens/shop';

/** The limits every judgement is made with. */
export default function Limits({ view }: ShopViewProps) {
  return (
    <>
      <p className="mb-3 max-w-prose text-ink-soft">{texts.defaultsOfAShop}</p>
      <LimitList limits={view.limits} which="limits" />
      <LimitChanges changes={view.changes} which="limits" />
    </>
  );
}
