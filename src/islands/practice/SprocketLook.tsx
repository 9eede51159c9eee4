import { Field } from '../job/parts/Field';
import { GRADES } from '../job/parts/grades';
import { WornTooth } from '../job/parts/WornTooth';

/** The drive sprocket: its tooth as it was read, its grade by eye, and what turns with it. */
export function SprocketLook() {
  return (
    <div className="grid grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)] gap-x-5 max-lg:grid-cols-1">
      <WornTooth />
      <div className="grid content-start gap-2">
        <Field path="driveSprocket.wear" />
        <Field path="driveSprocket.grade" pictures={GRADES} />
        <Field path="driveSprocket.turns" />
        <Field path="driveSprocket.drum" />
        <Field path="driveSprocket.bearing" />
        <Field path="driveSprocket.clip" />
      </div>
    </div>
  );
}
