import { useEffect, useState } from 'react';
import {
  matchSawColumns,
  missingSawColumns,
  readSawRow,
  SAW_COLUMNS,
  type ListedSaw,
  type SawColumn,
} from '../../../core/saw-list';
import { MOST_LISTED_SAWS, type SawsTaken, type TakeInSaws } from '../../../contract';
import { Notice } from '../../../ui/parts/Notice';
import { list as inWords, sawCellProblem, sawColumnName, UNNAMED } from '../../../wording';
import { api, failure } from '../../frame/api';
import { useFrame } from '../../frame/frame-context';
import { sentOnce } from '../../frame/sent-once';
import { Brought, ListOf, RowsThatStayOut, type ChosenList } from './ListOf';
import * as texts from '#language/screens/gear';

/** A list of saws is taken in: columns matched, what it would do told first, and undone as one from Gear. */
export function SawListForm() {
  return (
    <ListOf
      has={texts.listOfSawsHas}
      label={texts.theListOfSaws}
      columns={SAW_COLUMNS}
      names={sawColumnName}
      match={matchSawColumns}
    >
      {(chosen) => <Judged chosen={chosen} />}
    </ListOf>
  );
}

function Judged({ chosen: { name, list, columns } }: { readonly chosen: ChosenList<SawColumn> }) {
  const missing = missingSawColumns(columns);
  if (missing.length > 0)
    return (
      <Notice kind="caution">{texts.sayWhichColumn(inWords(missing.map((column) => sawColumnName[column])))}</Notice>
    );
  const rows = list.rows.map(({ cells, line }) => readSawRow(cells, columns, line));
  const saws = rows.flatMap((row) => (row.ok ? [row.saw] : []));
  const bad = rows.flatMap((row) =>
    row.ok ? [] : [{ line: row.line, says: row.problems.map(sawCellProblem).join(' ') }],
  );
  return (
    <>
      <RowsThatStayOut bad={bad} />
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
      <Brought
        all={saws.map(({ customer, label, tag, marks }) => ({
          name: [customer, label, tag].filter(Boolean).join(', '),
          numbers: marks,
        }))}
      />
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
