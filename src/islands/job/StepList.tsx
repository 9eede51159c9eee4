import { Check, Circle, Minus } from 'lucide-react';
import type { Step, StepState } from '../../core/assess';
import { list, readingName, stepName } from '../../wording';
import { useJob } from './store/JobContext';

const MARK = { done: Check, open: Circle, 'not-needed': Minus } as const;
const WORD = { done: 'done', open: 'open', 'not-needed': 'not needed' } as const;

function missingText({ state, missing }: StepState): string {
  if (state !== 'open' || missing.length === 0) return WORD[state];
  return `open: ${list(missing.map(readingName))}`;
}

/** The steps in working order. None is locked: a technician may start in the middle. */
export function StepList({ current, onOpen }: { current: Step; onOpen: (step: Step) => void }) {
  const { view, steps } = useJob();
  return (
    <nav aria-label="Steps" className="no-print relative flex min-h-0 flex-col overflow-y-auto border-r border-line">
      <div className="border-b border-line px-3 py-2 max-lg:px-1.5">
        <h1 className="figures text-lg font-bold whitespace-nowrap max-lg:text-center max-lg:text-xs">
          {view.job.tag}
        </h1>
        <p className="truncate text-sm font-semibold max-lg:hidden">{view.customer.name}</p>
        <p className="truncate text-sm text-ink-soft max-lg:hidden">
          {view.saw ? [view.saw.label, view.saw.tag].filter(Boolean).join(', ') : 'no saw named'}
        </p>
      </div>
      <ol>
        {steps.map((state, i) => {
          const Mark = MARK[state.state];
          return (
            <li key={state.step}>
              <button
                type="button"
                aria-current={current === state.step ? 'step' : undefined}
                title={missingText(state)}
                onClick={() => onOpen(state.step)}
                className="flex min-h-12 w-full items-center gap-2 border-l-4 border-transparent px-2.5 text-left hover:bg-well aria-[current=step]:border-pine aria-[current=step]:bg-sheet aria-[current=step]:font-bold max-lg:flex-col max-lg:justify-center max-lg:gap-0 max-lg:px-0.5 max-lg:text-center max-lg:text-[11px]"
              >
                <Mark
                  size={16}
                  aria-hidden="true"
                  strokeWidth={state.state === 'done' ? 3 : 2}
                  className={
                    state.state === 'done' ? 'text-leaf' : state.state === 'open' ? 'text-brass' : 'text-ink-soft'
                  }
                />
                <span className="flex-1 max-lg:flex-none">
                  {stepName[state.step]}
                  <span className="sr-only">, {WORD[state.state]}</span>
                </span>
                <span aria-hidden="true" className="figures text-xs text-ink-soft max-lg:hidden">
                  {(i + 1) % 10}
                </span>
              </button>
            </li>
          );
        })}
      </ol>
    </nav>
  );
}
