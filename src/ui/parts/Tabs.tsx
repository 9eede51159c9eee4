import type { KeyboardEvent } from 'react';

interface TabsProps<T extends string> {
  readonly label: string;
  /** Id of the panel that the tabs open. */
  readonly panel: string;
  readonly tabs: readonly { readonly id: T; readonly name: string }[];
  readonly chosen: T;
  readonly onChoose: (id: T) => void;
}

/** Tabs over one panel. The chosen one is in the tab order; arrow keys go to its neighbours. */
export function Tabs<T extends string>({ label, panel, tabs, chosen, onChoose }: TabsProps<T>) {
  const onKeyDown = (event: KeyboardEvent<HTMLDivElement>) => {
    const step = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    if (step === 0) return;
    const at = tabs.findIndex(({ id }) => id === chosen);
    const next = tabs[(at + step + tabs.length) % tabs.length]!;
    onChoose(next.id);
    event.currentTarget.querySelector<HTMLElement>(`#tab-${next.id}`)?.focus();
    event.preventDefault();
  };
  return (
    <div role="tablist" aria-label={label} tabIndex={-1} className="flex flex-wrap" onKeyDown={onKeyDown}>
      {tabs.map(({ id, name }) => (
        <button
          key={id}
          type="button"
          role="tab"
          id={`tab-${id}`}
          aria-selected={chosen === id}
          aria-controls={panel}
          tabIndex={chosen === id ? 0 : -1}
          onClick={() => onChoose(id)}
          className="min-h-11 border-b-3 border-transparent px-3 font-semibold text-ink-soft hover:text-ink aria-selected:border-brass aria-selected:text-ink"
        >
          {name}
        </button>
      ))}
    </div>
  );
}
