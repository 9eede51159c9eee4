import { Notice } from '../../../ui/parts/Notice';
import type { Field } from '../store/useField';
import * as texts from '#language/screens/job';

/** Somebody else wrote here meanwhile: both are shown, and a person chooses. */
export function Conflict({ field }: { field: Pick<Field, 'conflict' | 'text' | 'resolve'> }) {
  const { conflict, text, resolve } = field;
  if (!conflict) return null;
  return (
    <Notice kind="caution">
      <p>{texts.writtenMeanwhile(conflict.by, conflict.text, text)}</p>
      <div className="mt-1 flex flex-wrap gap-2">
        <button type="button" className="quiet" onClick={() => resolve('theirs')}>
          {texts.keep(conflict.text === '' ? texts.itEmpty : conflict.text)}
        </button>
        <button type="button" className="quiet" onClick={() => resolve('ours')}>
          {texts.putInstead(text === '' ? 'nothing' : text)}
        </button>
      </div>
    </Notice>
  );
}
