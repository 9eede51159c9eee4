import { useState } from 'react';
import type { ShelvedPartView } from '../../contract';
import { Dialog } from '../../ui/parts/Dialog';
import { familyLabel, kickbackClassWord, money, sequenceWord, sprocketKindWord, stockKindWord } from '../../wording';
import { useFrame } from '../frame/frame-context';
import { opened } from '../frame/opened';
import { useChangedHere } from '../frame/server-data';
import * as texts from '#language/screens/stock';

/** The card is fetched when a part is pointed at. */
const PartCard = opened(() => import('./PartCard').then(({ PartCard: View }) => View));

/** Parts on the shelf. A part's name opens its card, where quantity, minimum and price are put right. */
export function PartTable({ parts }: { parts: readonly ShelvedPartView[] }) {
  const [open, setOpen] = useState<ShelvedPartView | null>(null);
  const { shop } = useFrame();
  const changedHere = useChangedHere();
  const changed = async () => {
    await changedHere();
    setOpen(null);
  };
  return (
    <div className="overflow-x-auto">
      <table className="w-full border-collapse">
        <thead>
          <tr className="border-b-2 border-ink text-left text-sm">
            {[texts.part, texts.kind, texts.pitch, texts.gauge, texts.links, texts.classWord, texts.sequence].map(
              (name) => (
                <th key={name} scope="col" className="px-2 py-1.5">
                  {name}
                </th>
              ),
            )}
            {[texts.onTheShelfHeading, texts.price].map((name) => (
              <th key={name} scope="col" className="px-2 py-1.5 text-right">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {parts.map((part) => (
            <tr key={part.sku} className="border-b border-line">
              <th scope="row" className="px-2 text-left font-normal">
                <button
                  type="button"
                  className="min-h-11 py-1 text-left hover:underline"
                  onFocus={PartCard.fetch}
                  onPointerEnter={PartCard.fetch}
                  onClick={() => setOpen(part)}
                >
                  <span className="block font-semibold">{part.name}</span>
                  <span className="figures text-sm text-ink-soft">
                    {[
                      part.sku,
                      part.mount && texts.mount(part.mount),
                      part.oilHole && texts.oilHole(part.oilHole),
                      part.sprocketKind && sprocketKindWord[part.sprocketKind],
                      part.teeth && texts.teeth(part.teeth),
                      part.splines && texts.splines(part.splines),
                      part.bore && texts.bore(part.bore),
                      part.saw && texts.forSaws(part.saw),
                    ]
                      .filter(Boolean)
                      .join(' · ')}
                  </span>
                </button>
              </th>
              <td className="px-2">{stockKindWord[part.kind]}</td>
              <td className="px-2 figures">{part.pitch ? familyLabel(part.pitch) : ''}</td>
              <td className="px-2 figures">{part.gauge ?? ''}</td>
              <td className="px-2 figures">{part.driveLinks ?? ''}</td>
              <td className="px-2 text-sm">{part.kickbackClass && kickbackClassWord[part.kickbackClass]}</td>
              <td className="px-2 text-sm">{part.sequence && sequenceWord[part.sequence]}</td>
              <td className="px-2 text-right figures">
                {part.quantity}
                {part.quantity < part.minimum && (
                  <span className="ml-2 font-sans text-sm font-bold text-brass">{texts.below(part.minimum)}</span>
                )}
              </td>
              <td className="px-2 text-right figures">{money(part.priceCents, shop)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <Dialog title={open?.name ?? ''} open={open !== null} onClose={() => setOpen(null)}>
        {open && <PartCard part={open} onChanged={changed} />}
      </Dialog>
    </div>
  );
}
