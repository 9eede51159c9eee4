import { useMemo } from 'react';
import { plansShown } from '../../../core/plan';
import { useKeptShelf } from '../order/use-kept-shelf';
import { useJob } from '../store/JobContext';
import type { PlansState } from './plans-state';

/**
 * The plans as this browser makes them, with the shelf as it was seen last.
 * @param isAway whether the shop cannot be asked for them; else it makes none
 */
export function usePlansMadeHere(isAway: boolean): Extract<PlansState, { is: 'there' }> | null {
  const { appraisal, entered, snapshot, view } = useJob();
  const shelf = useKeptShelf(isAway);
  const { sheet } = entered;
  const { limits, schools } = view;
  return useMemo(() => {
    if (!shelf) return null;
    const input = { judged: { sheet, ...appraisal }, limits, schools, stock: shelf.value, toOrder: true };
    return {
      is: 'there',
      view: { ...plansShown(input), upToReading: snapshot.lastReading },
      seenAt: shelf.at,
    };
  }, [shelf, sheet, appraisal, limits, schools, snapshot.lastReading]);
}
