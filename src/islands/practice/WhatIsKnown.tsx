import type { HintView } from '../../contract';
import { HINT_MINUTES } from '../../core/practice';
import { readingName, sentence, symptomName } from '../../wording';
import { Notice } from '../../ui/parts/Notice';
import { Guide } from './Guide';
import { hintText } from './hint';
import type { RoundHere } from './use-round';
import * as texts from '#language/screens/practice';

interface WhatIsKnownProps {
  readonly round: RoundHere;
  /** Goes to where a hint leads. */
  readonly onFollow: (hint: HintView) => void;
}

/** What is known of a set: its complaint, the minutes, what was read, and hints. */
export function WhatIsKnown({ round, onFollow }: WhatIsKnownProps) {
  const { view, trouble, hint } = round;
  const { complaint, minutes, sitting, taken, hints, kind } = view;
  const given = hints.at(-1);
  return (
    <aside
      aria-label={texts.roundOf(view.place, view.of)}
      className="grid content-start gap-3 max-lg:grid-cols-[minmax(0,1fr)_auto] max-md:grid-cols-1"
    >
      <section className="border border-line-strong bg-sheet px-3 py-2">
        <p className="text-sm font-semibold text-ink-soft">{texts.roundOf(view.place, view.of)}</p>
        <p className="text-sm text-ink-soft">{texts.itsCustomerSays}</p>
        <p className="text-lg font-bold">{complaint === null ? texts.forService : sentence(symptomName(complaint))}</p>
        <p className="mt-1 flex flex-wrap items-baseline gap-x-2" aria-live="polite">
          <span className="text-sm text-ink-soft">{texts.minutesTaken}</span>
          <span className="figures text-xl font-bold">{texts.minutes(minutes)}</span>
          {sitting && <span className="text-sm">{texts.ofTheSitting(sitting.spent, sitting.of)}</span>}
        </p>
      </section>
      {trouble !== null && <Notice kind="error">{trouble}</Notice>}
      {kind === 'first' && <Guide taken={taken} />}
      {kind !== 'paper' && (
        <section aria-live="polite">
          <button type="button" className="quiet w-full" onClick={() => void hint()}>
            {texts.hint(HINT_MINUTES)}
          </button>
          {given && (
            <p className="mt-1">
              {hintText(given)}
              {given.measure !== null && (
                <button type="button" className="ml-2 quiet" onClick={() => onFollow(given)}>
                  {texts.goThere}
                </button>
              )}
            </p>
          )}
        </section>
      )}
      <details open className="max-lg:hidden">
        <summary className="min-h-11 py-2 font-semibold">
          {texts.whatWasRead}: {texts.readings(taken.length)}
        </summary>
        {taken.length === 0 ? (
          <p className="text-sm text-ink-soft">{texts.nothingRead}</p>
        ) : (
          <ol className="text-sm">
            {taken.map(({ path, minutes: took }, i) => (
              <li key={i} className="flex justify-between gap-2 border-t border-line py-0.5">
                <span>{sentence(readingName(path))}</span>
                <span className="figures whitespace-nowrap">{texts.minutes(took)}</span>
              </li>
            ))}
          </ol>
        )}
      </details>
    </aside>
  );
}
