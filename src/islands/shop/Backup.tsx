import { Download } from 'lucide-react';

/** Saving all that the shop has written down. */
export function Backup() {
  return (
    <div className="max-w-prose">
      <p className="mb-3 text-ink-soft">
        One file with everything: jobs, readings, sign-offs, photographs, stock, limits, codes. It is made while the
        shop goes on, and holds what was saved before it began. Keep it on another machine.
      </p>
      <a href="/api/backup" download className="inline-flex act items-center gap-2">
        <Download size={18} aria-hidden="true" />
        Save a backup
      </a>
      <p className="mt-4 text-ink-soft">
        To put one back, stop Serrata and run <code className="figures text-ink">npm run serrata -- restore FILE</code>.
        The file is tried first, and what stood there is kept beside it.
      </p>
    </div>
  );
}
