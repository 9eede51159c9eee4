import type { RefObject } from 'react';
import { drawingAsPng, drawingAsSvg, save } from './export';

interface ExportDrawingProps {
  readonly of: RefObject<HTMLElement | null>;
  /** Name of the file, without its ending. */
  readonly name: string;
  readonly label: string;
}

/** Gives a drawing out as SVG or PNG, in the colours of the bench it stands on. */
export function ExportDrawing({ of, name, label }: ExportDrawingProps) {
  const give = async (kind: 'svg' | 'png') => {
    const svg = of.current?.querySelector('svg');
    if (!svg) return;
    save(kind === 'svg' ? drawingAsSvg(svg) : await drawingAsPng(svg), `${name}.${kind}`);
  };
  return (
    <p className="no-print text-right text-sm text-ink-soft">
      {label} as{' '}
      {(['svg', 'png'] as const).map((kind) => (
        <button key={kind} type="button" className="min-h-8 px-1.5 underline" onClick={() => void give(kind)}>
          {kind.toUpperCase()}
          <span className="sr-only"> of {name}</span>
        </button>
      ))}
    </p>
  );
}
