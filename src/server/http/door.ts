import { settings } from '../../data/settings';
import type { Turned } from './guard';
import * as texts from '#language/server';

/** Names that only this machine goes by. */
const LOOPBACK = ['127.0.0.1', '[::1]', 'localhost'];

/** Addresses that only this machine can reach. */
const OWN_ADDRESSES = new Set(['127.0.0.1', '::1', 'localhost']);

/**
 * The address to listen at. Sign-in does not exist yet, so the door stays closed to the network, however Serrata is
 * started.
 * @throws Error with what to do, where another address was asked for
 */
export function ownAddress(host = settings().HOST): string {
  if (OWN_ADDRESSES.has(host)) return host;
  throw new Error(texts.hostNeedsSign(host));
}

/** Methods that anything here answers. */
const METHODS = new Set(['GET', 'HEAD', 'OPTIONS', 'POST', 'PUT', 'PATCH', 'DELETE']);

/** The framework's own address for changing pictures, which nothing here uses. */
const SHUT = /^\/_image\b/;

/**
 * The names the shop runs under: this machine's, and those it was told of.
 * @param named names with commas between, as in `SERRATA_NAMES=saws.example,bench`
 */
export function shopNames(named = settings().SERRATA_NAMES): ReadonlySet<string> {
  const told = named.split(',').map((name) => name.trim().toLowerCase());
  return new Set([...LOOPBACK, ...told.filter(Boolean)]);
}

/** The name of a Host header without its port; null where it is none. */
function hostName(host: string | undefined): string | null {
  if (!host || !/^(\[[\da-f:.]+\]|[\w.-]+)(:\d{1,5})?$/i.test(host)) return null;
  return host.replace(/:\d+$/, '').toLowerCase();
}

/**
 * Whether a request came from a browser on this machine: it names the machine as only the machine itself does. What
 * others ask for comes through a door of their own.
 */
export const isFromHere = (host: string | undefined): boolean => LOOPBACK.includes(hostName(host) ?? '');

/**
 * Checks what every request has, before anything of the application sees it. A page of somebody else's that lets its
 * own name point at this machine still sends that name, and is turned away.
 */
export function atTheDoor(
  { method, url, host }: { method: string | undefined; url: string | undefined; host: string | undefined },
  names: ReadonlySet<string>,
): Turned | null {
  const name = hostName(host);
  if (name === null || !names.has(name))
    return {
      status: 421,
      code: 'other-name',
      message: texts.notUnderThisName,
    };
  if (!METHODS.has(method ?? ''))
    return { status: 405, code: 'no-such-method', message: texts.thisMethodIsNotAnswered };
  if (SHUT.test(url ?? '')) return { status: 404, code: 'not-found', message: texts.thereIsNothingHere };
  return null;
}

/**
 * The address that somebody reached the application under, so that what is written for them leads back to it. The door
 * lets in no name but the shop's own.
 */
export const reachedAt = ({ headers }: Request, { protocol, host }: URL): string =>
  `${protocol}//${headers.get('host') ?? host}`;
