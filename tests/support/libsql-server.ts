import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import Database from 'libsql';

/** A value as the protocol writes it. */
type Value =
  | { readonly type: 'null' }
  | { readonly type: 'integer' | 'text'; readonly value: string }
  | { readonly type: 'float'; readonly value: number }
  | { readonly type: 'blob'; readonly base64: string };

interface Statement {
  readonly sql?: string;
  readonly sql_id?: number;
  readonly args?: readonly Value[];
  readonly named_args?: readonly { readonly name: string; readonly value: Value }[];
}

type Condition =
  | { readonly type: 'ok' | 'error'; readonly step: number }
  | { readonly type: 'not'; readonly cond: Condition }
  | { readonly type: 'and' | 'or'; readonly conds: readonly Condition[] }
  | { readonly type: 'is_autocommit' };

interface Step {
  readonly stmt: Statement;
  readonly condition?: Condition | null;
}

type Asked =
  | { readonly type: 'execute'; readonly stmt: Statement }
  | { readonly type: 'batch'; readonly batch: { readonly steps: readonly Step[] } }
  | { readonly type: 'sequence'; readonly sql?: string; readonly sql_id?: number }
  | { readonly type: 'store_sql'; readonly sql_id: number; readonly sql: string }
  | { readonly type: 'close_sql' | 'close' | 'get_autocommit' };

interface Pipeline {
  readonly baton: string | null;
  readonly requests: readonly Asked[];
}

/** What goes wrong with the next request. */
export type Fault =
  /** Nothing is heard of it, and nothing is done. */
  | 'away'
  /** It is done, and its answer is lost on the way. */
  | 'answer-lost'
  /** The connection is cut before a commit is done. */
  | 'cut-before-commit';

/** One connection of somebody, between two of its requests. */
interface Stream {
  readonly db: Database.Database;
  readonly texts: Map<number, string>;
  /** Lets the next one write; null where this one does not. */
  release: (() => void) | null;
}

const PATIENCE_MS = 5000;
/** What takes the turn of a writer. */
const BEGINS = /^BEGIN IMMEDIATE/i;

function read(value: Value): unknown {
  if (value.type === 'null') return null;
  if (value.type === 'blob') return Buffer.from(value.base64, 'base64');
  return value.type === 'integer' ? BigInt(value.value) : value.value;
}

function written(value: unknown): Value {
  if (value === null || value === undefined) return { type: 'null' };
  if (typeof value === 'bigint') return { type: 'integer', value: value.toString() };
  if (typeof value === 'number') return { type: 'float', value };
  if (typeof value === 'string') return { type: 'text', value };
  return { type: 'blob', base64: Buffer.from(value as Uint8Array).toString('base64') };
}

/**
 * A stand-in of a libSQL server: its HTTP protocol, as the client speaks it, over the local driver. It can be slow, away,
 * lose answers, and refuse a token; it counts what it is asked.
 */
export class LibsqlServer {
  /** Requests that came, and statements in them. */
  trips = 0;
  statements = 0;
  /** Milliseconds until a request is taken, ms. */
  latency = 0;
  /** Tells what goes wrong with a request by its texts; null where nothing does. */
  fault: (sql: readonly string[]) => Fault | null = () => null;
  /** Whoever shows another is refused. */
  token: string | null = null;
  private readonly streams = new Map<string, Stream>();
  private readonly underWay = new Set<Promise<void>>();
  private count = 0;
  private writing: Promise<void> = Promise.resolve();

  private constructor(
    private readonly file: string,
    private readonly server: Server,
  ) {}

  static async open(file: string): Promise<LibsqlServer> {
    const server = createServer((request, response) => opened.take(opened.answered(request, response)));
    const opened = new LibsqlServer(file, server);
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    return opened;
  }

  get url(): string {
    return `http://127.0.0.1:${(this.server.address() as AddressInfo).port}`;
  }

  async close(): Promise<void> {
    this.server.closeAllConnections();
    await new Promise((resolve) => this.server.close(resolve));
    // A connection that is closed while something is done with it takes the whole process with it.
    await Promise.allSettled(this.underWay);
    for (const stream of this.streams.values()) ended(stream);
  }

  private take(answer: Promise<void>): void {
    this.underWay.add(answer);
    void answer.catch(() => undefined).finally(() => this.underWay.delete(answer));
  }

  private async answered(request: IncomingMessage, response: ServerResponse): Promise<void> {
    const chunks: Buffer[] = [];
    for await (const chunk of request) chunks.push(chunk as Buffer);
    await new Promise((resolve) => setTimeout(resolve, this.latency));
    if (this.token !== null && request.headers.authorization !== `Bearer ${this.token}`) {
      response.writeHead(401, { 'Content-Type': 'text/plain' }).end('no such token');
      return;
    }
    const pipeline = JSON.parse(Buffer.concat(chunks).toString()) as Pipeline;
    const texts = textsOf(pipeline);
    const fault = this.fault(texts);
    this.trips += 1;
    this.statements += texts.length;
    if (fault === 'away') return void request.socket.destroy();
    if (fault === 'cut-before-commit') {
      this.drop(pipeline.baton);
      return void request.socket.destroy();
    }
    const answer = JSON.stringify(await this.pipeline(pipeline));
    if (fault === 'answer-lost') return void request.socket.destroy();
    response.writeHead(200, { 'Content-Type': 'application/json' }).end(answer);
  }

  /** What a stream had begun and not committed is undone. */
  private drop(baton: string | null): void {
    const stream = this.streams.get(baton ?? '');
    if (stream) ended(stream);
    this.streams.delete(baton ?? '');
  }

  private async pipeline({ baton, requests }: Pipeline) {
    const stream = this.streams.get(baton ?? '') ?? this.begun();
    // A baton is good for one request.
    this.streams.delete(baton ?? '');
    const results: unknown[] = [];
    let isClosed = false;
    if (textsOf({ baton, requests }).some((text) => BEGINS.test(text))) await this.mayWrite(stream);
    for (const asked of requests) {
      if (asked.type === 'close') isClosed = true;
      results.push(await this.result(stream, asked));
    }
    if (!stream.db.inTransaction) letGo(stream);
    if (isClosed) {
      ended(stream);
      return { baton: null, base_url: null, results };
    }
    this.count += 1;
    const next = `baton-${this.count}`;
    this.streams.set(next, stream);
    return { baton: next, base_url: null, results };
  }

  private begun(): Stream {
    const db = new Database(this.file, { timeout: 0 });
    db.exec('PRAGMA foreign_keys = ON');
    return { db, texts: new Map(), release: null };
  }

  /** Who writes waits for whoever came before, as on a real server: each comes to its turn. */
  private async mayWrite(stream: Stream): Promise<void> {
    const before = this.writing;
    let release: () => void = () => undefined;
    this.writing = new Promise((resolve) => (release = resolve));
    await before;
    stream.release = release;
  }

  private async result(stream: Stream, asked: Asked): Promise<unknown> {
    try {
      return { type: 'ok', response: await this.response(stream, asked) };
    } catch (error) {
      return { type: 'error', error: errorOf(error) };
    }
  }

  private async response({ db, texts }: Stream, asked: Asked): Promise<unknown> {
    if (asked.type === 'store_sql') texts.set(asked.sql_id, asked.sql);
    if (asked.type === 'execute') return { type: 'execute', result: await patiently(() => ran(db, texts, asked.stmt)) };
    if (asked.type === 'batch') return { type: 'batch', result: await batched(db, texts, asked.batch.steps) };
    if (asked.type === 'sequence') await patiently(() => db.exec(textOf(texts, asked)));
    if (asked.type === 'get_autocommit') return { type: 'get_autocommit', is_autocommit: !db.inTransaction };
    return { type: asked.type };
  }
}

/** Ends a connection; what it had begun and not committed is undone. */
function ended(stream: Stream): void {
  if (stream.db.inTransaction) stream.db.exec('ROLLBACK');
  stream.db.close();
  letGo(stream);
}

/** Lets the next one write. */
function letGo(stream: Stream): void {
  stream.release?.();
  stream.release = null;
}

/** The statements of a request; those that it sends ahead, to name them by a number, are read by it. */
function textsOf({ requests }: Pipeline): readonly string[] {
  const sent = new Map(requests.flatMap((asked) => (asked.type === 'store_sql' ? [[asked.sql_id, asked.sql]] : [])));
  return requests.flatMap((asked) => {
    if (asked.type === 'execute') return [textOf(sent, asked.stmt)];
    if (asked.type === 'batch') return asked.batch.steps.map(({ stmt }) => textOf(sent, stmt));
    return [];
  });
}

const textOf = (texts: ReadonlyMap<number, string>, { sql, sql_id }: Pick<Statement, 'sql' | 'sql_id'>): string =>
  sql ?? texts.get(sql_id ?? -1) ?? '';

const errorOf = (error: unknown): { message: string; code: string } => {
  const { code = 'UNKNOWN', message } = error as { code?: string; message: string };
  return { message, code };
};

/** A store that another connection writes to is waited for, without anybody else waiting with it. */
async function patiently<T>(work: () => T): Promise<T> {
  const since = performance.now();
  for (;;) {
    try {
      return work();
    } catch (error) {
      const isHeld = String((error as { code?: string }).code).startsWith('SQLITE_BUSY');
      if (!isHeld || performance.now() - since > PATIENCE_MS) throw error;
      await new Promise((resolve) => setTimeout(resolve, 5));
    }
  }
}

function ran(db: Database.Database, texts: ReadonlyMap<number, string>, statement: Statement) {
  const prepared = db.prepare(textOf(texts, statement)).safeIntegers(true);
  const named = (statement.named_args ?? []).map(({ name, value }) => [name.replace(/^[:@$]/, ''), read(value)]);
  const args =
    named.length > 0 ? [Object.fromEntries(named) as Record<string, unknown>] : (statement.args ?? []).map(read);
  if (prepared.reader) {
    const cols = prepared.columns().map(({ name, type }) => ({ name, decltype: type }));
    const rows = prepared.raw(true).all(...args) as unknown[][];
    return {
      cols,
      rows: rows.map((row) => row.map(written)),
      affected_row_count: 0,
      last_insert_rowid: null,
    };
  }
  const { changes, lastInsertRowid } = prepared.run(...args);
  return { cols: [], rows: [], affected_row_count: Number(changes), last_insert_rowid: String(lastInsertRowid) };
}

function holds(
  condition: Condition,
  results: readonly unknown[],
  errors: readonly unknown[],
  db: Database.Database,
): boolean {
  switch (condition.type) {
    case 'ok':
      return results[condition.step] !== null && results[condition.step] !== undefined;
    case 'error':
      return errors[condition.step] !== null && errors[condition.step] !== undefined;
    case 'not':
      return !holds(condition.cond, results, errors, db);
    case 'and':
      return condition.conds.every((each) => holds(each, results, errors, db));
    case 'or':
      return condition.conds.some((each) => holds(each, results, errors, db));
    case 'is_autocommit':
      return !db.inTransaction;
  }
}

async function batched(db: Database.Database, texts: ReadonlyMap<number, string>, steps: readonly Step[]) {
  const results: unknown[] = [];
  const errors: unknown[] = [];
  for (const { stmt, condition } of steps) {
    const isWanted = !condition || holds(condition, results, errors, db);
    const [result, error] = isWanted
      ? await patiently(() => ran(db, texts, stmt)).then(
          (done) => [done, null],
          (failed: unknown) => [null, errorOf(failed)],
        )
      : [null, null];
    results.push(result);
    errors.push(error);
  }
  return { step_results: results, step_errors: errors };
}
