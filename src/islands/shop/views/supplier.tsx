import { Supplier } from '../Supplier';
import type { ShopViewProps } from '.';

/** The supplier that the shop practises with. */
export default function SupplierView({ view: { supplier } }: ShopViewProps) {
  return <Supplier mood={supplier} />;
}
