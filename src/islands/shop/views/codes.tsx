import { Changed, changedAt } from '../Changed';
import { Codes } from '../Codes';
import type { ShopViewProps } from '.';

/** Drive-link codes the shop has learned. */
export default function CodesView({ view: { codes, written } }: ShopViewProps) {
  return (
    <>
      <Codes codes={codes} />
      <Changed lines={changedAt(written, 'code')} />
    </>
  );
}
