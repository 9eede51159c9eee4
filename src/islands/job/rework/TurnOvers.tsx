import { shopDay, schoolAnswer } from '../../../wording';
import { useJob } from '../store/JobContext';
import * as texts from '#language/screens/job-rework';

/** How this saw's bar was turned from job to job, and which edge has more left. */
export function TurnOvers() {
  const { appraisal, view, entered } = useJob();
  const { edgeDown, edgeDownNow } = entered.sheet.bar ?? {};
  const next = appraisal.bar.edgeDownNext;
  const { turnOvers, schools } = view;
  return (
    <div className="mt-2 text-sm">
      {next && (
        <p>
          {texts.edgeHasMoreDepthLeft(
            next,
            edgeDown === undefined ? '.' : edgeDown === next ? texts.whichIsHowItCame : texts.turnItOver,
          )}
        </p>
      )}
      {edgeDownNow !== undefined && edgeDown !== undefined && (
        <p className="font-semibold">
          {edgeDownNow === edgeDown ? texts.goesBackAsItCame(edgeDown) : texts.turnedOver(edgeDown, edgeDownNow)}
        </p>
      )}
      <p className="text-ink-soft">{texts.thisShopTurnsBarsOver(schoolAnswer.turnOver[schools.turnOver])}</p>
      {turnOvers.length > 0 && (
        <table className="mt-1">
          <caption className="text-left font-semibold">{texts.turnOverLog}</caption>
          <tbody>
            {turnOvers.map(({ tag, at, by, came, went }) => (
              <tr key={tag}>
                <td className="pr-4 figures">{tag}</td>
                <td className="pr-4">{shopDay(at, view.shop)}</td>
                <td className="pr-4">{by}</td>
                <td>{texts.cameAndWentBack(came ?? '?', went ?? '?')}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </div>
  );
}
