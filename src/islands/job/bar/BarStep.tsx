import { useState } from 'react';
import { StepHead } from '../parts/StepHead';
import { LookOver } from './LookOver';
import { Measure } from './Measure';

const VIEWS = { measure: 'Measure', look: 'Look it over' } as const;

/** Bar: looked over from tail to nose, then measured at stations on both edges. */
export function BarStep() {
  const [view, setView] = useState<keyof typeof VIEWS>('measure');
  return (
    <>
      <StepHead title="Bar">
        <div role="tablist" aria-label="Bar" className="flex">
          {(Object.keys(VIEWS) as (keyof typeof VIEWS)[]).map((each) => (
            <button
              key={each}
              type="button"
              role="tab"
              id={`tab-${each}`}
              aria-selected={view === each}
              aria-controls="bar-view"
              onClick={() => setView(each)}
              className="min-h-11 border-b-3 border-transparent px-3 font-semibold text-ink-soft aria-selected:border-brass aria-selected:text-ink"
            >
              {VIEWS[each]}
            </button>
          ))}
        </div>
      </StepHead>
      <div role="tabpanel" id="bar-view" aria-labelledby={`tab-${view}`}>
        {view === 'measure' ? <Measure /> : <LookOver />}
      </div>
    </>
  );
}
