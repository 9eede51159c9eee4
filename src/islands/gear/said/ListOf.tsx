import { useState, type ReactNode } from 'react';
import type { ListRows } from '../../../core/stock';
import { Notice } from '../../../ui/parts/Notice';
import { listProblem } from '../../../wording';
import { Headings } from '../../frame/Headings';
import { readSawList } from './read-saw-list';
import * as texts from '#language/screens/gear';

type Columns<Column extends string> = Readonly<Record<Column, number | null>>;

/** A list that was chosen, and which of its headings goes to which column. */
export interface ChosenList<Column extends string> {
  readonly name: string;
  readonly list: ListRows;
  readonly columns: Columns<Column>;
}

interface ListOfProps<Column extends string> {
  /** What the list has. */
  readonly has: string;
  readonly label: string;
  readonly columns: readonly Column[];
  readonly names: Readonly<Record<Column, string>>;
  /** Which heading goes to which column, as far as their names tell. */
  readonly match: (headings: readonly string[]) => Columns<Column>;
  readonly children: (chosen: ChosenList<Column>) => ReactNode;
}

/** A list is chosen and its columns are matched; what becomes of it is told below. */
export function ListOf<Column extends string>(props: ListOfProps<Column>) {
  const { has, label, columns, names, match, children } = props;
  const [chosen, setChosen] = useState<ChosenList<Column> | string | null>(null);
  const choose = async (file: File) => {
    const read = await readSawList(file);
    if (!read.ok) return setChosen(listProblem(read.error));
    setChosen({ name: file.name, list: read.value, columns: match(read.value.headings) });
  };
  return (
    <div className="grid gap-3">
      <p className="text-sm text-ink-soft">{has}</p>
      <label className="grid gap-1">
        <span className="text-sm font-semibold text-ink-soft">{label}</span>
        <input
          type="file"
          accept=".csv,text/csv,text/plain"
          className="entry py-2"
          onChange={({ target }) => target.files?.[0] && void choose(target.files[0])}
        />
      </label>
      {typeof chosen === 'string' && <Notice kind="error">{chosen}</Notice>}
      {chosen && typeof chosen !== 'string' && (
        <>
          <Headings
            legend={texts.whichHeadingIsWhich}
            columns={columns}
            names={names}
            headings={chosen.list.headings}
            chosen={chosen.columns}
            onChoose={(column, heading) => setChosen({ ...chosen, columns: { ...chosen.columns, [column]: heading } })}
            className="grid-cols-4"
          />
          {children(chosen)}
        </>
      )}
    </div>
  );
}

/** Rows that are told by name; the rest is counted. */
const TOLD = 8;

/** Rows that cannot be read, each with its line and what would be right. */
export function RowsThatStayOut({
  bad,
}: {
  readonly bad: readonly { readonly line: number; readonly says: string }[];
}) {
  if (bad.length === 0) return null;
  return (
    <section aria-label={texts.rowsThatStayOut}>
      <h3 className="font-bold text-oxide">{texts.cannotBeRead(bad.length)}</h3>
      <ul className="text-sm">
        {bad.slice(0, TOLD).map(({ line, says }) => (
          <li key={line}>
            <span className="figures">{texts.lineOfList(line)}</span> {says}
          </li>
        ))}
      </ul>
      {bad.length > TOLD && <p className="text-sm text-ink-soft">{texts.moreRows(bad.length - TOLD)}</p>}
    </section>
  );
}

/** What a list brings: each by its name and its numbers, as far as they are told. */
export function Brought({ all }: { readonly all: readonly { readonly name: string; readonly numbers: string }[] }) {
  return (
    <>
      <ul className="text-sm">
        {all.slice(0, TOLD).map(({ name, numbers }, i) => (
          <li key={`${i} ${name}`}>
            {name} <span className="figures">{numbers}</span>
          </li>
        ))}
      </ul>
      {all.length > TOLD && <p className="text-sm text-ink-soft">{texts.moreRows(all.length - TOLD)}</p>}
    </>
  );
}
