import type { ErrorReply } from '../../contract';

/** A request that the server answered with a refusal, or that never reached it. */
export class RequestFailed extends Error {
  constructor(
    readonly status: number,
    readonly reply: ErrorReply,
  ) {
    super(reply.message);
  }

  /** True when nothing came back at all: worth trying again later. */
  get unreachable(): boolean {
    return this.status === 0 || this.status >= 500;
  }
}

const UNREACHABLE: ErrorReply = { code: 'unreachable', message: 'The server cannot be reached.' };

async function send(method: string, url: string, body?: unknown): Promise<unknown> {
  const init: RequestInit =
    body === undefined
      ? { method }
      : { method, headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) };
  const response = await fetch(url, init).catch(() => null);
  if (!response) throw new RequestFailed(0, UNREACHABLE);
  const reply: unknown = await response.json().catch(() => null);
  if (!response.ok)
    throw new RequestFailed(
      response.status,
      isErrorReply(reply) ? reply : { code: 'failed', message: `The server answered ${response.status}.` },
    );
  return reply;
}

function isErrorReply(reply: unknown): reply is ErrorReply {
  return typeof reply === 'object' && reply !== null && 'message' in reply && typeof reply.message === 'string';
}

/** Requests to our own server; replies are as the contract has them. */
export const api = {
  get: <T>(url: string) => send('GET', url) as Promise<T>,
  post: <T>(url: string, body: unknown) => send('POST', url, body) as Promise<T>,
  put: <T>(url: string, body: unknown) => send('PUT', url, body) as Promise<T>,
};
