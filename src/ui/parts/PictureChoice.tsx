import { useId, type ReactNode } from 'react';
import { ToggleGroup } from 'radix-ui';
import { moveAtOnce } from './roving';

export interface PictureOption {
  readonly value: string;
  readonly label: string;
  readonly picture: ReactNode;
}

interface PictureChoiceProps {
  readonly legend: string;
  readonly options: readonly PictureOption[];
  readonly value: string;
  readonly onChoose: (value: string) => void;
  readonly hint?: string;
}

/** One of a few things by what it looks like. Tapping the chosen one again takes it back; arrow keys choose nothing. */
export function PictureChoice({ legend, options, value, onChoose, hint }: PictureChoiceProps) {
  const id = useId();
  return (
    <div className="min-w-0">
      <p id={id} className="mb-1 text-sm font-semibold text-ink-soft">
        {legend}
      </p>
      <ToggleGroup.Root
        type="single"
        aria-labelledby={id}
        value={value}
        onValueChange={onChoose}
        onKeyDownCapture={moveAtOnce}
        className="flex flex-wrap gap-2"
      >
        {options.map(({ value: each, label, picture }) => (
          <ToggleGroup.Item
            key={each}
            value={each}
            className="grid min-w-24 justify-items-center gap-0.5 rounded-[3px] border border-line-strong bg-sheet px-2 pt-2 pb-1 font-medium hover:bg-well data-[state=on]:border-pine data-[state=on]:outline-2 data-[state=on]:-outline-offset-2 data-[state=on]:outline-pine"
          >
            <span aria-hidden="true">{picture}</span>
            <span className="flex items-center gap-1">
              {each === value && <span aria-hidden="true">✓</span>}
              {label}
            </span>
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
      {hint && <p className="mt-1 text-sm text-ink-soft">{hint}</p>}
    </div>
  );
}
