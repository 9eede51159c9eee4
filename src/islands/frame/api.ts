import type { ErrorReply } from '../../contract';
import { notReached, reached } from './away/connection';
import * as common from '#language/screens/common';
import * as texts from '#language/screens/frame';

/** The server asks to be asked later. */
const TOO_MANY = 429;
/** The session has ended: once somebody signs in again, the same is asked again. */
const SIGNED_OUT = 401;

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
    const { status, reply } = this;
    return status === 0 || status >= 500 || status === TOO_MANY || (status === SIGNED_OUT && reply.code === 'sign-in');
  }
}

/** Whether sending again may help: the server did not understand and refuse. */
export const mayRetry = (error: unknown): boolean => !(error instanceof RequestFailed) || error.unreachable;

/** Why something failed, as it is said to people: the server's own words, or what it amounts to. */
export const failure = (error: unknown, otherwise: string): string =>
  error instanceof RequestFailed ? error.message : otherwise;

const UNREACHABLE: ErrorReply = { code: 'unreachable', message: common.theServerCannotBeReached };

function requestOf(method: string, body: unknown): RequestInit {
  if (body === undefined) return { method };
  if (body instanceof Blob) return { method, headers: { 'Content-Type': body.type }, body };
  return { method, headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) };
}

/** Told to the page when a request failed on the server's side: what the matter is, is asked then. */
export const IN_VAIN = 'serrata:in-vain';

/** Told to the page when the session has ended meanwhile. */
export const IS_SIGNED_OUT = 'serrata:signed-out';

/** Asks the server; what it refuses is thrown with its own words. */
export async function answered(method: string, url: string, body?: unknown): Promise<Response> {
  const response = await fetch(url, requestOf(method, body)).catch(() => null);
  if (!response) {
    notReached();
    throw new RequestFailed(0, UNREACHABLE);
  }
  reached();
  if (response.ok) return response;
  if (response.status >= 500) globalThis.dispatchEvent?.(new Event(IN_VAIN));
  const sent: unknown = await response.json().catch(() => null);
  const reply = isErrorReply(sent) ? sent : { code: 'failed', message: texts.theServerAnswered(response.status) };
  if (response.status === SIGNED_OUT && reply.code === 'sign-in') globalThis.dispatchEvent?.(new Event(IS_SIGNED_OUT));
  throw new RequestFailed(response.status, reply);
}

const send = async (method: string, url: string, body?: unknown): Promise<unknown> =>
  (await answered(method, url, body)).json().catch(() => null);

function isErrorReply(reply: unknown): reply is ErrorReply {
  return typeof reply === 'object' && reply !== null && 'message' in reply && typeof reply.message === 'string';
}

/** Requests to our own server; replies are as the contract has them. */
export const api = {
  get: <T>(url: string) => send('GET', url) as Promise<T>,
  post: <T>(url: string, body: unknown) => send('POST', url, body) as Promise<T>,
  /** Sends bytes as they are. */
  send: <T>(url: string, bytes: Blob) => send('POST', url, bytes) as Promise<T>,
  delete: <T>(url: string) => send('DELETE', url) as Promise<T>,
  put: <T>(url: string, body: unknown) => send('PUT', url, body) as Promise<T>,
};
