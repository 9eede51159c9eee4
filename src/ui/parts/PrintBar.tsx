import { ArrowLeft, Printer } from 'lucide-react';

/** Above a page that is made to be printed: the way back, and the printer. Neither is printed. */
export function PrintBar({ back, to }: { back: string; to: string }) {
  return (
    <div className="no-print mb-4 flex gap-3">
      <a className="flex quiet items-center gap-2" href={back}>
        <ArrowLeft size={17} aria-hidden="true" />
        Back to {to}
      </a>
      <button type="button" className="flex act items-center gap-2" onClick={() => window.print()}>
        <Printer size={17} aria-hidden="true" />
        Print
      </button>
    </div>
  );
}
