import { useLayoutEffect, useMemo, useRef, useState, type ComponentType } from 'react';
import { Search } from 'lucide-react';
import { useKeys } from './keys';
import type { SearchFinderProps } from './SearchFinder';
import * as texts from '#language/screens/frame';

const LABEL = texts.searchLabel;
const PLACEHOLDER = texts.search;
const LOOK = 'entry min-h-10 w-full pl-8';

/**
 * Search over customers, saws, jobs and parts. `/` goes there. What finds is loaded when the field is first entered;
 * what was typed by then stays.
 */
export function SearchBox() {
  const input = useRef<HTMLInputElement>(null);
  const [text, setText] = useState('');
  const [Finder, setFinder] = useState<ComponentType<SearchFinderProps> | null>(null);
  useKeys(
    useMemo(
      () => [
        {
          shown: ['/'],
          does: texts.searchEverything,
          everywhere: true,
          on: '/',
          act: () => input.current?.focus(),
        },
      ],
      [],
    ),
  );
  // What finds takes the place of the plain field within one stroke, and the caret goes with it: no key falls between.
  const caret = useRef(false);
  useLayoutEffect(() => {
    if (!Finder || !caret.current) return;
    input.current?.focus();
    input.current?.setSelectionRange(input.current.value.length, input.current.value.length);
  }, [Finder]);
  const load = () =>
    void import('./SearchFinder').then(
      ({ SearchFinder }) => {
        caret.current = document.activeElement === input.current;
        setFinder(() => SearchFinder);
      },
      () => undefined,
    );
  return (
    <div className="relative min-w-40 flex-1 sm:max-w-80">
      <Search size={16} aria-hidden="true" className="absolute top-3 left-2.5 z-10 text-ink-soft" />
      {Finder ? (
        <Finder
          text={text}
          onText={setText}
          fieldRef={input}
          className={LOOK}
          label={LABEL}
          placeholder={PLACEHOLDER}
        />
      ) : (
        <input
          ref={input}
          role="combobox"
          aria-expanded="false"
          aria-controls="search-found"
          aria-label={LABEL}
          autoComplete="off"
          placeholder={PLACEHOLDER}
          className={LOOK}
          value={text}
          onChange={({ target }) => {
            setText(target.value);
            load();
          }}
          onFocus={load}
        />
      )}
    </div>
  );
}
