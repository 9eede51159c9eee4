import { memo } from 'react';
import { Check, Circle, Minus } from 'lucide-react';
import { stepRow, STEPS, type Step } from '../../core/reading';
import type { StepState } from '../../core/workflow';
import { list, readingName, stepName } from '../../wording';
import { StepZone } from './StepZone';
import { useJob } from './store/JobContext';
import * as texts from '#language/screens/job';

const MARK = { done: Check, open: Circle, 'not-needed': Minus } as const;
const WORD = { done: texts.done, open: texts.open, 'not-needed': texts.notNeeded };

function missingText({ state, missing }: StepState): string {
  if (state !== 'open' || missing.length === 0) return WORD[state];
  return `${WORD.open}: ${list(missing.map(readingName))}`;
}

interface StepListProps {
  readonly current: Step;
  readonly onOpen: (step: Step) => void;
}

/** The steps in working order. None is locked: a technician may start in the middle. On a phone they are a menu. */
export function StepList({ current, onOpen }: StepListProps) {
  const { steps, view } = useJob();
  const at = steps.findIndex(({ step }) => step === current);
  const next = steps.find(({ step, state }, i) => i > at && state === 'open' && !stepRow(step).aside)?.step;
  return (
    <StepZone view={view}>
      <StepMenu steps={steps} current={current} onOpen={onOpen} />
      <ol className="max-md:hidden">
        {steps.map((state) => (
          <StepButton
            key={state.step}
            state={state}
            isCurrent={current === state.step}
            isNext={next === state.step}
            onOpen={onOpen}
          />
        ))}
      </ol>
    </StepZone>
  );
}

const StepMenu = memo(function StepMenu({ steps, current, onOpen }: StepListProps & { steps: readonly StepState[] }) {
  return (
    <select
      aria-label={texts.step}
      className="entry min-w-0 flex-1 md:hidden"
      value={current}
      onChange={({ target }) => onOpen(STEPS.find((step) => step === target.value) ?? current)}
    >
      {steps.map(({ step, state }, i) => (
        <option key={step} value={step}>
          {i + 1} {stepName[step]}, {WORD[state]}
        </option>
      ))}
    </select>
  );
});

interface StepButtonProps {
  readonly state: StepState;
  readonly isCurrent: boolean;
  /** The first open step after the one that is shown. */
  readonly isNext: boolean;
  readonly onOpen: (step: Step) => void;
}

const StepButton = memo(function StepButton({ state, isCurrent, isNext, onOpen }: StepButtonProps) {
  const Mark = MARK[state.state];
  return (
    <li data-step-next={isNext || undefined}>
      <button
        type="button"
        aria-current={isCurrent ? 'step' : undefined}
        title={missingText(state)}
        onClick={() => onOpen(state.step)}
        className="flex min-h-11 w-full items-center gap-2 border-l-4 border-transparent px-2.5 text-left hover:bg-well aria-[current=step]:border-pine aria-[current=step]:bg-sheet aria-[current=step]:font-bold max-lg:flex-col max-lg:justify-center max-lg:gap-0 max-lg:px-0.5 max-lg:text-center max-lg:text-[11px]"
      >
        <Mark
          size={16}
          aria-hidden="true"
          strokeWidth={state.state === 'done' ? 3 : 2}
          className={state.state === 'done' ? 'text-leaf' : state.state === 'open' ? 'text-brass' : 'text-ink-soft'}
        />
        <span className="flex-1 max-lg:flex-none">
          {stepName[state.step]}
          <span className="sr-only">, {WORD[state.state]}</span>
        </span>
        <span aria-hidden="true" className="figures text-xs text-ink-soft max-lg:hidden">
          {stepRow(state.step).key}
        </span>
      </button>
    </li>
  );
});
