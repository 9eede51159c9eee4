import type { Client, InStatement, ResultSet, TransactionMode } from '@libsql/client';
import { otherwise } from '../otherwise';
import type { ShopId } from './names';
import { scopedTo } from './scope';

/** Somebody who takes statements: a client, or a transaction of one. */
interface Takes {
  readonly execute: (statement: InStatement) => Promise<ResultSet>;
  readonly batch: (statements: InStatement[], mode?: TransactionMode) => Promise<ResultSet[]>;
}

/**
 * A client that looks and writes for one shop. This is the one place where that is seen to: no query says it itself.
 * @param shop null for one that looks at all of them
 */
export function scopedClient(client: Client, shop: ShopId | null): Client {
  const asSeen = scopedTo(shop);
  const acts = (takes: Takes) => ({
    execute: (statement: InStatement | string, args?: unknown) =>
      takes.execute(
        asSeen(
          typeof statement === 'string' && args !== undefined ? ({ sql: statement, args } as InStatement) : statement,
        ),
      ),
    batch: (statements: readonly InStatement[], mode?: TransactionMode) =>
      takes.batch(statements.map(asSeen), mode ?? 'write'),
  });
  return otherwise(client, {
    ...acts(client),
    transaction: async (mode?: TransactionMode) => {
      const transaction = await client.transaction(mode ?? 'write');
      return otherwise(transaction, acts(transaction));
    },
  });
}
