import { useState } from 'react';
import { LIMIT_IDS, type LimitId, type Limits } from '../../core/limits';
import { limitName } from '../../wording';
import { Empty } from '../../ui/parts/Notice';
import { LimitRow } from './LimitRow';
import { isRate } from './rates';
import * as texts from '#language/screens/shop';

/** Limits by the first word of their id, rates by the second. */
const LIMIT_GROUPS: Readonly<Record<string, string>> = {
  bar: texts.bar,
  chain: texts.chain,
  sprocket: texts.driveSprocket,
  refit: texts.tension,
  proof: texts.testCut,
  visit: texts.nextVisit,
};
const RATE_GROUPS: Readonly<Record<string, string>> = {
  price: texts.pricesWhereTheShelfHas,
  minutes: texts.minutes,
};

function groupOf(id: LimitId): string {
  const [first = '', second = ''] = id.split('.');
  return isRate(id) ? (RATE_GROUPS[second] ?? texts.workAndLives) : (LIMIT_GROUPS[first] ?? texts.other);
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
        <span className="text-sm font-semibold text-ink-soft">{texts.find}</span>
        <input
          type="search"
          className="entry w-full"
          value={wanted}
          placeholder={which === 'rates' ? texts.chainLifeMinutes : texts.depthChainPlay}
          onChange={({ target }) => setWanted(target.value)}
        />
      </label>
      {ids.length === 0 && <Empty title={texts.nothingByTheseWords}>{texts.tryFewerOfThem}</Empty>}
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
