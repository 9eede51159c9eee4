import type { ReactNode } from 'react';

interface LinesProps {
  readonly id: string;
  readonly title: string;
  /** What is said where there are no lines. */
  readonly none?: string;
  /** What the lines are made of. */
  readonly note?: string;
  readonly children: readonly ReactNode[];
}

/** Lines of one thing that the figures tell, under its heading. */
export function Lines({ id, title, none, note, children }: LinesProps) {
  const lines = children.flat().filter(Boolean);
  return (
    <section aria-labelledby={id} className="mb-6 break-inside-avoid">
      <h2 id={id} className="text-lg font-extrabold">
        {title}
      </h2>
      {lines.length === 0 ? (
        <p className="text-ink-soft">{none}</p>
      ) : (
        <ul className="border-t border-line-strong">{lines}</ul>
      )}
      {note && <p className="mt-1 text-sm text-ink-soft">{note}</p>}
    </section>
  );
}

/** One of them: what it is about, and what is said of it. */
export const Line = ({ about, children }: { about?: string; children: ReactNode }) => (
  <li className="border-b border-line py-1.5">
    {about && <span className="font-semibold">{about} </span>}
    {children}
  </li>
);
