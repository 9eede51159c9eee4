import { useEffect, useRef, useState } from 'react';
import type { BookingState } from '../../../core/booking';
import type { JobPartAct, JobPartsView, JobPartView, OrderAct } from '../../../contract';
import { Notice } from '../../../ui/parts/Notice';
import { bookingWord, money, plainDay, shopMoment, UNNAMED } from '../../../wording';
import { api, failure } from '../../frame/api';
import { focusNextStep } from '../../frame/focus';
import { useFrame } from '../../frame/frame-context';
import { sentOnce } from '../../frame/sent-once';
import { Group } from '../parts/StepHead';
import { useJob } from '../store/JobContext';
import { isTold, type JobData } from '../store/use-job-data';
import * as texts from '#language/screens/job-order';
import { bookingWaits } from '#language/screens/offline';

const LOOK: Readonly<Record<BookingState, string>> = {
  taken: 'text-leaf',
  'on-shelf': 'text-ink',
  ordered: 'text-steel',
  confirmed: 'text-steel',
  late: 'text-oxide',
  refused: 'text-oxide',
  missing: 'text-brass',
};

/**
 * The parts of the signed plan: taken from the shelf by one tap, put back by another, ordered where there is none, and
 * booked in when they come.
 */
export function JobParts({ parts: { data, put } }: { readonly parts: JobData<JobPartsView> }) {
  const { view } = useJob();
  const { who } = useFrame();
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState<string | null>(null);
  const [done, setDone] = useState(0);
  const list = useRef<HTMLUListElement>(null);
  // What was pressed is gone: the focus goes on to the next part, or to the step that is next.
  useEffect(() => {
    if (done === 0) return;
    const next = list.current?.querySelector('.act');
    if (next instanceof HTMLElement) next.focus();
    else focusNextStep();
  }, [done]);
  const send = async (url: string, body: Omit<JobPartAct, 'by' | 'id'> | Omit<OrderAct, 'by' | 'id'>) => {
    setBusy(true);
    try {
      const act = { by: who || UNNAMED, ...body };
      put(await sentOnce([url, act], (id) => api.post<JobPartsView>(url, { id, ...act })));
      setRefused(null);
      setDone((count) => count + 1);
    } catch (error) {
      setRefused(failure(error, texts.notBooked));
    }
    setBusy(false);
  };
  const onPart = (sku: string, act: JobPartAct['act']) => void send(`/api/jobs/${view.job.id}/parts`, { sku, act });
  const onOrder = (id: string, act: OrderAct['act']) => void send(`/api/orders/${id}`, { act });
  return (
    <Group title={texts.partsOfThePlan}>
      {data === null && <p className="text-ink-soft">{texts.lookingOnTheShelf}</p>}
      {data === 'away' && <Notice kind="caution">{bookingWaits}</Notice>}
      {data === 'failed' && <Notice kind="error">{texts.theShelfDidNotAnswer}</Notice>}
      {refused && <Notice kind="error">{refused}</Notice>}
      {isTold(data) && (
        <>
          <None view={data} />
          <ul ref={list} className="border-t border-line">
            {data.parts.map((part) => (
              <PartLine key={part.sku} part={part} busy={busy} onPart={onPart} onOrder={onOrder} />
            ))}
            {data.stray.map(({ sku, pieces }) => (
              <li key={sku} className="flex flex-wrap items-center gap-3 border-b border-line py-2">
                <span className="figures">{sku}</span>
                <span className="flex-1">{texts.takenAndThePlanNeeds(pieces)}</span>
                <button type="button" className="quiet" disabled={busy} onClick={() => onPart(sku, 'put-back')}>
                  {texts.putBack}
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
    </Group>
  );
}

function None({ view: { signed, parts } }: { readonly view: JobPartsView }) {
  if (parts.length > 0) return null;
  return <p className="text-ink-soft">{signed ? texts.thePlanThatWasSigned : texts.noPlanIsSignedYet}</p>;
}

interface PartLineProps {
  readonly part: JobPartView;
  readonly busy: boolean;
  readonly onPart: (sku: string, act: JobPartAct['act']) => void;
  readonly onOrder: (id: string, act: OrderAct['act']) => void;
}

function PartLine({ part, busy, onPart, onOrder }: PartLineProps) {
  const { view } = useJob();
  const { sku, name, priceCents, state, left, order, elsewhere } = part;
  const isOpen = state === 'ordered' || state === 'confirmed' || state === 'late';
  const acts = [
    ...(state === 'on-shelf' ? [{ label: texts.takeIt, main: true, act: () => onPart(sku, 'take') }] : []),
    ...(state === 'taken' ? [{ label: texts.putBack, main: false, act: () => onPart(sku, 'put-back') }] : []),
    ...(state === 'missing' || state === 'refused'
      ? [{ label: state === 'refused' ? texts.orderAgain : texts.order, main: true, act: () => onPart(sku, 'order') }]
      : []),
    ...(isOpen && order
      ? [
          { label: texts.itIsHere, main: true, act: () => onOrder(order.id, 'arrived') },
          { label: texts.askTheSupplier, main: false, act: () => onOrder(order.id, 'ask') },
          { label: texts.callItOff, main: false, act: () => onOrder(order.id, 'cancel') },
        ]
      : []),
  ];
  const said = order?.events.findLast(({ note }) => note !== '');
  return (
    <li aria-label={name} className="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-line py-2">
      <span className="min-w-40 flex-1">
        <span className="block font-semibold">{name}</span>
        <span className="block text-sm text-ink-soft">
          <span className="figures">{sku}</span> · <span className="figures">{money(priceCents, view.shop)}</span>{' '}
          {texts.onTheShelf(left)}
        </span>
        {elsewhere.map((at) => (
          <span key={`${at.shop} ${at.sku}`} className="block text-sm font-bold text-steel">
            {texts.hasItOnTheShelf(at.shop, at.pieces, at.sku === sku ? null : at.sku)}
          </span>
        ))}
      </span>
      <span className="min-w-36">
        <span className={`block font-bold ${LOOK[state]}`}>{bookingWord[state]}</span>
        {isOpen && order?.due && <span className="block text-sm">{texts.dueOn(plainDay(order.due, view.shop))}</span>}
        {said && state !== 'taken' && (
          <span className="block text-sm text-ink-soft" title={shopMoment(said.at, view.shop)}>
            {said.note}
          </span>
        )}
      </span>
      <span className="flex flex-wrap gap-2">
        {acts.map(({ label, main, act }) => (
          <button key={label} type="button" className={main ? 'act' : 'quiet'} disabled={busy} onClick={act}>
            {label}
          </button>
        ))}
      </span>
    </li>
  );
}
