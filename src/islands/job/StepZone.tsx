import type { ReactNode } from 'react';
import type { JobView } from '../../contract';
import * as texts from '#language/screens/job';

type Whose = Pick<JobView, 'job' | 'customer' | 'saw'>;

/** The zone at the left of a job: whose it is, and its steps. */
export function StepZone({ view, children }: { view: Whose; children: ReactNode }) {
  return (
    <nav
      aria-label={texts.steps}
      className="no-print relative flex min-h-0 flex-col overflow-y-auto border-r border-line max-md:order-1 max-md:flex-row max-md:items-center max-md:gap-2 max-md:border-r-0 max-md:border-b max-md:px-2 max-md:py-1"
    >
      <WhoseJob view={view} />
      {children}
    </nav>
  );
}

function WhoseJob({ view: { job, customer, saw } }: { view: Whose }) {
  return (
    <div className="border-b border-line px-3 py-1 max-lg:px-1.5 max-md:border-b-0 max-md:p-0">
      <h1 className="figures text-lg font-bold whitespace-nowrap max-lg:text-center max-lg:text-xs">{job.tag}</h1>
      <p className="truncate text-sm font-semibold max-lg:hidden">{customer.name}</p>
      <p className="truncate text-sm text-ink-soft max-lg:hidden">
        {saw ? (
          <a className="leading-6 underline" href={`/gear/saws/${saw.id}`}>
            {[saw.label, saw.tag].filter(Boolean).join(', ')}
          </a>
        ) : (
          texts.noSawNamed
        )}
      </p>
    </div>
  );
}
