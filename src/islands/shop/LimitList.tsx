import { useState } from 'react';
import { LIMIT_IDS, type LimitId, type Limits } from '../../core/limits';
import { limitName } from '../../wording';
import { Empty } from '../../ui/parts/Notice';
import { LimitRow } from './LimitRow';
import { isRate } from './rates';

/** Limits by the first word of their id, rates by the second. */
const LIMIT_GROUPS: Readonly<Record<string, string>> = {
  bar: 'Bar',
  chain: 'Chain',
  sprocket: 'Drive sprocket',
  refit: 'Tension',
  proof: 'Test cut',
  visit: 'Next visit',
};
const RATE_GROUPS: Readonly<Record<string, string>> = {
  price: 'Prices where the shelf has none',
  minutes: 'Minutes',
};

function groupOf(id: LimitId): string {
  const [first = '', second = ''] = id.split('.');
  return isRate(id) ? (RATE_GROUPS[second] ?? 'Work and lives') : (LIMIT_GROUPS[first] ?? 'Other');
}

interface LimitListProps {
  readonly limits: Limits;
  readonly which: 'limits' | 'rates';
}

/** Limits, or rates and lives: grouped, and searched by their words. */
export function LimitList({ limits, which }: LimitListProps) {
  const [wanted, setWanted] = useState('');
  const words = wanted.toLowerCase().split(/\s+/).filter(Boolean);
  const ids = LIMIT_IDS.filter((id) => isRate(id) === (which === 'rates')).filter((id) => {
    const text = `${limitName[id]} ${id} ${groupOf(id)}`.toLowerCase();
    return words.every((word) => text.includes(word));
  });
  const groups = [...new Set(ids.map(groupOf))];
  return (
    <>
      <label className="mb-3 flex max-w-md items-center gap-2">
        <span className="text-sm font-semibold text-ink-soft">Find</span>
        <input
          type="search"
          className="entry w-full"
          value={wanted}
          placeholder={which === 'rates' ? 'chain, life, minutes…' : 'depth, chain, play…'}
          onChange={({ target }) => setWanted(target.value)}
        />
      </label>
      {ids.length === 0 && <Empty title="Nothing by these words">Try fewer of them, or one of a part.</Empty>}
      {groups.map((group) => (
        <section key={group} aria-label={group} className="mb-4">
          <h2 className="border-b-2 border-ink pb-1 text-lg font-extrabold">{group}</h2>
          {ids
            .filter((id) => groupOf(id) === group)
            .map((id) => (
              <LimitRow key={id} id={id} limit={limits[id]} />
            ))}
        </section>
      ))}
    </>
  );
}
