/** What an event of a stream is. */
export type LiveEvent = 'hello' | 'changed' | 'here';

/** A place in the order of all changes: the store that they are of, and the number of the last one. */
export interface Place {
  readonly store: number;
  readonly seq: number;
}

/** A place as browsers say it. */
export const placeText = ({ store, seq }: Place): string => `${store}-${seq}`;

/**
 * An event as it is sent.
 * @param place where a browser goes on after a break; null for what is not made up for
 */
export function eventText(event: LiveEvent, data: unknown, place: Place | null = null): string {
  const id = place ? `id: ${placeText(place)}\n` : '';
  return `${id}event: ${event}\ndata: ${JSON.stringify(data)}\n\n`;
}

/** The place that somebody heard last, as they say it; null where they say none that can be read. */
export function placeFrom(said: string | null | undefined): Place | null {
  const found = /^(\d{1,15})-(\d{1,15})$/.exec(said ?? '');
  return found ? { store: Number(found[1]), seq: Number(found[2]) } : null;
}
