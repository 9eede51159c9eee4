import type { FamilyId } from '../families';
import { samePattern } from '../fit';
import { flatMap } from '../flat-map';
import type { Schools } from '../schools';
import type { StockPart } from '../stock';
import type { Judged } from './choices';
import { keptChainNumbers } from './picks';
import { numbersKey, numbersOf, type Numbers } from './shelf';
import { numbersOfSet, wantedOf } from './wanted';

/** What the plans of a sheet ask a stock list for. Nothing else on it goes into any of them. */
export interface AskedOfStock {
  /** Mount of the bars that suit the saw; null where no bar does. */
  readonly mount: string | null;
  /** Numbers of the chains that go on beside a bar that stays; those of the bars come to them. */
  readonly numbers: readonly Numbers[];
  /** Pitches of the sprockets and noses that go on beside what stays; those of the bars come to them. */
  readonly pitches: readonly FamilyId[];
}

/** What the plans of a sheet ask a stock list for, before any bar is looked at. */
export function askedOfStock(judged: Judged, schools: Schools): AskedOfStock {
  const { pitch, gauge, driveLinks } = numbersOfSet(judged.identity);
  const kept = keptChainNumbers(judged);
  const came = pitch && gauge && driveLinks ? { pitch, gauge, driveLinks } : null;
  const { value: ofSprocket } = judged.identity.driveSprocket.pitch;
  return {
    mount: wantedOf(judged, schools).mount,
    numbers: [kept, came].filter((numbers) => numbers !== null),
    pitches: [pitch, kept?.pitch ?? null, ofSprocket].filter((each) => each !== null),
  };
}

/** Whether bars of a mount are asked for. */
export const asksForMount = ({ mount: wanted }: AskedOfStock, mount: string | null): boolean =>
  wanted !== null && mount !== null && samePattern(mount, wanted);

/** What is asked for once the bars are known that suit the saw: each may bring a set of its own numbers with it. */
export function withBars(asked: AskedOfStock, bars: readonly StockPart[]): AskedOfStock {
  const numbers = [...asked.numbers, ...flatMap(bars, (bar) => numbersOf(bar) ?? [])];
  const once = [...new Map(numbers.map((each) => [numbersKey(each), each])).values()];
  return { ...asked, numbers: once, pitches: [...new Set([...asked.pitches, ...once.map(({ pitch }) => pitch)])] };
}
