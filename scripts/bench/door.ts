import { join } from 'node:path';
import { application, bareNode, type Answering } from './answers';
import { quantile, type Measured } from './table';

const ROUNDS = 300;
const PASSWORD = 'gravel lantern spoon';
/** A server asks who it is with every answer: it may cost little beside the plainest. */
const CHECK_BUDGET = 1.5;

const json = (method: string, body: unknown): RequestInit => ({
  method,
  headers: { 'Content-Type': 'application/json' },
  body: JSON.stringify(body),
});

/** Begins a shop in which people sign in. @returns what a browser shows from then on */
async function signedIn(address: string): Promise<string> {
  await fetch(`${address}/api/people`, json('POST', { name: 'Known', role: 'owner' }));
  const { accounts } = (await (await fetch(`${address}/api/people/accounts`)).json()) as { accounts: { id: string }[] };
  const given = await fetch(`${address}/api/people/${accounts[0]!.id}/password`, json('PUT', { password: PASSWORD }));
  return given.headers.get('set-cookie')!.split(';')[0]!;
}

/** Milliseconds of two kinds of answers, asked in turn. */
async function inTurn(ways: readonly (() => Promise<Response>)[]): Promise<readonly number[]> {
  const times = ways.map((): number[] => []);
  for (let round = 0; round < ROUNDS; round += 1)
    for (const [i, ask] of ways.entries()) {
      const start = performance.now();
      await (await ask()).arrayBuffer();
      times[i]!.push(performance.now() - start);
    }
  return times.map((each) => quantile(each, 0.5));
}

/** What it costs to know who asks, and how long a shop takes that begins on an empty store. */
export async function atTheDoor(
  run: <T extends Answering>(start: Promise<T>) => Promise<T>,
  folder: string,
): Promise<Measured[]> {
  const began = performance.now();
  const { address } = await run(application(join(folder, 'empty.db')));
  const opened = performance.now() - began;
  const beganBare = performance.now();
  await run(bareNode());
  const bare = performance.now() - beganBare;
  const cookie = await signedIn(address);
  const [health, checked] = (await inTurn([
    () => fetch(`${address}/api/health`),
    () => fetch(`${address}/api/session`, { headers: { Cookie: cookie } }),
  ])) as [number, number];
  return [
    { what: 'knowing who asks, to the plain answer, median', value: checked / health, budget: CHECK_BUDGET, unit: '×' },
    { what: 'start on an empty store, until it answers', value: opened, budget: Number.NaN, unit: 'ms' },
    { what: 'the same to a bare Node.js server', value: opened / bare, budget: Number.NaN, unit: '×' },
  ];
}
