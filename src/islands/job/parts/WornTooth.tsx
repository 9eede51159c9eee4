import { estimate } from '../../../core/quantity';
import { SprocketTooth } from '../../../ui/drawings/SprocketTooth';
import { useFrame } from '../../frame/frame-context';
import { useJob } from '../store/JobContext';

/** A tooth of the drive sprocket with the wear that was read, beside its limits. */
export function WornTooth() {
  const { entered, view } = useJob();
  const { show } = useFrame();
  const wear = entered.sheet.driveSprocket?.wear;
  const read = wear && estimate(wear);
  return (
    <SprocketTooth
      wear={read?.value ?? null}
      doubt={read ? 2 * read.u : null}
      watch={view.limits['sprocket.wear.watch'].value}
      limit={view.limits['sprocket.wear'].value}
      show={show}
    />
  );
}
