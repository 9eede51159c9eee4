import { Tabs as Radix } from 'radix-ui';
import type { ReactNode } from 'react';
import { moveAtOnce } from './roving';

interface TabbedProps<T extends string> {
  readonly chosen: T;
  readonly onChoose: (id: T) => void;
  /** A list of tabs somewhere, and one panel. */
  readonly children: ReactNode;
}

/** Views of which one is open. Arrow keys go to its neighbours. */
export function Tabbed<T extends string>({ chosen, onChoose, children }: TabbedProps<T>) {
  return (
    <Radix.Root value={chosen} onValueChange={(id) => onChoose(id as T)}>
      {children}
    </Radix.Root>
  );
}

interface TabListProps {
  readonly label: string;
  readonly tabs: readonly { readonly id: string; readonly name: string }[];
}

export function TabList({ label, tabs }: TabListProps) {
  return (
    <Radix.List aria-label={label} onKeyDownCapture={moveAtOnce} className="flex flex-wrap">
      {tabs.map(({ id, name }) => (
        <Radix.Trigger
          key={id}
          value={id}
          className="min-h-11 border-b-3 border-transparent px-3 font-semibold text-ink-soft hover:text-ink aria-selected:border-brass aria-selected:text-ink"
        >
          {name}
        </Radix.Trigger>
      ))}
    </Radix.List>
  );
}

/** What the chosen tab shows. */
export function TabPanel({ of, children }: { of: string; children: ReactNode }) {
  return (
    <Radix.Content value={of} tabIndex={-1}>
      {children}
    </Radix.Content>
  );
}
