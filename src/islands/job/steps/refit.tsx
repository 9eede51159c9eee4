import { tensionOf } from '../../../core/refit';
import { Notice } from '../../../ui/parts/Notice';
import { checkSentence, choicesAt, list, partName, REFIT_CAUTIONS, TENSION_SAYS } from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { Field } from '../parts/Field';
import { Guided } from '../parts/Guided';
import { StepHead } from '../parts/StepHead';
import { useJob } from '../store/JobContext';
import * as texts from '#language/screens/job-acts';

/**
 * Refit: bar and chain go back on, the other way round than they came, and are tensioned. Only what applies is asked.
 */
export default function Refit() {
  const { appraisal, signedOff, view } = useJob();
  const { renewed, refit: asked } = appraisal;
  const acts = choicesAt('refit.done').filter(({ value }) => asked.some((act) => act === value));
  return (
    <>
      <StepHead title={texts.putItBackOn}>
        {renewed.length > 0 && (
          <p className="text-sm text-ink-soft">
            {texts.newParts(list(renewed.map((part) => partName[part].toLowerCase())))}
            {!signedOff && texts.onceTheyAreReplaced}
          </p>
        )}
      </StepHead>
      <Notice kind="caution">
        {REFIT_CAUTIONS.map((text) => (
          <p key={text}>{text}</p>
        ))}
      </Notice>
      <div className="mt-3 grid grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)] gap-8 max-lg:grid-cols-1">
        {acts.length > 0 ? (
          <Guided path="refit.done" title={texts.inThisOrder} acts={acts} />
        ) : (
          <div className="border-t border-line py-3">
            <Notice kind="info">{texts.nothingToPutTogether}</Notice>
          </div>
        )}
        <div className="grid content-start gap-4 border-t border-line py-3">
          <h3 className="font-bold">{texts.asItGoesBack}</h3>
          <Field
            path="bar.edgeDownNow"
            hint={
              appraisal.bar.edgeDownNext ? texts.edgeWithMoreDepth(appraisal.bar.edgeDownNext) : texts.otherEdgeThanCame
            }
          />
          <Field path="refit.lift" hint={TENSION_SAYS[view.schools.tension]} />
          <Tension />
        </div>
      </div>
    </>
  );
}

/** What the lift says of the tension. */
function Tension() {
  const { appraisal } = useJob();
  const { unit } = useFrame();
  const check = tensionOf(appraisal.checks);
  if (!check) return null;
  const kind = check.outcome === 'fail' ? 'caution' : check.outcome === 'ok' ? 'good' : 'info';
  return <Notice kind={kind}>{checkSentence(check, unit)}</Notice>;
}
