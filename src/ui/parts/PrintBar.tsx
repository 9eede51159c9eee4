import type { ReactNode } from 'react';
import { ArrowLeft, Printer } from 'lucide-react';
import * as texts from '#language/screens/controls';

interface PrintBarProps {
  /** Where it was come from; null where there is nothing to go back to. */
  readonly back: string | null;
  readonly to: string;
  /** Other ways to take it along. */
  readonly children?: ReactNode;
}

/** Above a page that is made to be printed: the way back, and the printer. Neither is printed. */
export function PrintBar({ back, to, children }: PrintBarProps) {
  return (
    <div className="no-print mb-4 flex flex-wrap gap-3">
      {back !== null && (
        <a className="flex quiet items-center gap-2" href={back}>
          <ArrowLeft size={17} aria-hidden="true" />
          {texts.backTo(to)}
        </a>
      )}
      <button type="button" className="flex act items-center gap-2" onClick={() => window.print()}>
        <Printer size={17} aria-hidden="true" />
        {texts.print}
      </button>
      {children}
    </div>
  );
}
