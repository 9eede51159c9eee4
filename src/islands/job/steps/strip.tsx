import { Notice } from '../../../ui/parts/Notice';
import { ChoiceField } from '../parts/ChoiceField';
import { StepHead } from '../parts/StepHead';
import { Guided } from '../parts/Guided';

/** Strip: make safe, take chain and bar off, and note how the bar sat before that is forgotten. */
export default function Strip() {
  return (
    <>
      <StepHead title="Make safe and strip" />
      <Notice kind="caution">
        Battery out or spark lead off before anything else. Gloves on: a worn bar edge cuts like a knife.
      </Notice>
      <div className="mt-3 grid grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)] gap-8 max-lg:grid-cols-1">
        <Guided path="strip.done" title="In this order" />
        <div className="grid content-start gap-4 border-t border-line py-3">
          <h3 className="font-bold">Seen while stripping</h3>
          <ChoiceField
            path="bar.edgeDown"
            legend="Edge that was down"
            hint="It goes back the other way round. A is down when the stamp reads upright."
          />
          <ChoiceField
            path="strip.tension"
            legend="Tension as it came"
            hint="Before anything is loosened: a chain that comes off is first of all slack."
          />
          <div className="grid grid-cols-2 gap-4">
            <ChoiceField path="saw.checks.chainCatcher" legend="Chain catcher" />
            <ChoiceField path="saw.checks.rearGuard" legend="Rear guard" />
          </div>
          <ChoiceField
            path="chain.checks.resin"
            legend="Resin on the chain"
            hint="Bright chain and bar: it was sharp and oiled. Baked resin: it ran hot."
          />
          <ChoiceField path="bar.checks.resin" legend="Resin on the bar" />
        </div>
      </div>
    </>
  );
}
