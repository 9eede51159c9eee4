import { useFrame } from '../../frame/frame-context';
import { UNNAMED } from '../../../wording';
import { ChoiceField } from '../parts/ChoiceField';
import { EntryField } from '../parts/EntryField';
import { useJob, useJobStore } from '../store/JobContext';
import { FINER, type StationRow } from './stations';

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
      Take this station off
    </button>
  );
}

/** Fields of what is read now and then at a station. */
export function FinerFields({ row }: { row: StationRow }) {
  return (
    <div className="grid gap-3 pb-3">
      <div className="grid grid-cols-2 gap-3">
        <EntryField path={`${row.path}.deep`} label="Width lower down" suffix="unit" />
        <EntryField path={`${row.path}.deepAt`} label="that far down" suffix="unit" />
      </div>
      <ChoiceField path={`${row.path}.burrNear`} legend="Burr, near" />
      <ChoiceField path={`${row.path}.burrFar`} legend="Burr, far" />
      <ChoiceField
        path={`${row.path}.marker`}
        legend="One marker pass touched"
        hint="Where ink stays, the rail is low."
      />
      <ChoiceField
        path={`${row.path}.square`}
        legend="Square on the rails"
        hint="Light under it shows the low rail, finer than a depth rod. A blade that goes in under the low side is surer still."
      />
      <ChoiceField path={`${row.path}.squareWith`} legend="Looked for" />
      {(['Near', 'Far'] as const).map((rail) => (
        <div key={rail} className="grid grid-cols-2 gap-3">
          <EntryField
            path={`${row.path}.chip${rail}.length`}
            label={`Chip, ${rail.toLowerCase()}: long`}
            suffix="unit"
          />
          <EntryField path={`${row.path}.chip${rail}.depth`} label="deep" suffix="unit" />
        </div>
      ))}
      <RemoveStation row={row} />
    </div>
  );
}
