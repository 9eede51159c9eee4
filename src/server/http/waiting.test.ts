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

  /** A server that is looked at often, and a connection to it. */
  async function connected(server: Server): Promise<Socket> {
    ends.push(boundSlowness(server, LOOK_MS), () => server.close());
    server.listen(0, '127.0.0.1');
    await once(server, 'listening');
    const socket = connect((server.address() as AddressInfo).port, '127.0.0.1');
    socket.on('error', () => undefined);
    ends.push(() => void socket.destroy());
    await once(socket, 'connect');
    return socket;
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
});
