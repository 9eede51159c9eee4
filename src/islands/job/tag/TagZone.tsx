import type { ReactNode } from 'react';
import * as texts from '#language/screens/job';

/** The zone at the right of a job: what is told there changes with every reading. On a phone it comes first. */
export function TagZone({ children, below }: { children: ReactNode; below?: ReactNode }) {
  return (
    <aside
      aria-label={texts.tagVerdicts}
      className="no-print relative flex min-h-0 flex-col overflow-y-auto border-l border-line bg-sheet max-md:order-1 max-md:border-l-0"
    >
      <div aria-live="polite" className="flex-1">
        {children}
      </div>
      {below}
    </aside>
  );
}
