import { ArrowRight, CloudOff, CloudUpload, HardDriveDownload, Unlink } from 'lucide-react';
import type { Appraisal } from '../../core/assess';
import type { Part, Step } from '../../core/reading';
import { DESERVED, moversOf } from '../../core/doubt';
import { CAUSE_PARTS } from '../../core/symptom';
import { judgedParts, type Verdict } from '../../core/judge';
import { STATE_RULES } from '../../core/fit';
import type { Askable } from '../../core/sheet';
import { VerdictChip, VerdictMark, verdictGround, verdictTone } from '../../ui/parts/VerdictMark';
import {
  actionWord,
  ailmentName,
  fitReason,
  list,
  nextSentence,
  operationWordIn,
  partName,
  planSummary,
  readingName,
  limitSource,
  sentence,
  sharesSentence,
  symptomName,
  valueWithDoubt,
  verdictReason,
} from '../../wording';
import { useFrame } from '../frame/frame-context';
import { useJob, useJobStore } from './store/JobContext';

/** The part that a step is about; the others begin with the bar. */
const PART_OF_STEP: Partial<Record<Step, Part>> = {
  identify: 'chain',
  bar: 'bar',
  chain: 'chain',
  sprocket: 'driveSprocket',
  order: 'chain',
};

/** The part that leads: the one in hand, of the step, or the one that the likeliest cause lies in. */
function partOf(step: Step, { diagnoses }: Appraisal): Part | undefined {
  const cause = step === 'why' ? diagnoses[0]?.causes[0]?.cause : undefined;
  return cause ? CAUSE_PARTS[cause] : PART_OF_STEP[step];
}

interface TagProps {
  readonly step: Step;
  /** The part that the step has in hand; null where it says none. */
  readonly part: Part | null;
  /** Goes to what the assessment asks for. */
  readonly onMeasure: (asked: Askable) => void;
  readonly onOpen: (step: Step) => void;
  /** Goes to a field by its place. */
  readonly onShow: (path: string) => void;
}

/** The tag at the right: verdict, deciding reason, doubt, and the next best measurement. It changes with every reading. */
export function Tag({ step, part, onMeasure, onOpen, onShow }: TagProps) {
  const { appraisal, entered } = useJob();
  const there = judgedParts(entered.sheet);
  const wanted = part ?? partOf(step, appraisal);
  const first = wanted && there.includes(wanted) ? wanted : there[0];
  return (
    <aside
      aria-label="Tag: verdicts"
      className="no-print relative flex min-h-0 flex-col overflow-y-auto border-l border-line bg-sheet max-md:order-1 max-md:border-l-0"
    >
      <div aria-live="polite" className="flex-1">
        <Clashes />
        {first ? <LeadVerdict verdict={appraisal.verdicts[first]} onMeasure={onMeasure} /> : <NothingYet />}
        <ul>
          {there
            .filter((part) => part !== first)
            .map((part) => (
              <OtherVerdict key={part} verdict={appraisal.verdicts[part]} />
            ))}
        </ul>
        <Ails onOpen={onOpen} />
        <NextMeasurement onMeasure={onMeasure} />
      </div>
      <Saving onShow={onShow} />
    </aside>
  );
}

/** Rules of the set that are broken: said before any verdict, because a sound part on the wrong set is no use. */
function Clashes() {
  const { appraisal } = useJob();
  const broken = appraisal.fit.filter(({ rule, holds }) => holds === false && !STATE_RULES.includes(rule));
  if (broken.length === 0) return null;
  return (
    <section aria-label="Does not belong together" className="border-b border-line bg-oxide-pale px-4 py-2.5">
      <p className="flex items-center gap-2 font-extrabold text-oxide">
        <Unlink size={18} strokeWidth={2.6} aria-hidden="true" />
        Does not belong together
      </p>
      {broken.map((judgement) => (
        <p key={judgement.rule} className="mt-1 text-sm">
          {fitReason(judgement)}
        </p>
      ))}
    </section>
  );
}

function NothingYet() {
  return (
    <div className="border-b border-line p-4">
      <p className="text-lg font-bold text-steel">Nothing measured yet</p>
      <p className="mt-1 text-ink-soft">
        Verdicts appear here with the first readings. Begin where you like; a stamp is read in seconds.
      </p>
    </div>
  );
}

/** The verdict the step is about, with all that decided it. */
function LeadVerdict({ verdict, onMeasure }: { verdict: Verdict } & Pick<TagProps, 'onMeasure'>) {
  const { unit } = useFrame();
  const { view } = useJob();
  const { part, action, operations, reasons } = verdict;
  const work = list(operations.map((operation) => operationWordIn(operation, view.schools)));
  return (
    <section
      aria-label={`${partName[part]}: ${actionWord[action]}`}
      className={`border-b border-line ${verdictGround(action)} px-4 py-3`}
    >
      <p className="text-sm font-semibold">{partName[part]}</p>
      <p className={`flex items-center gap-2 text-[26px] leading-tight font-extrabold ${verdictTone(action)}`}>
        <VerdictMark verdict={action} size={24} />
        {actionWord[action]}
      </p>
      {operations.length > 0 && (
        <p className="mt-1 font-semibold">
          {action === 'undecided' ? 'So far: ' : ''}
          {action === 'undecided' ? work : sentence(work)}.
        </p>
      )}
      <ul className="mt-1.5 grid gap-1 text-sm">
        {reasons.slice(0, 3).map((reason) => {
          const said = verdictReason(reason, unit);
          return <li key={said}>{said}</li>;
        })}
        {reasons.length > 3 && <li className="text-ink-soft">and {reasons.length - 3} more, under Decide.</li>}
      </ul>
      <Doubt verdict={verdict} />
      <Shares part={part} onMeasure={onMeasure} />
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
      <dt className="text-ink-soft">rests on</dt>
      <dd className="figures font-semibold">{valueWithDoubt(check, unit)}</dd>
      <dt className="text-ink-soft">limit</dt>
      <dd>
        <span className="figures font-semibold">{limit}</span>, {limitSource(check)}
      </dd>
      {check.probability !== null && check.condemns && (
        <>
          <dt className="text-ink-soft">doubt</dt>
          <dd>{doubtText(check.probability)}</dd>
        </>
      )}
    </dl>
  );
}

/** The chance of each verdict as one line and one bar, where everything is there that the verdict waits for. */
function Shares({ part, onMeasure }: { part: Part } & Pick<TagProps, 'onMeasure'>) {
  const { appraisal } = useJob();
  const doubt = appraisal.doubts[part];
  if (!doubt) return null;
  return (
    <div className="mt-2">
      <p className="text-sm">{sharesSentence(doubt, appraisal.verdicts[part].action)}</p>
      <div aria-hidden="true" className="mt-1 flex h-2 bg-well">
        {DESERVED.map((deserved) => (
          <div
            key={deserved}
            className={SHARE_LOOK[deserved]}
            style={{ width: `${100 * doubt.shares[deserved]}%` }}
            title={`${actionWord[deserved]} ${(100 * doubt.shares[deserved]).toFixed(0)} %`}
          />
        ))}
      </div>
      {doubt.wrong > WORTH_ASKING && <WhyUnsure part={part} onMeasure={onMeasure} />}
    </div>
  );
}

/** With less doubt than this nobody asks why. */
const WORTH_ASKING = 0.05;

/** What moves the verdict: the readings whose certainty would take most off the doubt, each with the way to it. */
function WhyUnsure({ part, onMeasure }: { part: Part } & Pick<TagProps, 'onMeasure'>) {
  const { appraisal } = useJob();
  const movers = moversOf(appraisal.hangsOn[part] ?? []);
  if (movers.length === 0) return null;
  return (
    <details className="mt-1 text-sm">
      <summary className="min-h-6 underline">Why so unsure</summary>
      <ul>
        {movers.map(({ measure, share }) => (
          <li key={measure}>
            <button type="button" className="min-h-6 text-left underline" onClick={() => onMeasure(measure)}>
              {sentence(readingName(measure))}
            </button>{' '}
            <span className="figures">{Math.round(100 * share)} %</span> of the doubt
          </li>
        ))}
      </ul>
    </details>
  );
}

const SHARE_LOOK = { keep: 'bg-leaf', clean: 'bg-steel', recondition: 'bg-brass', replace: 'bg-oxide' } as const;

/** The probability in words with its figure, never rounded to certainty. */
function doubtText(probability: number): string {
  const good = Math.min(99.9, Math.max(0.1, probability * 100));
  const figure = good > 99 || good < 1 ? good.toFixed(1) : good.toFixed(0);
  if (probability >= 0.95) return `${figure} % sure to be within`;
  if (probability <= 0.05) return `${(100 - Number(figure)).toFixed(good < 1 ? 1 : 0)} % sure to be beyond`;
  return `${figure} % that it is within: too close to call`;
}

function OtherVerdict({ verdict }: { verdict: Verdict }) {
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

/** The measurement that takes most off the doubt per minute, with a button that goes there. */
function NextMeasurement({ onMeasure }: Pick<TagProps, 'onMeasure'>) {
  const { appraisal } = useJob();
  const { unit } = useFrame();
  const { steps, minutes } = appraisal.plan;
  const [next] = steps;
  if (!next) return null;
  return (
    <section aria-label="Measure next" className="border-b border-line px-4 py-3">
      <h2 className="text-sm font-semibold text-ink-soft">
        Measure next · <span className="figures">{next.minutes} min</span>
      </h2>
      <p className="mb-2 text-sm">{nextSentence(next, unit)}</p>
      <button
        type="button"
        className="flex act w-full items-center justify-center gap-2"
        onClick={() => onMeasure(next.measure)}
      >
        Go there
        <ArrowRight size={16} aria-hidden="true" />
      </button>
      <p className="mt-1.5 text-sm text-ink-soft">To decide the job: {planSummary(steps.length, minutes)}.</p>
    </section>
  );
}

/** The complaint with its likeliest cause, and the way to all of them. */
function Ails({ onOpen }: Pick<TagProps, 'onOpen'>) {
  const { appraisal } = useJob();
  if (appraisal.diagnoses.length === 0) return null;
  return (
    <section aria-label="What ails it" className="border-b border-line px-4 py-2">
      <ul className="grid gap-1">
        {appraisal.diagnoses.map(({ symptom, causes }) => {
          const [first] = causes;
          return first ? (
            <li key={symptom} className="text-sm">
              <span className="text-ink-soft">{sentence(symptomName(symptom))}: </span>
              <span className="figures font-bold">{Math.round(100 * first.share)} %</span>{' '}
              <span className="font-semibold">{ailmentName[first.cause].replace(/^The /, 'the ')}</span>
            </li>
          ) : null;
        })}
      </ul>
      <button
        type="button"
        className="mt-0.5 min-h-6 text-sm font-semibold text-pine underline"
        onClick={() => onOpen('why')}
      >
        Why, and what else
      </button>
    </section>
  );
}

const SAVING = {
  saved: { icon: HardDriveDownload, text: 'Saved', tone: 'text-leaf' },
  saving: { icon: CloudUpload, text: 'Saving…', tone: 'text-steel' },
  unsaved: { icon: CloudOff, text: 'Not saved: kept here, will retry', tone: 'text-oxide' },
  refused: { icon: CloudOff, text: 'Refused: kept here, not saved', tone: 'text-oxide' },
} as const;

/** Where what was typed is: stored, on its way, or only here. */
function Saving({ onShow }: { onShow: (path: string) => void }) {
  const { snapshot } = useJob();
  const contradicted = [...snapshot.standing.values()].flatMap(({ path, conflict }) => (conflict ? [path] : []));
  const store = useJobStore();
  const { icon: Icon, text, tone } = SAVING[snapshot.saving];
  return (
    <div
      role="status"
      className="sticky bottom-0 border-t border-line bg-sheet px-4 py-2 text-sm max-md:pointer-events-none max-md:fixed max-md:inset-x-0 max-md:z-20 max-md:[&_button]:pointer-events-auto"
    >
      <p className={`flex items-center gap-2 font-semibold ${tone}`}>
        <Icon size={16} aria-hidden="true" />
        {text}
        {snapshot.waiting > 0 && <span className="figures font-normal">({snapshot.waiting})</span>}
      </p>
      {contradicted[0] !== undefined && (
        <p>
          {contradicted.length === 1 ? 'One place was' : `${contradicted.length} places were`} written elsewhere too.{' '}
          <button type="button" className="min-h-6 underline" onClick={() => onShow(contradicted[0]!)}>
            Choose
          </button>
        </p>
      )}
      {snapshot.trouble && (
        <p>
          {snapshot.trouble}{' '}
          <button type="button" className="underline" onClick={() => void store.sendAgain()}>
            Try now
          </button>
        </p>
      )}
    </div>
  );
}
