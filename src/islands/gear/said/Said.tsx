import { useState } from 'react';
import type { GearAct, GearSaidView } from '../../../contract';
import { Notice } from '../../../ui/parts/Notice';
import { gearSaid, shopDay } from '../../../wording';
import { failure } from '../../frame/api';
import { useFrame, useIsReader } from '../../frame/frame-context';
import { useSay } from './say';
import * as texts from '#language/screens/gear';

interface SayButtonProps {
  readonly act: GearAct;
  readonly name: string;
  /** What it is about, for who hears the button alone. */
  readonly about: string;
}

/** A button that says something at once; what the server says against it stands beside it. */
export function SayButton({ act, name, about }: SayButtonProps) {
  const say = useSay();
  const [trouble, setTrouble] = useState<string | null>(null);
  const isReader = useIsReader();
  if (isReader) return null;
  const press = () => say(act).catch((error: unknown) => setTrouble(failure(error, texts.itWasNotSaved)));
  return (
    <>
      <button
        type="button"
        className="min-h-8 text-sm underline"
        aria-label={`${name}: ${about}`}
        onClick={() => void press()}
      >
        {name}
      </button>
      {trouble && <Notice kind="error">{trouble}</Notice>}
    </>
  );
}

/** What was said beyond the jobs, with who and when; each can be undone. */
export function Said({
  said,
  heading = texts.wasSaid,
}: {
  readonly said: readonly GearSaidView[];
  readonly heading?: string;
}) {
  const { shop } = useFrame();
  if (said.length === 0) return null;
  return (
    <section aria-labelledby="gear-said" className="no-print mt-6">
      <h2 id="gear-said" className="text-lg font-extrabold">
        {heading}
      </h2>
      <ul className="border-t border-line-strong">
        {said.map((each) => {
          const text = gearSaid(each);
          return (
            <li key={each.id} className="border-b border-line px-2 py-1.5">
              <span className={each.undone ? 'text-ink-soft line-through' : ''}>{text}</span>{' '}
              <span className="text-sm text-ink-soft">{texts.byOn(each.by, shopDay(each.at, shop))}</span>{' '}
              {each.undone ? (
                <span className="text-sm">{texts.undoneBy(each.undone.by, shopDay(each.undone.at, shop))}</span>
              ) : (
                <SayButton act={{ say: 'undone', change: each.id }} name={texts.undo} about={text} />
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
