import { storeFromArchive } from '../../data/keeping/archive/read';
import { beginAnew } from '../../data/keeping/begin-anew';
import { backupStore, mustBeWhole } from '../../data/keeping/backup';
import { inspectStore } from '../../data/keeping/inspect';
import { withFileOf } from '../../data/keeping/over-the-wire';
import { putBackInPlace } from '../../data/keeping/put-back';
import { storeUrl } from '../../data/store';
import { freshContext } from '../context';
import { standBack } from '../heavy/aside';
import { said } from '../log';
import { ERRAND_ARGUMENT, type Errand } from './send';
import { archive } from '../use-cases/backup';
import { letOldPhotosGo } from '../use-cases/photos';
import { checkRecords } from '../use-cases/records';
import { BEGUN_FACT } from '../use-cases/set-up-facts';

/**
 * Long work on a store's file, done by a process of its own so that nobody waits for it. Each says what came of it in
 * one line; what goes wrong it says in a sentence.
 */
const ERRANDS = {
  /** Saves the store into a file. */
  backup: async (file: string) => {
    await backupStore(storeUrl(), file);
    return file;
  },
  /** Makes the store hold what a backup holds. */
  putBack: async (backup: string, before: string) => {
    await putBackInPlace(storeUrl(), backup, before);
    return before;
  },
  /** Makes the store an empty one; what stood in it is kept. */
  beginAnew: async (kept: string) => {
    await beginAnew(storeUrl(), BEGUN_FACT, kept);
    return kept;
  },
  /** Writes the whole shop into an archive of open formats. */
  archive: async (file: string) => {
    await archive(file, new Date());
    return file;
  },
  /** Makes a store of an archive. */
  unpack: async (archive: string, target: string) => {
    await storeFromArchive(archive, target);
    return target;
  },
  /** Makes sure that a file is a store, whole, and of a version that is known. */
  try: async (file: string) => {
    await mustBeWhole(file);
    return file;
  },
  /** Keeps the store tidy: lets go what the shop no longer keeps. */
  tidy: async () => {
    const tidying = freshContext();
    try {
      return String(await letOldPhotosGo(tidying));
    } finally {
      tidying.store.close();
    }
  },
  /** Goes through all records that never change, and writes down what was found. */
  verify: async () => {
    const verifying = freshContext();
    try {
      return String((await checkRecords(verifying)).misfits.length);
    } finally {
      verifying.store.close();
    }
  },
  /** Looks the whole store through: `whole`, or what is wrong with it; of one on another machine what comes of it here. */
  inspect: async () => {
    const found = await withFileOf(storeUrl(), inspectStore);
    return found.state === 'damaged' ? found.what.join('; ') : found.state;
  },
} satisfies Record<Errand, (...args: string[]) => Promise<string>>;

/** Those that hold nothing that others wait for: in their own time they may take longer. */
const STAND_BACK: ReadonlySet<string> = new Set<Errand>(['backup', 'archive', 'unpack', 'try', 'inspect']);

/** Runs the errand this process was sent on. @returns false when it was sent on none */
export async function runErrand(args: readonly string[]): Promise<boolean> {
  const at = args.indexOf(ERRAND_ARGUMENT);
  if (at === -1) return false;
  const [name, ...rest] = args.slice(at + 1);
  const errand = Object.entries(ERRANDS).find(([each]) => each === name);
  if (!errand) throw new Error(`There is no errand ${name ?? ''}.`);
  if (STAND_BACK.has(errand[0])) standBack('process');
  said(await (errand[1] as (...args: string[]) => Promise<string>)(...rest));
  return true;
}
