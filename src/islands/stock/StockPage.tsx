import { lazy, Suspense, useMemo, useState } from 'react';
import { unpackView, type Sent, type StockView } from '../../contract';
import { FAMILY_IDS, GAUGE_IDS } from '../../core/families';
import { STOCK_KINDS } from '../../core/stock';
import { Empty } from '../../ui/parts/Notice';
import { familyLabel, gaugeLabel, stockKindWord } from '../../wording';
import { Frame } from '../frame/Frame';
import type { Preferences } from '../frame/preferences';
import { ServerData, useServerData } from '../frame/server-data';
import { Imports } from './Imports';
import { PartTable } from './PartTable';
import * as texts from '#language/screens/stock';

/** Fetched when a list is taken in: most visits only look at the shelf. */
const TakeInList = lazy(() => import('./take-in/TakeInList'));

interface StockPageProps {
  readonly sent: Sent<StockView>;
  readonly preferences: Preferences;
  readonly query: string;
}

/** Stock: what is on the shelf, narrowed by the three numbers; lists taken in and given out as CSV. */
export function StockPage(props: StockPageProps) {
  return (
    <ServerData>
      <Stock {...props} />
    </ServerData>
  );
}

function Stock({ sent, preferences, query }: StockPageProps) {
  const arrived = useMemo(() => unpackView(sent), [sent]);
  const view = useServerData(`/api/stock?${query}`, arrived, { shown: ['stock', 'rules', 'shop'] });
  const [takingIn, setTakingIn] = useState(false);
  return (
    <Frame shop={view.shop} preferences={preferences} place="stock">
      <div className="mb-3 flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-2xl font-extrabold">{texts.stock}</h1>
        <div className="flex gap-2">
          <button type="button" className="quiet" onClick={() => setTakingIn(true)}>
            {texts.takeInAList}
          </button>
          <a className="grid quiet place-items-center" href="/api/stock/list.csv" download>
            {texts.giveOutAsCsv}
          </a>
        </div>
      </div>
      {takingIn && (
        <Suspense fallback={<p className="mb-5 text-ink-soft">{texts.fetchingWhatReadsAList}</p>}>
          <TakeInList onClose={() => setTakingIn(false)} />
        </Suspense>
      )}
      <Filter filter={view.filter} />
      {view.parts.length === 0 ? (
        <>
          <p className="my-2 text-sm text-ink-soft">{texts.countOfParts(0)}</p>
          <Empty title={texts.nothingOnTheShelfAnswers}>
            <a className="underline" href="/stock">
              {texts.showAllParts}
            </a>
          </Empty>
        </>
      ) : (
        <PartTable parts={view.parts} total={view.total} query={query} />
      )}
      <Imports imports={view.imports} />
    </Frame>
  );
}

/** The filter is a plain form: its answer has an address that can be kept. */
function Filter({ filter }: { filter: StockView['filter'] }) {
  return (
    <form method="get" action="/stock" className="flex flex-wrap items-end gap-3">
      <Pick
        name="kind"
        label={texts.kind}
        value={filter.kind}
        options={STOCK_KINDS.map((kind) => [kind, stockKindWord[kind]])}
      />
      <Pick
        name="pitch"
        label={texts.pitch}
        value={filter.pitch}
        options={FAMILY_IDS.map((id) => [id, familyLabel(id)])}
      />
      <Pick
        name="gauge"
        label={texts.gauge}
        value={filter.gauge}
        options={GAUGE_IDS.map((id) => [id, gaugeLabel(id)])}
      />
      <label className="grid gap-1">
        <span className="text-sm font-semibold text-ink-soft">{texts.driveLinks}</span>
        <input className="entry w-24 figures" name="links" inputMode="numeric" defaultValue={filter.driveLinks} />
      </label>
      <label className="grid gap-1">
        <span className="text-sm font-semibold text-ink-soft">{texts.nameOrPartNumber}</span>
        <input className="entry w-52" name="q" defaultValue={filter.text} />
      </label>
      <label className="flex min-h-11 items-center gap-2 font-medium">
        <input type="checkbox" name="low" value="yes" defaultChecked={filter.low} className="size-5" />
        {texts.belowMinimum}
      </label>
      <button type="submit" className="act">
        {texts.show}
      </button>
    </form>
  );
}

function Pick({
  name,
  label,
  value,
  options,
}: {
  name: string;
  label: string;
  value: string;
  options: readonly (readonly [string, string])[];
}) {
  return (
    <label className="grid gap-1">
      <span className="text-sm font-semibold text-ink-soft">{label}</span>
      <select className="entry" name={name} defaultValue={value}>
        <option value="">{texts.any}</option>
        {options.map(([id, text]) => (
          <option key={id} value={id}>
            {text}
          </option>
        ))}
      </select>
    </label>
  );
}
