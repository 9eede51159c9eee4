import { existsSync, readdirSync, rmSync, statSync } from 'node:fs';
import { basename, dirname, join, resolve } from 'node:path';
import { makeFolderOf } from '../owner-alone';
import { settings } from '../settings';
import { removeStore } from './backup';

/** Why a backup was made. `before` is what stood in the store's place until another was put there. */
export const BACKUP_KINDS = ['daily', 'by-hand', 'migration', 'brought', 'before'] as const;
export type BackupKind = (typeof BACKUP_KINDS)[number];

/** One backup that is kept. */
export interface KeptBackup {
  /** Its file's name, by which it is asked for. */
  readonly name: string;
  readonly file: string;
  readonly kind: BackupKind;
  /** When it was made, as its name says. */
  readonly at: Date;
  readonly bytes: number;
}

/** A moment as it stands in a file's name. */
export const stampOf = (at: Date): string => at.toISOString().replace(/[:.]/g, '-');

const STAMP = /(\d{4}-\d\d-\d\d)T(\d\d)-(\d\d)-(\d\d)-(\d{3})Z/;

function momentIn(name: string): Date | null {
  const found = STAMP.exec(name);
  if (!found) return null;
  const [, day, hours, minutes, seconds, ms] = found;
  const at = new Date(`${day}T${hours}:${minutes}:${seconds}.${ms}Z`);
  return Number.isNaN(at.getTime()) ? null : at;
}

/** Where backups of a store are kept: `SERRATA_BACKUPS`, or a folder beside it. */
const backupFolder = (store: string, configured = settings().SERRATA_BACKUPS): string =>
  configured ? resolve(configured) : join(dirname(store), 'backups');

/** Where the next backup of a kind goes; its folder is made. */
export function backupFile(store: string, kind: BackupKind, at: Date): string {
  const file = join(backupFolder(store), `${kind}-${stampOf(at)}.db`);
  makeFolderOf(file);
  return file;
}

function kept(folder: string, name: string, kind: BackupKind): readonly KeptBackup[] {
  const file = join(folder, name);
  const at = momentIn(name);
  const about = statSync(file, { throwIfNoEntry: false });
  return at && about?.isFile() ? [{ name, file, kind, at, bytes: about.size }] : [];
}

/** Backups of a store that are kept, newest first. */
export function listBackups(store: string): readonly KeptBackup[] {
  const folder = backupFolder(store);
  const inFolder = existsSync(folder) ? readdirSync(folder) : [];
  const found = inFolder
    .filter((name) => name.endsWith('.db'))
    .flatMap((name) => {
      const kind = BACKUP_KINDS.find((each) => name.startsWith(`${each}-`));
      return kind ? kept(folder, name, kind) : [];
    });
  const home = dirname(store);
  const replaced = (existsSync(home) ? readdirSync(home) : [])
    .filter((name) => name.startsWith(`${basename(store)}.before-`) && STAMP.test(name))
    .flatMap((name) => kept(home, name, 'before'));
  return [...found, ...replaced].sort((a, b) => b.at.getTime() - a.at.getTime() || (a.name < b.name ? 1 : -1));
}

/** How many are kept: of the daily ones the last of so many days, weeks and months; of the others the newest. */
export const KEEPING = { days: 7, weeks: 5, months: 12, others: 10 } as const;

const DAY_MS = 86_400_000;
/** Monday of a moment's week, UTC. */
const weekOf = (at: Date): number => Math.floor((at.getTime() / DAY_MS + 3) / 7);

/**
 * The newest of each of the last `most` spans that have one. Spans are counted as they come, not from now: a clock that
 * was wrong once throws nothing away.
 */
function newestOfEach(
  backups: readonly KeptBackup[],
  span: (at: Date) => string | number,
  most: number,
): readonly KeptBackup[] {
  const newest = new Map<string | number, KeptBackup>();
  for (const backup of backups) if (!newest.has(span(backup.at))) newest.set(span(backup.at), backup);
  return [...newest.values()].slice(0, most);
}

/**
 * Which backups the rule lets go.
 * @param backups newest first
 */
export function toLetGo(backups: readonly KeptBackup[]): readonly KeptBackup[] {
  const stay = new Set<KeptBackup>();
  const daily = backups.filter(({ kind }) => kind === 'daily');
  for (const each of [
    ...newestOfEach(daily, (at) => at.toISOString().slice(0, 10), KEEPING.days),
    ...newestOfEach(daily, weekOf, KEEPING.weeks),
    ...newestOfEach(daily, (at) => at.toISOString().slice(0, 7), KEEPING.months),
  ])
    stay.add(each);
  for (const kind of BACKUP_KINDS) {
    if (kind === 'daily') continue;
    for (const each of backups.filter((backup) => backup.kind === kind).slice(0, KEEPING.others)) stay.add(each);
  }
  return backups.filter((backup) => !stay.has(backup));
}

/** Lets go what the rule lets go. */
export function tidyBackups(store: string): void {
  for (const { file } of toLetGo(listBackups(store))) removeStore(file);
}

/** Half made by a server that was killed; younger ones may still be written. */
const HALF_MADE = /\.part$|\.part\.unpacked$|^\.archive-/;
const HALF_MADE_MS = 3_600_000;

/** Clears away what a killed server left half made, in the folder of the backups and beside the store. */
export function clearHalfMade(store: string, now: Date): void {
  for (const folder of new Set([backupFolder(store), dirname(store)]))
    for (const name of existsSync(folder) ? readdirSync(folder) : []) {
      const path = join(folder, name);
      const age = () => now.getTime() - (statSync(path, { throwIfNoEntry: false })?.mtimeMs ?? now.getTime());
      if (HALF_MADE.test(name) && age() > HALF_MADE_MS) rmSync(path, { recursive: true, force: true });
    }
}

/**
 * Whether a daily backup is due: none was made in the day before now. One that a wrong clock dated ahead does not
 * count.
 */
export function isDailyDue(backups: readonly KeptBackup[], now: Date): boolean {
  return !backups.some(
    ({ kind, at }) =>
      kind === 'daily' && at.getTime() <= now.getTime() && now.getTime() - at.getTime() < DAY_MS - 60_000,
  );
}
