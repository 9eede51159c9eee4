import { LimitList } from '../LimitList';
import { LimitChanges } from '../LimitChanges';
import type { ShopViewProps } from '.';

/** What plans are reckoned with. */
export default function Rates({ view }: ShopViewProps) {
  return (
    <>
      <p className="mb-3 max-w-prose text-ink-soft">
        What plans are reckoned with. They are invented until the shop sets them: write your own, and see first what
        they change in the open jobs. Money is in the smallest unit of the currency.
      </p>
      <LimitList limits={view.limits} which="rates" />
      <LimitChanges changes={view.changes} which="rates" />
    </>
  );
}
