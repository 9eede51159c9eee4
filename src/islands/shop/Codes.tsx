import { useState, type FormEvent } from 'react';
import { GAUGE_IDS, type GaugeId, PITCH_MARKS, type PitchMark } from '../../core/families';
import type { LearnedCodeView } from '../../contract';
import { Empty, Notice } from '../../ui/parts/Notice';
import { gaugeLabel, pitchMarkLabel } from '../../wording';
import { api, failure } from '../frame/api';
import { useFrame } from '../frame/frame-context';
import { useChangedHere } from '../frame/server-data';
import { UNNAMED } from '../frame/preferences';

interface Draft {
  readonly code: string;
  readonly pitch: PitchMark | '';
  readonly gauge: GaugeId | '';
  readonly note: string;
}

const EMPTY: Draft = { code: '', pitch: '', gauge: '', note: '' };

/** Codes punched into drive links, as the shop has learned them: makers use systems of their own. */
export function Codes({ codes }: { codes: readonly LearnedCodeView[] }) {
  const { who } = useFrame();
  const changedHere = useChangedHere();
  const [draft, setDraft] = useState<Draft>(EMPTY);
  const [refused, setRefused] = useState<string | null>(null);
  const send = async (work: () => Promise<readonly LearnedCodeView[]>, after: () => void) => {
    try {
      await work();
      await changedHere();
      setRefused(null);
      after();
    } catch (error) {
      setRefused(failure(error, 'It was not stored. Try again.'));
    }
  };
  const learn = (event: FormEvent) => {
    event.preventDefault();
    if (draft.code.trim() === '') return setRefused('Write the code as it stands on the drive link.');
    void send(
      () =>
        api.put<LearnedCodeView[]>('/api/codes', {
          by: who || UNNAMED,
          code: { code: draft.code, pitch: draft.pitch || null, gauge: draft.gauge || null, note: draft.note },
        }),
      () => setDraft(EMPTY),
    );
  };
  return (
    <>
      <p className="mb-3 max-w-prose text-ink-soft">
        A code on a drive link stands for pitch and gauge in its maker’s own system. Write down what was measured once:
        from then on the stamp reader knows it, in jobs and at the counter.
      </p>
      <form onSubmit={learn} noValidate className="mb-4 flex flex-wrap items-end gap-3">
        <label className="grid gap-1">
          <span className="text-sm font-semibold text-ink-soft">Code</span>
          <input
            className="entry w-28 figures"
            value={draft.code}
            maxLength={20}
            onChange={({ target }) => setDraft({ ...draft, code: target.value })}
          />
        </label>
        <label className="grid gap-1">
          <span className="text-sm font-semibold text-ink-soft">Pitch</span>
          <select
            className="entry"
            value={draft.pitch}
            onChange={({ target }) =>
              setDraft({ ...draft, pitch: PITCH_MARKS.find((mark) => mark === target.value) ?? '' })
            }
          >
            <option value="">not said</option>
            {PITCH_MARKS.map((mark) => (
              <option key={mark} value={mark}>
                {pitchMarkLabel(mark)}
              </option>
            ))}
          </select>
        </label>
        <label className="grid gap-1">
          <span className="text-sm font-semibold text-ink-soft">Gauge</span>
          <select
            className="entry"
            value={draft.gauge}
            onChange={({ target }) => setDraft({ ...draft, gauge: GAUGE_IDS.find((id) => id === target.value) ?? '' })}
          >
            <option value="">not said</option>
            {GAUGE_IDS.map((id) => (
              <option key={id} value={id}>
                {gaugeLabel(id)}
              </option>
            ))}
          </select>
        </label>
        <label className="grid flex-1 gap-1">
          <span className="text-sm font-semibold text-ink-soft">Note</span>
          <input
            className="entry w-full"
            value={draft.note}
            maxLength={200}
            onChange={({ target }) => setDraft({ ...draft, note: target.value })}
          />
        </label>
        <button type="submit" className="act">
          Learn it
        </button>
      </form>
      {refused && <Notice kind="error">{refused}</Notice>}
      {codes.length === 0 ? (
        <Empty title="No code learned yet">The next marked chain that is measured can teach one.</Empty>
      ) : (
        <ul className="border-t-2 border-ink">
          {codes.map(({ code, pitch, gauge, note, by }) => (
            <li
              key={code}
              className="grid grid-cols-[6rem_12rem_10rem_minmax(0,1fr)_auto] items-center gap-3 border-b border-line py-1.5 max-md:grid-cols-2"
            >
              <span className="figures text-lg font-bold">{code}</span>
              <span>{pitch ? pitchMarkLabel(pitch) : 'pitch not said'}</span>
              <span>{gauge ? gaugeLabel(gauge) : 'gauge not said'}</span>
              <span className="text-sm text-ink-soft">{[note, `learned by ${by}`].filter(Boolean).join('; ')}</span>
              <button
                type="button"
                className="quiet"
                aria-label={`Forget ${code}`}
                onClick={() =>
                  void send(
                    () => api.post<LearnedCodeView[]>('/api/codes/forget', { code }),
                    () => undefined,
                  )
                }
              >
                Forget
              </button>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
