import { RateLimiterMemory } from 'rate-limiter-flexible';
import { settings } from '../../data/settings';
import type { Turned } from './guard';
import * as texts from '#language/server';

/** What changes something is dearer: of those, this share. */
const CHANGING_SHARE = 0.15;
/** Shares that all connections of one address have together: a browser opens six connections at most. */
const SHARES_OF_ADDRESS = 12;
const SPAN_S = 10;

const TOO_MUCH: Turned = {
  status: 429,
  code: 'too-many-requests',
  message: texts.tooMuchIsAsked,
};

const limiter = (points: number) =>
  points > 0 ? new RateLimiterMemory({ points: Math.ceil(points), duration: SPAN_S }) : null;

/**
 * Bounds on all that a connection asks and on what changes something, and on what all connections of its address ask:
 * usually far above what a bench full of people asks for, and below what would starve the others. Several browsers on
 * one machine, or behind one door, have a share each.
 */
function bounds(most = settings().SERRATA_MOST_REQUESTS) {
  const two = (shares: number) => ({ all: limiter(most * shares), changing: limiter(most * shares * CHANGING_SHARE) });
  return { connection: two(1), address: two(SHARES_OF_ADDRESS) };
}
let made: ReturnType<typeof bounds> | null = null;

const LOOKING = new Set(['GET', 'HEAD', 'OPTIONS']);

/** Who asks: from where, and by which connection from there. */
export interface Asking {
  readonly remoteAddress?: string | undefined;
  readonly remotePort?: number | undefined;
}

/** Whether a connection, or its address, has asked for more than its share just now. */
export async function isTooMuch(
  { remoteAddress = '', remotePort = 0 }: Asking,
  method = 'GET',
): Promise<Turned | null> {
  made ??= bounds();
  const { connection, address } = made;
  const kind = LOOKING.has(method) ? 'all' : 'changing';
  const [own, shared] = [connection[kind], address[kind]];
  if (!own || !shared) return null;
  return Promise.all([own.consume(`${remoteAddress} ${remotePort}`), shared.consume(remoteAddress)]).then(
    () => null,
    () => TOO_MUCH,
  );
}
