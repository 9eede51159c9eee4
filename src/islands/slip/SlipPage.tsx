import { money } from '../../wording';
import type { SlipView } from '../../contract';
import { Notice } from '../../ui/parts/Notice';
import { PrintBar } from '../../ui/parts/PrintBar';
import { Frame } from '../frame/Frame';
import type { Preferences } from '../frame/preferences';

interface SlipPageProps {
  readonly view: SlipView;
  readonly preferences: Preferences;
  /** Where the slip was written. */
  readonly back: string;
}

/** The order slip on one page, to print or to read over the counter. */
export function SlipPage({ view, preferences, back }: SlipPageProps) {
  return (
    <Frame shop={view.shop} preferences={preferences} place={back.startsWith('/counter') ? 'counter' : 'bench'}>
      <PrintBar back={back} to={view.tag} />
      <article className="mx-auto max-w-3xl border border-line-strong bg-sheet p-8 max-md:p-4 print:border-0 print:p-0">
        <header className="mb-6 graduated pt-5">
          <div className="flex items-baseline justify-between">
            <h1 className="text-2xl font-extrabold">
              {view.others.length > 0 ? 'Order slip' : 'Order slip · chain loop'}
            </h1>
            <p className="figures text-xl font-bold whitespace-nowrap">{view.tag}</p>
          </div>
          <p>
            {view.shop.name} · {view.date}
          </p>
          <p>{[view.customer && `For ${view.customer}`, view.saw].filter(Boolean).join(', ')}</p>
        </header>
        {view.order ? <Numbers order={view.order} /> : <Withheld reasons={view.withheld} />}
        {view.cautions.length > 0 && (
          <div className="mt-3">
            <Notice kind="caution">
              {view.cautions.map((caution) => (
                <p key={caution}>{caution}</p>
              ))}
            </Notice>
          </div>
        )}
        {view.replaces.map((sentence) => (
          <p key={sentence} className="mt-2 font-semibold">
            {sentence}
          </p>
        ))}
        <Checks fit={view.fit} />
        {view.order && <Stock view={view} answers={view.stock} />}
        {view.others.map((other) => (
          <section
            key={other.part}
            aria-label={`Order: ${other.name.toLowerCase()}`}
            className="mt-6 border-t border-line pt-3"
          >
            <h2 className="text-xl font-extrabold">{other.name}</h2>
            <p className="font-semibold">{other.needed}</p>
            <Stock view={view} answers={other.stock} />
          </section>
        ))}
        <p className="mt-6 text-sm text-ink-soft">
          Follow the saw maker’s approved combinations and the local rules on kickback class. Check the tension again
          after the first minutes of a new chain.
        </p>
      </article>
    </Frame>
  );
}

function Numbers({ order }: { order: NonNullable<SlipView['order']> }) {
  const numbers = [
    ['Pitch', order.pitch, order.pitchNote],
    ['Gauge', order.gauge, order.gaugeNote],
    ['Drive links', String(order.driveLinks), ''],
  ] as const;
  return (
    <>
      <dl className="grid grid-cols-3 border-y-2 border-ink">
        {numbers.map(([name, value, note]) => (
          <div key={name} className="border-r border-line px-3 py-3 last:border-r-0">
            <dt className="text-sm font-semibold">{name}</dt>
            <dd className="figures text-3xl leading-tight font-bold">
              <span className="block whitespace-nowrap">{value}</span>{' '}
              <span className="block font-sans text-base font-semibold">{note}</span>
            </dd>
          </div>
        ))}
      </dl>
      <p className="mt-2">
        Kickback class: <strong>{order.kickbackClass}</strong>
      </p>
    </>
  );
}

function Withheld({ reasons }: { reasons: readonly string[] }) {
  return (
    <Notice kind="info">
      <p className="font-bold">No order yet</p>
      {reasons.map((reason) => (
        <p key={reason}>{reason}</p>
      ))}
    </Notice>
  );
}

function Checks({ fit }: { fit: SlipView['fit'] }) {
  if (fit.length === 0) return null;
  const mark = { true: '✓', false: '✗', null: '?' } as const;
  const word = { true: 'holds', false: 'broken', null: 'not known' } as const;
  return (
    <section className="mt-6">
      <h2 className="font-bold">Checked</h2>
      <ul>
        {fit.map(({ holds, text }) => (
          <li key={text} className="flex gap-2">
            <span className="figures font-bold" aria-hidden="true">
              {mark[String(holds) as keyof typeof mark]}
            </span>
            <span>
              <span className="sr-only">{word[String(holds) as keyof typeof word]}: </span>
              {text}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Stock({ view, answers }: { view: SlipView; answers: SlipView['stock'] }) {
  const fitting = answers.filter(({ answer }) => answer === 'fits');
  return (
    <section className="mt-6">
      <h3 className="font-bold">On the shelf</h3>
      {fitting.length === 0 && <p>None that fits: order by what stands above.</p>}
      {fitting.map(({ part }) => (
        <p key={part.sku} className="flex justify-between gap-4">
          <span>
            <span className="figures">{part.sku}</span> {part.name}
          </span>
          <span className="figures">
            {part.quantity} left · {money(part.priceCents, view.shop)}
          </span>
        </p>
      ))}
    </section>
  );
}
