import * as texts from '#language/screens/common';

interface HeadingsProps<Column extends string> {
  readonly legend: string;
  readonly columns: readonly Column[];
  readonly names: Readonly<Record<Column, string>>;
  /** Headings of the list, as they stand. */
  readonly headings: readonly string[];
  readonly chosen: Readonly<Record<Column, number | null>>;
  readonly onChoose: (column: Column, heading: number | null) => void;
  readonly className: string;
}

/** Which heading of a list goes to which column; proposed by name, and put right by hand. */
export function Headings<Column extends string>(props: HeadingsProps<Column>) {
  const { legend, columns, names, headings, chosen, onChoose, className } = props;
  return (
    <fieldset>
      <legend className="mb-1 font-bold">{legend}</legend>
      <div className={`grid gap-2 max-md:grid-cols-2 ${className}`}>
        {columns.map((column) => (
          <label key={column} className="grid gap-0.5">
            <span className="text-sm font-semibold text-ink-soft">{names[column]}</span>
            <select
              className="entry w-full"
              value={chosen[column] ?? ''}
              onChange={({ target }) => onChoose(column, target.value === '' ? null : Number(target.value))}
            >
              <option value="">{texts.notInTheList}</option>
              {headings.map((heading, i) => (
                <option key={`${heading}${i}`} value={i}>
                  {heading || texts.columnOfList(i + 1)}
                </option>
              ))}
            </select>
          </label>
        ))}
      </div>
    </fieldset>
  );
}
