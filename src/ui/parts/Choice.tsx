import { useId } from 'react';
import { ToggleGroup } from 'radix-ui';
import { moveAtOnce } from './roving';

export interface Option {
  readonly value: string;
  readonly label: string;
}

interface ChoiceProps {
  readonly legend: string;
  readonly options: readonly Option[];
  readonly value: string;
  readonly onChoose: (value: string) => void;
  /** Shown under the legend. */
  readonly hint?: string;
}

/**
 * One of a few words, by one tap. Tapping the chosen one again takes it back; arrow keys go from word to word and
 * choose nothing.
 */
export function Choice({ legend, options, value, onChoose, hint }: ChoiceProps) {
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
        className="flex flex-wrap gap-1"
      >
        {options.map((option) => (
          <ToggleGroup.Item
            key={option.value}
            value={option.value}
            className="min-h-11 rounded-[3px] border border-line-strong bg-sheet px-3 text-left font-medium hover:bg-well focus-visible:outline-offset-1 data-[state=on]:border-pine data-[state=on]:bg-pine data-[state=on]:text-pine-ink"
          >
            {option.label}
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
      {hint && <p className="mt-1 text-sm text-ink-soft">{hint}</p>}
    </div>
  );
}

interface ManyProps {
  readonly legend: string;
  readonly options: readonly Option[];
  readonly values: readonly string[];
  readonly onChange: (values: readonly string[]) => void;
}

/** Any number of words, each by one tap. */
export function ChooseMany({ legend, options, values, onChange }: ManyProps) {
  const toggle = (value: string) =>
    onChange(values.includes(value) ? values.filter((each) => each !== value) : [...values, value]);
  return (
    <fieldset>
      <legend className="mb-1 text-sm font-semibold text-ink-soft">{legend}</legend>
      <div className="flex flex-wrap gap-1">
        {options.map(({ value, label }) => (
          <label
            key={value}
            className="flex min-h-11 items-center gap-2 rounded-[3px] border border-line-strong bg-sheet px-3 font-medium hover:bg-well has-checked:border-pine has-checked:bg-pine has-checked:text-pine-ink has-focus-visible:outline-3 has-focus-visible:outline-offset-1 has-focus-visible:outline-steel"
          >
            <input
              type="checkbox"
              className="sr-only"
              checked={values.includes(value)}
              onChange={() => toggle(value)}
            />
            {label}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
