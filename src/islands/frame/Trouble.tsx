import type { ReactNode } from 'react';
import { ErrorBoundary, type FallbackProps } from 'react-error-boundary';
import { TriangleAlert } from 'lucide-react';
import * as texts from '#language/screens/frame';

function said(error: unknown): string {
  return error instanceof Error ? error.message : String(error);
}

function Fallen({ error, resetErrorBoundary }: FallbackProps) {
  return (
    <section role="alert" className="m-auto grid max-w-xl gap-3 p-6">
      <h1 className="flex items-center gap-2 text-xl font-bold text-oxide">
        <TriangleAlert size={22} aria-hidden="true" />
        {texts.viewNotDrawn}
      </h1>
      <p>{texts.faultIsOurs}</p>
      <p className="figures text-sm break-words text-ink-soft">{said(error)}</p>
      <p className="flex flex-wrap gap-2">
        <button type="button" className="act" onClick={resetErrorBoundary}>
          {texts.drawItAgain}
        </button>
        <a className="grid quiet place-items-center" href="/">
          {texts.toTheBench}
        </a>
      </p>
    </section>
  );
}

/**
 * Keeps a fault in drawing to the view that has it: the rest of the screen stays, what happened is said, and there is a
 * way back.
 * @param view what is shown; going to another is a way back too
 */
export function WhereTroubleEnds({ view, children }: { view?: string; children: ReactNode }) {
  return (
    <ErrorBoundary FallbackComponent={Fallen} resetKeys={[view]}>
      {children}
    </ErrorBoundary>
  );
}
