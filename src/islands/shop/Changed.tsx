import type { ReactNode } from 'react';
import type { ShopChangeView } from '../../contract';
import { changedPlace, shopChange, shopDay, type ChangedPlace } from '../../wording';
import { useFrame } from '../frame/frame-context';
import * as texts from '#language/screens/shop';

interface ChangedLine {
  readonly key: string;
  readonly name: ReactNode;
  readonly became: string;
  readonly at: string;
  readonly by: string;
}

/** What was changed lately, with who and when. */
export function Changed({ lines }: { lines: readonly ChangedLine[] }) {
  const { shop } = useFrame();
  if (lines.length === 0) return null;
  return (
    <section className="mt-6">
      <h2 className="text-lg font-bold">{texts.changed}</h2>
      <ul>
        {lines.map(({ key, name, became, at, by }) => (
          <li key={key} className="border-b border-line py-1.5">
            {name} <strong>{became}</strong>
            {texts.byOn(by, shopDay(at, shop))}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Lines of one place of the shop. */
export function changedAt(written: readonly ShopChangeView[], place: ChangedPlace): readonly ChangedLine[] {
  return written
    .filter(({ what }) => changedPlace(what) === place)
    .map((change) => ({ key: `${change.what}${change.at}`, ...shopChange(change), at: change.at, by: change.by }));
}
