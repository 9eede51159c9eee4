import { RateLimiterMemory } from 'rate-limiter-flexible';
import { settings } from '../../data/settings';
import type { Turned } from './guard';
import * as texts from '#language/server';

/** What changes something is dearer: of those, this share. */
const CHANGING_SHARE = 0.15;
const SPAN_S = 10;

const TOO_MUCH: Turned = {
  status: 429,
  code: 'too-many-requests',
  message: texts.tooMuchIsAsked,
};

const limiter = (points: number) =>
  points > 0 ? new RateLimiterMemory({ points: Math.ceil(points), duration: SPAN_S }) : null;

/**
 * Bounds on all that a client asks and on what changes something: usually far above what a bench full of people asks
 * for, and below what would starve the others.
 */
function bounds(most = settings().SERRATA_MOST_REQUESTS) {
  return { all: limiter(most), changing: limiter(most * CHANGING_SHARE) };
}
let made: ReturnType<typeof bounds> | null = null;

const LOOKING = new Set(['GET', 'HEAD', 'OPTIONS']);

/** Whether a client has asked for more than its share just now. */
export async function isTooMuch(client = '', method = 'GET'): Promise<Turned | null> {
  made ??= bounds();
  const bound = LOOKING.has(method) ? made.all : made.changing;
  if (!bound) return null;
  return bound.consume(client).then(
    () => null,
    () => TOO_MUCH,
  );
}
