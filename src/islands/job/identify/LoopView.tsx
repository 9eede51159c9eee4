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
import { EntryField } from '../parts/EntryField';
import { Group } from '../parts/StepHead';
import { useJob } from '../store/JobContext';

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
      <Group title="Length of the bar" aside="the same bar differs from saw to saw">
        <div className="grid grid-cols-3 gap-3">
          <EntryField path="bar.listedLength" label="Listed or said" suffix="unit" placeholder="18 in" />
          <EntryField path="bar.effectiveLength" label="Cover to tip" suffix="unit" placeholder="17 1/4 in" />
          <EntryField path="bar.reach" label="Case to tip" suffix="unit" hint="what it cuts" />
        </div>
        {said.map((text) => (
          <p key={text} className="mt-1 text-sm">
            {text}
          </p>
        ))}
        {lengths.agrees === false && (
          <div className="mt-2">
            <Notice kind="caution">The listed length and the measured one do not belong together.</Notice>
          </div>
        )}
        {plausible && (
          <p className={`mt-1 text-sm ${plausible.plausible ? '' : 'font-semibold text-brass'}`}>
            {plausibleSentence(plausible)}
          </p>
        )}
        {chainSpeed !== null && <p className="mt-1 text-sm text-ink-soft">{speedSentence(chainSpeed)}</p>}
      </Group>
      <Group title="Tension" aside="centre to centre, bar on the saw">
        <div className="grid grid-cols-3 gap-3">
          <EntryField path="loop.centreBack" label="Tensioner back" suffix="unit" />
          <EntryField path="loop.centreOut" label="Tensioner out" suffix="unit" />
          {hard ? (
            <EntryField path="loop.noseRadius" label="Radius of nose" suffix="unit" hint="to the rivets" />
          ) : (
            <EntryField path="loop.tape" label="Tape round" suffix="unit" hint="groove and sprocket" />
          )}
        </div>
        <div className="mt-1 grid grid-cols-3 gap-3">
          <EntryField path="driveSprocket.teeth" label="Teeth, drive" />
          {!hard && <EntryField path="bar.noseTeeth" label="Teeth, nose" />}
        </div>
        {tension ? (
          <Notice kind={tension.state === 'in-travel' ? (tension.close ? 'caution' : 'good') : 'error'}>
            {tensionSentence(tension, unit)}
          </Notice>
        ) : (
          <p className={`text-sm ${complains ? 'font-semibold' : 'text-ink-soft'}`}>
            {complains && 'It is said not to take up tension. '}
            {missing.length > 0 && loopWaits(missing)}
          </p>
        )}
        {linksInTravel && <p className="mt-1 text-sm">{travelSentence(linksInTravel)}</p>}
      </Group>
    </div>
  );
}
