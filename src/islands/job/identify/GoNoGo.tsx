import { GAUGE_IDS, GAUGES } from '../../../core/families';
import type { ReadingPath } from '../../../core/sheet';
import { useField } from '../store/useField';

interface GoNoGoProps {
  readonly path: ReadingPath;
  readonly legend: string;
  /** A slot is put over a link and must be wide enough; a tab goes into a groove and must be narrow enough. */
  readonly tool: 'slot' | 'tab';
}

const inch = (i: number): string | null => {
  const id = GAUGE_IDS[i];
  return id === undefined ? null : `0${id} in`;
};

/** The reading that one mark stands for: it goes, and its neighbour on the far side does not. */
export function goNoGoText(i: number, tool: 'slot' | 'tab'): string {
  const refused = inch(tool === 'slot' ? i - 1 : i + 1);
  const enters = `enters ${inch(i)!}`;
  return refused ? `${enters}, refuses ${refused}` : enters;
}

/** Picks the mark that fits without wobble: one tap gives both bounds. */
export function GoNoGo({ path, legend, tool }: GoNoGoProps) {
  const field = useField(path);
  return (
    <fieldset>
      <legend className="mb-1 text-sm font-semibold text-ink-soft">{legend}</legend>
      <div className="flex gap-1">
        {GAUGE_IDS.map((id, i) => {
          const text = goNoGoText(i, tool);
          const chosen = field.text === text;
          return (
            <button
              key={id}
              type="button"
              aria-pressed={chosen}
              onClick={() => field.set(chosen ? '' : text)}
              className="grid min-h-16 w-20 justify-items-center rounded-[3px] border border-line-strong bg-sheet pt-1.5 hover:bg-well aria-pressed:border-pine aria-pressed:bg-pine aria-pressed:text-pine-ink"
            >
              <svg viewBox="0 0 40 22" width="40" height="22" aria-hidden="true">
                {tool === 'slot' ? (
                  <path
                    d={`M2 2 H${20 - (i + 2)} V18 H${20 + (i + 2)} V2 H38`}
                    fill="none"
                    stroke="currentColor"
                    strokeWidth="2"
                  />
                ) : (
                  <path
                    d={`M2 2 H38 M${20 - (i + 2)} 2 V20 H${20 + (i + 2)} V2`}
                    fill="none"
                    stroke="currentColor"
                    strokeWidth="2"
                  />
                )}
              </svg>
              <span className="figures font-bold">{id}</span>
              <span className="text-xs">{GAUGES[id].mmLabel} mm</span>
            </button>
          );
        })}
      </div>
    </fieldset>
  );
}
