import type { Verdict } from '../../../core/judge';
import { VerdictChip } from '../../../ui/parts/VerdictMark';
import {
  actionWord,
  checkName,
  checkSentence,
  limitSource,
  list,
  operationWordIn,
  partName,
  placeName,
  sharesSentence,
  valueWithDoubt,
  verdictReason,
} from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { useJob } from '../store/JobContext';
import * as texts from '#language/screens/job-decide';

/** Reasons that are read at a glance; the others are there on opening. */
const AT_A_GLANCE = 2;

/** One part: its verdict, what decided it, how sure it is. */
export function PartVerdict({ verdict }: { verdict: Verdict }) {
  const { unit } = useFrame();
  const { view, appraisal } = useJob();
  const doubt = appraisal.doubts[verdict.part];
  const { part, action, operations, reasons, decidedBy: check } = verdict;
  const saidAlready = new Set(reasons.map((reason) => verdictReason(reason, unit)));
  const against = verdict.against.map((each) => checkSentence(each, unit)).filter((said) => !saidAlready.has(said));
  return (
    <li className="grid grid-cols-[9.5rem_minmax(0,1fr)_15rem] gap-4 border-t border-line py-2.5 max-lg:grid-cols-[8rem_minmax(0,1fr)] max-md:grid-cols-1 max-md:gap-1">
      <div>
        <h3 className="font-bold">{partName[part]}</h3>
        <VerdictChip verdict={action} word={actionWord[action]} />
      </div>
      <div>
        {operations.length > 0 && (
          <p className="font-semibold">
            {list(operations.map((operation) => operationWordIn(operation, view.schools))).replace(/^./, (first) =>
              first.toUpperCase(),
            )}
            .
          </p>
        )}
        <ul className="text-sm">
          {reasons.slice(0, AT_A_GLANCE).map((reason) => {
            const sentence = verdictReason(reason, unit);
            return <li key={sentence}>{sentence}</li>;
          })}
          {reasons.length > AT_A_GLANCE && (
            <li>
              <details>
                <summary className="py-1 underline">{texts.andMore(reasons.length - AT_A_GLANCE)}</summary>
                <ul>
                  {reasons.slice(AT_A_GLANCE).map((reason) => {
                    const sentence = verdictReason(reason, unit);
                    return <li key={sentence}>{sentence}</li>;
                  })}
                </ul>
              </details>
            </li>
          )}
        </ul>
        {against.map((said) => (
          <p key={said} className="text-sm">
            <strong>{texts.againstIt}</strong> {said}
          </p>
        ))}
        {doubt && <p className="text-sm text-pretty text-ink-soft">{sharesSentence(doubt, action)}</p>}
      </div>
      {check && check.value !== null && check.limit !== null ? (
        <p className="text-sm max-lg:col-start-2 max-md:col-start-1">
          <span className="text-ink-soft">{texts.restsOn} </span>
          {checkName[check.id].toLowerCase()}
          {check.at && <span className="text-ink-soft">, {placeName(check.at, unit)}</span>}
          <br />
          <span className="figures font-bold">{valueWithDoubt(check, unit)}</span>
          <span className="text-ink-soft"> {texts.against} </span>
          <span className="figures font-bold">
            {valueWithDoubt({ ...check, value: check.limit, uncertainty: null }, unit)}
          </span>
          <br />
          <span className="text-ink-soft">{texts.limit(limitSource(check))}</span>
        </p>
      ) : (
        <p className="text-sm text-ink-soft max-lg:col-start-2 max-md:col-start-1">
          {check ? texts.restsOnAsSeen(checkName[check.id].toLowerCase()) : ''}
        </p>
      )}
    </li>
  );
}
