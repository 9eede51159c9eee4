import { Notice } from '../../../ui/parts/Notice';
import { ChoiceField } from '../parts/ChoiceField';
import { Guided } from '../parts/Guided';
import { StepHead } from '../parts/StepHead';

/** Refit: bar and chain go back on, the other way round than they came, and are tensioned. */
export default function Refit() {
  return (
    <>
      <StepHead title="Put it back on" />
      <Notice kind="caution">
        Battery out or spark lead off until all of it is on. Gloves on. The first run is a test cut: protective
        clothing, and the saw maker’s own instructions before these.
      </Notice>
      <div className="mt-3 grid grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)] gap-8 max-lg:grid-cols-1">
        <Guided path="refit.done" title="In this order" />
        <div className="grid content-start gap-4 border-t border-line py-3">
          <h3 className="font-bold">As it goes back</h3>
          <ChoiceField
            path="bar.edgeDownNow"
            legend="Edge that is down now"
            hint="The other one than came down. A is down when the stamp reads upright."
          />
        </div>
      </div>
    </>
  );
}
