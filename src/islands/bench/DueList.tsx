import type { BenchView } from '../../contract';
import { plainDay } from '../../wording';
import { useFrame } from '../frame/frame-context';
import * as texts from '#language/screens/bench';

/** Saws whose next visit falls due: none has come back since. */
export function DueList({ due, today }: Pick<BenchView, 'due' | 'today'>) {
  const { shop } = useFrame();
  if (due.length === 0) return null;
  return (
    <section aria-labelledby="due" className="mt-8">
      <h2 id="due" className="border-b-2 border-ink pb-0.5 text-lg font-extrabold">
        {texts.due}
      </h2>
      <ul>
        {due.map(({ jobId, tag, day, customer, saw }) => (
          <li key={jobId} className="flex min-h-12 flex-wrap items-center gap-x-4 border-b border-line px-2">
            <span className={`min-w-32 figures ${day < today ? 'font-bold text-oxide' : ''}`}>
              {plainDay(day, shop)}
              {day < today && <span className="font-sans font-semibold"> {texts.overdue}</span>}
            </span>
            <span className="min-w-0 flex-1">
              <span className="font-bold">{customer}</span>{' '}
              <span className="text-ink-soft">{saw ?? texts.noSawNamed}</span>
            </span>
            <a className="grid min-h-11 place-items-center underline" href={`/jobs/${jobId}?step=hand-over`}>
              {texts.after(tag)}
            </a>
            <a
              className="grid min-h-11 place-items-center underline"
              href={`/api/jobs/${jobId}/next-visit.ics`}
              download
            >
              {texts.calendar}
            </a>
          </li>
        ))}
      </ul>
    </section>
  );
}
