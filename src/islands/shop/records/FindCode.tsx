import { useId, useState, type FormEvent } from 'react';
import type { FoundRecord } from '../../../contract';
import { Notice } from '../../../ui/parts/Notice';
import { recordKind, shopMoment } from '../../../wording';
import { api, failure } from '../../frame/api';
import { useFrame } from '../../frame/frame-context';
import * as texts from '#language/screens/shop-records';

type Said = { readonly kind: 'good' | 'caution' | 'error'; readonly text: string };

/** Holds a paper against the store: which record does its code name? */
export function FindCode() {
  const { shop } = useFrame();
  const [code, setCode] = useState('');
  const [said, setSaid] = useState<Said | null>(null);
  const [fieldId, hintId] = [useId(), useId()];
  const find = async (event: FormEvent) => {
    event.preventDefault();
    try {
      const { found } = await api.post<FoundRecord>('/api/store/code', { code });
      setSaid(
        found
          ? {
              kind: 'good',
              text: texts.foundRecord(found.seq, recordKind(found.record), shopMoment(found.at, shop), found.by),
            }
          : { kind: 'caution', text: texts.noSuchRecord },
      );
    } catch (error) {
      setSaid({ kind: 'error', text: failure(error, texts.notFound) });
    }
  };
  return (
    <form className="grid gap-1" onSubmit={(event) => void find(event)}>
      <label htmlFor={fieldId} className="text-lg font-bold">
        {texts.aCodeFromAPaper}
      </label>
      <div className="flex flex-wrap gap-2">
        <input
          id={fieldId}
          className="entry min-w-0 flex-1 figures"
          aria-describedby={hintId}
          autoComplete="off"
          spellCheck={false}
          maxLength={60}
          value={code}
          onChange={({ target }) => setCode(target.value)}
        />
        <button type="submit" className="quiet" disabled={code.trim() === ''}>
          {texts.findIt}
        </button>
      </div>
      <p id={hintId} className="text-sm text-ink-soft">
        {texts.codeLooksLike}
      </p>
      <div aria-live="polite">{said && <Notice kind={said.kind}>{said.text}</Notice>}</div>
    </form>
  );
}
