import { useState } from 'react';
import { opened } from './opened';
import * as texts from '#language/screens/set-up';

/** What a demo is, and the way out of it: fetched when somebody asks. */
const LeaveDemo = opened(() => import('./LeaveDemo').then(({ LeaveDemo: View }) => View));

/** Says on every page that everything in the store is invented. */
export function DemoMark() {
  const [open, setOpen] = useState<'never' | 'open' | 'closed'>('never');
  return (
    <>
      <button
        type="button"
        className="min-h-10 flex-none rounded-[3px] border border-brass bg-brass-pale px-2 text-sm font-bold text-ink max-md:min-h-[44px]"
        aria-label={texts.thisIsADemo}
        onFocus={LeaveDemo.fetch}
        onPointerEnter={LeaveDemo.fetch}
        onClick={() => setOpen('open')}
      >
        {texts.demo}
      </button>
      {open !== 'never' && <LeaveDemo open={open === 'open'} onClose={() => setOpen('closed')} />}
    </>
  );
}
