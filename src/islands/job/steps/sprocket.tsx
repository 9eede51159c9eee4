import { Notice } from '../../../ui/parts/Notice';
import { checkSentence, REPLACE_CAUTIONS, sprocketAndChain } from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { Field } from '../parts/Field';
import { Guided } from '../parts/Guided';
import { GRADES } from '../parts/grades';
import { Group, StepHead } from '../parts/StepHead';
import type { StepProps } from '../step-props';
import { WornTooth } from '../parts/WornTooth';
import { useJob } from '../store/JobContext';
import { WhyButton } from '../why/WhyButton';
import * as common from '#language/screens/common';
import * as texts from '#language/screens/job-sprocket';

/**
 * Drive sprocket: looked at with every chain change, measured or compared by eye; the nose it shares the chain with;
 * and how another one goes on.
 */
export default function SprocketStep({ onOpen }: StepProps) {
  const { appraisal, entered } = useJob();
  const verdict = appraisal.verdicts.driveSprocket;
  // A rim sits on splines; of a spur the bore is what tells.
  const isRim = (entered.sheet.driveSprocket?.type ?? entered.sheet.saw?.sprocketKind) !== 'spur';
  return (
    <>
      <StepHead title={texts.driveSprocket}>
        <WhyButton onOpen={onOpen} />
        <p className="text-sm text-ink-soft">{texts.lookedAtWithEveryChain}</p>
      </StepHead>
      <Wear />
      <div className="grid grid-cols-2 gap-x-6 max-lg:grid-cols-1">
        <Group title={texts.howItHasRun}>
          <div className="grid grid-cols-2 gap-3">
            <Field path="driveSprocket.chainsRun" />
            <Field path="driveSprocket.rotationSet" />
          </div>
          <ChainsSaid />
        </Group>
        <Group title={texts.whatItIs}>
          <div className="grid gap-3">
            <div className="grid grid-cols-[auto_minmax(0,1fr)] gap-3">
              <Field path="driveSprocket.type" />
              <Field path="driveSprocket.teeth" />
            </div>
            <Field path="driveSprocket.pitch" />
            <div className="grid grid-cols-2 gap-3">
              {isRim && <Field path="driveSprocket.splines" />}
              {isRim && <Field path="saw.splines" />}
              <Field path="driveSprocket.bore" />
            </div>
            <Field path="saw.sprocketKind" />
          </div>
        </Group>
      </div>
      <Group title={texts.drumBearingClip}>
        <div className="grid grid-cols-2 gap-3 max-lg:grid-cols-1">
          <Field path="driveSprocket.turns" />
          <Field path="driveSprocket.drum" />
          <Field path="driveSprocket.bearing" />
          <Field path="driveSprocket.clip" />
        </div>
      </Group>
      <Nose />
      {verdict.action === 'replace' ? <Replacing /> : <Later />}
    </>
  );
}

/** The wear by reading or by eye, and what it means for a chain. */
function Wear() {
  const { appraisal } = useJob();
  const said = sprocketAndChain(appraisal.verdicts.driveSprocket.action);
  return (
    <section
      aria-label={texts.wear}
      className="grid grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)] gap-x-5 max-lg:grid-cols-1"
    >
      <WornTooth />
      <div className="grid content-start gap-2">
        <Field path="driveSprocket.wear" />
        <Field path="driveSprocket.grade" pictures={GRADES} />
        <GradeSaid />
      </div>
      <p className="col-span-full mt-1 font-semibold">{said}</p>
    </section>
  );
}

function GradeSaid() {
  const { appraisal } = useJob();
  const { unit } = useFrame();
  const check = appraisal.checks.find(({ id, note }) => id === 'sprocket.grade' && note !== null);
  return check ? <Notice kind="caution">{checkSentence(check, unit)}</Notice> : null;
}

function ChainsSaid() {
  const { appraisal } = useJob();
  const { unit } = useFrame();
  const check = appraisal.checks.find(({ id, outcome }) => id === 'sprocket.chains' && outcome === 'watch');
  return check ? <p className="mt-1 text-sm">{checkSentence(check, unit)}</p> : null;
}

/** The nose turns with the same chain: its findings stand with the bar. */
function Nose() {
  const { entered } = useJob();
  const { bar } = entered.sheet;
  if (!bar) return null;
  const hard = bar.nose === 'hard';
  return (
    <Group title={texts.noseOfTheBar} aside={texts.theSameFindingsAsUnder}>
      <div className="grid grid-cols-2 gap-3 max-lg:grid-cols-1">
        <Field path="bar.nose" />
        {hard ? (
          <Field path="bar.checks.hardNose" />
        ) : (
          <>
            <Field path="bar.checks.noseTurns" />
            <Field path="bar.checks.tipPlay" />
            <Field path="bar.checks.noseTeeth" />
          </>
        )}
        <Field path="bar.noseReplaceable" />
        <Field path="bar.nosePort" />
        <Field path="bar.noseGreased" />
      </div>
    </Group>
  );
}

/** The card of putting another one on, with its order and its cautions. */
function Replacing() {
  return (
    <>
      <Notice kind="caution">
        {REPLACE_CAUTIONS.map((text) => (
          <p key={text}>{text}</p>
        ))}
      </Notice>
      <Guided path="driveSprocket.replaceDone" title={common.replaceTheSprocket} />
    </>
  );
}

function Later() {
  return (
    <details className="border-t border-line py-2">
      <summary className="min-h-11 py-2 font-semibold">{texts.howAnotherGoes}</summary>
      <Replacing />
    </details>
  );
}
