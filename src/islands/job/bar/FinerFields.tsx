import { useFrame } from '../../frame/frame-context';
import { UNNAMED } from '../../../wording';
import { Field } from '../parts/Field';
import { useJob, useJobStore } from '../store/JobContext';
import { FINER, type StationRow } from './stations';
import * as texts from '#language/screens/job-bar';

/** Every place of a station that can hold a reading. */
const FIELDS = ['near', 'far', 'mouth', ...FINER, 'leaveLow', 'after.near', 'after.far', 'after.mouth', 'at'] as const;

/** Takes a station off the sheet: its readings are withdrawn one by one, and stay in the log. */
function RemoveStation({ row }: { row: StationRow }) {
  const { snapshot } = useJob();
  const store = useJobStore();
  const { unit, who } = useFrame();
  if (row.planned && row.index === null) return null;
  const remove = () => {
    for (const field of FIELDS) {
      const path = `${row.path}.${field}`;
      if ((snapshot.standing.get(path)?.text ?? '') !== '') store.set(path, '', unit, who || UNNAMED);
    }
  };
  return (
    <button type="button" className="quiet" onClick={remove}>
      {texts.takeThisStationOff}
    </button>
  );
}

/** Fields of what is read now and then at a station. */
export function FinerFields({ row }: { row: StationRow }) {
  return (
    <div className="grid gap-3 pb-3">
      <div className="grid grid-cols-2 gap-3">
        <Field path={`${row.path}.deep`} />
        <Field path={`${row.path}.deepAt`} />
      </div>
      <Field path={`${row.path}.burrNear`} />
      <Field path={`${row.path}.burrFar`} />
      <Field path={`${row.path}.marker`} />
      <Field path={`${row.path}.square`} />
      <Field path={`${row.path}.squareWith`} />
      {(['Near', 'Far'] as const).map((rail) => (
        <div key={rail} className="grid grid-cols-2 gap-3">
          <Field path={`${row.path}.chip${rail}.length`} />
          <Field path={`${row.path}.chip${rail}.depth`} />
        </div>
      ))}
      <div className="grid grid-cols-2 gap-3">
        <Field path={`${row.path}.rut.depth`} />
        <Field path={`${row.path}.rut.length`} />
      </div>
      <RemoveStation row={row} />
    </div>
  );
}
