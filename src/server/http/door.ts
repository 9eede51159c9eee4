import { settings } from '../../data/settings';
import { doorState } from './door-state';
import type { Turned } from './guard';
import { isEncrypted } from './shown';
import * as texts from '#language/server';

/** Names that only this machine goes by. */
const LOOPBACK = ['127.0.0.1', '[::1]', 'localhost'];

/** Addresses that only this machine can reach. */
const OWN_ADDRESSES = new Set(['127.0.0.1', '::1', 'localhost']);

/** Whether only this machine can reach an address. */
export const isOwnAddress = (host: string): boolean => OWN_ADDRESSES.has(host);

/**
 * Pages are served to the network by the server alone, which has looked what that needs before it opened.
 * @throws Error with what to do, where something else would
 */
export function mustBeOpened(host = settings().HOST): void {
  if (!isOwnAddress(host) && doorState() === null) throw new Error(texts.openedByTheServer(host));
}

/** Methods that anything here answers. */
const METHODS = new Set(['GET', 'HEAD', 'OPTIONS', 'POST', 'PUT', 'PATCH', 'DELETE']);

/**
 * Whether what answers is one of our own pages: the framework has some of its own, such as one that changes pictures,
 * and calls them by a line first, as none of ours is called.
 * @param route the page that was found for an address, however the address was written
 */
export const isOurs = (route: string): boolean => !route.startsWith('/_');

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
  { method, host }: { method: string | undefined; host: string | undefined },
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
  return null;
}

/**
 * The address that somebody reached the application under, so that what is written for them leads back to it. The door
 * lets in no name but the shop's own.
 */
export const reachedAt = ({ headers }: Request, { host }: URL): string =>
  `${isEncrypted(headers) ? 'https:' : 'http:'}//${headers.get('host') ?? host}`;

/** What is answered where no page of ours is. */
export const NOTHING_HERE: Turned = { status: 404, code: 'not-found', message: texts.thereIsNothingHere };
