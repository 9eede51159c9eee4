import { useEffect, useId, useRef, type InputHTMLAttributes, type ReactNode } from 'react';
import {
  useForm,
  type DefaultValues,
  type FieldValues,
  type Path,
  type RegisterOptions,
  type UseFormReturn,
} from 'react-hook-form';
import { Notice } from '../../ui/parts/Notice';
import { failure, RequestFailed } from './api';
import * as texts from '#language/screens/frame';

/** A form that is sent to the server, and what the server said against it. */
export interface SentForm<V extends FieldValues> extends UseFormReturn<V> {
  readonly submit: () => void;
}

export interface SentFormProps<V extends FieldValues> {
  readonly start: DefaultValues<V>;
  /** Sends what was typed; what it throws is said in the form, and what was typed stays. */
  readonly send: (given: V) => Promise<unknown>;
  /** What is said where the server gave no words of its own. */
  readonly otherwise: string;
}

/** A form whose fields are checked when it is sent; a refusal stands in the form, with everything as it was typed. */
export function useSentForm<V extends FieldValues>({ start, send, otherwise }: SentFormProps<V>): SentForm<V> {
  const form = useForm<V>({ defaultValues: start });
  const submit = form.handleSubmit(async (given) => {
    try {
      await send(given);
    } catch (error) {
      const problems = error instanceof RequestFailed ? (error.reply.problems ?? []) : [];
      form.setError('root', { message: problems.length > 0 ? problems.join('\n') : failure(error, otherwise) });
    }
  });
  return { ...form, submit: () => void submit() };
}

/**
 * Keeps a form that began with what stands on the server at it, where it is changed elsewhere: what is half typed stays
 * as it is.
 * @param stands the same object for as long as nothing changed
 */
export function useStanding<V extends FieldValues>({ reset, formState: { isDirty } }: SentForm<V>, stands: V): void {
  // A form lets go of its fields when it is put back, and what is typed before it is drawn again would be lost: it is
  // put back only where something changed.
  const shown = useRef(stands);
  useEffect(() => {
    if (isDirty || shown.current === stands) return;
    shown.current = stands;
    reset(stands);
  }, [isDirty, reset, stands]);
}

/** Problems beyond so many are not read by anybody. */
const MOST_SAID = 6;

/** What the server said against a form. */
export function Refusal<V extends FieldValues>({ form }: { form: SentForm<V> }) {
  const said = form.formState.errors.root?.message;
  if (!said) return null;
  return (
    <Notice kind="error">
      {said
        .split('\n')
        .slice(0, MOST_SAID)
        .map((problem) => (
          <p key={problem}>{problem}</p>
        ))}
    </Notice>
  );
}

interface FieldProps<V extends FieldValues> {
  readonly form: SentForm<V>;
  readonly name: Path<V>;
  readonly label: string;
  readonly rules?: RegisterOptions<V>;
  readonly className?: string;
}

/** Label and error around a control of a form; the error says what would be right. */
export function Labelled<V extends FieldValues>({
  form,
  name,
  label,
  className = '',
  children,
}: Omit<FieldProps<V>, 'rules'> & {
  readonly children: (errorId: string, isWrong: boolean) => ReactNode;
}) {
  const errorId = useId();
  const { error } = form.getFieldState(name, form.formState);
  return (
    <div className={`grid content-start gap-1 ${className}`}>
      <label className="grid gap-1">
        <span className="text-sm font-semibold text-ink-soft">{label}</span>
        {children(errorId, error !== undefined)}
      </label>
      {error?.message && (
        <span id={errorId} role="alert" className="text-sm font-semibold text-oxide">
          {error.message}
        </span>
      )}
    </div>
  );
}

/** A line to type in. */
export function TextField<V extends FieldValues>({
  form,
  name,
  label,
  rules,
  className,
  look = '',
  offers,
  ...input
}: FieldProps<V> & {
  readonly look?: string;
  /** Known values to choose from, beside what may be typed. */
  readonly offers?: readonly string[];
} & Omit<InputHTMLAttributes<HTMLInputElement>, 'form' | 'name' | 'className'>) {
  const listId = useId();
  return (
    <Labelled form={form} name={name} label={label} {...(className === undefined ? {} : { className })}>
      {(errorId, isWrong) => (
        <>
          <input
            {...input}
            {...form.register(name, rules)}
            className={`entry w-full min-w-0 ${look}`}
            {...(offers ? { list: listId, autoComplete: 'off' } : {})}
            aria-invalid={isWrong}
            aria-describedby={isWrong ? errorId : undefined}
          />
          {offers && (
            <datalist id={listId}>
              {offers.map((value) => (
                <option key={value} value={value} />
              ))}
            </datalist>
          )}
        </>
      )}
    </Labelled>
  );
}

/** One of a few, from a list that drops down. */
export function SelectField<V extends FieldValues>({
  form,
  name,
  label,
  options,
  nothing,
}: FieldProps<V> & {
  readonly options: readonly (readonly [value: string, label: string])[];
  /** What is shown for no choice; none where one must be made. */
  readonly nothing?: string;
}) {
  return (
    <Labelled form={form} name={name} label={label}>
      {() => (
        <select className="entry" {...form.register(name)}>
          {nothing !== undefined && <option value="">{nothing}</option>}
          {options.map(([value, text]) => (
            <option key={value} value={value}>
              {text}
            </option>
          ))}
        </select>
      )}
    </Labelled>
  );
}

/** A yes or no. */
export function CheckField<V extends FieldValues>({
  form,
  name,
  label,
}: Pick<FieldProps<V>, 'form' | 'name' | 'label'>) {
  return (
    <label className="flex min-h-11 items-center gap-2">
      <input type="checkbox" className="size-5 accent-pine" {...form.register(name)} />
      {label}
    </label>
  );
}

/** The button that sends a form. */
export function SendButton<V extends FieldValues>({
  form,
  children,
  busy = texts.saving,
  className = '',
}: {
  readonly form: SentForm<V>;
  readonly children: ReactNode;
  readonly busy?: string;
  readonly className?: string;
}) {
  const { isSubmitting } = form.formState;
  return (
    <button type="submit" className={`act ${className}`} disabled={isSubmitting}>
      {isSubmitting ? busy : children}
    </button>
  );
}

/** The form around its fields. */
export function Form<V extends FieldValues>({
  form,
  className = 'grid gap-3',
  children,
}: {
  readonly form: SentForm<V>;
  readonly className?: string;
  readonly children: ReactNode;
}) {
  return (
    <form
      noValidate
      className={className}
      onSubmit={(event) => {
        event.preventDefault();
        form.submit();
      }}
    >
      {children}
    </form>
  );
}
