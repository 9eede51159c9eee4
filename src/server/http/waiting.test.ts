import { once } from 'node:events';
import { createServer, type Server } from 'node:http';
import { connect, type AddressInfo, type Socket } from 'node:net';
import { afterEach, describe, expect, it } from 'vitest';
import { oneEachTurn } from './each-turn';
import { boundSlowness } from './slow';

const turn = () => new Promise((resolve) => setImmediate(resolve));

describe('requests in turn', () => {
  it('begin one in each turn of the loop, of each connection before a second of any', async () => {
    const inTurn = oneEachTurn();
    const begun: string[] = [];
    const [busy, other] = [{}, {}];
    for (const name of ['busy 1', 'busy 2', 'busy 3']) inTurn(busy, () => begun.push(name));
    inTurn(other, () => begun.push('other'));
    expect(begun).toEqual([]);
    const seen: number[] = [];
    for (let i = 0; i < 8 && begun.length < 4; i += 1) {
      await turn();
      seen.push(begun.length);
    }
    expect(begun).toEqual(['busy 1', 'other', 'busy 2', 'busy 3']);
    for (const [i, count] of seen.entries()) expect(count - (seen[i - 1] ?? 0)).toBeLessThanOrEqual(1);
    // It begins again after it had nothing to do.
    inTurn(busy, () => begun.push('later'));
    await turn();
    await turn();
    expect(begun.at(-1)).toBe('later');
  });

  it('take only so many of one connection, and go on with those of others', async () => {
    const inTurn = oneEachTurn();
    const [flood, other] = [{}, {}];
    let begun = 0;
    const taken = Array.from({ length: 100 }, () => inTurn(flood, () => (begun += 1)));
    const first = taken.indexOf(false);
    expect(first).toBeGreaterThan(0);
    expect(taken.slice(first)).not.toContain(true);
    expect(inTurn(other, () => (begun += 1))).toBe(true);
    for (let i = 0; i < 100; i += 1) await turn();
    expect(begun).toBe(first + 1);
  });
});

describe('slow connections', () => {
  const ends: (() => void)[] = [];
  afterEach(() => ends.splice(0).forEach((end) => end()));

  const LOOK_MS = 50;

  /** Lets a server be looked at often, and listen. */
  async function opened(server: Server, mostConnections?: number): Promise<void> {
    ends.push(boundSlowness(server, { lookEvery: LOOK_MS, mostConnections }), () => server.close());
    server.listen(0, '127.0.0.1');
    await once(server, 'listening');
  }

  async function another(server: Server): Promise<Socket> {
    const socket = connect((server.address() as AddressInfo).port, '127.0.0.1');
    socket.on('error', () => undefined);
    ends.push(() => void socket.destroy());
    await once(socket, 'connect');
    return socket;
  }

  /** A server that is looked at often, and a connection to it. */
  async function connected(server: Server): Promise<Socket> {
    await opened(server);
    return another(server);
  }

  it('are ended where a body is announced and does not come', async () => {
    const server = createServer((request) => request.resume());
    const socket = await connected(server);
    socket.write('POST / HTTP/1.1\r\nHost: a\r\nContent-Length: 1000\r\n\r\nfew');
    socket.resume();
    await once(socket, 'close');
  });

  it('are ended where an answer is not read', async () => {
    const whole = 30_000_000;
    let ended: Promise<unknown> = Promise.resolve();
    const server = createServer((_request, response) => {
      ended = once(response, 'close');
      response.end(Buffer.alloc(whole));
    });
    const asked = once(server, 'request');
    const socket = await connected(server);
    socket.pause().write('GET / HTTP/1.1\r\nHost: a\r\n\r\n');
    await asked;
    await ended;
    let heard = 0;
    socket.on('data', (part) => (heard += part.length)).resume();
    await once(socket, 'close');
    expect(heard).toBeLessThan(whole);
  });

  it('go on where the server itself takes its time, and where nothing is asked', async () => {
    const server = createServer((_request, response) => void setTimeout(() => response.end('late'), 10 * LOOK_MS));
    const socket = await connected(server);
    socket.write('GET / HTTP/1.1\r\nHost: a\r\n\r\n');
    const [heard] = (await once(socket, 'data')) as [Buffer];
    expect(heard.toString()).toContain('late');
    await new Promise((resolve) => setTimeout(resolve, 5 * LOOK_MS));
    socket.write('POST / HTTP/1.1\r\nHost: a\r\nContent-Length: 3\r\n\r\nall');
    const [again] = (await once(socket, 'data')) as [Buffer];
    expect(again.toString()).toContain('late');
  });

  it('that ask nothing make room for whoever comes, the quietest first; those that wait for an answer do not', async () => {
    const answers: (() => void)[] = [];
    const server = createServer((_request, response) => void answers.push(() => response.end('here')));
    await opened(server, 3);
    const asks = async (socket: Socket): Promise<void> => {
      const asked = once(server, 'request');
      socket.write('GET / HTTP/1.1\r\nHost: a\r\n\r\n');
      await asked;
    };
    const heard = async (socket: Socket): Promise<string> => String((await once(socket, 'data'))[0]);
    const waits = await another(server);
    await asks(waits);
    const silent = await another(server);
    const spoke = await another(server);
    await asks(spoke);
    const answered = heard(spoke);
    answers.pop()!();
    expect(await answered).toContain('here');
    // One more: who never asked goes, before who was answered a moment ago.
    const [ended, fourth] = [once(silent.resume(), 'close'), await another(server)];
    await ended;
    await asks(fourth);
    const fifth = await another(server);
    await once(spoke.resume(), 'close');
    await asks(fifth);
    // All three wait for an answer now: nobody else is let in, and each gets its own.
    const sixth = await another(server);
    await once(sixth.resume(), 'close');
    const all = Promise.all([waits, fourth, fifth].map(heard));
    for (const answer of answers) answer();
    for (const answer of await all) expect(answer).toContain('here');
  });
});
