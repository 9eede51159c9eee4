import type { IncomingMessage } from 'node:http';
import { isOwnAddress } from './door';
import type { Turned } from './guard';
import type { Opening } from './opening';
import * as texts from '#language/server';

/** What a proxy says of whoever asks it. From anybody else it is no more than a claim. */
const SAID = ['x-forwarded-for', 'x-forwarded-host', 'x-forwarded-proto', 'forwarded'] as const;

/** An address as it is written by itself: those of four numbers come within longer ones. */
const plain = (address = ''): string => address.replace(/^::ffff:/, '');

const one = (value: string | string[] | undefined): string | undefined => (Array.isArray(value) ? value.at(-1) : value);

/** The last of several: what the nearest proxy itself has seen. */
const last = (value: string | string[] | undefined): string | undefined => one(value)?.split(',').at(-1)?.trim();

function takeOff(headers: IncomingMessage['headers']): void {
  delete headers['x-forwarded-for'];
  delete headers['x-forwarded-host'];
  delete headers['x-forwarded-proto'];
  delete headers.forwarded;
}

/**
 * Takes what was said of a request on the way for what it is: of a named proxy it is believed, of anybody else it is
 * taken off. Where a proxy encrypts, nobody comes by another way.
 * @returns why it is turned away; null where it goes on
 */
export function byProxy(
  { headers, socket }: Pick<IncomingMessage, 'headers' | 'socket'>,
  { proxies, tls }: Pick<Opening, 'proxies' | 'tls'>,
): Turned | null {
  const from = plain(socket.remoteAddress);
  const isSaid = SAID.some((name) => headers[name] !== undefined);
  const [address, host, protocol] = [
    last(headers['x-forwarded-for']),
    last(headers['x-forwarded-host']),
    last(headers['x-forwarded-proto']),
  ];
  takeOff(headers);
  if (proxies.size === 0) return null;
  if (!proxies.has(from) || !isSaid) {
    // This machine itself may ask as it is.
    if (tls || (isOwnAddress(from) && !isSaid)) return null;
    return { status: 403, code: 'not-by-proxy', message: texts.notByTheProxy };
  }
  if (protocol !== 'https') return { status: 403, code: 'not-encrypted', message: texts.notEncrypted };
  headers['x-forwarded-proto'] = 'https';
  headers['x-forwarded-for'] = address ?? from;
  if (host !== undefined) headers.host = host;
  return null;
}

/** Where a request comes from: by what a named proxy said, else by its connection. */
export const fromWhere = ({ headers, socket }: Pick<IncomingMessage, 'headers' | 'socket'>): string =>
  one(headers['x-forwarded-for']) ?? plain(socket.remoteAddress);
