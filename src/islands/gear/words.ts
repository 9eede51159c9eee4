import { useMemo } from 'react';
import { plainDay } from '../../wording';
import { useFrame } from '../frame/frame-context';

/** How gear writes lengths and days: in the unit of the screen, as the shop writes them. */
export function useWords() {
  const { show, shop } = useFrame();
  return useMemo(() => ({ show: (mm: number) => show(mm), day: (iso: string) => plainDay(iso, shop) }), [show, shop]);
}
