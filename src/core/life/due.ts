import { flatMap } from '../flat-map';
import type { Limits } from '../limits';
import type { Schools } from '../schools';
import type { Piece } from './piece';

/** What custom says of a piece, whatever it measures. */
export type Custom =
  /** So many chains ran on a drive sprocket, as far as the records go; custom changes it after so many. */
  | { readonly code: 'chains'; readonly chains: number; readonly limit: number }
  /** The chain was changed, and nobody turned the bar over since. */
  | { readonly code: 'turn-over'; readonly since: string };

const isOn = ({ ended }: Piece): boolean => ended === null;

/** Chains that ran while a drive sprocket was on the saw, those among them that go in turn. */
export const chainsDuring = (piece: Piece, pieces: readonly Piece[]): readonly Piece[] =>
  pieces.filter(({ part, ended }) => part === 'chain' && (ended === null || ended.at > piece.began.at));

/** When a bar was turned over last, as far as somebody noted both edges; null where nobody did. */
function turnedAt({ seen }: Piece): string | null {
  const last = seen.findLast(({ visit }) => {
    const { came, went } = visit.facts.edge;
    return came !== null && went !== null && came !== went;
  });
  return last?.visit.came ?? null;
}

function ofSprocket(piece: Piece, pieces: readonly Piece[], limits: Limits): Custom | null {
  const its = chainsDuring(piece, pieces);
  // Chains that go in turn are worn together, so the sprocket carries all of them.
  const limit = Math.max(limits['sprocket.chains'].value, ...its.map(({ turns }) => turns));
  const chains = its.length;
  return chains > limit ? { code: 'chains', chains, limit } : null;
}

function ofBar(piece: Piece, pieces: readonly Piece[], schools: Schools): Custom | null {
  const since = turnedAt(piece);
  if (since === null || schools.turnOver === 'when-worn') return null;
  const isChanged = pieces.some(({ part, began }) => part === 'chain' && began.at > since);
  return isChanged ? { code: 'turn-over', since } : null;
}

/**
 * What custom makes due on a saw now, by its pieces: a drive sprocket after its chains, a bar that was not turned over
 * with the chain.
 * @param pieces of one saw
 */
export function customsOf(
  pieces: readonly Piece[],
  limits: Limits,
  schools: Schools,
): readonly { readonly piece: Piece; readonly custom: Custom }[] {
  const on = pieces.filter(isOn);
  const of = (piece: Piece): Custom | null => {
    if (piece.part === 'driveSprocket') return ofSprocket(piece, pieces, limits);
    return piece.part === 'bar' ? ofBar(piece, pieces, schools) : null;
  };
  return flatMap(on, (piece) => {
    const custom = of(piece);
    return custom ? { piece, custom } : [];
  });
}
