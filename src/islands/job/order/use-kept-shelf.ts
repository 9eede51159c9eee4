import { useEffect, useState } from 'react';
import type { ShelvedPartView } from '../../../contract';
import type { Kept } from '../../../offline/kept';
import { KEPT } from '../../frame/away/keep';

/**
 * The shelf as it was seen last.
 * @param isWanted whether the shop cannot be asked
 * @returns null where it is not wanted, not read yet, or was never seen
 */
export function useKeptShelf(isWanted: boolean): Kept<readonly ShelvedPartView[]> | null {
  const [shelf, setShelf] = useState<Kept<readonly ShelvedPartView[]> | null>(null);
  useEffect(() => {
    if (!isWanted) return setShelf(null);
    let isGone = false;
    const read = async () => {
      const { keptView } = await import('../../../offline/kept');
      const found = await keptView<readonly ShelvedPartView[]>(KEPT.stock);
      if (!isGone) setShelf(found);
    };
    read().catch(() => undefined);
    return () => {
      isGone = true;
    };
  }, [isWanted]);
  return shelf;
}
