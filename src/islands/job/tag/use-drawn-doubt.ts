import { useEffect, useRef, useState } from 'react';
import type { DrawnDoubt } from '../../../core/doubt';
import { Drawings } from '../../../workers/drawings';
import { useJob } from '../store/JobContext';

/** How far a drawing is. */
export type Drawing =
  | { readonly is: 'drawing'; readonly progress: number }
  | { readonly is: 'drawn'; readonly doubt: DrawnDoubt }
  | { readonly is: 'stopped' }
  | { readonly is: 'failed'; readonly message: string };

/** One seed for all: the same sheet gives the same draws, here and on the command line. */
export const SEED = 1;

/** Readings follow one another while somebody types: so long is waited for the next one, ms. */
const SETTLES_AFTER = 200;

/**
 * Draws the job as it stands while somebody looks, and anew with every reading; an answer to what no longer stands is
 * dropped.
 * @param draws how many; a new number draws anew
 */
export function useDrawnDoubt(isOpen: boolean, draws: number) {
  const { entered, view } = useJob();
  const { sheet } = entered;
  const { limits, codes, schools, studies } = view;
  const drawings = useRef<Drawings | null>(null);
  const starting = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  const [drawing, setDrawing] = useState<Drawing>({ is: 'drawing', progress: 0 });
  const [again, setAgain] = useState(0);
  useEffect(() => () => drawings.current?.end(), []);
  useEffect(() => {
    if (!isOpen) return;
    drawings.current ??= new Drawings();
    const own = drawings.current;
    setDrawing({ is: 'drawing', progress: 0 });
    starting.current = setTimeout(() => {
      const told = (progress: number) => setDrawing({ is: 'drawing', progress });
      own.draw({ sheet, rules: { limits, codes, schools, studies }, draws, seed: SEED }, told).then(
        (doubt) => doubt && setDrawing({ is: 'drawn', doubt }),
        (error: unknown) =>
          setDrawing({ is: 'failed', message: error instanceof Error ? error.message : String(error) }),
      );
    }, SETTLES_AFTER);
    return () => {
      clearTimeout(starting.current);
      own.stop();
    };
  }, [isOpen, sheet, limits, codes, schools, studies, draws, again]);
  return {
    drawing,
    stop: () => {
      // What has not begun yet does not begin.
      clearTimeout(starting.current);
      drawings.current?.stop();
      setDrawing({ is: 'stopped' });
    },
    drawAgain: () => setAgain((times) => times + 1),
  };
}
