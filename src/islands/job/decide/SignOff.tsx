import { useId, useState } from 'react';
import { PARTS, type Step } from '../../../core/reading';
import type { ChosenPlan, JobView, PlanView } from '../../../contract';
import { Notice } from '../../../ui/parts/Notice';
import { actionWord, choicesSentence, customerSentence, list, money, partName, shopMoment } from '../../../wording';
import { api, RequestFailed } from '../../frame/api';
import { useFrame, useIsJudging } from '../../frame/frame-context';
import { Group } from '../parts/StepHead';
import { isSaved, useJob, useOfStore } from '../store/JobContext';
import * as texts from '#language/screens/job-decide';

/** Refusals that mean: what was looked at is not what stands now. */
const LOOK_AGAIN: readonly string[] = ['rules-changed', 'read-again', 'plan-gone'];

/** A plan as it is signed. */
const chosenPlan = ({ key, choices, parts, costToday }: PlanView, reason: string, supplier: boolean): ChosenPlan => ({
  key,
  choices,
  skus: parts.map(({ sku }) => sku),
  costToday,
  reason: reason.trim(),
  supplier,
});

interface SignOffProps {
  readonly onOpen: (step: Step) => void;
  /** The plan that is signed with the verdicts; null where none was chosen. */
  readonly plan: PlanView | null;
  /** Whether the supplier was asked for it. */
  readonly supplier: boolean;
}

/** What was signed beside what stands now: only parts whose verdict has changed since. */
function SinceThen({ signed }: { readonly signed: JobView['signOffs'][number]['actions'] }) {
  const { appraisal } = useJob();
  const changed = PARTS.filter((part) => signed[part] !== appraisal.verdicts[part].action);
  if (changed.length === 0) return null;
  return (
    <ul className="mb-2 text-sm" aria-label={texts.changedSinceItWasSigned}>
      {changed.map((part) => (
        <li key={part}>
          {texts.signedAs(partName[part])} <strong>{actionWord[signed[part]].toLowerCase()}</strong>
          {texts.andNow} <strong>{actionWord[appraisal.verdicts[part].action].toLowerCase()}</strong>.
        </li>
      ))}
    </ul>
  );
}

/** Signing off keeps the sheet, the limits and the assessment as they stand, with who and when. */
export function SignOff({ onOpen, plan, supplier }: SignOffProps) {
  const { view, snapshot, appraisal } = useJob();
  // What is signed is what is drawn: a reading that has just come is looked at first.
  const { lastReading } = snapshot;
  const isDrawn = useOfStore((readings) => isSaved(readings) && readings.lastReading === lastReading);
  const { who } = useFrame();
  const isJudging = useIsJudging();
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState<{ message: string; lookAgain: boolean } | null>(null);
  const [reason, setReason] = useState('');
  const reasonId = useId();
  const [last] = view.signOffs;
  const lacksReason = plan?.isBeaten === true && reason.trim() === '';
  const send = async (action: 'sign-off' | 'reopen') => {
    setBusy(true);
    try {
      await api.post(
        `/api/jobs/${view.job.id}/${action}`,
        action === 'sign-off'
          ? {
              by: who,
              upToReading: lastReading,
              rules: view.rulesMark,
              plan: plan && chosenPlan(plan, reason, supplier),
            }
          : {},
      );
      if (action === 'sign-off') window.location.assign(`/jobs/${view.job.id}?step=decide&go=next`);
      else window.location.reload();
    } catch (error) {
      const isRefusal = error instanceof RequestFailed;
      setRefused({
        message: isRefusal ? error.message : texts.itWasNotSignedOff,
        lookAgain: isRefusal && LOOK_AGAIN.includes(error.reply.code),
      });
      setBusy(false);
    }
  };
  const open = PARTS.filter((part) => appraisal.verdicts[part].action === 'undecided');
  const signed = view.job.state !== 'open';
  return (
    <Group title={texts.signOff}>
      {last && (
        <p className="mb-2">
          {texts.signedOffBy} <strong>{last.by}</strong> {texts.onMoment(shopMoment(last.at, view.shop))}
          {last.plan && (
            <>
              {' '}
              {choicesSentence(last.plan)} {money(last.plan.costToday, view.shop)}
              {last.plan.reason !== '' && texts.because(last.plan.reason)}.
            </>
          )}
          {lastReading > last.upToReading && texts.readingsHaveComeInSince}
        </p>
      )}
      {last && <SinceThen signed={last.actions} />}
      {open.length > 0 && !signed && (
        <p className="mb-2 text-sm text-ink-soft">
          {texts.stillUndecidedItCan(list(open.map((part) => partName[part].toLowerCase())))}
        </p>
      )}
      {plan && !signed && (
        <p className="mb-2">
          {texts.signedWithItToday(choicesSentence(plan), money(plan.costToday, view.shop))}
          <span className="block text-sm text-ink-soft">
            {texts.forTheCustomer(
              PARTS.flatMap((part) => (plan.choices[part] ? [customerSentence(part, plan.choices[part])] : [])).join(
                ' ',
              ),
            )}
          </span>
        </p>
      )}
      {plan?.isBeaten && !signed && (
        <div className="mb-2 grid max-w-prose gap-1">
          <label htmlFor={reasonId} className="text-sm font-semibold">
            {texts.anotherCostsNoMore}
          </label>
          <input
            id={reasonId}
            className="entry w-full"
            maxLength={400}
            value={reason}
            onChange={({ target }) => setReason(target.value)}
          />
        </div>
      )}
      {refused && (
        <Notice kind="error">
          <p>{refused.message}</p>
          {refused.lookAgain && (
            <button type="button" className="mt-2 quiet" onClick={() => window.location.reload()}>
              {texts.showItAsItStands}
            </button>
          )}
        </Notice>
      )}
      {!isJudging && <p className="mb-2">{texts.aTechnicianSigns}</p>}
      <div className="flex gap-3">
        {!isJudging ? null : signed ? (
          <button type="button" className="quiet" disabled={busy} onClick={() => void send('reopen')}>
            {texts.openAgain}
          </button>
        ) : (
          <button
            type="button"
            className="act"
            disabled={busy || !isDrawn || who === '' || lacksReason}
            onClick={() => void send('sign-off')}
          >
            {who === '' ? texts.sayWhoIsHere : texts.signOffAs(who)}
          </button>
        )}
        <button type="button" className="quiet" onClick={() => onOpen('order')}>
          {texts.toTheOrderSlip}
        </button>
      </div>
    </Group>
  );
}
