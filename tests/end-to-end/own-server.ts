import { spawn, type ChildProcess } from 'node:child_process';

const JSON_HEADERS = { 'Content-Type': 'application/json' };

/** A server of a test's own, on a store of its own, that can be stopped and started again. */
export class OwnServer {
  /** Any free port at first, the same one ever after. */
  address = '';
  private running: ChildProcess | null = null;
  /** What it logged. */
  log = '';

  /**
   * @param env further settings it is started with
   * @param built the server that is started
   */
  constructor(
    readonly store: string,
    private readonly env: Readonly<Record<string, string>> = {},
    private readonly built = 'dist/server/main.mjs',
    /** What it is started with: the demo, unless a test begins a shop of its own. */
    private readonly args: readonly string[] = ['--demo'],
  ) {}

  get isOpen(): boolean {
    return this.running !== null;
  }

  /** Starts it and waits until it says where it is open. */
  async open(): Promise<void> {
    const port = this.address === '' ? '0' : new URL(this.address).port;
    const started = spawn(process.execPath, [this.built, ...this.args], {
      env: { ...process.env, ...this.env, SERRATA_DB: this.store, PORT: port },
      stdio: ['ignore', 'pipe', 'pipe'],
      // A group of its own: whatever it has sent on errands ends with it.
      detached: true,
    });
    this.running = started;
    started.stderr.on('data', (chunk: Buffer) => (this.log += chunk.toString()));
    this.address = await new Promise((resolve, reject) => {
      started.once('exit', () => reject(new Error(`The server did not start. ${this.log}`)));
      started.stdout.on('data', (chunk: Buffer) => {
        const said = /open at (https?:\S+?)\/?\s/.exec(chunk.toString());
        if (said) resolve(said[1]!);
      });
    });
  }

  /** Begins to start it, and pulls the plug after so many ms, wherever it has come to. */
  async openBriefly(ms: number): Promise<void> {
    const opening = this.open().catch(() => undefined);
    await new Promise((resolve) => setTimeout(resolve, ms));
    await this.end('SIGKILL');
    await opening;
  }

  /** Sends JSON to it, or asks it. */
  async ask<T>(path: string, body?: unknown): Promise<T> {
    const sent = body === undefined ? {} : { method: 'POST', headers: JSON_HEADERS, body: JSON.stringify(body) };
    const answer = await fetch(`${this.address}${path}`, sent);
    if (!answer.ok) throw new Error(`${path} answered ${answer.status}: ${await answer.text()}`);
    return (await answer.json()) as T;
  }

  /** Ends it: SIGKILL pulls the plug and leaves no chance to tidy up, SIGTERM asks. */
  async end(signal: 'SIGKILL' | 'SIGTERM'): Promise<void> {
    if (!this.running) return;
    const gone = new Promise((resolve) => this.running?.once('exit', resolve));
    if (signal === 'SIGKILL') process.kill(-this.running.pid!, signal);
    else this.running.kill(signal);
    await gone;
    this.running = null;
  }
}
