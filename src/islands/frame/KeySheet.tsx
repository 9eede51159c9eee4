import { useMemo, useState } from 'react';
import { Dialog } from '../../ui/parts/Dialog';
import { keysNow, useKeys, type Keys } from './keys';
import * as texts from '#language/screens/frame';

function KeyList({ keys }: { keys: readonly Keys[] }) {
  return (
    <dl className="grid grid-cols-[auto_1fr] items-center gap-x-4 gap-y-1.5">
      {keys.map(({ shown, does }) => (
        <div key={does} className="contents">
          <dt className="flex items-center gap-1">
            {shown.map((name) =>
              name === 'then' ? (
                <span key={name} className="text-sm text-ink-soft">
                  {texts.then}
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

/** The sheet of keys that `?` opens: those of all that is on the screen. */
export function KeySheet() {
  const [keys, setKeys] = useState<readonly Keys[] | null>(null);
  useKeys(
    useMemo(
      () => [{ shown: ['?'], does: texts.thisSheet, everywhere: true, on: '?', act: () => setKeys(keysNow()) }],
      [],
    ),
  );
  const [here, everywhere] = [keys?.filter((each) => !each.everywhere), keys?.filter((each) => each.everywhere)];
  return (
    <Dialog title={texts.keys} open={keys !== null} onClose={() => setKeys(null)}>
      {here && here.length > 0 && (
        <>
          <h3 className="mb-2 font-bold">{texts.here}</h3>
          <KeyList keys={here} />
          <h3 className="mt-4 mb-2 font-bold">{texts.everywhere}</h3>
        </>
      )}
      {everywhere && <KeyList keys={everywhere} />}
    </Dialog>
  );
}
