import type { Rules } from '../../../core/assess';
import { namedBy, piecesOf, type Piece } from '../../../core/life';
import { findSaw, piecesTagged, saidOfPieces, sawOfJob } from '../../../data/repositories';
import type { Context } from '../../context';
import { notFound } from '../../refusal';
import { rulesInForce } from '../shop';
import { pastsOf, type Past } from './past';

/** Some saws with what was on them, and with every saw that their pieces went over to or came from. */
export interface GearOfSaws {
  readonly pasts: ReadonlyMap<string, Past>;
  readonly pieces: readonly Piece[];
  /** By the ids of pieces. */
  readonly tags: ReadonlyMap<string, string>;
}

/** The pasts of some saws and of others: each tells of the hand-overs of all of them, since pieces went over. */
function withOthers(own: ReadonlyMap<string, Past>, others: ReadonlyMap<string, Past>): ReadonlyMap<string, Past> {
  const all = [...own, ...others];
  const gone = new Map(all.flatMap(([, past]) => [...past.gone]));
  return new Map(all.map(([id, past]) => [id, { ...past, gone }]));
}

/** The pieces of some saws: by what their jobs measured and did, and by what people said of them. */
export async function piecesOfSaws(
  context: Context,
  sawIds: readonly string[],
  rules: Rules | Promise<Rules>,
): Promise<GearOfSaws> {
  // They are looked at before anybody knows which others their pieces came from.
  const [{ said, tags, saws }, own] = await Promise.all([
    saidOfPieces(context.store.db, sawIds),
    pastsOf(context, sawIds, rules),
  ]);
  const others = saws.filter((id) => !own.has(id));
  const pasts = others.length === 0 ? own : withOthers(own, await pastsOf(context, others, rules));
  const pieces = piecesOf(
    saws.map((saw) => ({ saw, visits: pasts.get(saw)!.visits })),
    said,
  );
  return { pasts, pieces, tags };
}

/** A piece where it is now, or was last. */
export interface PieceOn {
  readonly found: Piece;
  readonly gear: GearOfSaws;
}

/** A piece by its id, wherever it went. */
export async function pieceOn(context: Context, piece: string): Promise<PieceOn> {
  const named = namedBy(piece);
  const { store } = context;
  const sawId = named && (await sawOfJob(store.db, named.jobId));
  // The job may be of a sister shop; the saw is seen from here.
  if (!sawId || !(await findSaw(store.db, sawId))) throw notFound('piece');
  const gear = await piecesOfSaws(context, [sawId], rulesInForce(context));
  const found = gear.pieces.findLast(({ id }) => id === piece);
  if (!found) throw notFound('piece');
  return { found, gear };
}

/** The one piece that has this tag, as it is read off the piece; null where none or several have. */
export async function pieceTagged({ store }: Context, tag: string): Promise<string | null> {
  const [only, other] = await piecesTagged(store.db, tag);
  return only !== undefined && other === undefined ? only : null;
}
