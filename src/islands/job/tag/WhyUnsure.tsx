import { useState } from 'react';
import { positionOf } from '../../../core/bar/checks';
import type { DrawnPart } from '../../../core/doubt';
import type { Part } from '../../../core/reading';
import type { Measuring } from '../step-props';
import { drawnSentence, readableName, sentence, wholeNumber, worthPoints, worthSentence } from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { useJob } from '../store/JobContext';
import { useDrawnDoubt } from './use-drawn-doubt';
import * as texts from '#language/screens/job';

interface WhyUnsureProps {
  readonly part: Part;
  readonly onMeasure: Measuring;
}

/** Draws that answer at once, and those for who wants it finer. */
const DRAWS = { at: 20_000, finer: 200_000 } as const;

/** What moves a verdict and what another reading would buy, drawn while it is open. */
export function WhyUnsure({ part, onMeasure }: WhyUnsureProps) {
  const [isOpen, setOpen] = useState(false);
  const [draws, setDraws] = useState<number>(DRAWS.at);
  const { shop } = useFrame();
  const { drawing, stop, drawAgain } = useDrawnDoubt(isOpen, draws);
  const drawn = drawing.is === 'drawn' ? (drawing.doubt.parts[part] ?? null) : null;
  return (
    <details className="mt-1 text-sm" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="min-h-6 underline">{texts.whySoUnsure}</summary>
      <div className="mt-1 border-t border-line-strong/40 pt-1">
        {drawing.is === 'drawing' && <Progress draws={draws} progress={drawing.progress} onStop={stop} />}
        {drawing.is === 'stopped' && <Again said={texts.stopped} onAgain={drawAgain} />}
        {drawing.is === 'failed' && <Again said={texts.itCouldNotBeDrawn(drawing.message)} onAgain={drawAgain} />}
        {drawn && (
          <>
            <Help drawn={drawn} onMeasure={onMeasure} />
            <p className="mt-1 text-ink-soft">
              {drawnSentence(drawn, draws, shop)}{' '}
              {draws < DRAWS.finer && (
                <button type="button" className="min-h-6 underline" onClick={() => setDraws(DRAWS.finer)}>
                  {texts.drawTenTimesAsMany}
                </button>
              )}
            </p>
          </>
        )}
      </div>
    </details>
  );
}

function Progress({ draws, progress, onStop }: { draws: number; progress: number; onStop: () => void }) {
  const { shop } = useFrame();
  return (
    <div className="flex items-center gap-2">
      <progress
        className="h-2 flex-1 accent-pine"
        max={1}
        value={progress}
        aria-label={texts.drawingTimes(wholeNumber(draws, shop))}
      />
      <button type="button" className="min-h-6 px-1 underline" onClick={onStop}>
        {texts.stop}
      </button>
    </div>
  );
}

function Again({ said, onAgain }: { said: string; onAgain: () => void }) {
  return (
    <p>
      {said}{' '}
      <button type="button" className="min-h-6 underline" onClick={onAgain}>
        {texts.drawAgain}
      </button>
    </p>
  );
}

/** What moves the verdict, and each reading with what it would buy for its minutes. */
function Help({ drawn: { movedBy, next }, onMeasure }: { drawn: DrawnPart } & Omit<WhyUnsureProps, 'part'>) {
  const { position } = useFrame();
  const { appraisal } = useJob();
  const where = (measure: string) => positionOf(appraisal.bar, measure);
  return (
    <>
      {movedBy.length > 0 && (
        <>
          <h3 className="font-semibold">{texts.whatMovesIt}</h3>
          <ul>
            {movedBy.slice(0, SHOWN).map((moved) => (
              <li key={`${moved.measure} ${moved.at}`} className="flex gap-2">
                <span className="w-10 flex-none text-right figures whitespace-nowrap">
                  {Math.round(100 * moved.share)} %
                </span>
                {readableName({ ...moved, at: moved.at ?? where(moved.measure) }, position)}
              </li>
            ))}
          </ul>
        </>
      )}
      {next.length === 0 ? (
        <p className="mt-1 font-semibold">
          {movedBy.length > 0 ? texts.noneWouldMakeItSurer : texts.stopAnotherReadingChangesNothing}
        </p>
      ) : (
        <>
          <h3 className="mt-1 font-semibold">{texts.whatAnotherReadingWouldBuy}</h3>
          <ul>
            {next.slice(0, SHOWN).map((worth) => (
              <li key={`${worth.measure} ${worth.at}`} className="py-0.5">
                <button
                  type="button"
                  className="min-h-6 text-left underline"
                  onClick={() => onMeasure(worth.measure, worth.at)}
                >
                  {sentence(worthSentence({ ...worth, at: worth.at ?? where(worth.measure) }, position))}
                </button>
                <span className="block figures text-ink-soft">{worthPoints(worth)}</span>
              </li>
            ))}
          </ul>
        </>
      )}
    </>
  );
}

/** So many are named; the rest would not be done first. */
const SHOWN = 4;
