import { useId } from 'react';

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

/** One of a few words, by one tap. Tapping the chosen one again takes it back. */
export function Choice({ legend, options, value, onChoose, hint }: ChoiceProps) {
  const name = useId();
  return (
    <fieldset className="min-w-0">
      <legend className="mb-1 text-sm font-semibold text-ink-soft">{legend}</legend>
      <div className="flex flex-wrap gap-1">
        {options.map((option) => (
          <label
            key={option.value}
            className="flex min-h-11 items-center rounded-[3px] border border-line-strong bg-sheet px-3 font-medium hover:bg-well has-checked:border-pine has-checked:bg-pine has-checked:text-pine-ink has-focus-visible:outline-3 has-focus-visible:outline-offset-1 has-focus-visible:outline-steel"
          >
            <input
              type="radio"
              name={name}
              className="sr-only"
              checked={value === option.value}
              onChange={() => onChoose(option.value)}
              onClick={() => value === option.value && onChoose('')}
            />
            {option.label}
          </label>
        ))}
      </div>
      {hint && <p className="mt-1 text-sm text-ink-soft">{hint}</p>}
    </fieldset>
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
