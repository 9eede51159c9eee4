import { useEffect, useId, useState, type KeyboardEvent } from 'react';
import type { KnownSawView, SawMemoryView } from '../../contract';
import { api, RequestFailed } from '../frame/api';
import type { Counter } from './use-counter';

const PAUSE_MS = 120;
const LEAST_LETTERS = 2;

/** Saws that the words may mean; an answer to older words is dropped. */
function useSaws(words: string): readonly KnownSawView[] {
  const [found, setFound] = useState<{ words: string; saws: readonly KnownSawView[] }>({ words: '', saws: [] });
  const asks = words.trim().length >= LEAST_LETTERS;
  useEffect(() => {
    if (!asks) return;
    let stale = false;
    const timer = setTimeout(() => {
      api.get<KnownSawView[]>(`/api/counter/saws?q=${encodeURIComponent(words)}`).then(
        (saws) => !stale && setFound({ words, saws }),
        () => !stale && setFound({ words, saws: [] }),
      );
    }, PAUSE_MS);
    return () => {
      stale = true;
      clearTimeout(timer);
    };
  }, [words, asks]);
  return asks ? found.saws : [];
}

/** Which saw, or whose: what is remembered of it fills the fields. */
export function SawPicker({ counter }: { counter: Counter }) {
  const id = useId();
  const [words, setWords] = useState('');
  const [open, setOpen] = useState(false);
  const [at, setAt] = useState(0);
  const [trouble, setTrouble] = useState<string | null>(null);
  const saws = useSaws(words);
  const pick = async (saw: KnownSawView) => {
    setOpen(false);
    setWords('');
    try {
      const memory = await api.get<SawMemoryView>(`/api/counter/saws/${saw.id}`);
      counter.recall({ id: saw.id, label: saw.label, customer: saw.customer }, memory.entries, memory.note);
      counter.goOn();
      setTrouble(null);
    } catch (error) {
      setTrouble(error instanceof RequestFailed ? error.message : 'The saw was not recalled.');
    }
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      const step = event.key === 'ArrowDown' ? 1 : -1;
      setAt((i) => Math.max(0, Math.min(saws.length - 1, i + step)));
      event.preventDefault();
    }
    if (event.key === 'Escape') setOpen(false);
    if (event.key !== 'Enter') return;
    event.preventDefault();
    const saw = open ? saws[at] : undefined;
    if (saw) void pick(saw);
    else counter.goOn();
  };
  const showing = open && words.trim().length >= LEAST_LETTERS;
  return (
    <div className="relative">
      <label htmlFor={id} className="text-sm font-semibold text-ink-soft">
        Which saw, or whose
      </label>
      <input
        id={id}
        role="combobox"
        aria-expanded={showing}
        aria-controls={`${id}-list`}
        aria-activedescendant={showing && saws[at] ? `${id}-${at}` : undefined}
        className="mt-1 entry w-full"
        placeholder={
          counter.saw ? `${counter.saw.label}, ${counter.saw.customer}` : 'name, tag or owner; or go on without'
        }
        autoComplete="off"
        value={words}
        onChange={({ target }) => {
          setWords(target.value);
          setAt(0);
          setOpen(true);
        }}
        onBlur={() => setOpen(false)}
        onKeyDown={onKeyDown}
      />
      <ul
        id={`${id}-list`}
        role="listbox"
        aria-label="Saws"
        hidden={!showing}
        className="absolute top-full right-0 left-0 z-20 border border-line-strong bg-sheet shadow-lg"
      >
        {saws.map((saw, i) => (
          <li key={saw.id} id={`${id}-${i}`} role="option" aria-selected={i === at} className="aria-selected:bg-well">
            <button
              type="button"
              tabIndex={-1}
              className="flex min-h-11 w-full items-center gap-2 px-3 text-left"
              onMouseDown={(event) => event.preventDefault()}
              onClick={() => void pick(saw)}
            >
              <span className="font-semibold">{saw.label}</span>
              <span className="truncate text-sm text-ink-soft">{saw.customer}</span>
              {saw.remembered && <span className="ml-auto text-sm font-semibold text-leaf">remembered</span>}
            </button>
          </li>
        ))}
        {showing && saws.length === 0 && (
          <li className="px-3 py-2.5 text-ink-soft">No saw begins with that. Go on with what is known.</li>
        )}
      </ul>
      {counter.note && <p className="mt-1 text-sm">{counter.note}</p>}
      {trouble && <p className="mt-1 text-sm font-semibold text-oxide">{trouble}</p>}
    </div>
  );
}
