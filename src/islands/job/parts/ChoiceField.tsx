import type { ReadingPath } from '../../../core/sheet';
import { Choice, ChooseMany } from '../../../ui/parts/Choice';
import { choicesAt } from '../../../wording';
import { useField } from '../store/useField';
import { Conflict } from './Conflict';

interface ChoiceFieldProps {
  readonly path: ReadingPath;
  readonly legend: string;
  readonly hint?: string;
}

/** One of a few words, stored by one tap. */
export function ChoiceField({ path, legend, hint }: ChoiceFieldProps) {
  const field = useField(path);
  return (
    <div data-path={path}>
      <Choice
        legend={legend}
        options={choicesAt(path)}
        value={field.text}
        onChoose={field.set}
        {...(hint ? { hint } : {})}
      />
      <Conflict field={field} />
    </div>
  );
}

/** Any number of words, stored together. */
export function ChoicesField({ path, legend }: Omit<ChoiceFieldProps, 'hint'>) {
  const field = useField(path);
  const values = field.text.split(/\s*,\s*/).filter(Boolean);
  return (
    <div data-path={path}>
      <ChooseMany
        legend={legend}
        options={choicesAt(path)}
        values={values}
        onChange={(next) => field.set(next.join(', '))}
      />
      <Conflict field={field} />
    </div>
  );
}
