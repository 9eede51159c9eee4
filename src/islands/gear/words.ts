import { useMemo } from 'react';
import { isReached } from '../../core/life';
import type { FirstLimitView, PieceLine } from '../../contract';
import { plainDay, sawText, shopDay } from '../../wording';
import { useFrame, useIsReader } from '../frame/frame-context';
import * as texts from '#language/screens/gear';

/** How gear writes lengths and days: in the unit of the screen, as the shop writes them. */
export function useWords() {
  const { show, shop } = useFrame();
  return useMemo(() => ({ show: (mm: number) => show(mm), day: (iso: string) => plainDay(iso, shop) }), [show, shop]);
}

/** Whether a limit is reached, or its likely day is here. */
export const isDue = ({ hours, on }: FirstLimitView, today: string): boolean =>
  isReached(hours) || (on.middle !== null && on.middle <= today);

/** How a piece came on its saw. */
export function howItCame({ began, from }: Pick<PieceLine, 'began' | 'from'>): string {
  if (began.how === 'moved') return texts.cameFrom(sawText(from));
  return began.how === 'fitted' ? texts.fittedNew : texts.foundOnIt;
}

/** A chain by its tag, or since when it is known. */
export const chainText = ({ tag, began }: PieceLine, shop: Parameters<typeof shopDay>[1]): string =>
  tag || texts.chainSince(shopDay(began.at, shop));

/** Where a job is looked at: a reader sees the page that is written for the customer. */
export function useJobAddress(): (jobId: string) => string {
  const isReader = useIsReader();
  return (jobId) => (isReader ? `/jobs/${jobId}/customer` : `/jobs/${jobId}`);
}
