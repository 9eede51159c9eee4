import type { Client, InStatement, ResultSet } from '@libsql/client';

interface Waiting {
  readonly statement: InStatement;
  readonly resolve: (result: ResultSet) => void;
  readonly reject: (error: unknown) => void;
}

/** Whether nothing came back at all: asking one by one would not change it. */
const isUnreached = (error: unknown): boolean => error instanceof TypeError;

/**
 * A client of a store on another machine, whose looks of one moment go there together: each way there and back takes as
 * long as all the work. Writes are not touched: they run in transactions of their own.
 */
export function gathered(client: Client): Client {
  let waiting: Waiting[] = [];
  const alone = ({ statement, resolve, reject }: Waiting): void => void client.execute(statement).then(resolve, reject);
  const send = (): void => {
    const all = waiting;
    waiting = [];
    if (all.length === 1) return alone(all[0]!);
    client
      .batch(
        all.map(({ statement }) => statement),
        'read',
      )
      .then(
        (results) => all.forEach(({ resolve }, i) => resolve(results[i]!)),
        (error: unknown) => {
          // One of them is at fault, and it alone is to be told so.
          for (const each of all) {
            if (isUnreached(error)) each.reject(error);
            else alone(each);
          }
        },
      );
  };
  const execute = (statement: InStatement | string, args?: unknown): Promise<ResultSet> =>
    new Promise((resolve, reject) => {
      const whole = typeof statement === 'string' && args !== undefined ? { sql: statement, args } : statement;
      if (waiting.length === 0) setImmediate(send);
      waiting.push({ statement: whole as InStatement, resolve, reject });
    });
  return new Proxy(client, {
    get: (target, name) => {
      if (name === 'execute') return execute;
      const own = Reflect.get(target, name, target) as unknown;
      return typeof own === 'function' ? (own as (...args: unknown[]) => unknown).bind(target) : own;
    },
  });
}
