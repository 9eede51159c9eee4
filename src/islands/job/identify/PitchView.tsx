import { FAMILIES, FAMILY_IDS } from '../../../core/families';
import { MAX_STRETCH, rivetsFor } from '../../../core/identify';
import { PitchScale } from '../../../ui/drawings/PitchScale';
import { useFrame } from '../../frame/frame-context';
import { Field } from '../parts/Field';
import { Group } from '../parts/StepHead';
import { useJob } from '../store/JobContext';

/** A pitch known to this standard uncertainty, mm, separates the families even when one is stretched. */
const WANTED_PITCH_U = 0.03;

/** Pitch: span over rivets on the scale of families, and what tells the two builds of 3/8 apart. */
export function PitchView() {
  const { appraisal } = useJob();
  const { figure, show, unit } = useFrame();
  const { candidates, why } = appraisal.identity.chain.pitch;
  const span = why.find((reason) => reason.code === 'span') ?? why.find((reason) => reason.code === 'span-fits-none');
  const bands = FAMILY_IDS.map((id) => {
    const { unworn, label } = FAMILIES[id];
    return {
      label,
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
      <Group title="Span over rivets" aside="chain pulled straight, centre of the first rivet to centre of the last">
        <div className="grid grid-cols-[17rem_minmax(0,1fr)] gap-5 max-lg:grid-cols-1">
          <div>
            <div className="grid grid-cols-[6rem_1fr] gap-3">
              <Field path="chain.span.rivets" />
              <Field path="chain.span.length" />
            </div>
            <p className="text-sm text-ink-soft">
              {enough && span?.code === 'span' && `Known to ± ${show(doubt)}: enough to part the families.`}
              {span === undefined && 'Three rivets span two pitches. More rivets, less doubt.'}
            </p>
            {!enough && (
              <p className="text-sm font-semibold text-steel">
                Known to ± {show(doubt)}. Span {rivetsFor(span.u * (span.rivets - 1), WANTED_PITCH_U)} rivets for ±{' '}
                {show(2 * WANTED_PITCH_U)}: the hand’s slip is shared among more pitches.
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
      <Group title="Low profile or standard?" aside="both are called 3/8; they never interchange">
        <div className="grid grid-cols-[auto_auto_minmax(0,1fr)] gap-x-6 gap-y-2 max-lg:grid-cols-1">
          <Field path="chain.chassis" />
          <Field path="chain.fileSize" />
          <Field path="chain.template" />
        </div>
      </Group>
    </>
  );
}
