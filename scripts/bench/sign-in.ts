import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { bringUpToDate } from '../../src/data/migrate';
import { accounts, type Account } from '../../src/data/repositories';
import { freshContext } from '../../src/server/context';
import { givePassword, joinShop, signIn } from '../../src/server/use-cases/people';
import { quantile, type Measured } from './table';

const ROUNDS = 120;
/** A name that nobody has is refused as late as one that somebody has: nobody learns which are which. */
const MOST_RATIO = 1.2;

/** How long a wrong password takes, for names that somebody has and for names that nobody has. */
export async function signingIn(): Promise<Measured[]> {
  const folder = mkdtempSync(join(tmpdir(), 'serrata-bench-sign-in-'));
  const context = freshContext(`file:${join(folder, 'store.db')}`);
  await bringUpToDate(context.store);
  await joinShop(context, { name: 'Known', role: 'owner' });
  const [{ id }] = (await accounts(context.store.db)) as [Account];
  const device = 'bench';
  await givePassword(context, id, 'gravel lantern spoon', { address: '', device });
  const took = { known: [] as number[], unknown: [] as number[] };
  for (let i = 0; i < ROUNDS; i += 1)
    for (const who of i % 2 === 0 ? (['known', 'unknown'] as const) : (['unknown', 'known'] as const)) {
      // A right one in between: whoever was wrong too often would wait.
      await signIn(context, { name: 'Known', password: 'gravel lantern spoon' }, { address: 'own', device });
      const from = { address: `${who} ${i}`, device };
      const began = performance.now();
      await signIn(
        context,
        { name: who === 'known' ? 'Known' : `Nobody ${i}`, password: 'willow ferry moss' },
        from,
      ).catch(() => undefined);
      took[who].push(performance.now() - began);
    }
  await context.store.write(async () => undefined);
  context.store.close();
  rmSync(folder, { recursive: true, force: true });
  const [known, unknown] = [quantile(took.known, 0.5), quantile(took.unknown, 0.5)];
  return [
    { what: 'a wrong password, of a name that somebody has', value: known, budget: Number.NaN, unit: 'ms' },
    { what: 'the same of a name that nobody has', value: unknown, budget: known * MOST_RATIO, unit: 'ms' },
    {
      what: 'the longer by the shorter',
      value: Math.max(known, unknown) / Math.min(known, unknown),
      budget: MOST_RATIO,
      unit: '',
    },
  ];
}
