// Migrates the store and loads the demo scenario when it is empty.
import { bringUpToDate } from '../src/data/migrate';
import { context } from '../src/server/context';
import { loadDemo } from '../src/server/demo';

const shared = context();
await bringUpToDate(shared.store);
const { loaded } = await loadDemo(shared);
console.log(loaded > 0 ? `Demo data loaded: ${loaded} jobs.` : 'The store has jobs in it: kept as it is.');
shared.store.close();
