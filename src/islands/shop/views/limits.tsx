import { LimitList } from '../LimitList';
import { LimitChanges } from '../LimitChanges';
import type { ShopViewProps } from '.';

/** The limits every judgement is made with. */
export default function Limits({ view }: ShopViewProps) {
  return (
    <>
      <p className="mb-3 max-w-prose text-ink-soft">
        Defaults of a shop, not of the trade. Where the saw’s maker gives a figure, write it here with its source: it
        wins. Signed-off verdicts keep the limits they were made with.
      </p>
      <LimitList limits={view.limits} which="limits" />
      <LimitChanges changes={view.changes} which="limits" />
    </>
  );
}
