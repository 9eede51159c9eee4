import { mayTurn, pieceId } from '../../../core/life';
import { findJob, findSaw } from '../../../data/repositories';
import { notFound, Refusal } from '../../refusal';
import { standingSaw, type About, type Act, type Saying } from './saying';
import * as texts from '#language/server';

/** It is found by its tag: the store sees to that. */
export async function tagPiece({ piece, tag }: Act<'piece-tagged'>, { piece: stands }: Saying): Promise<About> {
  return { what: 'piece-tagged', sawId: stands!.found.saw, piece, said: { tag } };
}

export async function movePiece({ piece, to }: Act<'piece-moved'>, { tx, piece: stands }: Saying): Promise<About> {
  const { saw: from, ended } = stands!.found;
  if (ended !== null) throw new Refusal(409, 'piece-gone', texts.pieceIsGone);
  await standingSaw(tx, to);
  // What was seen of a piece goes with it, and is its owner's to see.
  const [here, there] = [await findSaw(tx, from), await findSaw(tx, to)];
  if (here?.customerId !== there?.customerId) throw new Refusal(422, 'other-customer', texts.pieceStaysWithItsOwner);
  if (from === to) throw new Refusal(422, 'same-saw', texts.pieceIsThere);
  return { what: 'piece-moved', sawId: from, otherSawId: to, piece, said: { from, to } };
}

export async function tellPiece({ jobId, part, isSame }: Act<'piece-told'>, { tx }: Saying): Promise<About> {
  const job = await findJob(tx, jobId);
  if (!job?.saw) throw notFound('job');
  return { what: 'piece-told', sawId: job.saw.id, said: { jobId, part, isSame } };
}

/** Chains that go in turn; of none at all, the one on the saw goes alone again. */
export async function turnChains({ sawId, pieces }: Act<'chains-in-turn'>, { tx, gear }: Saying): Promise<About> {
  await standingSaw(tx, sawId);
  const its = new Set(gear!.pieces.filter((piece) => piece.saw === sawId && mayTurn(piece)).map(({ id }) => id));
  if (pieces.some((piece) => !its.has(piece))) throw new Refusal(409, 'chain-gone', texts.chainIsNotThisSaws);
  return { what: 'chains-in-turn', sawId, said: { pieces: [...new Set(pieces)] } };
}

/** Which of the chains that go in turn a job found; one of its own where it names the chain that it was found as. */
export async function tellChain({ jobId, piece }: Act<'chain-told'>, { tx, piece: stands }: Saying): Promise<About> {
  const job = await findJob(tx, jobId);
  if (!job?.saw) throw notFound('job');
  const { found } = stands!;
  const isTold = found.id === pieceId('chain', { how: 'found', jobId });
  if (found.part !== 'chain' || found.saw !== job.saw.id || (!isTold && found.turns === 1))
    throw new Refusal(409, 'chain-gone', texts.chainIsNotThisSaws);
  return { what: 'chain-told', sawId: job.saw.id, said: { part: 'chain', jobId, piece } };
}
