import { useEffect, useRef, type ReactNode } from 'react';
import type { Step } from '../../core/reading';
import { takeAndWalkOn } from '../frame/focus';

interface JobLayoutProps {
  readonly step: Step;
  readonly plates: ReactNode;
  readonly steps: ReactNode;
  readonly tag: ReactNode;
  /** The instrument of the step. */
  readonly children: ReactNode;
}

/**
 * The zones of a job: plates on top, steps at the left, the instrument in the middle, the tag at the right. On a phone
 * the step comes first: its menu, the plates in one line that scrolls, the instrument; the tag is a strip at the foot.
 */
export function JobLayout({ step, plates, steps, tag, children }: JobLayoutProps) {
  const zone = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const element = zone.current;
    element?.addEventListener('keydown', takeAndWalkOn);
    return () => element?.removeEventListener('keydown', takeAndWalkOn);
  }, []);
  return (
    <div data-step={step} className="flex h-full flex-col max-md:h-auto max-md:pb-24">
      <div className="no-print min-h-[3.85rem] border-b border-line bg-well px-4 py-1.5 max-md:order-2 max-md:min-h-0 max-md:px-2 max-md:py-1">
        {plates}
      </div>
      <div className="grid min-h-0 flex-1 grid-cols-[10.5rem_minmax(0,1fr)_18.5rem] max-lg:grid-cols-[4rem_minmax(0,1fr)_15rem] max-md:contents">
        {steps}
        <div
          className="relative min-h-0 overflow-y-auto px-5 py-2 max-md:order-3 max-md:overflow-visible max-md:px-3"
          ref={zone}
          tabIndex={-1}
          data-zone="step"
        >
          {children}
        </div>
        {tag}
      </div>
    </div>
  );
}
