import { Field } from '../parts/Field';
import { Group } from '../parts/StepHead';
import { GoNoGo } from './GoNoGo';
import * as texts from '#language/screens/job-identify';

/** Gauge: of the chain by its drive links, of the bar by its groove. They must be the same. */
export function GaugeView() {
  return (
    <>
      <div className="grid grid-cols-2 gap-x-6 max-lg:grid-cols-1">
        <Group title={texts.driveLink} aside={texts.linksOnlyWearThinner}>
          <GoNoGo path="chain.driveLinkThickness" legend={texts.slotItFills} tool="slot" />
          <div className="mt-3">
            <Field path="chain.driveLinkThickness" wide />
          </div>
        </Group>
        <Group title={texts.grooveOfTheBar} aside={texts.nearTheFloorTheMouth}>
          <GoNoGo path="bar.groove" legend={texts.largestTabThatGoes} tool="tab" />
          <div className="mt-3">
            <Field path="bar.groove" wide />
          </div>
        </Group>
      </div>
      <Group title={texts.kickbackClass}>
        <Field path="chain.kickbackClass" />
      </Group>
    </>
  );
}
