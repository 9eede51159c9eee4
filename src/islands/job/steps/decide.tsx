import { useState } from 'react';
import { Check, HelpCircle, X } from 'lucide-react';
import { type Step, PARTS } from '../../../core/reading';
import type { Verdict } from '../../../core/judge';
import type { FitJudgement } from '../../../core/fit';
import { Notice } from '../../../ui/parts/Notice';
import { VerdictChip } from '../../../ui/parts/VerdictMark';
import {
  shopMoment,
  actionWord,
  checkName,
  fitRuleName,
  fitReason,
  list,
  operationWordIn,
  partName,
  placeName,
  limitSource,
  valueWithDoubt,
  verdictReason,
} from '../../../wording';
import { api, RequestFailed } from '../../frame/api';
import { useFrame } from '../../frame/frame-context';
import { Group, StepHead } from '../parts/StepHead';
import { useJob } from '../store/JobContext';

/** Decide: the verdict of every part with what it rests on, the rules of the set, and the sign-off. */
export default function Decide({ onOpen }: { onOpen: (step: Step) => void }) {
  const { appraisal } = useJob();
  return (
    <>
      <StepHead title="Decide">
        <p className="text-sm text-ink-soft">
          Advice to a competent technician, no certificate. The saw maker’s limits win.
        </p>
      </StepHead>
      <ul>
        {PARTS.map((part) => (
          <PartVerdict key={part} verdict={appraisal.verdicts[part]} />
        ))}
      </ul>
      <Group title="Does the set belong together?">
        <FitRules fit={appraisal.fit} />
      </Group>
      <SignOff onOpen={onOpen} />
    </>
  );
}

function PartVerdict({ verdict }: { verdict: Verdict }) {
  const { unit } = useFrame();
  const { view } = useJob();
  const { part, action, operations, reasons, decidedBy: check } = verdict;
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
          {reasons.slice(0, 5).map((reason) => {
            const sentence = verdictReason(reason, unit);
            return <li key={sentence}>{sentence}</li>;
          })}
          {reasons.length > 5 && (
            <li>
              <details>
                <summary className="py-1 underline">and {reasons.length - 5} more of the same kind</summary>
                <ul>
                  {reasons.slice(5).map((reason) => {
                    const sentence = verdictReason(reason, unit);
                    return <li key={sentence}>{sentence}</li>;
                  })}
                </ul>
              </details>
            </li>
          )}
        </ul>
      </div>
      {check && check.value !== null && check.limit !== null ? (
        <p className="text-sm max-lg:col-start-2 max-md:col-start-1">
          <span className="text-ink-soft">rests on </span>
          {checkName[check.id].toLowerCase()}
          {check.at && <span className="text-ink-soft">, {placeName(check.at)}</span>}
          <br />
          <span className="figures font-bold">{valueWithDoubt(check, unit)}</span>
          <span className="text-ink-soft"> against </span>
          <span className="figures font-bold">
            {valueWithDoubt({ ...check, value: check.limit, uncertainty: null }, unit)}
          </span>
          <br />
          <span className="text-ink-soft">limit: {limitSource(check)}</span>
        </p>
      ) : (
        <p className="text-sm text-ink-soft max-lg:col-start-2 max-md:col-start-1">
          {check ? `rests on ${checkName[check.id].toLowerCase()}, as seen` : ''}
        </p>
      )}
    </li>
  );
}

const HOLDS = {
  true: { icon: Check, word: 'holds', tone: 'text-leaf' },
  false: { icon: X, word: 'broken', tone: 'text-oxide' },
  null: { icon: HelpCircle, word: 'not known', tone: 'text-steel' },
} as const;

/** The rules of the set, broken ones first. */
function FitRules({ fit }: { fit: readonly FitJudgement[] }) {
  const rank = ({ holds }: FitJudgement) => (holds === false ? 0 : holds === null ? 1 : 2);
  return (
    <ul className="grid grid-cols-2 gap-x-6 gap-y-1.5 max-lg:grid-cols-1">
      {[...fit]
        .sort((a, b) => rank(a) - rank(b))
        .map((judgement) => {
          const { icon: Icon, word, tone } = HOLDS[String(judgement.holds) as keyof typeof HOLDS];
          return (
            <li key={judgement.rule} className="flex gap-2 text-sm">
              <Icon size={17} strokeWidth={3} aria-label={word} className={`mt-0.5 shrink-0 ${tone}`} />
              <span>
                <span className="font-semibold">{fitRuleName[judgement.rule]}.</span> {fitReason(judgement)}
              </span>
            </li>
          );
        })}
    </ul>
  );
}

/** Refusals that mean: what was looked at is not what stands now. */
const LOOK_AGAIN: readonly string[] = ['rules-changed', 'read-again'];

/** Signing off keeps the sheet, the limits and the assessment as they stand, with who and when. */
function SignOff({ onOpen }: { onOpen: (step: Step) => void }) {
  const { view, snapshot, appraisal } = useJob();
  const { who } = useFrame();
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState<{ message: string; lookAgain: boolean } | null>(null);
  const [last] = view.signOffs;
  const send = async (action: 'sign-off' | 'reopen') => {
    setBusy(true);
    try {
      await api.post(
        `/api/jobs/${view.job.id}/${action}`,
        action === 'sign-off' ? { by: who, upToReading: snapshot.lastReading, rules: view.rulesMark } : {},
      );
      window.location.reload();
    } catch (error) {
      const isRefusal = error instanceof RequestFailed;
      setRefused({
        message: isRefusal ? error.message : 'It was not signed off: try again.',
        lookAgain: isRefusal && LOOK_AGAIN.includes(error.reply.code),
      });
      setBusy(false);
    }
  };
  const open = PARTS.filter((part) => appraisal.verdicts[part].action === 'undecided');
  const signed = view.job.state === 'signed-off';
  return (
    <Group title="Sign off">
      {last && (
        <p className="mb-2">
          Signed off by <strong>{last.by}</strong> on {shopMoment(last.at, view.shop)}.
          {snapshot.lastReading > last.upToReading &&
            ' Readings have come in since: what was signed is kept, and these verdicts are newer.'}
        </p>
      )}
      {open.length > 0 && !signed && (
        <p className="mb-2 text-sm text-ink-soft">
          Still undecided: {list(open.map((part) => partName[part].toLowerCase()))}. It can be signed off so; the record
          will say it.
        </p>
      )}
      {refused && (
        <Notice kind="error">
          <p>{refused.message}</p>
          {refused.lookAgain && (
            <button type="button" className="mt-2 quiet" onClick={() => window.location.reload()}>
              Show it as it stands now
            </button>
          )}
        </Notice>
      )}
      <div className="flex gap-3">
        {signed ? (
          <button type="button" className="quiet" disabled={busy} onClick={() => void send('reopen')}>
            Open again
          </button>
        ) : (
          <button
            type="button"
            className="act"
            disabled={busy || snapshot.saving !== 'saved' || who === ''}
            onClick={() => void send('sign-off')}
          >
            {who === '' ? 'Say who is here to sign off' : `Sign off as ${who}`}
          </button>
        )}
        <button type="button" className="quiet" onClick={() => onOpen('order')}>
          To the order slip
        </button>
      </div>
    </Group>
  );
}
