import { checkSentence, sideWord } from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { useJob } from '../store/JobContext';
import * as texts from '#language/screens/job-chain';

/**
 * What filing back to the worst comes to: the length, what is left, the sides against each other, and the advice at
 * half beside the limit.
 */
export function Correction() {
  const { appraisal } = useJob();
  const { show, unit } = useFrame();
  const { correction, afterFiling, filingsLeft, hoursLeft, imbalance, cutterLimit } = appraisal.chain;
  if (!correction || !afterFiling) return <p className="text-ink-soft">{texts.whichCuttersToMeasure}</p>;
  const figures = [
    {
      name: texts.allFiledBackTo,
      value: show(afterFiling.length),
      also: afterFiling.toGauge
        ? texts.byGaugeAndMark(sideWord[afterFiling.toGauge.side], afterFiling.toGauge.cutter, show(cutterLimit))
        : texts.byCutterAndMark(sideWord[correction.side], correction.cutter, show(cutterLimit)),
    },
    {
      name: texts.filingsLeft,
      value: String(filingsLeft),
      also: hoursLeft === null ? '' : texts.aboutRunningHours(hoursLeft),
    },
    {
      name: texts.leftLessRight,
      value: imbalance ? show(imbalance.value) : '–',
      also: imbalance ? texts.meanLengths : texts.measureBothSides,
    },
  ];
  const half = appraisal.checks.find(({ id }) => id === 'chain.half');
  const cutters = appraisal.checks.find(({ id }) => id === 'chain.cutter');
  return (
    <>
      <dl className="grid grid-cols-3 gap-x-6 max-md:grid-cols-1">
        {figures.map(({ name, value, also }) => (
          <div key={name}>
            <dt className="text-sm font-semibold text-ink-soft">{name}</dt>
            <dd>
              <span className="block figures text-2xl leading-tight font-bold">{value}</span>
              <span className="text-sm text-ink-soft">{also}</span>
            </dd>
          </div>
        ))}
      </dl>
      {half && cutters && (
        <ul className="text-sm" aria-label={texts.bothSchools}>
          <li>
            <strong>{texts.atHalf}</strong> {checkSentence(half, unit)}
          </li>
          <li>
            <strong>{texts.atTheMark}</strong> {checkSentence(cutters, unit)}
          </li>
        </ul>
      )}
    </>
  );
}
