import { useState, type RefObject } from 'react';
import { save } from '../../frame/save-file';
import * as texts from '#language/screens/job-bar';

interface ExportDrawingProps {
  readonly of: RefObject<HTMLElement | null>;
  /** Name of the file, without its ending. */
  readonly file: string;
  readonly label: string;
}

/** Gives a drawing out as SVG or PNG, in the colours of the bench it stands on. */
export function ExportDrawing({ of, file, label }: ExportDrawingProps) {
  const [failed, setFailed] = useState(false);
  const give = async (kind: 'svg' | 'png') => {
    const svg = of.current?.querySelector('svg');
    if (!svg) return;
    try {
      // Fetched when a drawing is asked for: most never are.
      const { drawingAsPng, drawingAsSvg } = await import('./export');
      save(kind === 'svg' ? drawingAsSvg(svg) : await drawingAsPng(svg), `${file}.${kind}`);
      setFailed(false);
    } catch {
      setFailed(true);
    }
  };
  return (
    <p className="no-print text-right text-sm text-ink-soft">
      {texts.drawing(label)}{' '}
      {(['svg', 'png'] as const).map((kind) => (
        <button key={kind} type="button" className="min-h-8 px-1.5 underline" onClick={() => void give(kind)}>
          {kind.toUpperCase()}
          <span className="sr-only"> {texts.drawingOf(label)}</span>
        </button>
      ))}
      {failed && (
        <span role="alert" className="block font-semibold text-oxide">
          {texts.drawingNotGiven}
        </span>
      )}
    </p>
  );
}
