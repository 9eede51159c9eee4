import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** Something as the server said it, and when. */
export interface Kept<T> {
  readonly key: string;
  /** When it was seen, as ISO 8601. */
  readonly at: string;
  readonly value: T;
}

/** A picture that was taken without the shop, and waits to be brought in. */
export interface WaitingPicture {
  readonly id: string;
  readonly job: string;
  readonly by: string;
  readonly picture: Blob;
}

interface Keeping extends DBSchema {
  views: { key: string; value: Kept<unknown> };
  pictures: { key: string; value: WaitingPicture; indexes: { job: string } };
}

const NAME = 'serrata';
const VERSION = 1;

let opened: Promise<IDBPDatabase<Keeping>> | null = null;

/** What this browser keeps of the shop. Each version brings what the one before kept up to it. */
function keeping(): Promise<IDBPDatabase<Keeping>> {
  opened ??= openDB<Keeping>(NAME, VERSION, {
    upgrade: (db) => {
      db.createObjectStore('views', { keyPath: 'key' });
      db.createObjectStore('pictures', { keyPath: 'id' }).createIndex('job', 'job');
    },
    // A newer page wants to bring it up to its version: it opens anew at the next use.
    blocking: (_now, _next, event) => {
      (event.target as IDBDatabase | null)?.close();
      opened = null;
    },
  });
  return opened;
}

/** After a wipe this page keeps nothing any more: what was still on its way was said to somebody who has gone. */
let isWiped = false;

/** Keeps what the server said, in the place of what was kept under that name before. */
export async function keepView(key: string, value: unknown, at = new Date()): Promise<void> {
  const db = await keeping();
  if (!isWiped) await db.put('views', { key, at: at.toISOString(), value });
}

/** Changes what is kept under a name, where something is; it is as old as it was. */
export async function changeView<T>(key: string, change: (value: T) => T): Promise<void> {
  const tx = (await keeping()).transaction('views', 'readwrite');
  const kept = (await tx.store.get(key)) as Kept<T> | undefined;
  if (kept && !isWiped) await tx.store.put({ ...kept, value: change(kept.value) });
  await tx.done;
}

/** What was kept under a name; null where nothing was. */
export async function keptView<T>(key: string): Promise<Kept<T> | null> {
  return ((await (await keeping()).get('views', key)) as Kept<T> | undefined) ?? null;
}

/** All that was kept under names that begin so. */
export async function keptViews<T>(prefix: string): Promise<readonly Kept<T>[]> {
  const range = IDBKeyRange.bound(prefix, `${prefix}\uffff`);
  return (await (await keeping()).getAll('views', range)) as Kept<T>[];
}

/** Lets go of what was kept under some names. */
export async function dropViews(keys: readonly string[]): Promise<void> {
  const tx = (await keeping()).transaction('views', 'readwrite');
  await Promise.all([...keys.map((key) => tx.store.delete(key)), tx.done]);
}

/** Keeps a picture until the shop has it. */
export async function keepPicture(waiting: WaitingPicture): Promise<void> {
  await (await keeping()).put('pictures', waiting);
}

/** Pictures that wait, of one job or of all. */
export async function waitingPictures(job?: string): Promise<readonly WaitingPicture[]> {
  const db = await keeping();
  return job === undefined ? db.getAll('pictures') : db.getAllFromIndex('pictures', 'job', job);
}

/** Lets go of a picture that the shop has. */
export async function pictureIsIn(id: string): Promise<void> {
  await (await keeping()).delete('pictures', id);
}

/** Wipes all that the shop said. What was typed or taken here and is not in the shop yet stays. */
export async function wipeViews(): Promise<void> {
  isWiped = true;
  await (await keeping()).clear('views');
}
