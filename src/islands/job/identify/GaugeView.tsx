import { Field } from '../parts/Field';
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
            <Field path="chain.driveLinkThickness" wide />
          </div>
        </Group>
        <Group title="Groove of the bar" aside="near the floor: the mouth wears wider">
          <GoNoGo path="bar.groove" legend="Largest tab that goes in to the floor" tool="tab" />
          <div className="mt-3">
            <Field path="bar.groove" wide />
          </div>
        </Group>
      </div>
      <Group title="Kickback class">
        <Field path="chain.kickbackClass" />
      </Group>
    </>
  );
}
