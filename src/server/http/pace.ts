import { RateLimiterMemory } from 'rate-limiter-flexible';
import type { Turned } from './guard';

/** Requests of one client in {@link SPAN_S} seconds: far above what a bench full of people asks for, and below what would starve the others. */
const MOST_REQUESTS = 6000;
const SPAN_S = 10;

const TOO_MUCH: Turned = {
  status: 429,
  code: 'too-many-requests',
  message: 'More is asked from here than one client needs. Wait a few seconds.',
};

/** `SERRATA_MOST_REQUESTS` sets another bound; 0 sets none. */
const most = Number(process.env.SERRATA_MOST_REQUESTS ?? MOST_REQUESTS);
const limiter = most > 0 ? new RateLimiterMemory({ points: most, duration: SPAN_S }) : null;

/** Whether a client has asked for more than its share just now. */
export async function isTooMuch(client = ''): Promise<Turned | null> {
  if (!limiter) return null;
  return limiter.consume(client).then(
    () => null,
    () => TOO_MUCH,
  );
}
