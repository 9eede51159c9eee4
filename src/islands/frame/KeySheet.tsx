import { useCallback, useState } from 'react';
import { Dialog } from '../../ui/parts/Dialog';
import { FRAME_KEYS, useKeys, type KeyHelp } from './keys';

function KeyList({ keys }: { keys: readonly KeyHelp[] }) {
  return (
    <dl className="grid grid-cols-[auto_1fr] items-center gap-x-4 gap-y-1.5">
      {keys.map(({ keys: names, does }) => (
        <div key={does} className="contents">
          <dt className="flex items-center gap-1">
            {names.map((name) =>
              name === 'then' ? (
                <span key={name} className="text-sm text-ink-soft">
                  then
                </span>
              ) : (
                <kbd
                  key={name}
                  className="rounded-[3px] border border-line-strong bg-well px-1.5 py-0.5 figures text-sm"
                >
                  {name}
                </kbd>
              ),
            )}
          </dt>
          <dd>{does}</dd>
        </div>
      ))}
    </dl>
  );
}

/** The sheet of keys that `?` opens. */
export function KeySheet({ keys }: { keys: readonly KeyHelp[] }) {
  const [open, setOpen] = useState(false);
  useKeys(
    useCallback((key) => {
      if (key !== '?') return false;
      setOpen(true);
      return true;
    }, []),
  );
  return (
    <Dialog title="Keys" open={open} onClose={() => setOpen(false)}>
      {keys.length > 0 && (
        <>
          <h3 className="mb-2 font-bold">Here</h3>
          <KeyList keys={keys} />
          <h3 className="mt-4 mb-2 font-bold">Everywhere</h3>
        </>
      )}
      <KeyList keys={FRAME_KEYS} />
    </Dialog>
  );
}
