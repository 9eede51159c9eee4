import { useCallback, useEffect, useId, useRef, useState, type KeyboardEvent } from 'react';
import { Search } from 'lucide-react';
import type { SearchHitView } from '../../contract';
import { api, RequestFailed } from './api';
import { useKeys } from './keys';

/** Waits this long after the last key before it asks. */
const PAUSE_MS = 120;

type Found = { readonly query: string; readonly hits: readonly SearchHitView[]; readonly error: string | null };

/** Asks the server as one types; an answer to an older question is dropped. */
function useSearch(query: string): Found | null {
  const [found, setFound] = useState<Found | null>(null);
  useEffect(() => {
    if (query.trim().length < 2) return;
    let stale = false;
    const timer = setTimeout(() => {
      api.get<SearchHitView[]>(`/api/search?q=${encodeURIComponent(query)}`).then(
        (hits) => !stale && setFound({ query, hits, error: null }),
        (error: unknown) =>
          !stale &&
          setFound({ query, hits: [], error: error instanceof RequestFailed ? error.message : 'Search failed.' }),
      );
    }, PAUSE_MS);
    return () => {
      stale = true;
      clearTimeout(timer);
    };
  }, [query]);
  return query.trim().length < 2 ? null : found;
}

/** Search over customers, saws, jobs and parts. `/` goes there; arrows and Enter choose. */
export function SearchBox() {
  const input = useRef<HTMLInputElement>(null);
  const listId = useId();
  const [query, setQuery] = useState('');
  const [open, setOpen] = useState(false);
  const [chosen, setChosen] = useState(0);
  const found = useSearch(query);
  const hits = found?.hits ?? [];
  useKeys(
    useCallback((key) => {
      if (key !== '/') return false;
      input.current?.focus();
      return true;
    }, []),
  );
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'Escape') setOpen(false);
    if (event.key === 'ArrowDown') setChosen((i) => Math.min(i + 1, hits.length - 1));
    if (event.key === 'ArrowUp') setChosen((i) => Math.max(i - 1, 0));
    if (event.key === 'Enter' && hits[chosen]) window.location.assign(hits[chosen].href);
    if (event.key === 'ArrowDown' || event.key === 'ArrowUp') event.preventDefault();
  };
  const showing = open && found !== null;
  return (
    <div className="relative min-w-40 flex-1 sm:max-w-80">
      <Search size={16} aria-hidden="true" className="absolute top-3 left-2.5 text-ink-soft" />
      <input
        ref={input}
        type="search"
        role="combobox"
        aria-label="Search customers, saws, jobs and parts"
        aria-expanded={showing}
        aria-controls={listId}
        aria-activedescendant={showing && hits[chosen] ? `${listId}-${chosen}` : undefined}
        autoComplete="off"
        placeholder="Search  ( / )"
        className="entry min-h-10 w-full pl-8"
        value={query}
        onChange={(event) => {
          setQuery(event.target.value);
          setChosen(0);
          setOpen(true);
        }}
        onFocus={() => setOpen(true)}
        onBlur={() => setOpen(false)}
        onKeyDown={onKeyDown}
      />
      <ul
        id={listId}
        role="listbox"
        aria-label="Found"
        hidden={!showing}
        className="absolute top-full left-0 z-40 w-full min-w-72 border border-line-strong bg-sheet shadow-lg"
      >
        {showing &&
          hits.map(({ kind, title, detail, href }, i) => (
            <li
              key={`${kind}${href}`}
              id={`${listId}-${i}`}
              role="option"
              aria-selected={i === chosen}
              className="aria-selected:bg-well"
            >
              <a
                href={href}
                tabIndex={-1}
                onMouseDown={(event) => event.preventDefault()}
                className="flex min-h-11 items-center gap-2 px-3"
              >
                <span className="w-16 shrink-0 text-sm text-ink-soft">{kind}</span>
                <span className="truncate font-semibold">{title}</span>
                <span className="truncate text-sm text-ink-soft">{detail}</span>
              </a>
            </li>
          ))}
        {showing && hits.length === 0 && (
          <li className="px-3 py-2.5 text-ink-soft">{found.error ?? `Nothing begins with “${found.query}”.`}</li>
        )}
      </ul>
    </div>
  );
}
