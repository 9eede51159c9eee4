import { Notice } from '../../../ui/parts/Notice';
import {
  lengthsSentences,
  loopWaits,
  plausibleSentence,
  speedSentence,
  tensionSentence,
  travelSentence,
} from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { Field } from '../parts/Field';
import { Group } from '../parts/StepHead';
import { useJob } from '../store/JobContext';
import * as texts from '#language/screens/job-identify';

/** Length and tension: the bar's three lengths, and where the loop puts the tensioner. */
export function LoopView() {
  const { appraisal, entered } = useJob();
  const { unit } = useFrame();
  const { tension, linksInTravel, lengths, plausible, chainSpeed, missing } = appraisal.loop;
  const complains = entered.sheet.job?.symptoms?.includes('will-not-take-up-tension') ?? false;
  const hard = entered.sheet.bar?.nose === 'hard';
  const said = lengthsSentences(lengths, unit);
  return (
    <div className="grid grid-cols-2 gap-x-6 max-lg:grid-cols-1">
      <Group title={texts.lengthOfTheBar} aside={texts.theSameBarDiffers}>
        <div className="grid grid-cols-3 gap-3">
          <Field path="bar.listedLength" />
          <Field path="bar.effectiveLength" />
          <Field path="bar.reach" />
        </div>
        {said.map((text) => (
          <p key={text} className="mt-1 text-sm">
            {text}
          </p>
        ))}
        {lengths.agrees === false && (
          <div className="mt-2">
            <Notice kind="caution">{texts.lengthsDisagree}</Notice>
          </div>
        )}
        {plausible && (
          <p className={`mt-1 text-sm ${plausible.plausible ? '' : 'font-semibold text-brass'}`}>
            {plausibleSentence(plausible)}
          </p>
        )}
        {chainSpeed !== null && <p className="mt-1 text-sm text-ink-soft">{speedSentence(chainSpeed)}</p>}
      </Group>
      <Group title={texts.tension} aside={texts.centreToCentreBar}>
        <div className="grid grid-cols-3 gap-3">
          <Field path="loop.centreBack" />
          <Field path="loop.centreOut" />
          {hard ? <Field path="loop.noseRadius" /> : <Field path="loop.tape" />}
        </div>
        <div className="mt-1 grid grid-cols-3 gap-3">
          <Field path="driveSprocket.teeth" />
          {!hard && <Field path="bar.noseTeeth" />}
        </div>
        {tension ? (
          <Notice kind={tension.state === 'in-travel' ? (tension.close ? 'caution' : 'good') : 'error'}>
            {tensionSentence(tension, unit)}
          </Notice>
        ) : (
          <p className={`text-sm ${complains ? 'font-semibold' : 'text-ink-soft'}`}>
            {complains && texts.saidNotToTakeUp}
            {missing.length > 0 && loopWaits(missing)}
          </p>
        )}
        {linksInTravel && <p className="mt-1 text-sm">{travelSentence(linksInTravel)}</p>}
      </Group>
    </div>
  );
}
