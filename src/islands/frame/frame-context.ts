import { createContext, useContext } from 'react';
import type { UnitSystem } from '../../core/quantity';
import type { ShopView } from '../../contract';
import type { Preferences } from './preferences';

/** What everything inside the frame shares. */
export interface FrameValue extends Preferences {
  readonly shop: ShopView;
  readonly setUnit: (unit: UnitSystem) => void;
  readonly setBench: (bench: 'light' | 'dark') => void;
  readonly setWho: (who: string) => void;
  /** A length with its unit, in the unit of the screen. */
  readonly show: (mm: number, decimals?: number) => string;
  /** A position along a bar, as a rule shows it. */
  readonly position: (mm: number) => string;
  /** The figure alone. */
  readonly figure: (mm: number, decimals?: number) => string;
}

/** Provided by the frame. */
export const FrameContext = createContext<FrameValue | null>(null);

/** Whether a reader looks: they see one customer's saws, and change nothing. */
export const useIsReader = (): boolean => useFrame().shop.me?.role === 'reader';

/** Whether whoever is here judges: signs off, opens what was signed, teaches codes. At the counter nobody does. */
export const useIsJudging = (): boolean => useFrame().shop.me?.role !== 'counter';

/** Unit, person and shop, for anything inside the frame. */
export function useFrame(): FrameValue {
  const frame = useContext(FrameContext);
  if (!frame) throw new Error('useFrame is used outside the frame.');
  return frame;
}
