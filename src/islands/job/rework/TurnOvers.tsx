import { shopDay, schoolAnswer } from '../../../wording';
import { useJob } from '../store/JobContext';

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
          Edge {next} has more depth left: put it down next
          {edgeDown === undefined ? '.' : edgeDown === next ? ', which is how it came.' : ': turn it over.'}
        </p>
      )}
      {edgeDownNow !== undefined && edgeDown !== undefined && (
        <p className="font-semibold">
          {edgeDownNow === edgeDown
            ? `Goes back as it came, edge ${edgeDown} down.`
            : `Turned over: ${edgeDown} → ${edgeDownNow}.`}
        </p>
      )}
      <p className="text-ink-soft">This shop turns bars over {schoolAnswer.turnOver[schools.turnOver]}.</p>
      {turnOvers.length > 0 && (
        <table className="mt-1">
          <caption className="text-left font-semibold">Turn-over log of this saw</caption>
          <tbody>
            {turnOvers.map(({ tag, at, by, came, went }) => (
              <tr key={tag}>
                <td className="pr-4 figures">{tag}</td>
                <td className="pr-4">{shopDay(at, view.shop)}</td>
                <td className="pr-4">{by}</td>
                <td>
                  came {came ?? '?'} down, went back {went ?? '?'} down
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </div>
  );
}
