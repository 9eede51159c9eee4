import type { ReactNode } from 'react';
import { Check } from 'lucide-react';
import type { ReadingPath } from '../../../core/sheet';
import { choicesAt, type ChoiceWord } from '../../../wording';
import { useField } from '../store/useField';
import { Conflict } from './Conflict';
import * as texts from '#language/screens/job';

interface GuidedProps {
  /** Place of the sheet that holds what is done. */
  readonly path: ReadingPath;
  /** The acts to offer, where they are not all that the place holds. */
  readonly acts?: readonly ChoiceWord[];
  readonly title: string;
  readonly aside?: ReactNode;
}

/** A short card of acts in working order; each is ticked off with one tap, in any order. */
export function Guided({ path, title, aside, acts = choicesAt(path) }: GuidedProps) {
  const field = useField(path);
  const done = field.text.split(/\s*,\s*/).filter(Boolean);
  const toggle = (act: string) => {
    const next = done.includes(act) ? done.filter((each) => each !== act) : [...done, act];
    // What was done and is not asked for any more stays written down.
    field.set(
      choicesAt(path)
        .flatMap(({ value }) => (next.includes(value) ? [value] : []))
        .join(', '),
    );
  };
  return (
    <section aria-label={title} data-path={path} className="border-t border-line py-3">
      <div className="mb-2 flex items-baseline justify-between gap-4">
        <h3 className="font-bold">{title}</h3>
        <p className="figures text-sm text-ink-soft">
          {texts.count(acts.filter(({ value }) => done.includes(value)).length, acts.length)}
        </p>
      </div>
      <ol className="border-y border-line">
        {acts.map(({ value, label }, i) => (
          <li key={value} className="border-b border-line last:border-b-0">
            <label className="flex min-h-12 items-center gap-3 px-2 hover:bg-well has-checked:bg-leaf-pale has-focus-visible:outline-3 has-focus-visible:-outline-offset-3 has-focus-visible:outline-steel">
              <input
                type="checkbox"
                className="sr-only"
                checked={done.includes(value)}
                onChange={() => toggle(value)}
              />
              <span
                aria-hidden="true"
                className={`grid size-7 shrink-0 place-items-center rounded-[3px] border-2 ${done.includes(value) ? 'border-leaf bg-leaf text-sheet' : 'border-line-strong figures text-sm text-ink-soft'}`}
              >
                {done.includes(value) ? <Check size={18} strokeWidth={3} /> : i + 1}
              </span>
              <span className="text-[17px]">{label}</span>
            </label>
          </li>
        ))}
      </ol>
      <Conflict field={field} />
      {aside}
    </section>
  );
}
