import { useEffect, useRef, useState } from 'react';
import { Delete } from 'lucide-react';
import { PIN_DIGITS } from '../../../core/people';
import type { BenchPerson, Me } from '../../../contract';
import { Notice } from '../../../ui/parts/Notice';
import { api, failure } from '../api';
import * as texts from '#language/screens/people';

/** Those a bench can be given over to; null while they are asked for. */
function useOthers(me: Me): readonly BenchPerson[] | null {
  const [people, setPeople] = useState<readonly BenchPerson[] | null>(null);
  useEffect(
    () =>
      void api.get<readonly BenchPerson[]>('/api/people').then(
        (all) => setPeople(all.filter(({ name, hasPin }) => hasPin && name !== me.name)),
        () => setPeople([]),
      ),
    [me.name],
  );
  return people;
}

/** Somebody takes over the bench: their name, and their PIN, by keys that a glove can hit. */
export function TakeOver({ me }: { me: Me }) {
  const others = useOthers(me);
  const [who, setWho] = useState<string | null>(null);
  if (others === null) return <p className="py-3 text-ink-soft">{texts.looking}</p>;
  if (others.length === 0) return <p className="max-w-prose text-ink-soft">{texts.nobodyHasAPin}</p>;
  return (
    <div className="grid gap-4">
      <fieldset>
        <legend className="mb-1 font-semibold">{texts.whoTakesOver}</legend>
        <div className="flex flex-wrap gap-2">
          {others.map(({ id, name }) => (
            <button
              key={id}
              type="button"
              className="quiet min-h-14 px-4 text-lg font-bold aria-pressed:bg-ink aria-pressed:text-sheet"
              aria-pressed={who === name}
              onClick={() => setWho(name)}
            >
              {name}
            </button>
          ))}
        </div>
      </fieldset>
      {who !== null && <Pin key={who} name={who} />}
    </div>
  );
}

const KEYS = ['1', '2', '3', '4', '5', '6', '7', '8', '9'] as const;
const KEY = 'quiet min-h-14 figures text-2xl font-bold';

function Pin({ name }: { name: string }) {
  const field = useRef<HTMLInputElement>(null);
  const [pin, setPin] = useState('');
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  useEffect(() => field.current?.focus(), []);
  const typed = (digits: string) => setPin(digits.replace(/\D/g, '').slice(0, PIN_DIGITS.most));
  const takeOver = async () => {
    setBusy(true);
    setTrouble(null);
    try {
      await api.post('/api/session/take-over', { name, pin });
      // Everything on the page is of whoever was here: it is drawn anew.
      window.location.reload();
    } catch (error) {
      setTrouble(failure(error, texts.notTakenOver));
      setPin('');
      setBusy(false);
      field.current?.focus();
    }
  };
  return (
    <form
      className="grid max-w-72 gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        void takeOver();
      }}
    >
      <label className="grid gap-1">
        <span className="font-semibold">{texts.pinOf(name)}</span>
        <input
          ref={field}
          className="entry min-h-14 text-center figures text-3xl tracking-[0.4em]"
          type="password"
          inputMode="numeric"
          autoComplete="off"
          value={pin}
          onChange={({ target }) => typed(target.value)}
        />
      </label>
      {trouble && <Notice kind="error">{trouble}</Notice>}
      <div className="grid grid-cols-3 gap-2">
        {KEYS.map((digit) => (
          <button key={digit} type="button" className={KEY} onClick={() => typed(pin + digit)}>
            {digit}
          </button>
        ))}
        <button
          type="button"
          className={`${KEY} grid place-items-center`}
          aria-label={texts.takeADigitBack}
          onClick={() => setPin(pin.slice(0, -1))}
        >
          <Delete size={24} aria-hidden="true" />
        </button>
        <button type="button" className={KEY} onClick={() => typed(`${pin}0`)}>
          0
        </button>
        <button type="submit" className="act min-h-14 px-1" disabled={busy || pin.length < PIN_DIGITS.least}>
          {busy ? texts.takingOver : texts.takeOver}
        </button>
      </div>
    </form>
  );
}
