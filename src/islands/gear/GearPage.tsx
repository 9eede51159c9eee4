import { useMemo } from 'react';
import { unpackView, type GearView, type Sent } from '../../contract';
import { Empty } from '../../ui/parts/Notice';
import { Frame } from '../frame/Frame';
import { opened } from '../frame/opened';
import type { Preferences } from '../frame/preferences';
import { Act } from './said/Act';
import { Said } from './said/Said';
import { SawHeads, SawRows } from './SawRows';
import { ScanTag } from './ScanTag';
import * as texts from '#language/screens/gear';

const SawListForm = opened(() => import('./said/SawListForm').then((there) => there.SawListForm));
const CustomerForm = opened(() => import('./said/CustomerForm').then((there) => there.CustomerForm));

interface GearPageProps {
  readonly sent: Sent<GearView>;
  readonly preferences: Preferences;
}

/** Tables of all that gear knows. */
const PLACES = [
  ['/gear/saws', texts.allSaws],
  ['/gear/customers', texts.allCustomers],
  ['/gear/models', texts.sawModels],
] as const;

/** Gear: every saw with what is on it; those that were here last, or those that answer what was typed. */
export function GearPage({ sent, preferences }: GearPageProps) {
  const view = useMemo(() => unpackView(sent), [sent]);
  const { asked, saws, customers, lists, today } = view;
  return (
    <Frame shop={view.shop} preferences={preferences} place="gear">
      <div className="mb-2 flex flex-wrap items-end gap-x-6 gap-y-2">
        <h1 className="text-2xl font-extrabold">{texts.gear}</h1>
        <form method="get" action="/gear" className="flex flex-wrap items-end gap-2">
          <label className="grid gap-1">
            <span className="text-sm font-semibold text-ink-soft">{texts.findASaw}</span>
            <input className="entry w-72 max-w-full" name="q" defaultValue={asked} />
          </label>
          <button type="submit" className="act">
            {texts.find}
          </button>
        </form>
        <ScanTag />
      </div>
      <div className="mb-4 flex flex-wrap items-center gap-x-5 gap-y-2">
        {PLACES.map(([href, name]) => (
          <a key={href} className="grid min-h-11 place-items-center font-semibold underline" href={href}>
            {name}
          </a>
        ))}
        <span className="flex flex-wrap gap-2">
          <Act name={texts.takeInAListOfSaws}>
            <SawListForm />
          </Act>
          <Act name={texts.enterACustomer}>
            <CustomerForm of={null} />
          </Act>
        </span>
      </div>
      {customers.length > 0 && (
        <section aria-labelledby="gear-customers" className="mb-5">
          <h2 id="gear-customers" className="text-lg font-extrabold">
            {texts.customers}
          </h2>
          <ul className="flex flex-wrap gap-x-5">
            {customers.map(({ id, name }) => (
              <li key={id}>
                <a className="grid min-h-11 place-items-center underline" href={`/gear/customers/${id}`}>
                  {name}
                </a>
              </li>
            ))}
          </ul>
        </section>
      )}
      <section aria-labelledby="gear-saws">
        <h2 id="gear-saws" className="mb-1 text-lg font-extrabold">
          {asked === '' ? texts.lastInTheShop : texts.found(saws.length)}
        </h2>
        {saws.length === 0 ? (
          <Empty title={asked === '' ? texts.noSawsYet : texts.noSawAnswers}>
            {asked === '' ? (
              texts.sawsComeWithJobs
            ) : (
              <a className="underline" href="/gear">
                {texts.showTheLast}
              </a>
            )}
          </Empty>
        ) : (
          <>
            <SawHeads />
            <SawRows saws={saws} today={today} />
          </>
        )}
      </section>
      <Said said={lists} heading={texts.listsTakenIn} />
    </Frame>
  );
}
