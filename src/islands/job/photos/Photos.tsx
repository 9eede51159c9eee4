import { useRef, useState } from 'react';
import { Camera, X } from 'lucide-react';
import type { PhotoView } from '../../../contract';
import { Notice } from '../../../ui/parts/Notice';
import { api, failure } from '../../frame/api';
import { useFrame } from '../../frame/frame-context';
import { sentOnce } from '../../frame/sent-once';
import { UNNAMED } from '../../../wording';
import { Group } from '../parts/StepHead';
import { useJob, useJobStore } from '../store/JobContext';
import { shrunk } from './shrink';
import { useWaitingPictures } from './use-waiting-pictures';
import * as texts from '#language/screens/job';
import { pictureWaits } from '#language/screens/offline';

const why = (error: unknown, file: File): string => failure(error, texts.noPicture(file.name));

/** Pictures of what was brought, kept with the job. Large ones are made smaller before they are sent. */
export function Photos() {
  const { view } = useJob();
  const { who } = useFrame();
  const { photos } = view;
  const store = useJobStore();
  const [sending, setSending] = useState(0);
  const [refused, setRefused] = useState<readonly string[]>([]);
  const input = useRef<HTMLInputElement>(null);
  const waits = useWaitingPictures(view.job.id, photos);
  const address = `/api/jobs/${view.job.id}/photos`;
  const add = async (files: readonly File[]) => {
    setRefused([]);
    setSending(files.length);
    for (const file of files) {
      try {
        const picture = await shrunk(file);
        const { name, size, lastModified } = file;
        const by = who || UNNAMED;
        await sentOnce([address, name, size, lastModified], (id) =>
          api
            .send<PhotoView[]>(`${address}?${new URLSearchParams({ id, by }).toString()}`, picture)
            .catch((error: unknown) => waits.keep(error, { id, job: view.job.id, by, picture })),
        );
        await store.refresh().catch(() => undefined);
      } catch (error) {
        setRefused((before) => [...before, why(error, file)]);
      }
      setSending((left) => left - 1);
    }
    if (input.current) input.current.value = '';
  };
  const takeAway = async (id: string) => {
    try {
      await api.delete<PhotoView[]>(`${address}/${id}`);
      await store.refresh();
    } catch (error) {
      setRefused([failure(error, texts.pictureNotTakenAway)]);
    }
  };
  return (
    <Group title={texts.photographs} aside={texts.picturesKept}>
      <ul className="flex flex-wrap gap-2">
        {photos.map(({ id, width, height, by }, i) => (
          <li key={id} className="relative">
            <a href={`${address}/${id}`} target="_blank" rel="noreferrer">
              <img
                src={`${address}/${id}`}
                width={width}
                height={height}
                alt={texts.photograph(i + 1, by)}
                loading="lazy"
                className="h-24 w-auto max-w-48 rounded-[3px] border border-line-strong object-cover"
              />
            </a>
            <button
              type="button"
              aria-label={texts.takePhotographAway(i + 1)}
              className="absolute -top-2 -right-2 grid size-11 place-items-center rounded-full border border-line-strong bg-sheet"
              onClick={() => void takeAway(id)}
            >
              <X size={16} aria-hidden="true" />
            </button>
          </li>
        ))}
        {waits.pictures.map(({ id, address: here, by }) => (
          <li key={id} className="max-w-48">
            <img
              src={here}
              alt={texts.photographWaits(by)}
              className="h-24 w-auto max-w-48 rounded-[3px] border border-dashed border-brass object-cover"
            />
            <span className="block text-sm text-ink-soft">{pictureWaits}</span>
          </li>
        ))}
        <li>
          <label className="grid h-24 w-32 place-items-center rounded-[3px] border border-dashed border-line-strong text-sm text-ink-soft hover:bg-well has-focus-visible:outline-3 has-focus-visible:outline-steel">
            <input
              ref={input}
              type="file"
              accept="image/png,image/jpeg"
              multiple
              className="sr-only"
              onChange={({ target }) => void add([...(target.files ?? [])])}
            />
            <span className="grid place-items-center gap-1">
              <Camera size={22} aria-hidden="true" />
              {sending > 0 ? texts.sending(sending) : texts.addAPicture}
            </span>
          </label>
        </li>
      </ul>
      {refused.length > 0 && (
        <div className="mt-2">
          <Notice kind="error">
            {refused.map((text) => (
              <p key={text}>{text}</p>
            ))}
          </Notice>
        </div>
      )}
    </Group>
  );
}
