import { useState } from 'react';
import { looksFirst } from '../../../core/plan';
import { PARTS } from '../../../core/reading';
import { Notice } from '../../../ui/parts/Notice';
import { FitRules } from '../decide/FitRules';
import { PartVerdict } from '../decide/PartVerdict';
import { Plans } from '../decide/Plans';
import { SignOff } from '../decide/SignOff';
import { usePlans } from '../decide/use-plans';
import { Group, StepHead } from '../parts/StepHead';
import type { StepProps } from '../step-props';
import { useJob } from '../store/JobContext';
import { shopMoment } from '../../../wording';
import * as texts from '#language/screens/job-decide';
import { plansMadeHere } from '#language/screens/offline';

/** Decide: the verdict of every part with what it rests on, the plans, the rules of the set, and the sign-off. */
export default function Decide({ onOpen, onMeasure }: StepProps) {
  const { appraisal, view } = useJob();
  const [supplier, setSupplier] = useState(false);
  const state = usePlans(supplier);
  const [wished, setWished] = useState<string | null>(null);
  const plans = state.is === 'there' ? state.view.plans : [];
  const chosen = plans.find(({ key }) => key === wished) ?? looksFirst(plans);
  return (
    <>
      <StepHead title={texts.decide}>
        <p className="text-sm text-ink-soft">{texts.adviceNoCertificate}</p>
      </StepHead>
      <ul>
        {PARTS.map((part) => (
          <PartVerdict key={part} verdict={appraisal.verdicts[part]} />
        ))}
      </ul>
      <Group title={texts.plans} aside={texts.whatEachCostsToday}>
        {state.is === 'asking' && <p className="text-ink-soft">{texts.plansWaitForStoring}</p>}
        {state.is === 'there' && state.seenAt !== undefined && (
          <Notice kind="caution">{plansMadeHere(shopMoment(state.seenAt, view.shop))}</Notice>
        )}
        {state.is === 'failed' && <Notice kind="error">{state.message}</Notice>}
        <label className="flex min-h-11 items-center gap-2 text-sm">
          <input
            type="checkbox"
            className="size-5"
            checked={supplier}
            onChange={({ target }) => setSupplier(target.checked)}
          />
          {texts.askTheSupplier}
        </label>
        {state.is === 'there' && (
          <Plans view={state.view} chosen={chosen} onChoose={({ key }) => setWished(key)} onMeasure={onMeasure} />
        )}
      </Group>
      <Group title={texts.doesTheSetBelongTogether}>
        <FitRules fit={appraisal.fitPlanned} />
      </Group>
      <SignOff onOpen={onOpen} plan={chosen} supplier={supplier} />
    </>
  );
}
