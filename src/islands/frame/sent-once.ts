/** Ids of what was sent and not yet answered, by what it asks for. */
const ids = new Map<string, string>();

/**
 * Sends under an id that stays the same until an answer has come: what is asked again after its answer was lost is done
 * once.
 * @param asked all that is asked for; the same is known by it
 */
export async function sentOnce<T>(asked: unknown, send: (id: string) => Promise<T>): Promise<T> {
  const same = JSON.stringify(asked);
  const id = ids.get(same) ?? crypto.randomUUID();
  ids.set(same, id);
  const answer = await send(id);
  ids.delete(same);
  return answer;
}
