import type { DriftFactor } from '../../../core/bar';
import { measuredCut, predictedCurve } from '../../../core/proof';
import { LogSection } from '../../../ui/drawings/LogSection';
import { driftFactorSentence } from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { useJob } from '../store/JobContext';
import { isTold, useJobData } from '../store/use-job-data';
import * as texts from '#language/screens/job-prove';

/** A depth to draw while none was typed, mm. */
const USUAL_DEPTH = 300;
const PLAIN: DriftFactor = { factor: 1, spread: null, interval: null, cuts: 0 };

/** The log with the curve that the bar lets expect and the one that was cut, both to the same scale. */
export function CutDrawing() {
  const { appraisal, entered } = useJob();
  const { unit, show } = useFrame();
  const { data } = useJobData<DriftFactor>('drift-factor.json');
  const known = isTold(data) ? data : null;
  const { factor } = known ?? PLAIN;
  const isNewBar = appraisal.renewed.includes('bar');
  const { expected } = appraisal.proof;
  const cut = measuredCut(entered.sheet);
  const depth = cut?.depth ?? USUAL_DEPTH;
  const curve = expected && predictedCurve(expected, depth, factor);
  const round = (mm: number) => show(mm, unit === 'mm' ? 0 : 2);
  return (
    <div className="grid content-start gap-1 border-t border-line py-3 max-lg:max-w-[19rem]">
      <h3 className="font-bold">{texts.foreseenAndCut}</h3>
      <LogSection
        depth={depth}
        curve={curve?.points ?? null}
        side={curve?.side ?? 'left'}
        measured={cut && { drift: cut.drift, side: cut.side }}
        show={round}
      />
      <ul className="grid grid-cols-2 gap-1 text-sm font-semibold" aria-hidden="true">
        <li className="border-t-4 border-brass">{texts.foreseen}</li>
        <li className="border-t-4 border-dotted border-pine">{texts.cut}</li>
      </ul>
      <p className="text-sm text-ink-soft">
        {isNewBar
          ? texts.barIsNew
          : expected === null
            ? texts.nothingIsForeseen
            : known
              ? driftFactorSentence(known)
              : texts.curveIsAnEstimate}
      </p>
    </div>
  );
}
