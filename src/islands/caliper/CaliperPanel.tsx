import { useEffect, useMemo, useRef, useState } from 'react';
import { BatteryLow, Plug, Unplug } from 'lucide-react';
import { useKeys } from '../frame/keys';
import { lastField, typeInto, withReading } from './field';
import { useCaliper } from './use-caliper';
import * as texts from '#language/screens/caliper';

/** Below this charge the caliper asks for a battery, percent. */
const LOW = 15;

const LINE = {
  connecting: { word: 'connecting…', tone: 'text-steel' },
  connected: { word: 'connected', tone: 'text-leaf' },
  lost: { word: texts.lineLostTryingAgain, tone: 'text-oxide' },
} as const;

/**
 * The simulated caliper: its display, its button, and what a hand does with it. A reading lands in the field that had
 * the caret.
 */
export function CaliperPanel({ onClose }: { onClose: () => void }) {
  const field = useRef<ReturnType<typeof lastField> | null>(null);
  const [held, setHeld] = useState<number | null>(null);
  const [repeat, setRepeat] = useState(false);
  const [jaw, setJaw] = useState('8.00');
  const [missed, setMissed] = useState(false);
  const land = (mm: number) => {
    const target = field.current?.current;
    setMissed(!target?.isConnected);
    if (!target?.isConnected) return;
    typeInto(target, withReading(target.value, `${mm.toFixed(2)} mm`, repeat), !repeat);
  };
  const caliper = useCaliper(true, land);
  const { line, live, battery, command } = caliper;
  useEffect(() => {
    const last = lastField();
    field.current = last;
    return last.stop;
  }, []);
  useKeys(
    useMemo(
      () => [
        {
          shown: ['F9'],
          does: texts.pressTheButton,
          inFields: true,
          on: 'F9',
          act: () => command({ press: true }),
        },
      ],
      [command],
    ),
  );
  const setJaws = (text: string) => {
    setJaw(text);
    const mm = Number(text.replace(',', '.'));
    if (text.trim() !== '' && mm >= 0 && mm <= 300) command({ jaw: mm });
  };
  const { word, tone } = LINE[line];
  const shown = held ?? live;
  return (
    <aside
      aria-label={texts.simulatedCaliper}
      className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-2 border-2 border-slate bg-sheet px-3 py-2"
    >
      <div className="min-w-36">
        <p className="figures text-[28px] leading-none font-bold" aria-live="off">
          {shown === null ? '––.––' : shown.toFixed(2)} <span className="text-base font-normal">mm</span>
        </p>
        <p role="status" className={`text-sm font-semibold ${tone}`}>
          {texts.caliper(word)}
          {battery !== null && battery < LOW && (
            <span className="ml-2 inline-flex items-center gap-1 text-oxide">
              <BatteryLow size={15} aria-hidden="true" /> {texts.batteryLow(battery)}
            </span>
          )}
        </p>
      </div>
      <button type="button" className="act" disabled={line !== 'connected'} onClick={() => command({ press: true })}>
        {texts.takeReading} <kbd className="figures font-normal opacity-80">F9</kbd>
      </button>
      <button
        type="button"
        className="quiet aria-pressed:bg-ink aria-pressed:text-sheet"
        aria-pressed={held !== null}
        onClick={() => setHeld(held === null ? live : null)}
      >
        {texts.hold}
      </button>
      <label className="flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          className="size-5"
          checked={repeat}
          onChange={({ target }) => setRepeat(target.checked)}
        />
        {texts.addAsRepeats}
      </label>
      <div className="flex items-center gap-2 border-l border-line pl-3">
        <label className="flex items-center gap-1.5 text-sm">
          {texts.jawsAt}
          <input
            className="entry w-24 figures"
            inputMode="decimal"
            value={jaw}
            onChange={({ target }) => setJaws(target.value)}
          />
        </label>
        <button
          type="button"
          className="flex quiet items-center gap-1"
          onClick={() => command({ line: line === 'lost' ? 'up' : 'down' })}
        >
          {line === 'lost' ? <Plug size={16} aria-hidden="true" /> : <Unplug size={16} aria-hidden="true" />}
          {line === 'lost' ? texts.plugIn : texts.pullPlug}
        </button>
        <button type="button" className="quiet" onClick={() => command({ battery: (battery ?? 0) < LOW ? 100 : 9 })}>
          {battery !== null && battery < LOW ? texts.newBattery : texts.drainBattery}
        </button>
        <button type="button" className="quiet" onClick={onClose}>
          {texts.putAway}
        </button>
      </div>
      {missed && <p className="w-full text-sm font-semibold text-oxide">{texts.putTheCaretInto}</p>}
    </aside>
  );
}
