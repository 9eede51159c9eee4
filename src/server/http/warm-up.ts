import { INSIDE } from './door-state';

/** How long nobody must have asked for anything before something is asked for by ourselves, ms. */
const QUIET_MS = 700;
const LOOK_EVERY_MS = 250;

/** What everybody opens, and what is made of a job. */
const PAGES = ['/', '/stock', '/counter', '/gear', '/shop'];
const ofJob = (id: string): readonly string[] => [
  `/jobs/${id}?step=bar`,
  `/jobs/${id}?step=chain`,
  `/jobs/${id}/customer`,
  `/api/jobs/${id}/hand-over.json`,
  `/api/jobs/${id}/assessment.json`,
];

/** Jobs differ in what they bring. */
const MOST_JOBS = 3;

const pause = () => new Promise<void>((resolve) => void setTimeout(resolve, LOOK_EVERY_MS).unref());

/**
 * Asks for every kind of page once, while nobody else asks for anything: what is made for the first time takes ten
 * times as long as ever after, and the first who asks is not to wait for it, nor anybody beside them.
 * @param address where the server is open
 * @param inside what the server shows of itself
 * @param askedAt when somebody asked for something last, as `performance.now` tells it
 */
export async function warmUp(address: string, inside: string, askedAt: () => number): Promise<void> {
  const asked = async (path: string): Promise<string> => {
    while (performance.now() - askedAt() < QUIET_MS) await pause();
    return (await fetch(`${address}${path}`, { headers: { [INSIDE]: inside } })).text();
  };
  const [first] = PAGES;
  const bench = await asked(first!);
  const jobs = [...bench.matchAll(/href="\/jobs\/([\w-]+)/g)].map(([, id]) => id!);
  const some = [...new Set(jobs)].slice(0, MOST_JOBS).flatMap(ofJob);
  for (const path of [...PAGES.slice(1), ...some]) await asked(path);
}
