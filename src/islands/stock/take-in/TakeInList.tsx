import { X } from 'lucide-react';
import { Notice } from '../../../ui/parts/Notice';
import { encodingWord, UNNAMED } from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { Act } from './Act';
import { BadRows } from './BadRows';
import { ColumnMatching } from './ColumnMatching';
import { Preview } from './Preview';
import { useTakeIn, type NamedList } from './use-take-in';
import * as texts from '#language/screens/stock-list';

/**
 * Takes a stock list in: columns matched, what it would change shown, bad rows mended here, progress, and undone as
 * one.
 */
export default function TakeInList({ onClose }: { onClose: () => void }) {
  const { who } = useFrame();
  const takeIn = useTakeIn(who || UNNAMED);
  const { opening, refused, list } = takeIn;
  return (
    <section aria-label={texts.takeInAList} className="mb-5 border-2 border-line-strong bg-sheet p-4">
      <div className="mb-3 flex items-start justify-between gap-4">
        <div>
          <h2 className="text-lg font-bold">{texts.takeInAList}</h2>
          <p className="text-sm text-ink-soft">{texts.csvWithAHeaderRow}</p>
        </div>
        <button type="button" className="quiet px-3" onClick={onClose} aria-label={texts.closeTheList}>
          <X size={18} aria-hidden="true" />
        </button>
      </div>
      <label className="grid max-w-md gap-1">
        <span className="text-sm font-semibold text-ink-soft">{texts.theList}</span>
        <input
          type="file"
          accept=".csv,text/csv,text/plain"
          className="entry py-2"
          onChange={({ target }) => target.files?.[0] && void takeIn.open(target.files[0])}
        />
      </label>
      {opening !== null && <Opening share={opening} onCancel={takeIn.forget} />}
      {refused && <Notice kind="error">{refused}</Notice>}
      {list && (
        <>
          <HowRead list={list} />
          <ColumnMatching takeIn={takeIn} />
          <Preview takeIn={takeIn} />
          <BadRows takeIn={takeIn} />
          <Act takeIn={takeIn} />
        </>
      )}
    </section>
  );
}

function Opening({ share, onCancel }: { share: number; onCancel: () => void }) {
  return (
    <div role="status" className="mt-3 flex max-w-md items-center gap-3">
      <progress className="h-3 grow accent-pine" value={share} max={1} aria-label={texts.readOfTheFile} />
      <button type="button" className="quiet" onClick={onCancel}>
        {texts.cancel}
      </button>
    </div>
  );
}

/** Said where letters may have come out otherwise than they were written. */
function HowRead({ list: { name, encoding } }: { list: NamedList }) {
  if (encoding === 'utf-8') return null;
  return <p className="mt-3 text-sm text-ink-soft">{texts.wasRead(name, encodingWord[encoding])}</p>;
}
