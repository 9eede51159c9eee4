import { Notice } from '../../../ui/parts/Notice';
import type { Field } from '../store/useField';

/** Somebody else wrote here meanwhile: both are shown, and a person chooses. */
export function Conflict({ field }: { field: Pick<Field, 'conflict' | 'text' | 'resolve'> }) {
  const { conflict, text, resolve } = field;
  if (!conflict) return null;
  return (
    <Notice kind="caution">
      <p>
        {conflict.by} wrote “{conflict.text}” here meanwhile; you wrote “{text}”.
      </p>
      <div className="mt-1 flex flex-wrap gap-2">
        <button type="button" className="quiet" onClick={() => resolve('theirs')}>
          Keep {conflict.text === '' ? 'it empty' : conflict.text}
        </button>
        <button type="button" className="quiet" onClick={() => resolve('ours')}>
          Put {text === '' ? 'nothing' : text}
        </button>
      </div>
    </Notice>
  );
}
