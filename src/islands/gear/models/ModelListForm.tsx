import { useState } from 'react';
import {
  matchModelColumns,
  MODEL_COLUMNS,
  readModelRow,
  type ModelColumns,
  type SawModel,
} from '../../../core/saw-model';
import type { ListRows } from '../../../core/stock';
import { MOST_LISTED_MODELS } from '../../../contract';
import { Notice } from '../../../ui/parts/Notice';
import { listProblem, modelCellProblem, modelColumnName, modelText } from '../../../wording';
import { failure } from '../../frame/api';
import { Headings } from '../../frame/Headings';
import { useSay } from '../said/say';
import { readSawList } from '../said/read-saw-list';
import * as texts from '#language/screens/gear';

/** A list that was chosen, and which of its headings goes to which column. */
interface Chosen {
  readonly name: string;
  readonly list: ListRows;
  readonly columns: ModelColumns;
}

/** A list of models is taken in: columns matched, what it brings told first, and undone as one. */
export function ModelListForm() {
  const [chosen, setChosen] = useState<Chosen | string | null>(null);
  const choose = async (file: File) => {
    const read = await readSawList(file);
    if (!read.ok) return setChosen(listProblem(read.error));
    setChosen({ name: file.name, list: read.value, columns: matchModelColumns(read.value.headings) });
  };
  return (
    <div className="grid gap-3">
      <p className="text-sm text-ink-soft">{texts.listOfModelsHas}</p>
      <label className="grid gap-1">
        <span className="text-sm font-semibold text-ink-soft">{texts.theListOfModels}</span>
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
            columns={MODEL_COLUMNS}
            names={modelColumnName}
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

const numbersText = ({ pitch, gauge, links }: SawModel): string => [pitch, gauge, links].filter(Boolean).join(' ');

function Judged({ chosen: { name, list, columns } }: { chosen: Chosen }) {
  const say = useSay();
  const [trouble, setTrouble] = useState<string | null>(null);
  const rows = list.rows.map(({ cells, line }) => readModelRow(cells, columns, line));
  const models = rows.flatMap((row) => (row.ok ? [row.model] : []));
  const bad = rows.flatMap((row) => (row.ok ? [] : [row]));
  const take = () =>
    say({ say: 'models-listed', name, models }).catch((error: unknown) =>
      setTrouble(failure(error, texts.itWasNotSaved)),
    );
  return (
    <>
      {bad.length > 0 && (
        <section aria-label={texts.rowsThatStayOut}>
          <h3 className="font-bold text-oxide">{texts.cannotBeRead(bad.length)}</h3>
          <ul className="text-sm">
            {bad.slice(0, TOLD).map(({ line, problems }) => (
              <li key={line}>
                <span className="figures">{texts.lineOfList(line)}</span> {problems.map(modelCellProblem).join(' ')}
              </li>
            ))}
          </ul>
          {bad.length > TOLD && <p className="text-sm text-ink-soft">{texts.moreRows(bad.length - TOLD)}</p>}
        </section>
      )}
      <ul className="text-sm">
        {models.slice(0, TOLD).map((model, i) => (
          <li key={`${i} ${modelText(model)}`}>
            {modelText(model)} <span className="figures">{numbersText(model)}</span>
          </li>
        ))}
      </ul>
      {models.length > TOLD && <p className="text-sm text-ink-soft">{texts.moreRows(models.length - TOLD)}</p>}
      {models.length > MOST_LISTED_MODELS && (
        <Notice kind="error">{texts.tooManyModels(models.length, MOST_LISTED_MODELS)}</Notice>
      )}
      {trouble && <Notice kind="error">{trouble}</Notice>}
      <button
        type="button"
        className="act justify-self-start"
        disabled={models.length === 0 || models.length > MOST_LISTED_MODELS}
        onClick={() => void take()}
      >
        {texts.takeInModels(models.length)}
      </button>
    </>
  );
}
