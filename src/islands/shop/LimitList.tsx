import { useState } from 'react';
import { isRate, DEFAULT_LIMITS, LIMIT_IDS, type Limit, type LimitId, type Limits } from '../../core/limits';
import { limitName } from '../../wording';
import { Empty } from '../../ui/parts/Notice';
import { useFrame } from '../frame/frame-context';
import { limitText, unitText } from './limit-text';
import { LimitRow } from './LimitRow';
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
      <div className="grid grid-cols-[11rem_minmax(0,1fr)] gap-6 max-lg:grid-cols-1 max-lg:gap-2">
        <Contents groups={groups} />
        <div>
          <NotDefault ids={ids} limits={limits} />
          {groups.map((group) => (
            <section key={group} id={anchorOf(group)} aria-label={group} className="mb-4 scroll-mt-4">
              <h2 className="border-b-2 border-ink pb-1 text-lg font-extrabold">{group}</h2>
              {ids
                .filter((id) => groupOf(id) === group)
                .map((id) => (
                  <div key={id} id={anchorOf(id)} className="scroll-mt-4">
                    <LimitRow id={id} limit={limits[id]} />
                  </div>
                ))}
            </section>
          ))}
        </div>
      </div>
    </>
  );
}

/** Where a group or a limit stands on the page. */
const anchorOf = (name: string): string => `limit-${name.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '-')}`;

/** The parts that have limits, each a way to its own. */
function Contents({ groups }: { readonly groups: readonly string[] }) {
  if (groups.length < 2) return <span />;
  return (
    <nav aria-label={texts.contents} className="lg:sticky lg:top-4 lg:self-start">
      <p className="mb-1 text-sm font-semibold text-ink-soft">{texts.contents}</p>
      <ul className="flex flex-wrap gap-x-4 lg:grid">
        {groups.map((group) => (
          <li key={group}>
            <a className="flex min-h-11 items-center underline lg:min-h-9" href={`#${anchorOf(group)}`}>
              {group}
            </a>
          </li>
        ))}
      </ul>
    </nav>
  );
}

/** What this shop has changed comes first: each with what it would be otherwise, and the way to its row. */
function NotDefault({ ids, limits }: { readonly ids: readonly LimitId[]; readonly limits: Limits }) {
  const { shop } = useFrame();
  const own = ids.filter((id) => limits[id].value !== DEFAULT_LIMITS[id].value);
  if (own.length === 0) return null;
  const shown = (limit: Limit) => `${limitText(limit, shop)} ${unitText(limit.unit, shop)}`.trim();
  return (
    <section aria-label={texts.notTheDefault} className="mb-4 border-l-4 border-brass bg-brass-pale px-3 py-2">
      <h2 className="font-bold">{texts.notTheDefault}</h2>
      <ul>
        {own.map((id) => (
          <li key={id}>
            <a className="underline" href={`#${anchorOf(id)}`}>
              {limitName[id]}
            </a>{' '}
            {texts.insteadOf(shown(limits[id]), shown(DEFAULT_LIMITS[id]))}
          </li>
        ))}
      </ul>
    </section>
  );
}
