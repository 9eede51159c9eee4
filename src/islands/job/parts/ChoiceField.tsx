import { Choice, ChooseMany, type Option } from '../../../ui/parts/Choice';
import { useField } from '../store/useField';
import { Conflict } from './Conflict';

interface ChoiceFieldProps {
  readonly path: string;
  readonly legend: string;
  readonly options: readonly Option[];
  readonly hint?: string;
}

/** One of a few words, stored by one tap. */
export function ChoiceField({ path, legend, options, hint }: ChoiceFieldProps) {
  const field = useField(path);
  return (
    <div data-path={path}>
      <Choice legend={legend} options={options} value={field.text} onChoose={field.set} {...(hint ? { hint } : {})} />
      <Conflict field={field} />
    </div>
  );
}

/** Any number of words, stored together. */
export function ChoicesField({ path, legend, options }: Omit<ChoiceFieldProps, 'hint'>) {
  const field = useField(path);
  const values = field.text.split(/\s*,\s*/).filter(Boolean);
  return (
    <div data-path={path}>
      <ChooseMany legend={legend} options={options} values={values} onChange={(next) => field.set(next.join(', '))} />
      <Conflict field={field} />
    </div>
  );
}
