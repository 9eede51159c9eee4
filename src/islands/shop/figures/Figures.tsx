import { useEffect, useState } from 'react';
import { Printer } from 'lucide-react';
import type { FiguresView } from '../../../contract';
import { Notice } from '../../../ui/parts/Notice';
import { AILMENTS, inSentence, list, partName, plainDay, wearName } from '../../../wording';
import { api, failure } from '../../frame/api';
import { Form, SendButton, TextField, useSentForm } from '../../frame/form';
import { useFrame } from '../../frame/frame-context';
import { LearnedFigures } from './LearnedFigures';
import * as texts from '#language/screens/shop-figures';

/** What was asked for last, and what came of it. */
type Found = { readonly view: FiguresView } | { readonly trouble: string } | null;

/** Days, as ISO dates; the last year where nothing is said of the first. */
interface Asked {
  readonly from: string;
  readonly until: string;
}

const lookAt = ({ from, until }: Asked): Promise<Found> =>
  api.get<FiguresView>(`/api/figures?${new URLSearchParams({ from, until }).toString()}`).then(
    (view) => ({ view }),
    (error: unknown) => ({ trouble: failure(error, texts.figuresNotFetched) }),
  );

/** What the shop's own records teach, beside what is in force, and how the shop did in a time that is chosen. */
export function Figures({ today }: { today: string }) {
  const { shop } = useFrame();
  const [asked, setAsked] = useState<Asked>({ from: '', until: today });
  const [found, setFound] = useState<Found>(null);
  useEffect(() => {
    let isStale = false;
    void lookAt(asked).then((answer) => !isStale && setFound(answer));
    return () => {
      isStale = true;
    };
  }, [asked]);
  const form = useSentForm<Asked>({
    start: asked,
    // Asked for again, the same is looked at again.
    send: async (given) => setAsked({ ...given }),
    otherwise: texts.figuresNotFetched,
  });
  return (
    <>
      <div className="no-print mb-3 flex flex-wrap items-end gap-3">
        <Form form={form} className="flex flex-wrap items-end gap-3">
          <TextField form={form} name="from" label={texts.from} type="date" />
          <TextField form={form} name="until" label={texts.until} type="date" />
          <SendButton form={form} busy={texts.lookingAtThem}>
            {texts.show}
          </SendButton>
        </Form>
        <button type="button" className="flex quiet items-center gap-2" onClick={() => window.print()}>
          <Printer size={16} aria-hidden="true" />
          {texts.print}
        </button>
      </div>
      {found === null && <p className="text-ink-soft">{texts.lookingAtThem}</p>}
      {found && 'trouble' in found && <Notice kind="error">{found.trouble}</Notice>}
      {found && 'view' in found && (
        <>
          <p className="mb-3 font-semibold">
            {texts.jobsOf(found.view.jobs, plainDay(found.view.from, shop), plainDay(found.view.until, shop))}
          </p>
          {found.view.isCut && <p className="mb-3 text-sm text-ink-soft">{texts.onlyTheNewest}</p>}
          <LearnedFigures
            figures={found.view.figures}
            onTaken={() => setAsked({ from: found.view.from, until: found.view.until })}
          />
          <div className="mt-6 grid grid-cols-2 gap-x-8 gap-y-6 max-lg:grid-cols-1">
            <Lives view={found.view} />
            <Forecasts view={found.view} />
            <Doing view={found.view} />
          </div>
        </>
      )}
    </>
  );
}

function Lives({ view: { lives } }: { view: FiguresView }) {
  return (
    <section aria-labelledby="figures-lives">
      <h2 id="figures-lives" className="text-lg font-extrabold">
        {texts.howLongPartsLast}
      </h2>
      <ul className="border-t border-line-strong">
        {lives.map(({ part, ended, going, hours }) => (
          <li key={part} className="border-b border-line py-1.5">
            <span className="font-semibold">{partName[part]}</span>{' '}
            <span>
              {hours
                ? texts.halfLast(
                    ...([hours.middle, hours.from, hours.until].map(Math.round) as [number, number, number]),
                  )
                : texts.noEndKnown}
            </span>{' '}
            <span className="text-sm text-ink-soft">{texts.endedAndGoing(ended, going)}</span>
          </li>
        ))}
      </ul>
      <p className="mt-1 text-sm text-ink-soft">{texts.livesOfFitted}</p>
    </section>
  );
}

function Forecasts({ view: { forecasts } }: { view: FiguresView }) {
  return (
    <section aria-labelledby="figures-forecasts">
      <h2 id="figures-forecasts" className="text-lg font-extrabold">
        {texts.howForecastsDid}
      </h2>
      {forecasts.length === 0 ? (
        <p className="text-ink-soft">{texts.noneForeseen}</p>
      ) : (
        <ul className="border-t border-line-strong">
          {forecasts.map(({ wear, foreseen, held }) => (
            <li key={wear} className="border-b border-line py-1.5">
              <span className="font-semibold">{wearName[wear]}</span>{' '}
              {texts.heldOf(held, foreseen, Math.round((100 * held) / foreseen))}
            </li>
          ))}
        </ul>
      )}
      <p className="mt-1 text-sm text-ink-soft">{texts.eightInTenWouldBe}</p>
    </section>
  );
}

/** Causes that are told; the rest is seldom. */
const MOST_CAUSES = 8;

function Doing({ view: { states, days, parts, causes } }: { view: FiguresView }) {
  const { open, signedOff, handedOver } = states;
  return (
    <section aria-labelledby="figures-doing">
      <h2 id="figures-doing" className="text-lg font-extrabold">
        {texts.howTheShopDid}
      </h2>
      <ul className="border-t border-line-strong">
        <li className="border-b border-line py-1.5">{texts.jobsByState(open, signedOff, handedOver)}</li>
        {days && <li className="border-b border-line py-1.5">{texts.daysHere(days.middle, days.nineInTen)}</li>}
        {parts
          .filter(({ saved, renewed }) => saved + renewed > 0)
          .map(({ part, saved, renewed }) => (
            <li key={part} className="border-b border-line py-1.5">
              <span className="font-semibold">{partName[part]}</span> {texts.savedAndRenewed(saved, renewed)}
            </li>
          ))}
        {causes.length > 0 && (
          <li className="border-b border-line py-1.5">
            <span className="font-semibold">{texts.causesFound}</span>{' '}
            {list(
              causes
                .slice(0, MOST_CAUSES)
                .map(({ cause, jobs }) => texts.causeOften(inSentence(AILMENTS[cause].name), jobs)),
            )}
            .
          </li>
        )}
      </ul>
    </section>
  );
}
