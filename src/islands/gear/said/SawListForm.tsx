import { useEffect, useState } from 'react';
import {
  matchSawColumns,
  missingSawColumns,
  readSawRow,
  SAW_COLUMNS,
  type ListedSaw,
  type SawColumns,
} from '../../../core/saw-list';
import type { ListRows } from '../../../core/stock';
import { MOST_LISTED_SAWS, type SawsTaken, type TakeInSaws } from '../../../contract';
import { Notice } from '../../../ui/parts/Notice';
import { list as inWords, listProblem, sawCellProblem, sawColumnName, UNNAMED } from '../../../wording';
import { api, failure } from '../../frame/api';
import { useFrame } from '../../frame/frame-context';
import { Headings } from '../../frame/Headings';
import { sentOnce } from '../../frame/sent-once';
import { readSawList } from './read-saw-list';
import * as texts from '#language/screens/gear';

/** A list that was chosen, and which of its headings goes to which column. */
interface Chosen {
  readonly name: string;
  readonly list: ListRows;
  readonly columns: SawColumns;
}

/** A list of saws is taken in: columns matched, what it would do told first, and undone as one from Gear. */
export function SawListForm() {
  const [chosen, setChosen] = useState<Chosen | string | null>(null);
  const choose = async (file: File) => {
    const read = await readSawList(file);
    if (!read.ok) return setChosen(listProblem(read.error));
    setChosen({ name: file.name, list: read.value, columns: matchSawColumns(read.value.headings) });
  };
  return (
    <div className="grid gap-3">
      <p className="text-sm text-ink-soft">{texts.listOfSawsHas}</p>
      <label className="grid gap-1">
        <span className="text-sm font-semibold text-ink-soft">{texts.theListOfSaws}</span>
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
            columns={SAW_COLUMNS}
            names={sawColumnName}
            headings={chosen.list.headings}
            chosen={chosen.columns}
            onChoose={(column, heading) => setChosen({ ...chosen, columns: { ...chosen.columns, [column]: heading } })}
            className="grid-cols-4"
          />
          <Judged chosen={chosen} />
        </>
      )}
    </div>
  );
}

/** Rows that are told by name; the rest is counted. */
const TOLD = 8;

function Judged({ chosen: { name, list, columns } }: { chosen: Chosen }) {
  const missing = missingSawColumns(columns);
  if (missing.length > 0)
    return (
      <Notice kind="caution">{texts.sayWhichColumn(inWords(missing.map((column) => sawColumnName[column])))}</Notice>
    );
  const rows = list.rows.map(({ cells, line }) => readSawRow(cells, columns, line));
  const saws = rows.flatMap((row) => (row.ok ? [row.saw] : []));
  const bad = rows.flatMap((row) => (row.ok ? [] : [row]));
  return (
    <>
      {bad.length > 0 && (
        <section aria-label={texts.rowsThatStayOut}>
          <h3 className="font-bold text-oxide">{texts.cannotBeRead(bad.length)}</h3>
          <ul className="text-sm">
            {bad.slice(0, TOLD).map(({ line, problems }) => (
              <li key={line}>
                <span className="figures">{texts.lineOfList(line)}</span> {problems.map(sawCellProblem).join(' ')}
              </li>
            ))}
          </ul>
          {bad.length > TOLD && <p className="text-sm text-ink-soft">{texts.moreRows(bad.length - TOLD)}</p>}
        </section>
      )}
      {saws.length > MOST_LISTED_SAWS ? (
        <Notice kind="error">{texts.tooManySaws(saws.length, MOST_LISTED_SAWS)}</Notice>
      ) : (
        saws.length > 0 && <TakeIn name={name} saws={saws} />
      )}
    </>
  );
}

/** What the list would do, as it stands now, and the act. */
function TakeIn({ name, saws }: { readonly name: string; readonly saws: readonly ListedSaw[] }) {
  const by = useFrame().who || UNNAMED;
  const [told, setTold] = useState<SawsTaken | string | null>(null);
  const [isSending, setSending] = useState(false);
  const asked = JSON.stringify({ by, name, saws });
  useEffect(() => {
    let isStale = false;
    const given = JSON.parse(asked) as Pick<TakeInSaws, 'by' | 'name' | 'saws'>;
    api.post<SawsTaken>('/api/gear/saw-list', { id: crypto.randomUUID(), ...given, onlyTold: true }).then(
      (taken) => !isStale && setTold(taken),
      (error: unknown) => !isStale && setTold(failure(error, texts.itWasNotSaved)),
    );
    return () => {
      isStale = true;
    };
  }, [asked]);
  const take = async () => {
    setSending(true);
    try {
      const wanted = { by, name, saws, onlyTold: false };
      await sentOnce(wanted, (id) => api.post<SawsTaken>('/api/gear/saw-list', { id, ...wanted }));
      window.location.assign('/gear');
    } catch (error) {
      setTold(failure(error, texts.itWasNotSaved));
      setSending(false);
    }
  };
  if (told === null) return <p className="text-ink-soft">{texts.layingBeside}</p>;
  if (typeof told === 'string') return <Notice kind="error">{told}</Notice>;
  return (
    <>
      <p role="status" className="font-semibold">
        {texts.wouldBring(told.saws, told.customers, told.known)}
      </p>
      <ul className="text-sm">
        {saws.slice(0, TOLD).map(({ customer, label, tag, marks }, i) => (
          <li key={`${i} ${label}`}>
            {[customer, label, tag].filter(Boolean).join(', ')} <span className="figures">{marks}</span>
          </li>
        ))}
      </ul>
      {saws.length > TOLD && <p className="text-sm text-ink-soft">{texts.moreRows(saws.length - TOLD)}</p>}
      <p className="text-sm text-ink-soft">{texts.numbersAreTold}</p>
      <button
        type="button"
        className="act justify-self-start"
        disabled={isSending || told.saws === 0}
        onClick={() => void take()}
      >
        {texts.takeThemIn(told.saws)}
      </button>
    </>
  );
}
