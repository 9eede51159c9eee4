import type { FailedProof } from '../../../core/proof';
import { Notice } from '../../../ui/parts/Notice';
import { checkSentence, failedProofSentence, list, PROOF_CAUTIONS, readingName, stepName } from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { StepHead } from '../parts/StepHead';
import { CutDrawing } from '../prove/CutDrawing';
import { ProofFields } from '../prove/ProofFields';
import { useJob } from '../store/JobContext';
import type { StepProps } from '../step-props';
import * as texts from '#language/screens/job-prove';

/**
 * Prove: oil, a test cut, chips or dust; what was foreseen beside what was measured, and the way back where it fails.
 */
export default function Prove({ onOpen, onMeasure }: StepProps) {
  return (
    <>
      <StepHead title={texts.proveIt} />
      <Notice kind="caution">
        {PROOF_CAUTIONS.map((text) => (
          <p key={text}>{text}</p>
        ))}
      </Notice>
      <Outcome onOpen={onOpen} onMeasure={onMeasure} />
      <div className="mt-3 grid grid-cols-[minmax(0,1fr)_minmax(0,19rem)] gap-8 max-lg:grid-cols-1">
        <div>
          <ProofFields />
        </div>
        <CutDrawing />
      </div>
    </>
  );
}

/** Proved, failed with the way back, or what is still to be looked at. */
function Outcome({ onOpen, onMeasure }: Pick<StepProps, 'onOpen' | 'onMeasure'>) {
  const { appraisal } = useJob();
  const { unit } = useFrame();
  const { state, failed, missing } = appraisal.proof;
  const turning = appraisal.checks.find(({ id, outcome }) => id === 'proof.idle' && outcome === 'fail');
  if (state === 'not-needed')
    return (
      <div className="mt-3">
        <Notice kind="info">{texts.noWholeSawCame}</Notice>
      </div>
    );
  return (
    <section aria-label={texts.proof} className="mt-3 grid gap-2">
      {turning && (
        <Notice kind="error">
          <p className="font-bold">{checkSentence(turning, unit)}</p>
          <button type="button" className="mt-2 quiet" onClick={() => onOpen('sprocket')}>
            {texts.backToStep(stepName.sprocket)}
          </button>
        </Notice>
      )}
      {failed.map((each) => (
        <Failed key={each.check} failed={each} onOpen={onOpen} onMeasure={onMeasure} />
      ))}
      {state === 'passed' && <Notice kind="good">{texts.proved}</Notice>}
      {state === 'not-proved' && (
        <p className="text-ink-soft">{texts.stillToBeLookedAt(list(missing.map(readingName)))}</p>
      )}
    </section>
  );
}

function Failed({
  failed,
  onOpen,
  onMeasure,
}: { readonly failed: FailedProof } & Pick<StepProps, 'onOpen' | 'onMeasure'>) {
  const { appraisal } = useJob();
  const { unit } = useFrame();
  const check = appraisal.checks.find(({ id }) => id === failed.check);
  const { measure, step } = failed;
  return (
    <Notice kind="error">
      {check && <p className="font-bold">{checkSentence(check, unit)}</p>}
      <p>{failedProofSentence(failed)}</p>
      <button
        type="button"
        className="mt-2 quiet"
        onClick={() => (measure === null ? onOpen(step) : onMeasure(measure))}
      >
        {texts.backToStep(stepName[step])}
      </button>
    </Notice>
  );
}
