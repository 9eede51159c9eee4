import { useState } from 'react';
import { useQuery } from '@tanstack/react-query';
import type { MountView } from '../../contract';
import { samePattern } from '../../core/fit';
import { api } from '../frame/api';
import type { Counter } from './use-counter';
import * as texts from '#language/screens/counter';

const ADDRESS = '/api/counter/mounts';

/** What each mount of this shop is: the bars it has for it and saws that have it. One tap takes it. */
export function Mounts({ counter }: { counter: Counter }) {
  const [isOpen, setOpen] = useState(false);
  const { data, isError } = useQuery({
    queryKey: [ADDRESS],
    queryFn: () => api.get<readonly MountView[]>(ADDRESS),
    enabled: isOpen,
    staleTime: Infinity,
  });
  const chosen = counter.text('saw.mount');
  return (
    <details className="text-sm" onToggle={({ currentTarget }) => setOpen(currentTarget.open)}>
      <summary className="min-h-11 py-2.5 font-semibold underline">{texts.mountsOfThisShop}</summary>
      {isError && <p>{texts.mountsNotToBeHad}</p>}
      {data?.length === 0 && <p>{texts.noMountYet}</p>}
      <ul className="grid gap-1">
        {(data ?? []).map(({ mount, bars, saws }) => (
          <li key={mount}>
            <button
              type="button"
              className={`grid min-h-11 w-full grid-cols-[4rem_minmax(0,1fr)] items-center gap-2 border px-2 text-left ${samePattern(mount, chosen) ? 'border-pine bg-sheet' : 'border-line'}`}
              aria-pressed={samePattern(mount, chosen)}
              onClick={() => counter.set('saw.mount', mount)}
            >
              <span className="figures font-bold">{mount}</span>
              <span>{texts.mountIs(bars, saws)}</span>
            </button>
          </li>
        ))}
      </ul>
    </details>
  );
}
