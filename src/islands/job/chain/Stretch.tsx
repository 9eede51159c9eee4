import { PushPull } from '../../../ui/drawings/PushPull';
import { Notice } from '../../../ui/parts/Notice';
import { checkSentence, stretchSentences } from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { ChoiceField } from '../parts/ChoiceField';
import { EntryField } from '../parts/EntryField';
import { Group } from '../parts/StepHead';
import { useJob } from '../store/JobContext';
import { useFieldActions } from '../store/useField';

/** Push and pull: the wear in the rivets, over what the chain showed when it was new where somebody measured that. */
export function Stretch() {
  const { appraisal, view } = useJob();
  const { show, unit } = useFrame();
  const { set } = useFieldActions();
  const { stretch } = appraisal.chain;
  const links = appraisal.identity.chain.driveLinks.value;
  const said = appraisal.checks.filter(
    ({ id, outcome, value, observed }) =>
      (id === 'chain.elongation' || id === 'chain.feel') && outcome !== 'ok' && (value !== null || observed !== null),
  );
  return (
    <>
      <p className="mb-2 max-w-prose text-sm text-ink-soft">
        Lay a stretch along a straight edge, push it together and mark it, pull it out and mark it. Half the loop will
        do; any number of joints is taken.
      </p>
      <div className="grid grid-cols-3 gap-3 max-md:grid-cols-1">
        <div>
          <EntryField path="chain.pushPull.joints" label="Joints" hint="a drive link has two" />
          {links !== null && (
            <div className="mt-1 flex gap-1">
              <button type="button" className="quiet px-2" onClick={() => set('chain.pushPull.joints', String(links))}>
                half: {links}
              </button>
              <button
                type="button"
                className="quiet px-2"
                onClick={() => set('chain.pushPull.joints', String(2 * links))}
              >
                whole: {2 * links}
              </button>
            </div>
          )}
        </div>
        <EntryField path="chain.pushPull.closed" label="Pushed together" suffix="unit" />
        <EntryField path="chain.pushPull.pulled" label="Pulled apart" suffix="unit" />
      </div>
      <div className="mt-2">
        <ChoiceField
          path="chain.checks.feel"
          legend="Or by feel, without a tape"
          hint="The hand feels loose joints well and small growth badly; beside a measure it is a second opinion."
        />
      </div>
      <PushPull
        percent={stretch.counted?.value ?? null}
        perJoint={stretch.measured?.perJoint ?? null}
        watch={view.limits['chain.elongation.watch'].value}
        limit={view.limits['chain.elongation'].value}
        show={(mm) => show(mm, unit === 'mm' ? 3 : 4)}
      />
      {said.map((check) => (
        <Notice key={check.id} kind="caution">
          {checkSentence(check, unit)}
        </Notice>
      ))}
      {stretchSentences(stretch, show).map((text) => (
        <p key={text} className="text-sm">
          {text}
        </p>
      ))}
      <Group title="When it was new" aside="a new chain’s own figure; the wear counts over it">
        <div className="grid grid-cols-3 gap-3 max-md:grid-cols-1">
          <EntryField path="chain.newPushPull.joints" label="Joints, new" />
          <EntryField path="chain.newPushPull.closed" label="Pushed together, new" suffix="unit" />
          <EntryField path="chain.newPushPull.pulled" label="Pulled apart, new" suffix="unit" />
        </div>
      </Group>
    </>
  );
}
