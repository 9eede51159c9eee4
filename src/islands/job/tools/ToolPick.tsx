import type { InstrumentId } from '../../../core/quantity';
import { instrumentName } from '../../../wording';

interface ToolPickProps {
  readonly tools: readonly InstrumentId[];
  readonly tool: InstrumentId;
  /** What it is called for those who hear the screen, and where it is said what is measured with it. */
  readonly label: string;
  readonly of?: string;
  readonly onTake: (tool: InstrumentId) => void;
}

/** What a kind of reading is measured with: one tap changes it. */
export function ToolPick({ tools, tool, label, of, onTake }: ToolPickProps) {
  const shown = tools.includes(tool) ? tools : [tool, ...tools];
  return (
    <select
      aria-label={label}
      aria-describedby={of}
      className="min-h-[1.7rem] max-w-full rounded-[3px] border border-line bg-sheet px-1 text-sm text-ink-soft"
      value={tool}
      onChange={({ target }) => onTake(target.value as InstrumentId)}
    >
      {shown.map((each) => (
        <option key={each} value={each}>
          {instrumentName(each)}
        </option>
      ))}
    </select>
  );
}
