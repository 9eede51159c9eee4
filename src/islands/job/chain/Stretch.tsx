import { PushPull } from '../../../ui/drawings/PushPull';
import { Notice } from '../../../ui/parts/Notice';
import { checkSentence, stretchSentences } from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { Field } from '../parts/Field';
import { Group } from '../parts/StepHead';
import { useJob } from '../store/JobContext';
import { useFieldActions } from '../store/useField';
import * as texts from '#language/screens/job-chain';

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
      <p className="mb-2 max-w-prose text-sm text-ink-soft">{texts.layAStretchAlong}</p>
      <div className="grid grid-cols-3 gap-3 max-md:grid-cols-1">
        <div>
          <Field path="chain.pushPull.joints" />
          {links !== null && (
            <div className="mt-1 flex gap-1">
              <button type="button" className="quiet px-2" onClick={() => set('chain.pushPull.joints', String(links))}>
                {texts.half(links)}
              </button>
              <button
                type="button"
                className="quiet px-2"
                onClick={() => set('chain.pushPull.joints', String(2 * links))}
              >
                {texts.whole(2 * links)}
              </button>
            </div>
          )}
        </div>
        <Field path="chain.pushPull.closed" />
        <Field path="chain.pushPull.pulled" />
      </div>
      <div className="mt-2">
        <Field path="chain.checks.feel" />
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
      <Group title={texts.whenItWasNew} aside={texts.aNewChainsOwnFigure}>
        <div className="grid grid-cols-3 gap-3 max-md:grid-cols-1">
          <Field path="chain.newPushPull.joints" />
          <Field path="chain.newPushPull.closed" />
          <Field path="chain.newPushPull.pulled" />
        </div>
      </Group>
    </>
  );
}
