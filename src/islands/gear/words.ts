import { useMemo } from 'react';
import { isReached } from '../../core/life';
import type { FirstLimitView } from '../../contract';
import { plainDay } from '../../wording';
import { useFrame } from '../frame/frame-context';

/** How gear writes lengths and days: in the unit of the screen, as the shop writes them. */
export function useWords() {
  const { show, shop } = useFrame();
  return useMemo(() => ({ show: (mm: number) => show(mm), day: (iso: string) => plainDay(iso, shop) }), [show, shop]);
}

/** Whether a limit is reached, or its likely day is here. */
export const isDue = ({ hours, on }: FirstLimitView, today: string): boolean =>
  isReached(hours) || (on.middle !== null && on.middle <= today);
