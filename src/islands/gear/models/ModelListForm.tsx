import { useState } from 'react';
import { matchModelColumns, MODEL_COLUMNS, readModelRow, type ModelColumn } from '../../../core/saw-model';
import { MOST_LISTED_MODELS } from '../../../contract';
import { Notice } from '../../../ui/parts/Notice';
import { modelCellProblem, modelColumnName, modelText } from '../../../wording';
import { failure } from '../../frame/api';
import { Brought, ListOf, RowsThatStayOut, type ChosenList } from '../said/ListOf';
import { useSay } from '../said/say';
import * as texts from '#language/screens/gear';

/** A list of models is taken in: columns matched, what it brings told first, and undone as one. */
export function ModelListForm() {
  return (
    <ListOf
      has={texts.listOfModelsHas}
      label={texts.theListOfModels}
      columns={MODEL_COLUMNS}
      names={modelColumnName}
      match={matchModelColumns}
    >
      {(chosen) => <Judged chosen={chosen} />}
    </ListOf>
  );
}

function Judged({ chosen: { name, list, columns } }: { readonly chosen: ChosenList<ModelColumn> }) {
  const say = useSay();
  const [trouble, setTrouble] = useState<string | null>(null);
  const rows = list.rows.map(({ cells, line }) => readModelRow(cells, columns, line));
  const models = rows.flatMap((row) => (row.ok ? [row.model] : []));
  const bad = rows.flatMap((row) =>
    row.ok ? [] : [{ line: row.line, says: row.problems.map(modelCellProblem).join(' ') }],
  );
  const take = () =>
    say({ say: 'models-listed', name, models }).catch((error: unknown) =>
      setTrouble(failure(error, texts.itWasNotSaved)),
    );
  return (
    <>
      <RowsThatStayOut bad={bad} />
      <Brought
        all={models.map((model) => ({
          name: modelText(model),
          numbers: [model.pitch, model.gauge, model.links].filter(Boolean).join(' '),
        }))}
      />
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
