import { useState } from 'react';
import { Columns3 } from 'lucide-react';
import { Dialog } from '../../../ui/parts/Dialog';
import type { Column } from './column';
import * as texts from '#language/screens/table';

interface ColumnChoiceProps<Row> {
  readonly columns: readonly Column<Row>[];
  readonly shown: readonly Column<Row>[];
  readonly onChange: (ids: readonly string[]) => void;
}

/** Which columns a table shows. What names the rows stays. */
export function ColumnChoice<Row>({ columns, shown, onChange }: ColumnChoiceProps<Row>) {
  const [open, setOpen] = useState(false);
  const ids = shown.map(({ id }) => id);
  return (
    <div className="no-print">
      <button type="button" className="flex quiet items-center gap-2" onClick={() => setOpen(true)}>
        <Columns3 size={16} aria-hidden="true" />
        {texts.columns}
      </button>
      <Dialog title={texts.columnsToShow} open={open} onClose={() => setOpen(false)}>
        <fieldset className="grid grid-cols-2 gap-x-4">
          <legend className="sr-only">{texts.columnsToShow}</legend>
          {columns
            .filter(({ isName }) => !isName)
            .map(({ id, head }) => (
              <label key={id} className="flex min-h-11 items-center gap-2">
                <input
                  type="checkbox"
                  className="size-5 accent-pine"
                  checked={ids.includes(id)}
                  onChange={({ target }) => onChange(target.checked ? [...ids, id] : ids.filter((each) => each !== id))}
                />
                {head}
              </label>
            ))}
        </fieldset>
      </Dialog>
    </div>
  );
}
