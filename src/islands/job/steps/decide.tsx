import { useState } from 'react';
import { looksFirst } from '../../../core/plan';
import { type Step, PARTS } from '../../../core/reading';
import { Notice } from '../../../ui/parts/Notice';
import { FitRules } from '../decide/FitRules';
import { PartVerdict } from '../decide/PartVerdict';
import { Plans } from '../decide/Plans';
import { SignOff } from '../decide/SignOff';
import { usePlans } from '../decide/use-plans';
import { Group, StepHead } from '../parts/StepHead';
import { useJob } from '../store/JobContext';

/** Decide: the verdict of every part with what it rests on, the plans, the rules of the set, and the sign-off. */
export default function Decide({ onOpen }: { onOpen: (step: Step) => void }) {
  const { appraisal } = useJob();
  const [supplier, setSupplier] = useState(false);
  const state = usePlans(supplier);
  const [wished, setWished] = useState<string | null>(null);
  const plans = state.is === 'there' ? state.view.plans : [];
  const chosen = plans.find(({ key }) => key === wished) ?? looksFirst(plans);
  return (
    <>
      <StepHead title="Decide">
        <p className="text-sm text-ink-soft">
          Advice to a competent technician, no certificate. The saw maker’s limits win.
        </p>
      </StepHead>
      <ul>
        {PARTS.map((part) => (
          <PartVerdict key={part} verdict={appraisal.verdicts[part]} />
        ))}
      </ul>
      <Group title="Plans" aside="what each costs today and for an hour’s running; rates and lives are set under Shop">
        {state.is === 'asking' && <p className="text-ink-soft">The plans are made when everything is stored…</p>}
        {state.is === 'failed' && <Notice kind="error">{state.message}</Notice>}
        <label className="flex min-h-11 items-center gap-2 text-sm">
          <input
            type="checkbox"
            className="size-5"
            checked={supplier}
            onChange={({ target }) => setSupplier(target.checked)}
          />
          ask the supplier for the chain too
        </label>
        {state.is === 'there' && <Plans view={state.view} chosen={chosen} onChoose={({ key }) => setWished(key)} />}
      </Group>
      <Group title="Does the set belong together?">
        <FitRules fit={appraisal.fit} />
      </Group>
      <SignOff onOpen={onOpen} plan={chosen} supplier={supplier} />
    </>
  );
}
