import { useId, type ReactNode } from 'react';

/** A control with its name over it. */
export function Labelled({
  label,
  children,
}: {
  readonly label: string;
  readonly children: (id: string) => ReactNode;
}) {
  const id = useId();
  return (
    <div className="grid min-w-0 gap-1">
      <label htmlFor={id} className="text-sm font-semibold text-ink-soft">
        {label}
      </label>
      {children(id)}
    </div>
  );
}

interface PickProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly { readonly id: T; readonly name: string }[];
  readonly onPick: (value: T) => void;
}

/** One of a list. */
export function Pick<T extends string>({ label, value, options, onPick }: PickProps<T>) {
  return (
    <Labelled label={label}>
      {(id) => (
        <select id={id} className="entry w-full" value={value} onChange={({ target }) => onPick(target.value as T)}>
          {options.map((option) => (
            <option key={option.id} value={option.id}>
              {option.name}
            </option>
          ))}
        </select>
      )}
    </Labelled>
  );
}
