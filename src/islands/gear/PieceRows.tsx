import type { PieceLine } from '../../contract';
import { endedText, marksText, otherBecause, partName, reachSentence, sawText, shopDay } from '../../wording';
import { useFrame } from '../frame/frame-context';
import { SayButton } from './said/Said';
import { howItCame, useWords } from './words';
import * as texts from '#language/screens/gear';

/** Pieces, a line each: when they are due, and how they came. */
export function Pieces({ pieces }: { pieces: readonly PieceLine[] }) {
  return (
    <ul className="border-t border-line-strong">
      {pieces.map((piece) => (
        <PieceRow key={piece.id} piece={piece} />
      ))}
    </ul>
  );
}

function PieceRow({ piece }: { piece: PieceLine }) {
  const { shop } = useFrame();
  const words = useWords();
  const { part, began, ended, looks, first, marks, sold, tag, to, chains, turns } = piece;
  const how = howItCame(piece);
  const span = ended
    ? texts.fromUntil(shopDay(began.at, shop), shopDay(ended.at, shop))
    : texts.since(shopDay(began.at, shop));
  const other = began.how === 'found' && !ended && began.because;
  return (
    <li className="grid grid-cols-[9rem_1fr] gap-x-4 border-b border-line px-2 py-1.5 max-md:grid-cols-1">
      <a className="grid min-h-11 content-center font-bold underline" href={`/gear/pieces/${piece.id}`}>
        {partName[part]}
      </a>
      <div className="min-w-0 self-center">
        {!ended && (
          <p className={first ? 'font-semibold' : 'text-ink-soft'}>
            {first
              ? reachSentence(first, words.show, words.day)
              : looks === 0
                ? texts.noLookYet
                : texts.nothingToForesee}
          </p>
        )}
        <p className="text-sm text-ink-soft">
          {[
            tag && texts.tagged(tag),
            how,
            span,
            looks > 0 && texts.looks(looks),
            !ended && turns > 1 && texts.goesInTurn(turns),
            chains !== null && chains > 1 && texts.chainsRan(chains),
            marksText(marks),
            sold && `${sold.sku} ${sold.name}`,
          ]
            .filter(Boolean)
            .join(' · ')}
        </p>
        {ended && <p className="text-sm">{endedText(ended, to && sawText(to), words.show)}</p>}
        {other && began.how === 'found' && (
          <p className="text-sm text-ink-soft">
            {texts.heldToBeAnother(otherBecause(other, words.show))}{' '}
            <SayButton
              act={{ say: 'piece-told', jobId: began.jobId, part, isSame: true }}
              name={texts.isTheOneBefore}
              about={partName[part]}
            />
          </p>
        )}
      </div>
    </li>
  );
}
