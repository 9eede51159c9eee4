import { Figures } from '../figures/Figures';
import type { ShopViewProps } from '.';

/** What the shop's own records teach, and how the shop is doing. */
export default function FiguresOfShop({ view: { today } }: ShopViewProps) {
  return <Figures today={today} />;
}
