import { ChoiceField } from '../parts/ChoiceField';
import { EntryField } from '../parts/EntryField';
import { Group } from '../parts/StepHead';
import { GoNoGo } from './GoNoGo';

/** Gauge: of the chain by its drive links, of the bar by its groove. They must be the same. */
export function GaugeView() {
  return (
    <>
      <div className="grid grid-cols-2 gap-x-6 max-lg:grid-cols-1">
        <Group title="Drive link" aside="links only wear thinner">
          <GoNoGo path="chain.driveLinkThickness" legend="Slot it fills without wobble" tool="slot" />
          <div className="mt-3">
            <EntryField
              path="chain.driveLinkThickness"
              label="Thickness"
              suffix="unit"
              hint="caliper on a clean link, off the burr; or: enters .050, refuses .043"
              wide
            />
          </div>
        </Group>
        <Group title="Groove of the bar" aside="near the floor: the mouth wears wider">
          <GoNoGo path="bar.groove" legend="Largest tab that goes in to the floor" tool="tab" />
          <div className="mt-3">
            <EntryField
              path="bar.groove"
              label="Width near the floor"
              suffix="unit"
              hint="where it is little worn; a worn .050 mouth passes for .058"
              wide
            />
          </div>
        </Group>
      </div>
      <Group title="Kickback class">
        <ChoiceField
          path="chain.kickbackClass"
          legend="Class of the chain that came"
          hint="Low-kickback chain is replaced by low-kickback chain, unless somebody chooses otherwise on record."
        />
      </Group>
    </>
  );
}
