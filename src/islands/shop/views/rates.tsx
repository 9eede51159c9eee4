import { LimitList } from '../LimitList';
import { LimitChanges } from '../LimitChanges';
import type { ShopViewProps } from '.';
import * as texts from '#language/screens/shop';

/** What plans are reckoned with. */
export default function Rates({ view }: ShopViewProps) {
  return (
    <>
      <p className="mb-3 max-w-prose text-ink-soft">{texts.whatPlansAreReckoned}</p>
      <LimitList limits={view.limits} which="rates" />
      <LimitChanges changes={view.changes} which="rates" />
    </>
  );
}
