import { useRef } from 'react';
import { isWithin } from '../../../core/sheet';
import { EntryField } from './EntryField';
import { useOfStore } from '../store/JobContext';

/** Lists of lengths that are typed one after the other. */
type ListPath =
  | `chain.depthGauges${'Left' | 'Right'}`
  | `chain.after.cutters${'Left' | 'Right'}`
  | `chain.after.depthGauges${'Left' | 'Right'}`;

interface NumberRowProps {
  readonly path: ListPath;
  /** What one of them is: `left gauge`. */
  readonly label: string;
  readonly title: string;
  /** Fields shown at least. */
  readonly least?: number;
}

/** Many of a kind typed with number and Enter: there is always one empty field more. */
export function NumberRow({ path, label, title, least = 4 }: NumberRowProps) {
  const { standing, drafts } = useOfStore((readings) => readings);
  const row = useRef<HTMLDivElement>(null);
  const filled = [...standing.values(), ...drafts.values()].flatMap((entry) =>
    isWithin(entry.path, path) && entry.text.trim() !== '' ? [Number(entry.path.slice(path.length + 1))] : [],
  );
  const count = Math.max(least, ...filled.map((key) => key + 2));
  const go = (to: number) => row.current?.querySelectorAll('input')[to]?.focus();
  return (
    <div className="min-w-0">
      <p className="mb-1 text-sm font-semibold text-ink-soft">{title}</p>
      <div ref={row} className="grid grid-cols-[repeat(auto-fill,minmax(5.5rem,1fr))] gap-1.5">
        {Array.from({ length: count }, (_, i) => (
          <EntryField
            key={i}
            path={`${path}.${i}`}
            label={`${label} ${i + 1}`}
            suffix="unit"
            bare
            onEnter={(accepted) => accepted && go(i + 1)}
          />
        ))}
      </div>
    </div>
  );
}
