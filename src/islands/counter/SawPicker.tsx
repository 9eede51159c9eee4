import { useCallback, useState } from 'react';
import type { KnownSawView, SawMemoryView } from '../../contract';
import { Combobox } from '../../ui/parts/Combobox';
import { api, failure } from '../frame/api';
import { isAsked, useFound } from '../frame/server-data';
import type { Counter } from './use-counter';
import * as texts from '#language/screens/counter';

const addressOf = (words: string) => `/api/counter/saws?q=${encodeURIComponent(words)}`;

/** Which saw, or whose: what is remembered of it fills the fields. */
export function SawPicker({ counter }: { counter: Counter }) {
  const [words, setWords] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  const { items, older, trouble: unfound } = useFound<KnownSawView>(words, addressOf);
  const { recall, goOn } = counter;
  const pick = useCallback(
    async (saw: KnownSawView) => {
      setWords('');
      try {
        const memory = await api.get<SawMemoryView>(`/api/counter/${saw.isModel ? 'models' : 'saws'}/${saw.id}`);
        const { id, label, customer } = saw;
        recall(saw.isModel ? null : { id, label, customer }, memory.entries, memory.note);
        goOn();
        setTrouble(null);
      } catch (error) {
        setTrouble(failure(error, texts.theSawWasNotRecalled));
      }
    },
    [recall, goOn],
  );
  const choose = useCallback((saw: KnownSawView) => void pick(saw), [pick]);
  return (
    <div>
      <Combobox<KnownSawView>
        label={texts.whichSawOrWhose}
        text={words}
        onText={setWords}
        found={items}
        older={older}
        keyOf={({ id }) => id}
        draw={(saw) => (
          <>
            <span className="font-semibold">{saw.label}</span>
            <span className="truncate text-sm text-ink-soft">{saw.customer}</span>
            {saw.isModel && <span className="ml-auto text-sm text-ink-soft">{texts.isAModel}</span>}
            {saw.remembered && <span className="ml-auto text-sm font-semibold text-leaf">{texts.remembered}</span>}
          </>
        )}
        onChoose={choose}
        onGoOn={goOn}
        nothing={unfound ?? (isAsked(words) ? texts.noSawBeginsSo : null)}
        listLabel={texts.saws}
        placeholder={counter.saw ? `${counter.saw.label}, ${counter.saw.customer}` : texts.nameTagOrOwner}
        className="mt-1 entry w-full"
      />
      {counter.note && <p className="mt-1 text-sm">{counter.note}</p>}
      {trouble && <p className="mt-1 text-sm font-semibold text-oxide">{trouble}</p>}
    </div>
  );
}
