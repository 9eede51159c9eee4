import { useEffect, useState } from 'react';
import type { JobView, ShelvedPartView, ShopView } from '../../contract';
import { LIMIT_IDS } from '../../core/limits';
import { keptView, keptViews, waitingPictures, type Kept } from '../../offline/kept';
import { waitingCounts } from '../../offline/outbox';
import { Empty } from '../../ui/parts/Notice';
import { Tabbed, TabList, TabPanel } from '../../ui/parts/Tabs';
import { limitName, shopMoment } from '../../wording';
import { KEPT } from '../frame/away/keep';
import { Frame } from '../frame/Frame';
import { useFrame } from '../frame/frame-context';
import { preferencesFrom } from '../frame/preferences';
import { limitText } from '../shop/limit-text';
import { Room } from './Room';
import { UNKNOWN_SHOP } from './shop-known';
import * as texts from '#language/screens/offline';

/** All that a browser keeps, as it stands. */
interface All {
  readonly shop: ShopView;
  readonly jobs: readonly Kept<JobView>[];
  readonly stock: Kept<readonly ShelvedPartView[]> | null;
  readonly pictures: number;
}
const NOTHING: All = { shop: UNKNOWN_SHOP, jobs: [], stock: null, pictures: 0 };

async function all(): Promise<All> {
  const [shop, jobs, stock, pictures] = await Promise.all([
    keptView<ShopView>(KEPT.shop),
    keptViews<JobView>(KEPT.job),
    keptView<readonly ShelvedPartView[]>(KEPT.stock),
    waitingPictures(),
  ]);
  const newest = jobs.toSorted((one, other) => (one.at < other.at ? 1 : -1));
  return { shop: shop?.value ?? newest[0]?.value.shop ?? UNKNOWN_SHOP, jobs: newest, stock, pictures: pictures.length };
}

type View = 'jobs' | 'stock' | 'limits';
const TABS = (['jobs', 'stock', 'limits'] as const).map((id) => ({ id, name: texts[id] }));

/** What this browser has when the shop cannot be reached: jobs, the shelf and the limits, each as it was seen last. */
export function KeptPage() {
  const [kept, setKept] = useState<All | null>(null);
  const [preferences] = useState(() => preferencesFrom(document.cookie));
  const [chosen, setChosen] = useState<View>('jobs');
  useEffect(() => void all().then(setKept, () => setKept(NOTHING)), []);
  if (!kept) return null;
  return (
    <Frame shop={kept.shop} preferences={preferences} place="bench">
      <h1 className="text-2xl font-extrabold">{texts.kept}</h1>
      <p className="mb-2 max-w-prose text-ink-soft">{texts.keptSays}</p>
      <Room pictures={kept.pictures} />
      <Tabbed chosen={chosen} onChoose={setChosen}>
        <TabList label={texts.kept} tabs={TABS} />
        <TabPanel of={chosen}>
          {chosen === 'jobs' && <Jobs jobs={kept.jobs} />}
          {chosen === 'stock' && <Shelf stock={kept.stock} />}
          {chosen === 'limits' && <Limits jobs={kept.jobs} />}
        </TabPanel>
      </Tabbed>
    </Frame>
  );
}

function Jobs({ jobs }: { readonly jobs: All['jobs'] }) {
  const { shop, unit } = useFrame();
  const [waits] = useState(() => waitingCounts(window.localStorage));
  if (jobs.length === 0) return <Empty title={texts.noJobsKept}>{texts.openTheBench}</Empty>;
  return (
    <ul className="border-t border-line-strong">
      {jobs.map(({ key, at, value: { job, customer, saw, kept } }) => (
        <li key={key} className="border-b border-line">
          <a
            href={`/jobs/${job.id}${kept.next.step ? `?step=${kept.next.step}` : ''}`}
            className="grid min-h-16 grid-cols-[5.5rem_minmax(0,1fr)_minmax(0,1.4fr)_auto] items-center gap-x-4 px-2 py-2 hover:bg-well max-md:grid-cols-[5rem_1fr]"
          >
            <span className="figures text-lg font-bold">{job.tag}</span>
            <span className="min-w-0">
              <span className="block font-bold">{customer.name}</span>
              <span className="block text-sm text-ink-soft">{saw?.label}</span>
            </span>
            <span className="max-md:col-span-2">{kept.next.text[unit]}</span>
            <span className="text-sm text-ink-soft max-md:col-span-2">
              {texts.seenAt(shopMoment(at, shop))}
              {(waits.get(job.id) ?? 0) > 0 && (
                <strong className="block text-brass">{texts.readingsWait(waits.get(job.id)!)}</strong>
              )}
            </span>
          </a>
        </li>
      ))}
    </ul>
  );
}

function Shelf({ stock }: Pick<All, 'stock'>) {
  const { shop } = useFrame();
  if (!stock) return <Empty title={texts.noStockKept}>{texts.openTheBench}</Empty>;
  return (
    <>
      <p className="my-2 text-ink-soft">{texts.stockSeenAt(shopMoment(stock.at, shop))}</p>
      <table className="w-full max-w-3xl text-left">
        <thead>
          <tr>
            <th scope="col">{texts.part}</th>
            <th scope="col" className="text-right">
              {texts.pieces}
            </th>
          </tr>
        </thead>
        <tbody>
          {stock.value.map(({ sku, name, quantity }) => (
            <tr key={sku} className="border-t border-line">
              <td className="py-1.5">
                {name} <span className="figures text-sm text-ink-soft">{sku}</span>
              </td>
              <td className="py-1.5 text-right figures font-bold">{quantity}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

/** The limits in force, as the job that was seen last is judged by them. */
function Limits({ jobs }: { readonly jobs: All['jobs'] }) {
  const { shop } = useFrame();
  const [newest] = jobs;
  if (!newest) return <Empty title={texts.noJobsKept}>{texts.openTheBench}</Empty>;
  return (
    <>
      <p className="my-2 text-ink-soft">{texts.seenAt(shopMoment(newest.at, shop))}</p>
      <table className="w-full max-w-4xl text-left">
        <thead>
          <tr>
            <th scope="col">{texts.limit}</th>
            <th scope="col">{texts.value}</th>
            <th scope="col">{texts.source}</th>
          </tr>
        </thead>
        <tbody>
          {LIMIT_IDS.map((id) => {
            const limit = newest.value.limits[id];
            return (
              <tr key={id} className="border-t border-line">
                <th scope="row" className="py-1.5 pr-3 font-semibold">
                  {limitName[id]}
                </th>
                <td className="py-1.5 pr-3 figures">{limitText(limit, shop)}</td>
                <td className="py-1.5 text-sm text-ink-soft">{limit.source}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </>
  );
}
