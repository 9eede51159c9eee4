import type { StockView } from '../../contract';
import { FAMILY_IDS, GAUGE_IDS } from '../../core/families';
import { Empty } from '../../ui/parts/Notice';
import { Pager } from '../../ui/parts/Pager';
import { familyLabel, gaugeLabel } from '../../wording';
import { Frame } from '../frame/Frame';
import type { Preferences } from '../frame/preferences';
import { money } from './money';

interface StockPageProps {
  readonly view: StockView;
  readonly preferences: Preferences;
  readonly query: string;
}

const KINDS: Record<StockView['parts'][number]['kind'], string> = {
  chain: 'chain',
  bar: 'bar',
  'drive-sprocket': 'drive sprocket',
  nose: 'nose',
  file: 'file',
};

/** Stock: what is on the shelf, narrowed by the three numbers. */
export function StockPage({ view, preferences, query }: StockPageProps) {
  const page = (number: number) => {
    const params = new URLSearchParams(query);
    params.set('page', String(number));
    return `/stock?${params.toString()}`;
  };
  return (
    <Frame shop={view.shop} preferences={preferences} place="stock">
      <h1 className="mb-3 text-2xl font-extrabold">Stock</h1>
      <Filter filter={view.filter} />
      <p className="my-2 text-sm text-ink-soft">{view.total === 1 ? '1 part' : `${view.total} parts`}</p>
      {view.parts.length === 0 ? (
        <Empty title="Nothing on the shelf answers that">
          <a className="underline" href="/stock">
            Show all parts
          </a>
        </Empty>
      ) : (
        <PartTable view={view} />
      )}
      <Pager page={view.page} pages={view.pages} href={page} />
    </Frame>
  );
}

/** The filter is a plain form: its answer has an address that can be kept. */
function Filter({ filter }: { filter: StockView['filter'] }) {
  return (
    <form method="get" action="/stock" className="flex flex-wrap items-end gap-3">
      <Pick name="kind" label="Kind" value={filter.kind} options={Object.entries(KINDS)} />
      <Pick name="pitch" label="Pitch" value={filter.pitch} options={FAMILY_IDS.map((id) => [id, familyLabel(id)])} />
      <Pick name="gauge" label="Gauge" value={filter.gauge} options={GAUGE_IDS.map((id) => [id, gaugeLabel(id)])} />
      <label className="grid gap-1">
        <span className="text-sm font-semibold text-ink-soft">Drive links</span>
        <input className="entry w-24 figures" name="links" inputMode="numeric" defaultValue={filter.driveLinks} />
      </label>
      <label className="grid gap-1">
        <span className="text-sm font-semibold text-ink-soft">Name or part number</span>
        <input className="entry w-56" name="q" defaultValue={filter.text} />
      </label>
      <button type="submit" className="act">
        Show
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
        <option value="">any</option>
        {options.map(([id, text]) => (
          <option key={id} value={id}>
            {text}
          </option>
        ))}
      </select>
    </label>
  );
}

function PartTable({ view: { parts, shop } }: { view: StockView }) {
  return (
    <div className="overflow-x-auto">
      <table className="w-full border-collapse">
        <thead>
          <tr className="border-b-2 border-ink text-left text-sm">
            {['Part', 'Kind', 'Pitch', 'Gauge', 'Links', 'Class'].map((name) => (
              <th key={name} scope="col" className="px-2 py-1.5">
                {name}
              </th>
            ))}
            {['On the shelf', 'Price'].map((name) => (
              <th key={name} scope="col" className="px-2 py-1.5 text-right">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {parts.map((part) => (
            <tr key={part.sku} className="border-b border-line">
              <th scope="row" className="px-2 py-1.5 text-left font-normal">
                <span className="block font-semibold">{part.name}</span>
                <span className="figures text-sm text-ink-soft">
                  {part.sku}
                  {part.mount && ` · mount ${part.mount}`}
                </span>
              </th>
              <td className="px-2">{KINDS[part.kind]}</td>
              <td className="px-2 figures">{part.pitch ? familyLabel(part.pitch) : ''}</td>
              <td className="px-2 figures">{part.gauge ?? ''}</td>
              <td className="px-2 figures">{part.driveLinks ?? ''}</td>
              <td className="px-2 text-sm">{part.kickbackClass ?? ''}</td>
              <td className="px-2 text-right figures">
                {part.quantity}
                {part.quantity < part.minimum && (
                  <span className="ml-2 font-sans text-sm font-bold text-brass">below {part.minimum}</span>
                )}
              </td>
              <td className="px-2 text-right figures">{money(part.priceCents, shop.currency)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
