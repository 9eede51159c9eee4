import { About } from '../About';
import { Changed, changedAt } from '../Changed';
import type { ShopViewProps } from '.';

/** What the shop says of itself. */
export default function AboutView({ view: { shop, written } }: ShopViewProps) {
  return (
    <>
      <About shop={shop} />
      <Changed lines={changedAt(written, 'fact')} />
    </>
  );
}
