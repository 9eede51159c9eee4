import { estimate } from '../../core/quantity';
import { SprocketTooth } from '../../ui/drawings/SprocketTooth';
import { useFrame } from '../frame/frame-context';
import { Field } from '../job/parts/Field';
import { GRADES } from '../job/parts/grades';
import { useJob } from '../job/store/JobContext';

/** The drive sprocket: its tooth as it was read, its grade by eye, and what turns with it. */
export function SprocketLook() {
  const { entered, view } = useJob();
  const { show } = useFrame();
  const wear = entered.sheet.driveSprocket?.wear;
  const read = wear && estimate(wear);
  return (
    <div className="grid grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)] gap-x-5 max-lg:grid-cols-1">
      <SprocketTooth
        wear={read?.value ?? null}
        doubt={read ? 2 * read.u : null}
        watch={view.limits['sprocket.wear.watch'].value}
        limit={view.limits['sprocket.wear'].value}
        show={show}
      />
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
