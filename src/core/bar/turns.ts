import { flatMap } from '../flat-map';
import type { Edge } from '../declared';

/**
 * How a bar sat at one service: the edge that was down as it came, and as it went back. Either may not have been noted.
 */
export interface Service {
  readonly came?: Edge | undefined;
  readonly went?: Edge | undefined;
}

/** What a log tells: how often the bar was found turned over, of how many times that could be seen. */
export interface Turned {
  readonly times: number;
  readonly seen: number;
}

/**
 * Counts the turns in a log. A bar is turned at the bench (came A, went back B) or by its owner (went back B, comes A);
 * where an edge was not noted, its neighbours in the log are compared.
 * @param log services in the order they were done, oldest first
 * @param cameNow the edge that is down as the bar comes now, if it was noted
 */
export function turnsIn(log: readonly Service[], cameNow?: Edge): Turned {
  const noted = [...flatMap(log, ({ came, went }) => [came, went]), cameNow].filter((edge) => edge !== undefined);
  const times = noted.filter((edge, i) => i > 0 && edge !== noted[i - 1]).length;
  return { times, seen: Math.max(0, noted.length - 1) };
}
