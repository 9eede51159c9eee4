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
    const { dropViews, keepView, keptViews } = await fetchKept();
    await keepView(key, value);
    if (!key.startsWith(KEPT.job)) return;
    const jobs = await keptViews(KEPT.job);
    const newest = jobs.toSorted((one, other) => (one.at < other.at ? 1 : -1));
    await dropViews(newest.slice(MOST_JOBS).map((each) => each.key));
  };
  keepIt().catch(() => undefined);
}

/** Wipes what the shop said: whoever was signed in here is so no more. */
export async function wipe(): Promise<void> {
  if (!('indexedDB' in window)) return;
  const { wipeViews } = await fetchKept();
  await wipeViews().catch(() => undefined);
}

/** Registers what opens Serrata without its server, and asks the browser not to throw away what is kept. */
export function letOpenAlone(): void {
  if (!('serviceWorker' in navigator)) return;
  // Where it cannot be had, such as while it is built, all goes on with the server alone.
  navigator.serviceWorker.register('/worker.js').catch(() => undefined);
}
