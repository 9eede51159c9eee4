import { Check } from 'lucide-react';
import type { Taken } from '../../core/practice';
import { stationOf } from '../../core/declared';
import { readingAt, type ReadingId } from '../../core/sheet';
import * as texts from '#language/screens/practice';

/** Stations of an edge that show how its rails stand. */
const STATIONS = 3;

const railsRead = (taken: readonly Taken[]): boolean =>
  new Set(
    taken.flatMap(({ path }) => (stationOf(path)?.field === 'near' || stationOf(path)?.field === 'far' ? [path] : [])),
  ).size >= STATIONS;

/** The first round, step by step: what was done is ticked off by itself. */
export function Guide({ taken }: { readonly taken: readonly Taken[] }) {
  const isRead = (reading: ReadingId) => taken.some(({ path }) => readingAt(path)?.id === reading);
  const done: Readonly<Record<keyof typeof texts.guideSteps, boolean>> = {
    complaint: taken.length > 0,
    marks: isRead('bar.stamp'),
    stands: isRead('bar.edges.stands'),
    rails: railsRead(taken),
    answer: false,
  };
  return (
    <section aria-label={texts.guide} className="border-l-4 border-steel bg-steel-pale px-3 py-2">
      <h2 className="font-bold">{texts.guide}</h2>
      <ol className="grid gap-1 text-sm">
        {Object.entries(texts.guideSteps).map(([id, says], i) => {
          const isDone = done[id as keyof typeof done];
          return (
            <li key={id} className={`flex gap-2 ${isDone ? 'text-ink-soft' : ''}`}>
              <span className="w-5 shrink-0 figures font-bold">
                {isDone ? <Check size={16} aria-hidden="true" className="mt-0.5 text-leaf" /> : `${i + 1}.`}
              </span>
              <span>
                {says}
                {isDone && <span className="sr-only"> ✓</span>}
              </span>
            </li>
          );
        })}
      </ol>
    </section>
  );
}
