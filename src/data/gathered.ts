import type { Client, InStatement, ResultSet, Transaction, TransactionMode } from '@libsql/client';
import { otherwise } from './otherwise';

interface Waiting {
  readonly statement: InStatement;
  readonly resolve: (result: ResultSet) => void;
  readonly reject: (error: unknown) => void;
}

type Execute = (statement: InStatement | string, args?: unknown) => Promise<ResultSet>;

/** Takes statements one by one, and sends those of one moment together. */
function inOneMoment(send: (all: readonly Waiting[]) => void): Execute {
  let waiting: Waiting[] = [];
  const go = (): void => {
    const all = waiting;
    waiting = [];
    send(all);
  };
  return (statement, args) =>
    new Promise((resolve, reject) => {
      const whole = typeof statement === 'string' && args !== undefined ? { sql: statement, args } : statement;
      if (waiting.length === 0) setImmediate(go);
      waiting.push({ statement: whole as InStatement, resolve, reject });
    });
}

const statementsOf = (all: readonly Waiting[]): InStatement[] => all.map(({ statement }) => statement);
const answer = (all: readonly Waiting[], results: readonly ResultSet[]): void =>
  all.forEach(({ resolve }, i) => resolve(results[i]!));

/** Whether nothing came back at all: asking one by one would not change it. */
const isUnreached = (error: unknown): boolean => error instanceof TypeError;

/** Statements of a transaction go together in the order they came in; where one is at fault the transaction is. */
const gatheredWrite = (transaction: Transaction): Transaction =>
  otherwise(transaction, {
    execute: inOneMoment((all) => {
      const [first, ...others] = all;
      if (others.length === 0) return void transaction.execute(first!.statement).then(first!.resolve, first!.reject);
      transaction.batch(statementsOf(all)).then(
        (results) => answer(all, results),
        (error: unknown) => all.forEach(({ reject }) => reject(error)),
      );
    }),
  });

/**
 * A client of a store on another machine, whose statements of one moment go there together: each way there and back
 * takes as long as all the work.
 */
export function gathered(client: Client): Client {
  const alone = ({ statement, resolve, reject }: Waiting): void => void client.execute(statement).then(resolve, reject);
  const look = (all: readonly Waiting[]): void => {
    if (all.length === 1) return alone(all[0]!);
    client.batch(statementsOf(all), 'read').then(
      (results) => answer(all, results),
      (error: unknown) => {
        // One of them is at fault, and it alone is to be told so.
        for (const each of all) {
          if (isUnreached(error)) each.reject(error);
          else alone(each);
        }
      },
    );
  };
  return otherwise(client, {
    execute: inOneMoment(look),
    transaction: async (mode?: TransactionMode) => gatheredWrite(await client.transaction(mode ?? 'write')),
  });
}
