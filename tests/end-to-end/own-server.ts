import { spawn, type ChildProcess } from 'node:child_process';

/** A server of a test's own, on a store of its own, that can be stopped and started again. */
export class OwnServer {
  /** Any free port at first, the same one ever after. */
  address = '';
  private running: ChildProcess | null = null;

  constructor(readonly store: string) {}

  get isOpen(): boolean {
    return this.running !== null;
  }

  /** Starts it and waits until it says where it is open. */
  async open(): Promise<void> {
    const port = this.address === '' ? '0' : new URL(this.address).port;
    const started = spawn(process.execPath, ['dist/server/main.mjs', '--demo'], {
      env: { ...process.env, SERRATA_DB: this.store, PORT: port },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    this.running = started;
    this.address = await new Promise((resolve, reject) => {
      started.once('exit', () => reject(new Error('The server did not start.')));
      started.stdout.on('data', (chunk: Buffer) => {
        const said = /open at (http:\S+?)\/?\s/.exec(chunk.toString());
        if (said) resolve(said[1]!);
      });
    });
  }

  /** Ends it: SIGKILL pulls the plug and leaves no chance to tidy up, SIGTERM asks. */
  async end(signal: 'SIGKILL' | 'SIGTERM'): Promise<void> {
    if (!this.running) return;
    const gone = new Promise((resolve) => this.running?.once('exit', resolve));
    this.running.kill(signal);
    await gone;
    this.running = null;
  }
}
