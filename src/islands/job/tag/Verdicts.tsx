import type { Measuring } from '../step-props';
import type { Verdict } from '../../../core/judge';
import { VerdictChip } from '../../../ui/parts/VerdictMark';
import {
  actionWord,
  checkSentence,
  limitSource,
  list,
  operationWordIn,
  partName,
  sentence,
  valueWithDoubt,
  verdictReason,
} from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { useJob } from '../store/JobContext';
import { Shares } from './Shares';
import { VerdictHead } from './VerdictHead';
import * as texts from '#language/screens/job';

interface LeadVerdictProps {
  readonly verdict: Verdict;
  readonly onMeasure: Measuring;
}

/** The verdict the step is about, with all that decided it. */
export function LeadVerdict({ verdict, onMeasure }: LeadVerdictProps) {
  const { unit } = useFrame();
  const { view } = useJob();
  const { part, action, operations, reasons } = verdict;
  const work = list(operations.map((operation) => operationWordIn(operation, view.schools)));
  return (
    <VerdictHead part={part} action={action}>
      {operations.length > 0 && (
        <p className="mt-1 font-semibold">
          {action === 'undecided' ? texts.soFar : ''}
          {action === 'undecided' ? work : sentence(work)}.
        </p>
      )}
      <ul className="mt-1.5 grid gap-1 text-sm">
        {reasons.slice(0, 3).map((reason) => {
          const said = verdictReason(reason, unit);
          return <li key={said}>{said}</li>;
        })}
        {reasons.length > 3 && <li className="text-ink-soft">{texts.andMoreUnderDecide(reasons.length - 3)}</li>}
      </ul>
      <Against verdict={verdict} onMeasure={onMeasure} />
      <Doubt verdict={verdict} />
      <Shares part={part} onMeasure={onMeasure} />
    </VerdictHead>
  );
}

/** What speaks against the verdict, each with the way to make it again. */
function Against({ verdict: { reasons, against }, onMeasure }: LeadVerdictProps) {
  const { unit } = useFrame();
  if (against.length === 0) return null;
  const saidAlready = new Set(reasons.slice(0, 3).map((reason) => verdictReason(reason, unit)));
  return (
    <section aria-label={texts.speaksAgainstIt} className="mt-2 border-t border-line-strong/40 pt-2 text-sm">
      <h3 className="font-semibold">{texts.speaksAgainstIt}</h3>
      <ul className="grid gap-1">
        {against.slice(0, 2).map((check) => {
          const said = checkSentence(check, unit);
          const { again } = check;
          return (
            <li key={said}>
              {saidAlready.has(said) ? texts.saidAbove : said}{' '}
              {again && (
                <button type="button" className="min-h-6 font-semibold underline" onClick={() => onMeasure(again)}>
                  {texts.makeItAgain}
                </button>
              )}
            </li>
          );
        })}
        {against.length > 2 && <li className="text-ink-soft">{texts.andMoreUnderDecide(against.length - 2)}</li>}
      </ul>
    </section>
  );
}

/** The deciding number, its limit with where it comes from, and how sure the call is. */
function Doubt({ verdict: { decidedBy: check } }: { verdict: Verdict }) {
  const { unit, show } = useFrame();
  if (!check || check.value === null || check.limit === null) return null;
  const limit = check.unit === 'mm' ? show(check.limit) : check.unit === '%' ? `${check.limit} %` : String(check.limit);
  return (
    <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-3 border-t border-line-strong/40 pt-2 text-sm">
      <dt className="text-ink-soft">{texts.restsOn}</dt>
      <dd className="figures font-semibold">{valueWithDoubt(check, unit)}</dd>
      <dt className="text-ink-soft">{texts.limit}</dt>
      <dd>
        <span className="figures font-semibold">{limit}</span>, {limitSource(check)}
      </dd>
      {check.probability !== null && check.condemns && (
        <>
          <dt className="text-ink-soft">{texts.doubt}</dt>
          <dd>{doubtText(check.probability)}</dd>
        </>
      )}
    </dl>
  );
}

/** The probability in words with its figure, never rounded to certainty. */
function doubtText(probability: number): string {
  const good = Math.min(99.9, Math.max(0.1, probability * 100));
  const figure = good > 99 || good < 1 ? good.toFixed(1) : good.toFixed(0);
  if (probability >= 0.95) return texts.sureToBeWithin(figure);
  if (probability <= 0.05) return texts.sureToBeBeyond((100 - Number(figure)).toFixed(good < 1 ? 1 : 0));
  return texts.tooCloseToCall(figure);
}

/** The verdict on another part, in two lines. */
export function OtherVerdict({ verdict }: { verdict: Verdict }) {
  const { unit } = useFrame();
  const reason = verdict.reasons[0];
  return (
    <li className="border-b border-line px-4 py-2">
      <div className="flex items-center justify-between gap-2">
        <span className="text-sm font-semibold">{partName[verdict.part]}</span>
        <VerdictChip verdict={verdict.action} word={actionWord[verdict.action]} />
      </div>
      {reason && (
        <p className="mt-0.5 line-clamp-2 text-sm text-ink-soft max-md:line-clamp-1">{verdictReason(reason, unit)}</p>
      )}
    </li>
  );
}
