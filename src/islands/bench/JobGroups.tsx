import type { Ref } from 'react';
import { WAITS } from '../../core/reading';
import type { JobRow } from '../../contract';
import { waitsWord } from '../../wording';
import { JobLine } from './JobLine';

interface JobGroupsProps {
  readonly jobs: readonly JobRow[];
  readonly today: string;
  readonly ref: Ref<HTMLDivElement>;
}

/** The jobs of the Bench by what they wait for, in the order of the work. */
export function JobGroups({ jobs, today, ref }: JobGroupsProps) {
  const groups = WAITS.map((waits) => ({ waits, own: jobs.filter(({ summary }) => summary.waits === waits) }));
  return (
    <div ref={ref} className="grid gap-5">
      {groups
        .filter(({ own }) => own.length > 0)
        .map(({ waits, own }) => (
          <section key={waits} aria-labelledby={`waits-${waits}`}>
            <h2 id={`waits-${waits}`} className="border-b-2 border-ink pb-0.5 text-lg font-extrabold">
              {waitsWord[waits]}
            </h2>
            <ul>
              {own.map((job) => (
                <JobLine key={job.id} job={job} today={today} />
              ))}
            </ul>
          </section>
        ))}
    </div>
  );
}
