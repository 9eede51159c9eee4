import { tensionOf } from '../../../core/refit';
import { Notice } from '../../../ui/parts/Notice';
import { checkSentence, choicesAt, list, partName, REFIT_CAUTIONS, TENSION_SAYS } from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { Field } from '../parts/Field';
import { Guided } from '../parts/Guided';
import { StepHead } from '../parts/StepHead';
import { useJob } from '../store/JobContext';

/** Refit: bar and chain go back on, the other way round than they came, and are tensioned. Only what applies is asked. */
export default function Refit() {
  const { appraisal, signedOff, view } = useJob();
  const { renewed, refit: asked } = appraisal;
  const acts = choicesAt('refit.done').filter(({ value }) => asked.some((act) => act === value));
  return (
    <>
      <StepHead title="Put it back on">
        {renewed.length > 0 && (
          <p className="text-sm text-ink-soft">
            New: {list(renewed.map((part) => partName[part].toLowerCase()))}
            {!signedOff && ', once they are replaced'}
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
          <Guided path="refit.done" title="In this order" acts={acts} />
        ) : (
          <div className="border-t border-line py-3">
            <Notice kind="info">
              Nothing to put together: no whole saw came. Say so under Take in if it did; single parts go home as they
              are.
            </Notice>
          </div>
        )}
        <div className="grid content-start gap-4 border-t border-line py-3">
          <h3 className="font-bold">As it goes back</h3>
          <Field
            path="bar.edgeDownNow"
            hint={
              appraisal.bar.edgeDownNext
                ? `More depth is left on edge ${appraisal.bar.edgeDownNext}: that one down. A is down when the stamp reads upright.`
                : 'The other one than came down. A is down when the stamp reads upright.'
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
