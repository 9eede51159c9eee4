import { useState } from 'react';
import type { JobRow } from '../../contract';
import { useOfBrowser } from '../frame/hydrated';
import * as texts from '#language/screens/set-up';

const KEPT = 'serrata-first-steps';

/** Whether this device has had enough of them. */
const hadEnough = (): boolean => localStorage.getItem(KEPT) !== null;

/** Three things to try on a demo, for who opens it for the first time; gone with one press. */
export function FirstSteps({ jobs }: { readonly jobs: readonly JobRow[] }) {
  const isOver = useOfBrowser(hadEnough, true);
  const [isGone, setIsGone] = useState(false);
  const [one, other] = [
    jobs.find(({ summary }) => summary.brought.includes('bar')),
    jobs.find(({ complaint }) => complaint !== ''),
  ];
  if (isOver || isGone) return null;
  const steps = [
    ...(one ? [{ says: texts.stepReading(one.tag), href: `/jobs/${one.id}?step=bar` }] : []),
    ...(other ? [{ says: texts.stepWhy(other.tag), href: `/jobs/${other.id}?step=why` }] : []),
    { says: texts.stepCounter, href: '/counter' },
  ];
  return (
    <section aria-labelledby="first-steps" className="mt-6 border border-line-strong bg-sheet px-4 py-3">
      <div className="flex flex-wrap items-center gap-3">
        <h2 id="first-steps" className="text-lg font-extrabold">
          {texts.firstSteps}
        </h2>
        <button
          type="button"
          className="ml-auto quiet"
          onClick={() => {
            localStorage.setItem(KEPT, 'enough');
            setIsGone(true);
          }}
        >
          {texts.enough}
        </button>
      </div>
      <ol className="list-decimal pl-6">
        {steps.map(({ says, href }) => (
          <li key={href} className="py-1">
            <a className="underline max-md:inline-grid max-md:min-h-[44px] max-md:content-center" href={href}>
              {says}
            </a>
          </li>
        ))}
      </ol>
      <p className="pt-1">
        <a className="underline" href="/practice">
          {texts.orPractise}
        </a>
      </p>
    </section>
  );
}
