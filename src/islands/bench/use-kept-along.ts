import { useEffect } from 'react';
import type { BenchView } from '../../contract';
import { opensAlone } from '../frame/away/keep';
import { whenIdle } from '../frame/idle';

/** Keeps what stands on the Bench for when the shop cannot be reached, while nothing else is to do. */
export function useKeptAlong(view: BenchView): void {
  useEffect(() => {
    if (!opensAlone()) return;
    return whenIdle(
      () => void import('../frame/away/keep-along').then(({ keepAlong }) => keepAlong(view)).catch(() => undefined),
    );
  }, [view]);
}
