import { askedOfStock, asksForMount, withBars, type Judged } from '../../core/plan';
import type { Schools } from '../../core/schools';
import type { StockPart } from '../../core/stock';
import { barsOfMounts, chainsOfNumbers, mountsOfBars, smallerParts } from '../../data/repositories';
import type { Queryable } from '../../data/store';

/** Parts of the list that can be in a plan of a sheet: the others are not read. */
export async function stockAsked(db: Queryable, judged: Judged, schools: Schools): Promise<readonly StockPart[]> {
  const asked = askedOfStock(judged, schools);
  const mounts = (await mountsOfBars(db)).filter((mount) => asksForMount(asked, mount));
  const bars = await barsOfMounts(db, mounts);
  const { numbers, pitches } = withBars(asked, bars);
  return [...bars, ...(await chainsOfNumbers(db, numbers)), ...(await smallerParts(db, pitches))];
}
