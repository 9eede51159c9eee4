import type { PutReadingsReply } from '../../../contract';
import { bringIn } from '../../../offline/bring-in';
import { pictureIsIn, waitingPictures } from '../../../offline/kept';
import { api, mayRetry } from '../api';
import { jobLock } from './job-lock';

async function bringInPictures(): Promise<void> {
  for (const { id, job, by, picture } of await waitingPictures()) {
    try {
      await api.send(`/api/jobs/${job}/photos?${new URLSearchParams({ id, by }).toString()}`, picture);
      await pictureIsIn(id);
    } catch (error) {
      // What the shop refuses stays with its job, and is shown there.
      if (mayRetry(error)) return;
    }
  }
}

/** One page of a browser brings in at a time. */
const LOCK = 'serrata:bring-in';

/** Brings in what was typed and taken while the shop could not be reached. */
export async function bringAllIn(): Promise<void> {
  await navigator.locks.request(LOCK, { ifAvailable: true }, async (lock) => {
    if (!lock) return;
    await bringIn({
      storage: window.localStorage,
      send: (job, message) => api.post<PutReadingsReply>(`/api/jobs/${job}/readings`, message),
      mayRetry,
      whereNobodyIs: async (job, work) => {
        await navigator.locks.request(jobLock(job), { ifAvailable: true }, async (alone) => {
          if (alone) await work();
        });
      },
      tab: 'bring-in',
    });
    await bringInPictures();
  });
}
