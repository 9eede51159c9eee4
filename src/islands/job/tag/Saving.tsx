import { CloudOff, CloudUpload, HardDriveDownload } from 'lucide-react';
import { useJobStore, useOfStore } from '../store/JobContext';
import * as texts from '#language/screens/job';

const SAVING = {
  saved: { icon: HardDriveDownload, text: texts.saved, tone: 'text-leaf' },
  saving: { icon: CloudUpload, text: texts.saving, tone: 'text-steel' },
  unsaved: { icon: CloudOff, text: texts.notSavedKeptHere, tone: 'text-oxide' },
  refused: { icon: CloudOff, text: texts.refusedKeptHereNotSaved, tone: 'text-oxide' },
} as const;

/** Where what was typed is: stored, on its way, or only here. */
export function Saving({ onShow }: { onShow: (path: string) => void }) {
  // Of this very moment: nobody is told that all is stored while something waits.
  const snapshot = useOfStore((readings) => readings);
  const contradicted = [...snapshot.standing.values()].flatMap(({ path, conflict }) => (conflict ? [path] : []));
  const store = useJobStore();
  const { icon: Icon, text, tone } = SAVING[snapshot.saving];
  return (
    <div
      role="status"
      className="sticky bottom-0 border-t border-line bg-sheet px-4 py-2 text-sm max-md:static max-md:row-start-2 max-md:max-w-40 max-md:self-center max-md:border-t-0 max-md:px-3"
    >
      <p className={`flex items-center gap-2 font-semibold ${tone}`}>
        <Icon size={16} aria-hidden="true" />
        {text}
        {snapshot.waiting > 0 && <span className="figures font-normal">({snapshot.waiting})</span>}
      </p>
      {contradicted[0] !== undefined && (
        <p>
          {texts.writtenElsewhereToo(contradicted.length)}{' '}
          <button type="button" className="min-h-6 underline" onClick={() => onShow(contradicted[0]!)}>
            {texts.choose}
          </button>
        </p>
      )}
      {snapshot.trouble && (
        <p>
          {snapshot.trouble}{' '}
          <button type="button" className="underline" onClick={() => void store.sendAgain()}>
            {texts.tryNow}
          </button>
        </p>
      )}
    </div>
  );
}
