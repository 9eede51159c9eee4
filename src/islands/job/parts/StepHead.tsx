import type { ReactNode } from 'react';

/** Heading of a step, with what stands beside it at the right. */
export function StepHead({ title, children }: { title: string; children?: ReactNode }) {
  return (
    <div className="mb-2 flex min-h-11 flex-wrap items-center justify-between gap-x-4">
      <h2 className="text-xl font-extrabold">{title}</h2>
      {children}
    </div>
  );
}

/** One group of readings that belong together, with its own heading. */
export function Group({ title, children, aside }: { title: string; children: ReactNode; aside?: ReactNode }) {
  return (
    <section aria-label={title} className="border-t border-line py-3">
      <div className="mb-2 flex items-baseline justify-between gap-4">
        <h3 className="font-bold">{title}</h3>
        {aside && <div className="text-sm text-ink-soft">{aside}</div>}
      </div>
      {children}
    </section>
  );
}
