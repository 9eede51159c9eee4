import {
  addMovements,
  findMovement,
  movementsOf,
  partOf,
  partsBySku,
  putPart,
  type ShelvedPart,
} from '../../data/repositories';
import type { Queryable } from '../../data/store';
import type { ChangePart, MovePart, PartCardView, ShelvedPartView } from '../../contract';
import { cardChange } from '../../wording';
import type { Context } from '../context';
import { notFound, Refusal } from '../refusal';
import { shopView } from './shop';
import * as texts from '#language/server';

/** Movements a card shows. */
const SHOWN = 12;

async function mustFindPart(db: Queryable, sku: string): Promise<ShelvedPart> {
  const [part] = await partsBySku(db, [sku]);
  if (!part) throw notFound('part');
  return part;
}

/** A part's card: how it stands, and what moved lately. */
export async function partCard({ store }: Context, sku: string): Promise<PartCardView> {
  const [part, movements] = await Promise.all([mustFindPart(store.db, sku), movementsOf(store.db, sku, SHOWN)]);
  return { part, movements: movements.map(({ sku: _sku, ...movement }) => movement) };
}

/** Parts by their numbers, as they stand: what a list is laid beside before it is taken in. */
export const shelved = ({ store }: Context, skus: readonly string[]): Promise<readonly ShelvedPartView[]> =>
  partsBySku(store.db, skus);

/**
 * Puts quantity, minimum and price right. Refused where somebody changed the part since it was looked at: theirs
 * stands, and is shown.
 */
export async function changePart(
  context: Context,
  sku: string,
  { by, version, ...change }: ChangePart,
): Promise<PartCardView> {
  const shop = await shopView(context);
  await context.store.write(async (tx) => {
    const part = await mustFindPart(tx, sku);
    if (part.version !== version)
      throw new Refusal(409, 'changed-since', texts.partChangedSince(part.quantity, part.minimum));
    const before = partOf(part);
    await putPart(tx, { ...before, ...change });
    const moved = change.quantity - before.quantity;
    await addMovements(tx, [
      {
        id: context.newId(),
        sku,
        kind: moved === 0 ? 'changed' : 'counted',
        change: moved,
        left: change.quantity,
        note: cardChange(before, change, shop),
        at: context.now().toISOString(),
        by,
      },
    ]);
  });
  return partCard(context, sku);
}

/** Takes pieces from the shelf or books them in: never lost however many do it at once, and never below none. */
export async function movePart(
  context: Context,
  sku: string,
  { id, by, kind, pieces, note }: MovePart,
): Promise<PartCardView> {
  await context.store.write(async (tx) => {
    const again = await findMovement(tx, id);
    const change = kind === 'taken' ? -pieces : pieces;
    if (again?.sku === sku && again.kind === kind && again.change === change) return;
    if (again) throw new Refusal(409, 'id-taken', texts.movementIdTakenWriteAgain);
    const part = await mustFindPart(tx, sku);
    const left = part.quantity + change;
    if (left < 0)
      throw new Refusal(
        409,
        'too-few',
        part.quantity === 0 ? texts.noneIsOnTheShelf : texts.tooFewOnTheShelf(part.quantity, pieces),
      );
    await putPart(tx, { ...partOf(part), quantity: left });
    await addMovements(tx, [{ id, sku, kind, change, left, note, at: context.now().toISOString(), by }]);
  });
  return partCard(context, sku);
}
