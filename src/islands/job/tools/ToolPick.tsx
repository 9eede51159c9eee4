import { FIELD_KINDS, type FieldKind, type InstrumentId } from '../../../core/quantity';
import { instrumentName } from '../../../wording';

interface ToolPickProps {
  readonly kind: FieldKind;
  readonly tool: InstrumentId;
  /** What is measured with it, for those who hear the screen. */
  readonly label: string;
  readonly onTake: (tool: InstrumentId) => void;
}

/** What a kind of reading is measured with: one tap changes it. */
export function ToolPick({ kind, tool, label, onTake }: ToolPickProps) {
  const tools: readonly InstrumentId[] = FIELD_KINDS[kind].tools;
  const shown = tools.includes(tool) ? tools : [tool, ...tools];
  return (
    <select
      aria-label={label}
      className="min-h-6 max-w-full rounded-[3px] border border-line bg-sheet px-1 text-sm text-ink-soft"
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
