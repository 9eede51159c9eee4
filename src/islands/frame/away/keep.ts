import type { JobView, StoredReadingMessage } from '../../../contract';

/** Whether this browser opens Serrata without its server: only then is anything kept for it. */
export const opensAlone = (): boolean => 'serviceWorker' in navigator && navigator.serviceWorker.controller !== null;

const fetchKept = () => import('../../../offline/kept');

/** Names under which something is kept. */
export const KEPT = { job: 'job/', stock: 'stock', shop: 'shop' } as const;

/** Jobs that are kept; those that were seen longest ago go first. */
const MOST_JOBS = 80;

/** Keeps something for when the shop cannot be reached. Nobody waits for it, and where it fails there is no less. */
export function keep(key: string, value: unknown): void {
  if (!opensAlone()) return;
  const keepIt = async () => {
    await (await fetchKept()).keepView(key, value);
    if (key.startsWith(KEPT.job)) await dropOldJobs();
  };
  keepIt().catch(() => undefined);
}

/** Adds what was just stored of a job to what is kept of it. */
export function keepReadings(job: string, readings: readonly StoredReadingMessage[]): void {
  if (!opensAlone() || readings.length === 0) return;
  fetchKept()
    .then(({ changeView }) =>
      changeView<JobView>(`${KEPT.job}${job}`, (view) => {
        const places = new Set(readings.map(({ path }) => path));
        return { ...view, readings: [...view.readings.filter(({ path }) => !places.has(path)), ...readings] };
      }),
    )
    .catch(() => undefined);
}

/** Lets go of jobs beyond those that are kept. */
export async function dropOldJobs(): Promise<void> {
  const { dropViews, keptViews } = await fetchKept();
  const jobs = await keptViews(KEPT.job);
  const newest = jobs.toSorted((one, other) => (one.at < other.at ? 1 : -1));
  await dropViews(newest.slice(MOST_JOBS).map((each) => each.key));
}

/** Wipes what the shop said: whoever was signed in here is so no more. */
export async function wipe(): Promise<void> {
  if (!('indexedDB' in window)) return;
  const { wipeViews } = await fetchKept();
  await wipeViews().catch(() => undefined);
}

/**
 * Registers what opens Serrata without its server. Where it was installed, the browser is asked not to throw away what is
 * kept; elsewhere whoever is there asks (Kept in this browser), since a browser may ask them back.
 */
export function letOpenAlone(): void {
  if (!('serviceWorker' in navigator)) return;
  // Where it cannot be had, such as while it is built, all goes on with the server alone.
  navigator.serviceWorker.register('/worker.js').catch(() => undefined);
  if (window.matchMedia('(display-mode: standalone)').matches) navigator.storage.persist().catch(() => undefined);
}
