import { useMemo, useState } from 'react';
import type { ShelvedPartView } from '../../contract';
import { FAMILIES, FAMILY_IDS } from '../../core/families';
import { Dialog } from '../../ui/parts/Dialog';
import { familyLabel, kickbackClassWord, money, sequenceWord, sprocketKindWord, stockKindWord } from '../../wording';
import { useFrame } from '../frame/frame-context';
import { opened } from '../frame/opened';
import { useChangedHere } from '../frame/server-data';
import type { Column } from '../frame/table/column';
import { LongTable } from '../frame/table/LongTable';
import * as texts from '#language/screens/stock';

/** The card is fetched when a part is pointed at. */
const PartCard = opened(() => import('./PartCard').then(({ PartCard: View }) => View));

interface PartTableProps {
  /** The first of the list. */
  readonly parts: readonly ShelvedPartView[];
  readonly total: number;
  /** What the list is narrowed by, as it stands in the address. */
  readonly query: string;
}

/** Families by their pitch, and of one pitch as they are always named. */
const pitchOrder = ({ pitch }: ShelvedPartView): number | null =>
  pitch && FAMILIES[pitch].pitch + FAMILY_IDS.indexOf(pitch) / 100;

/** What stands in the table of parts. */
function columnsOf(
  shop: Parameters<typeof money>[1],
  open: (part: ShelvedPartView) => void,
): readonly Column<ShelvedPartView>[] {
  return [
    {
      id: 'part',
      head: texts.part,
      isName: true,
      value: ({ name }) => name,
      cell: (part) => <PartName part={part} onOpen={() => open(part)} />,
    },
    { id: 'sku', width: 10, head: texts.partNumber, isExtra: true, value: ({ sku }) => sku, cell: ({ sku }) => sku },
    {
      id: 'kind',
      width: 9,
      head: texts.kind,
      value: ({ kind }) => stockKindWord[kind],
      cell: ({ kind }) => stockKindWord[kind],
    },
    {
      id: 'pitch',
      width: 10,
      head: texts.pitch,
      className: 'figures',
      value: pitchOrder,
      cell: ({ pitch }) => pitch && familyLabel(pitch),
    },
    {
      id: 'gauge',
      width: 6,
      head: texts.gauge,
      className: 'figures',
      value: ({ gauge }) => gauge,
      cell: ({ gauge }) => gauge,
    },
    {
      id: 'links',
      width: 5,
      head: texts.links,
      className: 'figures',
      value: ({ driveLinks }) => driveLinks,
      cell: ({ driveLinks }) => driveLinks,
    },
    {
      id: 'class',
      width: 8,
      head: texts.classWord,
      className: 'text-sm',
      value: ({ kickbackClass }) => kickbackClass && kickbackClassWord[kickbackClass],
      cell: ({ kickbackClass }) => kickbackClass && kickbackClassWord[kickbackClass],
    },
    {
      id: 'sequence',
      width: 9,
      head: texts.sequence,
      className: 'text-sm',
      value: ({ sequence }) => sequence && sequenceWord[sequence],
      cell: ({ sequence }) => sequence && sequenceWord[sequence],
    },
    {
      id: 'mount',
      width: 6,
      head: texts.mountHeading,
      isExtra: true,
      value: ({ mount }) => mount,
      cell: ({ mount }) => mount,
    },
    { id: 'saw', width: 12, head: texts.forSawHeading, isExtra: true, value: ({ saw }) => saw, cell: ({ saw }) => saw },
    {
      id: 'shelf',
      width: 10,
      head: texts.onTheShelfHeading,
      isRight: true,
      value: ({ quantity }) => quantity,
      cell: ({ quantity, minimum }) => (
        <>
          {quantity}
          {quantity < minimum && (
            <span className="ml-2 font-sans text-sm font-bold text-brass">{texts.below(minimum)}</span>
          )}
        </>
      ),
    },
    {
      id: 'minimum',
      width: 7,
      head: texts.minimumHeading,
      isRight: true,
      isExtra: true,
      value: ({ minimum }) => minimum,
      cell: ({ minimum }) => minimum,
    },
    {
      id: 'price',
      width: 7,
      head: texts.price,
      isRight: true,
      value: ({ priceCents }) => priceCents,
      cell: ({ priceCents }) => money(priceCents, shop),
    },
  ];
}

const keyOf = ({ sku }: ShelvedPartView): string => sku;

/** Parts on the shelf. A part's name opens its card, where quantity, minimum and price are put right. */
export function PartTable({ parts, total, query }: PartTableProps) {
  const [open, setOpen] = useState<ShelvedPartView | null>(null);
  const { shop } = useFrame();
  const changedHere = useChangedHere();
  const columns = useMemo(() => columnsOf(shop, setOpen), [shop]);
  const changed = async () => {
    await changedHere();
    setOpen(null);
  };
  return (
    <>
      <LongTable
        name={texts.stock}
        id="stock"
        columns={columns}
        keyOf={keyOf}
        rowHeight={3.25}
        first={parts}
        total={total}
        note={texts.countOfParts(total)}
        address={`/api/stock/rows?${query}`}
      />
      <Dialog title={open?.name ?? ''} open={open !== null} onClose={() => setOpen(null)}>
        {open && <PartCard part={open} onChanged={changed} />}
      </Dialog>
    </>
  );
}

function PartName({ part, onOpen }: { part: ShelvedPartView; onOpen: () => void }) {
  return (
    <button
      type="button"
      className="block min-h-11 max-w-full py-0.5 text-left hover:underline"
      onFocus={PartCard.fetch}
      onPointerEnter={PartCard.fetch}
      onClick={onOpen}
    >
      <span className="block leading-5 font-semibold group-data-[cut]:truncate">{part.name}</span>
      <span className="block figures text-sm text-ink-soft group-data-[cut]:truncate">
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
  );
}
