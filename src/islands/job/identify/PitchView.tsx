import { FAMILIES, FAMILY_IDS } from '../../../core/families';
import { MAX_STRETCH, rivetsFor } from '../../../core/identify';
import { PitchScale } from '../../../ui/drawings/PitchScale';
import { familyLabel } from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { Field } from '../parts/Field';
import { Group } from '../parts/StepHead';
import { useJob } from '../store/JobContext';
import * as texts from '#language/screens/job-identify';

/** A pitch known to this standard uncertainty, mm, separates the families even when one is stretched. */
const WANTED_PITCH_U = 0.03;

/** Pitch: span over rivets on the scale of families, and what tells the two builds of 3/8 apart. */
export function PitchView() {
  const { appraisal } = useJob();
  const { figure, show, unit } = useFrame();
  const { candidates, why } = appraisal.identity.chain.pitch;
  const span = why.find((reason) => reason.code === 'span') ?? why.find((reason) => reason.code === 'span-fits-none');
  const bands = FAMILY_IDS.map((id) => {
    const { unworn } = FAMILIES[id];
    return {
      label: familyLabel(id),
      lo: unworn[0],
      hi: unworn[1],
      stretched: unworn[1] * (1 + MAX_STRETCH),
      weight: candidates.find(({ value }) => value === id)?.weight ?? 0,
    };
  });
  const doubt = span?.code === 'span' ? 2 * span.u : 0;
  const enough = span?.code !== 'span' || span.u <= WANTED_PITCH_U;
  return (
    <>
      <Group title={texts.spanOverRivets} aside={texts.chainPulledStraightCentre}>
        <div className="grid grid-cols-[17rem_minmax(0,1fr)] gap-5 max-lg:grid-cols-1">
          <div>
            <div className="grid grid-cols-[6rem_1fr] gap-3">
              <Field path="chain.span.rivets" />
              <Field path="chain.span.length" />
            </div>
            <p className="text-sm text-ink-soft">
              {enough && span?.code === 'span' && texts.enoughToPart(show(doubt))}
              {span === undefined && texts.threeRivetsSpanTwoPitches}
            </p>
            {!enough && (
              <p className="text-sm font-semibold text-steel">
                {texts.spanMoreRivets(
                  show(doubt),
                  rivetsFor(span.u * (span.rivets - 1), WANTED_PITCH_U),
                  show(2 * WANTED_PITCH_U),
                )}
              </p>
            )}
          </div>
          <PitchScale
            bands={bands}
            reading={span ? { pitch: span.pitch, doubt } : null}
            show={(mm) => figure(mm, unit === 'mm' ? 2 : 3)}
          />
        </div>
      </Group>
      <Group title={texts.lowProfileOrStandard} aside={texts.neverInterchange}>
        <div className="grid grid-cols-[auto_auto_minmax(0,1fr)] gap-x-6 gap-y-2 max-lg:grid-cols-1">
          <Field path="chain.chassis" />
          <Field path="chain.fileSize" />
          <Field path="chain.template" />
        </div>
      </Group>
    </>
  );
}
