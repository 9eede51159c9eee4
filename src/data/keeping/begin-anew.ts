import Database from 'libsql';
import { bringUpToDate } from '../migrate';
import { setShopFact } from '../repositories';
import { openStore } from '../store';
import { fileOf, removeStore } from './backup';
import { putBackInPlace } from './put-back';
import { BY_ITSELF } from './store-changes';

/** People who can sign in, with what they prove it with. */
const CAN_SIGN_IN = `SELECT id, name, role, left_at FROM other.person WHERE customer_id IS NULL AND id IN (SELECT person_id FROM other.credential WHERE kind = 'password')`;

/** Takes whoever can sign in along: a shop that people sign in to is never left open to everybody. */
function takeAlong(from: string, to: string): void {
  const store = new Database(to, { timeout: 10_000 });
  try {
    store.exec(`ATTACH '${from.replaceAll("'", "''")}' AS other`);
    store.exec(`INSERT INTO person (id, name, role, left_at) ${CAN_SIGN_IN}`);
    store.exec('INSERT INTO credential SELECT * FROM other.credential WHERE person_id IN (SELECT id FROM main.person)');
    // The file alone is taken.
    store.prepare('PRAGMA main.wal_checkpoint(TRUNCATE)').all();
  } finally {
    store.close();
  }
}

/**
 * Makes a store that is in use an empty one, in one write, but for those who can sign in. What stood in it until then
 * is kept.
 * @param begun the fact that says that a shop was begun here
 * @param kept a file that is not there yet: what stood in the store until the very moment
 */
export async function beginAnew(url: string, begun: string, kept: string): Promise<void> {
  const empty = `${fileOf(url)}.empty`;
  removeStore(empty);
  try {
    const store = openStore(`file:${empty}`);
    try {
      await bringUpToDate(store);
      await store.write((tx) => setShopFact(tx, begun, 'begun', { at: new Date().toISOString(), by: BY_ITSELF }));
      await store.fold();
    } finally {
      store.close();
    }
    takeAlong(fileOf(url), empty);
    await putBackInPlace(url, empty, kept);
  } finally {
    removeStore(empty);
  }
}
