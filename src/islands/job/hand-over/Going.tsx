import { useId, useState } from 'react';
import type { HandOverPage, HandOverRequest } from '../../../contract';
import { Notice } from '../../../ui/parts/Notice';
import { api, failure } from '../../frame/api';
import { useFrame } from '../../frame/frame-context';
import { Group } from '../parts/StepHead';
import { Reopen } from './Reopen';
import { isSaved, useJob, useOfStore } from '../store/JobContext';
import * as texts from '#language/screens/job-hand-over';
import { visitAgreed } from '../../../wording';

interface GoingProps {
  readonly view: HandOverPage;
  /** Takes in what the server answered. */
  readonly onView: (view: HandOverPage) => void;
}

/**
 * What is still open, the day of the next visit, and the act itself. What is open is listed and let through with a
 * reason.
 */
export function Going({ view: { draft, last, revision }, onView }: GoingProps) {
  const { view } = useJob();
  const isStored = useOfStore(isSaved);
  const { who } = useFrame();
  const [note, setNote] = useState('');
  const [day, setDay] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState<string | null>(null);
  const [noteId, dayId] = [useId(), useId()];
  const address = `/api/jobs/${view.job.id}/hand-over`;
  const isOut = view.job.state === 'handed-over';
  const lacksReason = draft.open.length > 0 && note.trim() === '';
  const send = async () => {
    setBusy(true);
    const request: HandOverRequest = { by: who, revision, nextVisit: day, note: note.trim() };
    try {
      onView(await api.post<HandOverPage>(address, request));
      window.location.assign(`/jobs/${view.job.id}?step=hand-over&go=field`);
    } catch (error) {
      setRefused(failure(error, texts.itWasNotHandedOver));
      // What moved meanwhile is shown, so that it can be looked at.
      await api.get<HandOverPage>(address).then(onView, () => undefined);
      setBusy(false);
    }
  };
  if (isOut)
    return (
      <Group title={texts.itHasGone}>
        {last && last.document.note !== '' && (
          <p className="mb-2">
            {texts.somethingWasOpenWhen} <strong>{last.document.note}</strong>
          </p>
        )}
        <Reopen />
      </Group>
    );
  return (
    <Group title={texts.beforeItGoes}>
      {draft.open.length === 0 ? (
        <Notice kind="good">{texts.nothingIsOpen}</Notice>
      ) : (
        <Notice kind="caution">
          <p className="font-bold">{texts.stillOpen}</p>
          <ul className="list-disc pl-5">
            {draft.open.map((text) => (
              <li key={text}>{text}</li>
            ))}
          </ul>
        </Notice>
      )}
      <div className="my-3 grid gap-3">
        {draft.open.length > 0 && (
          <div className="grid gap-1">
            <label htmlFor={noteId} className="text-sm font-semibold">
              {texts.whyAllTheSame}
            </label>
            <input
              id={noteId}
              className="entry w-full"
              maxLength={400}
              value={note}
              onChange={({ target }) => setNote(target.value)}
            />
          </div>
        )}
        <div className="grid gap-1">
          <label htmlFor={dayId} className="text-sm font-semibold">
            {texts.nextVisit}
          </label>
          <input
            id={dayId}
            type="date"
            className="entry max-w-48 figures"
            value={day ?? draft.nextVisit.on}
            min={draft.on}
            onChange={({ target }) => setDay(target.value === '' ? null : target.value)}
          />
          <p className="text-sm text-ink-soft">
            {day === null || day === draft.nextVisit.on ? draft.nextVisit.why : visitAgreed}
          </p>
        </div>
      </div>
      {refused && <Notice kind="error">{refused}</Notice>}
      <button
        type="button"
        className="act"
        disabled={busy || !isStored || who === '' || lacksReason}
        onClick={() => void send()}
      >
        {who === '' ? texts.sayWhoIsHere : texts.handOverAs(who)}
      </button>
    </Group>
  );
}
