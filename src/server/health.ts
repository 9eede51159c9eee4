import { existsSync, rmSync, statfsSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import Database from 'libsql';
import { listBackups } from '../data/keeping/backups';
import { lastCheck } from '../data/repositories';
import { FIRST_SHOP } from '../data/shops/names';
import { storeFile, type Store } from '../data/store';
import { troubleOf, type Trouble } from '../data/trouble';
import type { HealthView } from '../contract';
import { storeTrouble } from '../wording';
import type { Context } from './context';
import { isOnErrand } from './errands/send';
import { shopView } from './use-cases/shop';
import * as texts from '#language/server';

/** How long a look at the disk counts, ms. */
const LOOK_EVERY = 2000;
/** Bytes written to see whether there is room. */
const PROBE = Buffer.alloc(65_536);
/** Less free space than this is little, MB. */
const LITTLE_MB = 100;

/**
 * A store that is held for less than this is no trouble, ms: writes wait so long for it, and Serrata's own errands hold
 * it for moments.
 */
const HELD_LONG_MS = 4000;
/** Two looks that are further apart tell nothing of what was between them, ms. */
const LOOKS_APART_MS = 10_000;
let held: { readonly since: number; readonly last: number } | null = null;

/** Held, but by a process that Serrata itself has sent: no other programme holds the store. */
const isOurs = (trouble: Trouble | null): boolean => trouble === 'held' && isOnErrand();

/** What is told of a look at the store: that somebody holds it only where it was held at every look for long enough. */
function told(trouble: Trouble | null, at: number): Trouble | null {
  if (isOurs(trouble)) {
    held = null;
    return null;
  }
  if (trouble !== 'held') {
    held = null;
    return trouble;
  }
  held = { since: held && at - held.last < LOOKS_APART_MS ? held.since : at, last: at };
  return at - held.since >= HELD_LONG_MS ? 'held' : null;
}

/** What a request met last, and when. A trouble that a look at the disk does not find is believed this long, ms. */
const BELIEVED_MS = 10_000;
let met: { readonly trouble: Trouble; readonly at: number } | null = null;

/** Notes a trouble that a request met. */
export function troubleSeen(trouble: Trouble): void {
  if (isOurs(trouble)) return;
  met = { trouble, at: performance.now() };
}

function ofDisk(folder: string): Trouble | null {
  const probe = join(folder, `.serrata-room-${process.pid}`);
  try {
    writeFileSync(probe, PROBE);
    return null;
  } catch (error) {
    return troubleOf(error) ?? 'disk';
  } finally {
    rmSync(probe, { force: true });
  }
}

/**
 * Which store this is, and whether another programme holds it.
 * @param isIdle whether no write of ours is under way
 */
function ofStore(file: string, isIdle: boolean): Pick<Look, 'id' | 'trouble'> {
  let id = '';
  // Asked for one that was deleted, the driver would make an empty one.
  if (!existsSync(file)) return { id, trouble: 'disk' };
  try {
    const asking = new Database(file, { timeout: 0 });
    try {
      id = String(asking.prepare('PRAGMA user_version').raw().get());
      if (isIdle) {
        asking.exec('BEGIN IMMEDIATE');
        asking.exec('ROLLBACK');
      }
    } finally {
      asking.close();
    }
    return { id, trouble: null };
  } catch (error) {
    return { id, trouble: troubleOf(error) ?? 'disk' };
  }
}

const freeMb = (folder: string): number | null => {
  try {
    const { bavail, bsize } = statfsSync(folder);
    return Math.floor((bavail * bsize) / 1e6);
  } catch {
    return null;
  }
};

interface Look {
  readonly at: number;
  readonly id: string;
  readonly trouble: Trouble | null;
  readonly freeMb: number | null;
  readonly backup: Date | null;
}

const NOTHING = { id: '', trouble: null, freeMb: null, backup: null };

function lookAt(store: Store): Look {
  const at = performance.now();
  const file = storeFile(store.url);
  if (file === null) return { at, ...NOTHING };
  const folder = dirname(file);
  const asked = ofStore(file, store.isIdle());
  const trouble = ofDisk(folder) ?? told(asked.trouble, at);
  if (trouble === null && met && at - met.at > BELIEVED_MS) met = null;
  return {
    at,
    id: asked.id,
    trouble: trouble ?? met?.trouble ?? null,
    freeMb: freeMb(folder),
    backup: listBackups(file).find(({ kind }) => kind !== 'before')?.at ?? null,
  };
}

let last: Look | null = null;
const HOUR_MS = 3_600_000;
/** A backup older than this says that none are made, hours. */
const OLD_HOURS = 72;

/** Whether the store answers just now. */
async function answering(context: Context): Promise<Trouble | null> {
  try {
    await shopView(context);
    return null;
  } catch (error) {
    return troubleOf(error) ?? 'disk';
  }
}

/**
 * How the store and its disk are, in figures and in a sentence. The store is asked each time; a look at its disk is
 * taken at most every {@link LOOK_EVERY} ms.
 */
export async function health(context: Context): Promise<HealthView> {
  const { store, now } = context;
  const mute = await answering(context);
  if (mute) troubleSeen(mute);
  if (!last || performance.now() - last.at > LOOK_EVERY) last = lookAt(store);
  const { id, freeMb: space, backup } = last;
  const trouble = last.trouble ?? (isOurs(mute) ? null : mute);
  const age = backup && Math.max(0, Math.floor((now().getTime() - backup.getTime()) / HOUR_MS));
  const little = space !== null && space < LITTLE_MB;
  return {
    status: trouble ? 'trouble' : 'open',
    memory: Math.round(process.memoryUsage.rss() / 1e6),
    store: { id, writable: trouble === null, trouble },
    space: { freeMb: space, little },
    backup: backup && age !== null ? { at: backup.toISOString(), hours: age } : null,
    says: trouble ? storeTrouble[trouble] : (caution(little ? space : null, age) ?? (await recordsCaution(context))),
  };
}

/** What was found wrong with the records that never change; null where nothing was. */
async function recordsCaution({ store }: Context): Promise<string | null> {
  const wrong = (await lastCheck(store.of(FIRST_SHOP).db))?.misfits.length ?? 0;
  return wrong === 0 ? null : texts.recordsDoNotFit(wrong);
}

/** What should be looked after before it is a trouble. */
function caution(littleMb: number | null, backupAge: number | null): string | null {
  if (littleMb !== null) return texts.diskNearlyFull(littleMb);
  if (backupAge === null || backupAge < OLD_HOURS) return null;
  const days = Math.floor(backupAge / 24);
  return texts.newestBackupIsOld(days);
}
