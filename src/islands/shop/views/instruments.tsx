import { Instruments } from '../instruments/Instruments';
import type { ShopViewProps } from '.';

/** Studies of hands and tools. */
export default function InstrumentsView({ view: { studies, today } }: ShopViewProps) {
  return <Instruments studies={studies} today={today} />;
}
