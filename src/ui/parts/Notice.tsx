import type { ReactNode } from 'react';
import { CircleCheck, Info, OctagonAlert, TriangleAlert } from 'lucide-react';

const KINDS = {
  info: { icon: Info, look: 'border-steel bg-steel-pale' },
  good: { icon: CircleCheck, look: 'border-leaf bg-leaf-pale' },
  caution: { icon: TriangleAlert, look: 'border-brass bg-brass-pale' },
  error: { icon: OctagonAlert, look: 'border-oxide bg-oxide-pale' },
} as const;

/** A sentence that must not be overlooked. Errors are announced. */
export function Notice({ kind, children }: { kind: keyof typeof KINDS; children: ReactNode }) {
  const { icon: Icon, look } = KINDS[kind];
  return (
    <div role={kind === 'error' ? 'alert' : undefined} className={`flex gap-2 border-l-4 px-3 py-2 ${look}`}>
      <Icon size={18} aria-hidden="true" className="mt-0.5 shrink-0" />
      <div>{children}</div>
    </div>
  );
}

/** What stands where there is nothing yet, with the way on. */
export function Empty({ title, children }: { title: string; children: ReactNode }) {
  return (
    <div className="grid place-items-center border border-dashed border-line-strong px-6 py-14 text-center">
      <div className="max-w-prose">
        <p className="text-lg font-bold">{title}</p>
        <div className="mt-1 text-ink-soft">{children}</div>
      </div>
    </div>
  );
}
