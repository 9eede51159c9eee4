import { RateLimiterMemory } from 'rate-limiter-flexible';
import { settings } from '../../data/settings';
import type { Turned } from './guard';

/** What changes something is dearer: of those, this share. */
const CHANGING_SHARE = 0.15;
const SPAN_S = 10;

const TOO_MUCH: Turned = {
  status: 429,
  code: 'too-many-requests',
  message: 'More is asked from here than one client needs. Wait a few seconds.',
};

/** Usually far above what a bench full of people asks for, and below what would starve the others. */
const most = settings().SERRATA_MOST_REQUESTS;
const limiter = (points: number) =>
  points > 0 ? new RateLimiterMemory({ points: Math.ceil(points), duration: SPAN_S }) : null;
const all = limiter(most);
const changing = limiter(most * CHANGING_SHARE);

const LOOKING = new Set(['GET', 'HEAD', 'OPTIONS']);

/** Whether a client has asked for more than its share just now. */
export async function isTooMuch(client = '', method = 'GET'): Promise<Turned | null> {
  const bound = LOOKING.has(method) ? all : changing;
  if (!bound) return null;
  return bound.consume(client).then(
    () => null,
    () => TOO_MUCH,
  );
}
