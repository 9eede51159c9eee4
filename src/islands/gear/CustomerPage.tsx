import { useMemo } from 'react';
import { unpackView, type CustomerGearView, type Sent } from '../../contract';
import { Empty } from '../../ui/parts/Notice';
import { Pager } from '../../ui/parts/Pager';
import { PrintBar } from '../../ui/parts/PrintBar';
import { Frame } from '../frame/Frame';
import { opened } from '../frame/opened';
import type { Preferences } from '../frame/preferences';
import { Due } from './Due';
import { NumbersOf } from './NumbersOf';
import { Act } from './said/Act';
import { Said } from './said/Said';
import { SawHeads, SawRows } from './SawRows';

const CustomerForm = opened(() => import('./said/CustomerForm').then((there) => there.CustomerForm));
const SawForm = opened(() => import('./said/SawForm').then((there) => there.SawForm));
import * as texts from '#language/screens/gear';

interface CustomerPageProps {
  readonly sent: Sent<CustomerGearView>;
  readonly preferences: Preferences;
}

/** A customer's saws: what is due on screen; printed, the numbers of each as a card for the van and the store. */
export function CustomerPage({ sent, preferences }: CustomerPageProps) {
  const view = useMemo(() => unpackView(sent), [sent]);
  const isReader = view.shop.me?.role === 'reader';
  const { customer, facts, said, saws, due, total, today, page, pages } = view;
  return (
    <Frame shop={view.shop} preferences={preferences} place="gear">
      <PrintBar back={isReader ? null : '/gear'} to={texts.gear}>
        {!isReader && (
          <a className="grid quiet place-items-center" href={`/?customer=${customer.id}`}>
            {texts.jobsOfCustomer}
          </a>
        )}
      </PrintBar>
      <h1 className="text-2xl font-extrabold">{customer.name}</h1>
      <p className="mb-4 text-ink-soft">
        {[customer.contact, texts.countOfSaws(total), facts.retired && texts.retired].filter(Boolean).join(' · ')}
      </p>
      <div className="no-print mb-4 flex flex-wrap gap-2">
        <Act name={texts.enterASaw}>
          <SawForm of={{ customerId: customer.id }} />
        </Act>
        <Act name={texts.mend}>
          <CustomerForm of={{ customerId: customer.id, was: facts }} />
        </Act>
      </div>
      {saws.length === 0 ? (
        <Empty title={texts.noSawOfThis}>{texts.sawsComeWithJobs}</Empty>
      ) : (
        <>
          <div className="no-print">
            <SawHeads />
            <SawRows saws={saws} today={today} />
          </div>
          <Due due={due} customerId={customer.id} today={today} isPart={pages > 1} />
          <section aria-labelledby="gear-numbers" className="mt-6">
            <h2 id="gear-numbers" className="mb-2 text-lg font-extrabold">
              {texts.numbersForNextTime}
            </h2>
            <ul className="grid grid-cols-3 gap-3 max-lg:grid-cols-2 max-md:grid-cols-1 print:grid-cols-2">
              {saws.map(({ saw, numbers }) => (
                <li key={saw.id} className="break-inside-avoid border border-line-strong bg-sheet px-3 py-2">
                  <h3 className="font-bold">
                    {saw.label} <span className="figures font-normal text-ink-soft">{saw.tag}</span>
                  </h3>
                  <NumbersOf saw={saw} numbers={numbers} />
                </li>
              ))}
            </ul>
          </section>
        </>
      )}
      <Said said={said} />
      <Pager page={page} pages={pages} href={(number) => `/gear/customers/${customer.id}?page=${number}`} />
    </Frame>
  );
}
