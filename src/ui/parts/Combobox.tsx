import { useEffect, useRef, type ReactNode, type Ref } from 'react';
import { useCombobox } from 'downshift';

export interface ComboboxProps<T> {
  readonly label: string;
  /** Whether the label is shown above the field, or only read out. */
  readonly bare?: boolean;
  readonly text: string;
  readonly onText: (text: string) => void;
  /** What was found for just this text; null while it is still being asked for. */
  readonly found: readonly T[] | null;
  /** What older words found: still to be seen while the answer is on its way, and not to be chosen. */
  readonly older: readonly T[];
  readonly keyOf: (item: T) => string;
  readonly draw: (item: T) => ReactNode;
  readonly onChoose: (item: T) => void;
  /** Enter with nothing to choose. */
  readonly onGoOn?: () => void;
  /** Said where nothing was found; null where nothing was asked. */
  readonly nothing: string | null;
  readonly listLabel: string;
  readonly placeholder: string;
  readonly className: string;
  readonly fieldRef?: Ref<HTMLInputElement>;
}

/**
 * A field that finds as one types. Only what was found for the words that stand there can be chosen: Enter before the
 * answer waits for it and takes the first, and what belongs to older words is never taken.
 */
export function Combobox<T>(props: ComboboxProps<T>) {
  const { label, bare, text, onText, found, older, keyOf, draw, onChoose, onGoOn, nothing, listLabel, fieldRef } =
    props;
  const items = found ?? [];
  const waiting = useRef<string | null>(null);
  const {
    isOpen,
    highlightedIndex,
    setHighlightedIndex,
    getLabelProps,
    getInputProps,
    getMenuProps,
    getItemProps,
    closeMenu,
  } = useCombobox<T>({
    items: [...items],
    inputValue: text,
    itemToString: (item) => (item ? keyOf(item) : ''),
    selectedItem: null,
    defaultHighlightedIndex: 0,
    // What was typed before this came is already being asked for.
    initialIsOpen: true,
    initialHighlightedIndex: 0,
    onSelectedItemChange: ({ selectedItem }) => {
      if (selectedItem) onChoose(selectedItem);
    },
    // Choosing does not write into the field, and neither does leaving it.
    stateReducer: (_, { changes }) => ({ ...changes, inputValue: text }),
  });
  useEffect(() => {
    if (found === null || waiting.current === null) return;
    const meant = waiting.current === text;
    waiting.current = null;
    if (meant && found[0]) onChoose(found[0]);
    else if (meant) onGoOn?.();
  }, [found, text, onChoose, onGoOn]);
  // The ref and what waits are only handed on and read when a key is pressed.
  // eslint-disable-next-line react-hooks/refs
  const field = getInputProps({
    ref: fieldRef as Ref<HTMLInputElement>,
    onChange: ({ currentTarget }) => {
      onText(currentTarget.value);
      setHighlightedIndex(0);
    },
    onKeyDown: (event) => {
      if (event.key !== 'Enter') return;
      if (isOpen && highlightedIndex >= 0 && items[highlightedIndex]) return;
      event.preventDefault();
      if (text.trim() !== '' && found === null) waiting.current = text;
      else {
        closeMenu();
        onGoOn?.();
      }
    },
  });
  const shown = found ?? older;
  const showing = isOpen && text.trim() !== '' && (shown.length > 0 || (found !== null && nothing !== null));
  return (
    <div className="relative">
      <label {...getLabelProps()} className={bare ? 'sr-only' : 'text-sm font-semibold text-ink-soft'}>
        {label}
      </label>
      <input
        {...field}
        role="combobox"
        aria-controls={field['aria-controls']}
        aria-expanded={showing}
        aria-activedescendant={showing && items[highlightedIndex] ? field['aria-activedescendant'] : undefined}
        autoComplete="off"
        placeholder={props.placeholder}
        className={props.className}
      />
      <ul
        {...getMenuProps({ 'aria-label': listLabel })}
        hidden={!showing}
        className="absolute top-full left-0 z-40 w-full min-w-72 border border-line-strong bg-sheet shadow-lg"
      >
        {showing &&
          items.map((item, index) => (
            <li
              key={keyOf(item)}
              {...getItemProps({ item, index })}
              className={`flex min-h-11 cursor-pointer items-center gap-2 px-3 ${index === highlightedIndex ? 'bg-well' : ''}`}
            >
              {draw(item)}
            </li>
          ))}
        {showing &&
          found === null &&
          older.map((item) => (
            <li key={keyOf(item)} aria-hidden="true" className="flex min-h-11 items-center gap-2 px-3 opacity-60">
              {draw(item)}
            </li>
          ))}
      </ul>
      {showing && found?.length === 0 && (
        <p
          role="status"
          className="absolute top-full left-0 z-40 w-full min-w-72 border border-line-strong bg-sheet px-3 py-2.5 text-ink-soft shadow-lg"
        >
          {nothing}
        </p>
      )}
    </div>
  );
}
