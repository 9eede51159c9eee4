import type { ReactNode } from 'react';
import { ChevronDown, ChevronUp } from 'lucide-react';
import * as texts from '#language/screens/job';

interface TagZoneProps {
  readonly children: ReactNode;
  /** What a phone shows of it in one line; a tap opens the rest upward. */
  readonly strip: ReactNode;
  /** Whether a phone shows the rest, and how it is opened and shut. */
  readonly isOpen?: boolean;
  readonly onToggle?: () => void;
  readonly below?: ReactNode;
}

/**
 * The zone at the right of a job: what is told there changes with every reading. On a phone it is a strip at the foot,
 * so that the step comes first.
 */
export function TagZone({ children, strip, isOpen = false, onToggle, below }: TagZoneProps) {
  const Arrow = isOpen ? ChevronDown : ChevronUp;
  return (
    <aside
      aria-label={texts.tagVerdicts}
      className="no-print relative flex min-h-0 flex-col overflow-y-auto border-l border-line bg-sheet max-md:fixed max-md:inset-x-0 max-md:bottom-0 max-md:z-20 max-md:grid max-md:max-h-[80dvh] max-md:grid-cols-[minmax(0,1fr)_auto] max-md:grid-rows-[minmax(0,1fr)_auto] max-md:overflow-hidden max-md:border-t-2 max-md:border-l-0 max-md:border-line-strong"
    >
      <div
        id="tag-told"
        aria-live="polite"
        className={`flex-1 max-md:col-span-2 max-md:overflow-y-auto ${isOpen ? '' : 'max-md:hidden'}`}
      >
        {children}
      </div>
      <button
        type="button"
        aria-expanded={isOpen}
        aria-controls="tag-told"
        className="hidden min-h-12 min-w-0 items-center gap-2 px-3 text-left aria-expanded:border-t aria-expanded:border-line max-md:row-start-2 max-md:flex"
        onClick={onToggle}
      >
        {strip}
        <Arrow size={18} aria-hidden="true" className="ml-auto flex-none" />
      </button>
      {below}
    </aside>
  );
}
