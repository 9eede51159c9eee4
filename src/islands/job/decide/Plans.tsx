import { PARTS } from '../../../core/reading';
import { judgedParts } from '../../../core/judge';
import { CHOICES, whatIf, type PlanRule } from '../../../core/plan';
import { isThere, type Askable } from '../../../core/sheet';
import { SMALL_PARTS } from '../../../core/stock';
import type { PlansView, PlanView } from '../../../contract';
import {
  choiceWord,
  dueSentence,
  money,
  partName,
  plannedPartName,
  planNameWord,
  planNote,
  planRule,
  readingName,
  sentence,
} from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import type { Measuring } from '../step-props';
import { useJob } from '../store/JobContext';
import { PlanBars } from './PlanBars';
import { TwoWays } from './TwoWays';
import { whereFrom } from './where-from';
import * as texts from '#language/screens/job-decide';

interface PlansProps {
  readonly view: PlansView;
  readonly chosen: PlanView | null;
  readonly onChoose: (plan: PlanView) => void;
  /** Goes to what a plan lacks. */
  readonly onMeasure: Measuring;
}

/** The plans side by side on one scale, and what one click on a part's choice leads to. */
export function Plans({ view, chosen, onChoose, onMeasure }: PlansProps) {
  const shown = view.plans.filter(({ isBeaten }) => !isBeaten);
  const cards = chosen?.isBeaten ? [...shown, chosen] : shown;
  const most = {
    today: Math.max(1, ...cards.map(({ costToday }) => costToday)),
    hour: Math.max(1, ...cards.map(({ costPerHour }) => costPerHour.high)),
    hours: Math.max(1, ...cards.map(({ hoursToNext }) => hoursToNext)),
    minutes: Math.max(1, ...cards.map(({ minutes }) => minutes)),
  };
  if (view.plans.length === 0) return <Impossible view={view} onMeasure={onMeasure} />;
  return (
    <>
      <TwoWays view={view} chosen={chosen} onChoose={onChoose} />
      <WhatIf view={view} chosen={chosen} onChoose={onChoose} />
      <ul className="mt-3 grid grid-cols-3 gap-3 max-lg:grid-cols-2 max-md:grid-cols-1">
        {cards.map((plan) => (
          <PlanCard key={plan.key} plan={plan} most={most} isChosen={plan.key === chosen?.key} onChoose={onChoose} />
        ))}
      </ul>
      <Impossible view={view} onMeasure={onMeasure} />
    </>
  );
}

/**
 * What each part does in the chosen plan; another choice goes to the cheapest plan that has it and keeps the most of
 * the others.
 */
function WhatIf({ view: { plans }, chosen, onChoose }: Omit<PlansProps, 'onMeasure'>) {
  if (!chosen) return null;
  const parts = PARTS.filter((part) => chosen.choices[part] !== undefined);
  return (
    <table className="mt-1 border-collapse text-sm">
      <caption className="mb-1 text-left text-ink-soft">{texts.whatIfOneClick}</caption>
      <tbody>
        {parts.map((part) => (
          <tr key={part} className="border-t border-line">
            <th scope="row" className="py-1 pr-4 text-left font-semibold">
              {partName[part]}
            </th>
            {CHOICES.map((choice) => {
              const plan = whatIf(plans, chosen, part, choice);
              const isNow = chosen.choices[part] === choice;
              return (
                <td key={choice} className="py-1 pr-2">
                  <button
                    type="button"
                    className="quiet min-h-11 px-3 disabled:opacity-50 aria-pressed:bg-ink aria-pressed:text-sheet"
                    aria-label={`${partName[part]}: ${choiceWord[choice]}`}
                    aria-pressed={isNow}
                    disabled={!plan}
                    onClick={() => plan && onChoose(plan)}
                  >
                    {choiceWord[choice]}
                  </button>
                </td>
              );
            })}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

interface PlanCardProps {
  readonly plan: PlanView;
  readonly most: { readonly today: number; readonly hour: number; readonly hours: number; readonly minutes: number };
  readonly isChosen: boolean;
  readonly onChoose: (plan: PlanView) => void;
}

/** One plan: its name, what is done, its four figures on the scale of all, what must be said beside it. */
function PlanCard({ plan, most, isChosen, onChoose }: PlanCardProps) {
  const { shop } = useFrame();
  const amount = (cents: number) => money(Math.round(cents), shop);
  const { choices, costToday, minutes, hoursToNext, costPerHour, named, notes, parts } = plan;
  const name =
    named.map((each) => planNameWord[each]).join(', ') || (plan.isBeaten ? texts.yourOwnChoice : texts.between);
  const { value, low, high } = costPerHour;
  return (
    <li className={`border-2 bg-sheet p-3 ${isChosen ? 'border-pine' : 'border-line'}`}>
      <h4 className="font-extrabold">{name}</h4>
      <ul className="mt-1 text-sm">
        {PARTS.flatMap((part) => {
          const choice = choices[part];
          const fitted = parts.find((each) => each.part === part);
          if (!choice) return [];
          return [
            <li key={part}>
              <span className="font-semibold">{sentence(choiceWord[choice])}</span> {partName[part].toLowerCase()}
              {fitted && (
                <span className="text-ink-soft">
                  : <span className="figures">{fitted.sku}</span>, {amount(fitted.priceCents)}, {whereFrom(fitted)}
                </span>
              )}
              {choice === 'replace' && !fitted && part === 'nose' && (
                <span className="text-ink-soft">{texts.withTheBar}</span>
              )}
            </li>,
          ];
        })}
        {parts
          .filter(({ part }) => SMALL_PARTS.some((small) => small === part))
          .map((small) => (
            <li key={small.part}>
              <span className="font-semibold">{sentence(choiceWord.replace)}</span>{' '}
              {plannedPartName[small.part].toLowerCase()}
              <span className="text-ink-soft">
                : <span className="figures">{small.sku}</span>, {amount(small.priceCents)}, {whereFrom(small)}
              </span>
            </li>
          ))}
      </ul>
      <PlanBars
        rows={[
          { name: texts.today, share: costToday / most.today, said: amount(costToday) },
          {
            name: texts.anHour,
            share: value / most.hour,
            band: [low / most.hour, high / most.hour],
            said: texts.amountBetween(amount(value), amount(low), amount(high)),
          },
          { name: texts.runs, share: hoursToNext / most.hours, said: `${Math.round(hoursToNext)} h` },
          { name: texts.takes, share: minutes / most.minutes, said: texts.minutesLong(Math.round(minutes)) },
        ]}
      />
      <p className="text-sm text-ink-soft">
        {dueSentence(hoursToNext, plan.dueFirst)}
        {plan.isAlike && texts.hourNotToldApart}
      </p>
      {notes.map((note) => (
        <p key={note.code} className="text-sm font-semibold text-brass">
          {planNote(note)}
        </p>
      ))}
      <button
        type="button"
        className="mt-2 quiet w-full aria-pressed:bg-pine aria-pressed:text-sheet"
        aria-pressed={isChosen}
        onClick={() => onChoose(plan)}
      >
        {isChosen ? texts.chosen : texts.chooseThis}
      </button>
    </li>
  );
}

/** What a plan lacks, by the rule that it breaks without. */
const LACKS: Readonly<Partial<Record<PlanRule, Askable>>> = {
  'class-not-known': 'job.operatorTrained',
  'bar-mount-is-saw-mount': 'saw.mount',
  'nose-is-known': 'bar.noseTeeth',
  'nose-not-replaceable': 'bar.noseReplaceable',
};

/** What is missed where no plan is possible yet: a number, an answer, or the next reading of an undecided part. */
function useMissed({ ruledOut }: PlansView): readonly { readonly rule: PlanRule; readonly asks: Askable }[] {
  const { appraisal, entered } = useJob();
  const { settledBy } = (['pitch', 'gauge', 'driveLinks'] as const)
    .map((property) => appraisal.identity.chain[property])
    .find((property) => property.settledBy !== null) ?? { settledBy: null };
  // A condemned part is no reason to measure on: only one that is not decided yet is.
  const isUndecided = judgedParts(entered.sheet).some((part) => appraisal.verdicts[part].action === 'undecided');
  const byRule: typeof LACKS = {
    ...LACKS,
    // Of whom it is known that he is trained, the class that was on the saw is asked.
    ...(isThere(entered.sheet, 'job.operatorTrained') ? { 'class-not-known': 'chain.kickbackClass' } : {}),
    ...(settledBy ? { 'numbers-not-settled': settledBy.measure } : {}),
    ...(isUndecided && appraisal.next[0] ? { 'parts-may-go-back-on': appraisal.next[0].measure } : {}),
  };
  const missed = (Object.keys(ruledOut) as PlanRule[]).flatMap((rule) => {
    const asks = byRule[rule];
    return asks && !isThere(entered.sheet, asks) ? [{ rule, asks }] : [];
  });
  // What two rules lack is said once.
  return missed.filter(({ asks }, i) => missed.findIndex((other) => other.asks === asks) === i);
}

/** What stands in the way where there is no plan, each with the way to it; and what the rules make impossible, counted. */
function Impossible({ view, onMeasure }: Pick<PlansProps, 'view' | 'onMeasure'>) {
  const { ruledOut, plans } = view;
  const missed = useMissed(view);
  const rules = Object.entries(ruledOut) as [keyof typeof ruledOut, number][];
  return (
    <div className="mt-2 text-sm text-ink-soft">
      {plans.length === 0 && <p className="font-semibold text-ink">{texts.noPlanIsPossible}</p>}
      {plans.length === 0 && missed.length > 0 && (
        <ul aria-label={texts.whatIsMissed} className="my-1 grid gap-1">
          {missed.map(({ rule, asks }) => (
            <li key={rule} className="flex flex-wrap items-center gap-3 text-ink">
              <span>{texts.noPlanYet(planRule(rule))}</span>
              <button type="button" className="quiet" onClick={() => onMeasure(asks)}>
                {texts.sayIt(readingName(asks))}
              </button>
            </li>
          ))}
        </ul>
      )}
      {rules.length > 0 && (
        <details>
          <summary className="min-h-6 underline">
            {texts.combinationsAreRuledOut(rules.reduce((sum, [, count]) => sum + count, 0))}
          </summary>
          <ul>
            {rules.map(([rule, count]) => (
              <li key={rule}>
                <span className="figures">{count}</span>: {planRule(rule)}
              </li>
            ))}
          </ul>
        </details>
      )}
    </div>
  );
}
