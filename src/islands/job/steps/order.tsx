import { useEffect, useMemo, useState } from 'react';
import { Printer } from 'lucide-react';
import { GAUGES } from '../../../core/families';
import { orderCautions, type ChainNumbers } from '../../../core/order';
import { answersIn, chainNeed } from '../../../core/stock';
import type { JobPartsView, StockAnswer } from '../../../contract';
import { Notice } from '../../../ui/parts/Notice';
import {
  familyLabel,
  familyShort,
  fitSentence,
  kickbackClassWord,
  orderCaution,
  orderWithheld,
  sequenceWord,
  shopMoment,
  sprocketOrder,
  stockMiss,
} from '../../../wording';
import { api } from '../../frame/api';
import { useAwaySince } from '../../frame/away/use-away';
import { useChanges } from '../../frame/live';
import { JobParts } from '../order/JobParts';
import { OrderedParts } from '../order/OrderedParts';
import { StockAnswers } from '../order/StockAnswers';
import { Field } from '../parts/Field';
import { Group, StepHead } from '../parts/StepHead';
import { isSaved, useJob, useOfStore } from '../store/JobContext';
import { isTold, useJobData } from '../store/use-job-data';
import { useKeptShelf } from '../order/use-kept-shelf';
import * as texts from '#language/screens/job-order';
import { shelfAsSeen } from '#language/screens/offline';

/**
 * The order slip: three numbers once all are settled, the class that must not be stepped up, and what stock answers.
 */
export default function OrderSlip() {
  const { appraisal, view } = useJob();
  const isStored = useOfStore(isSaved);
  const parts = useJobData<JobPartsView>('parts.json');
  const planned = isTold(parts.data) ? parts.data.parts : [];
  // The chain of a signed plan is the one that is ordered, whatever the old one was.
  const newChain = planned.find(({ chain }) => chain !== null)?.chain ?? null;
  const order = newChain ? { order: newChain } : appraisal.order;
  const cautions = 'order' in order ? orderCautions(appraisal.identity).map(orderCaution) : [];
  const broken = appraisal.fitPlanned.filter(({ rule, holds }) => holds === false && rule !== 'parts-may-go-back-on');
  return (
    <>
      <StepHead title={texts.orderSlip}>
        {'order' in order && isStored && (
          <a className="flex quiet items-center gap-2" href={`/jobs/${view.job.id}/slip`}>
            <Printer size={17} aria-hidden="true" />
            {texts.pageToPrint}
          </a>
        )}
      </StepHead>
      {'order' in order ? (
        <Ordered order={order.order} isPlanned={newChain !== null} />
      ) : (
        <Notice kind="info">
          <p className="font-bold">{texts.noOrderYet}</p>
          <ul className="list-disc pl-5">
            {order.withheld.map((reason) => {
              const sentence = orderWithheld(reason);
              return <li key={sentence}>{sentence}</li>;
            })}
          </ul>
        </Notice>
      )}
      <Sprocket />
      <JobParts parts={parts} />
      <OrderedParts />
      {cautions.length > 0 && (
        <div className="mt-3">
          <Notice kind="caution">
            {cautions.map((caution) => (
              <p key={caution}>{caution}</p>
            ))}
          </Notice>
        </div>
      )}
      {broken.length > 0 && (
        <div className="mt-3">
          <Notice kind="caution">
            {broken.map((judgement) => (
              <p key={judgement.rule}>{fitSentence(judgement)}</p>
            ))}
          </Notice>
        </div>
      )}
    </>
  );
}

/** A drive sprocket past its limit: another one goes on with the chain, or no chain is ordered. */
function Sprocket() {
  const { appraisal } = useJob();
  const isWorn = appraisal.fitPlanned.some(({ reason }) => reason.code === 'sprocket-worn');
  if (!isWorn) return null;
  const { order } = appraisal;
  const sprocket = 'order' in order ? order.order.driveSprocket : null;
  return (
    <div className="mt-3">
      <Notice kind="caution">
        <p className="font-bold">{texts.theDriveSprocketIsPast}</p>
        <p>{texts.newChainWouldBeRuined}</p>
        {sprocket && <p className="font-semibold">{sprocketOrder(sprocket)}</p>}
        <div className="mt-2">
          <Field path="driveSprocket.renewed" />
        </div>
      </Notice>
    </div>
  );
}

function Ordered({ order, isPlanned }: { readonly order: ChainNumbers; readonly isPlanned: boolean }) {
  const numbers = [
    {
      name: texts.pitch,
      value: familyShort[order.pitch],
      also: order.pitch.startsWith('38') ? familyLabel(order.pitch) : '',
    },
    { name: texts.gauge, value: order.gauge, also: `${GAUGES[order.gauge].mmLabel} mm` },
    { name: texts.driveLinks, value: String(order.driveLinks), also: '' },
  ];
  return (
    <>
      <dl className="grid grid-cols-3 border-y-2 border-ink">
        {numbers.map(({ name, value, also }) => (
          <div key={name} className="border-r border-line px-4 py-3 last:border-r-0 max-md:px-2">
            <dt className="text-sm font-semibold text-ink-soft">{name}</dt>
            <dd className="figures text-[34px] leading-tight font-bold max-md:text-2xl">
              <span className="block whitespace-nowrap">{value}</span>{' '}
              <span className="block font-sans text-base font-semibold text-ink-soft">{also}</span>
            </dd>
          </div>
        ))}
      </dl>
      <p className="mt-2">
        {texts.kickbackClass}{' '}
        <strong>{order.kickbackClass ? kickbackClassWord[order.kickbackClass] : texts.toBeAsked}</strong>
        {order.kickbackClass === 'low-kickback' && texts.standardOnlyRecorded}
      </p>
      <p>
        {texts.sequence} <strong>{order.sequence ? sequenceWord[order.sequence] : texts.notCounted}</strong>
      </p>
      {!isPlanned && (
        <>
          {order.kickbackClass !== 'standard' && (
            <details className="mt-1">
              <summary className="py-1 text-sm underline">{texts.standardChainAllTheSame}</summary>
              <Field path="job.kickbackChoice" wide />
            </details>
          )}
          <Answers order={order} />
        </>
      )}
    </>
  );
}

type Found = { readonly key: string; readonly answers: readonly StockAnswer[] | null };

/** Asks stock for the order; an answer to an older order is dropped. */
function useStockAnswers(order: ChainNumbers): Found['answers'] | 'failed' | undefined {
  const key = new URLSearchParams({
    pitch: order.pitch,
    gauge: order.gauge,
    links: String(order.driveLinks),
    class: order.kickbackClass ?? '',
    sequence: order.sequence ?? '',
  }).toString();
  const [found, setFound] = useState<Found | null>(null);
  const changes = useChanges(['stock']);
  useEffect(() => {
    let stale = false;
    api.get<StockAnswer[]>(`/api/stock/match?${key}`).then(
      (answers) => !stale && setFound({ key, answers }),
      () => !stale && setFound({ key, answers: null }),
    );
    return () => {
      stale = true;
    };
  }, [key, changes]);
  if (found?.key !== key) return undefined;
  return found.answers ?? 'failed';
}

/** What the shelf has for an order as it was seen last, where the shop cannot be asked. */
function useKeptAnswers(order: ChainNumbers) {
  const shelf = useKeptShelf(useAwaySince() !== null);
  return useMemo(() => {
    if (!shelf) return null;
    const chains = shelf.value.filter(({ kind }) => kind === 'chain');
    const answers = answersIn(chainNeed(order), chains).map((each) => ({
      ...each,
      misses: each.misses.map(stockMiss),
      shop: null,
    }));
    return { at: shelf.at, answers };
  }, [shelf, order]);
}

function Answers({ order }: { order: ChainNumbers }) {
  const asked = useStockAnswers(order);
  const kept = useKeptAnswers(order);
  const { shop } = useJob().view;
  const answers = kept ? kept.answers : asked;
  return (
    <Group title={texts.inStock}>
      {kept && <Notice kind="caution">{shelfAsSeen(shopMoment(kept.at, shop))}</Notice>}
      {answers === undefined && <p className="text-ink-soft">{texts.lookingOnTheShelf}</p>}
      {answers === 'failed' && <Notice kind="error">{texts.stockDidNotAnswerNumbersHold}</Notice>}
      {Array.isArray(answers) && answers.length === 0 && <p>{texts.nothingComesNearOrderByNumbers}</p>}
      {Array.isArray(answers) && <StockAnswers answers={answers} />}
    </Group>
  );
}
