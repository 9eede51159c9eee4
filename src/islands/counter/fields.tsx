import { useId, type KeyboardEvent } from 'react';
import { Choice, type Option } from '../../ui/parts/Choice';
import type { StampPieceView } from '../../contract';
import type { Counter } from './use-counter';
import * as texts from '#language/screens/counter';

interface FieldProps {
  readonly counter: Counter;
  readonly path: string;
  readonly label: string;
  readonly hint?: string;
  readonly placeholder?: string;
  readonly suffix?: string;
  readonly numeric?: boolean;
}

/** A field of the counter. Enter goes on to the next question. */
export function CounterField({ counter, path, label, hint, placeholder, suffix, numeric = false }: FieldProps) {
  const id = useId();
  const refused = counter.refused(path);
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key !== 'Enter') return;
    event.preventDefault();
    counter.goOn();
  };
  const say = refused ?? hint;
  return (
    <div className="grid content-start gap-1">
      <label htmlFor={id} className="text-sm font-semibold text-ink-soft">
        {label}
      </label>
      <div className="flex items-center gap-1.5">
        <input
          id={id}
          data-path={path}
          className="entry w-full min-w-0 figures"
          value={counter.text(path)}
          placeholder={placeholder && `e.g. ${placeholder}`}
          inputMode={numeric ? 'numeric' : 'text'}
          autoComplete="off"
          autoCapitalize="off"
          aria-invalid={refused !== null}
          aria-describedby={say ? `${id}-say` : undefined}
          onChange={({ target }) => counter.set(path, target.value)}
          onKeyDown={onKeyDown}
        />
        {suffix && <span className="figures text-sm text-ink-soft">{suffix}</span>}
      </div>
      {say && (
        <p id={`${id}-say`} className={`text-sm ${refused ? 'font-semibold text-oxide' : 'text-ink-soft'}`}>
          {say}
        </p>
      )}
    </div>
  );
}

/** One of a few words; choosing one answers a question and leads to the next. */
export function CounterChoice({
  counter,
  path,
  legend,
  options,
}: {
  counter: Counter;
  path: string;
  legend: string;
  options: readonly Option[];
}) {
  return (
    <div data-path={path}>
      <Choice
        legend={legend}
        options={options}
        value={counter.text(path)}
        onChoose={(value) => counter.set(path, value)}
      />
    </div>
  );
}

/** A stamp taken apart, as far as it can be read. */
export function StampPieces({ pieces, label }: { pieces: readonly StampPieceView[]; label: string }) {
  if (pieces.length === 0) return null;
  return (
    <>
      <ul className="mt-1 flex flex-wrap gap-1" aria-label={label}>
        {pieces.map(({ text, means, certain }, i) => (
          <li
            // A stamp may say the same twice: its place tells the pieces apart.
            key={`${text}${i}`}
            className={`border px-1.5 py-0.5 text-sm ${certain ? 'border-line-strong bg-sheet' : 'border-dashed border-steel bg-steel-pale'}`}
          >
            <span className="figures font-bold">{text}</span> {means}
          </li>
        ))}
      </ul>
      {pieces.some(({ isRead }) => !isRead) && (
        <p className="mt-1 text-sm text-ink-soft">
          {texts.codeNotRead}{' '}
          <a className="underline" href="/shop?view=codes">
            {texts.teachIt}
          </a>
        </p>
      )}
    </>
  );
}
