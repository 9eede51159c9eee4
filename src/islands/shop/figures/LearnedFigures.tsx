import { useState } from 'react';
import type { LearnedFigureView } from '../../../contract';
import { Dialog } from '../../../ui/parts/Dialog';
import { Notice } from '../../../ui/parts/Notice';
import { limitName, provenanceWord, UNNAMED } from '../../../wording';
import { api, failure } from '../../frame/api';
import { useFrame } from '../../frame/frame-context';
import { useChangedHere } from '../../frame/server-data';
import { LimitEffect } from '../LimitEffect';
import { unitText } from '../limit-text';
import * as texts from '#language/screens/shop-figures';

interface LearnedFiguresProps {
  readonly figures: readonly LearnedFigureView[];
  /** Hears that a figure was taken over. */
  readonly onTaken: () => void;
}

/** Figures as the records have them, beside those in force; a person takes one over, and sees first what it changes. */
export function LearnedFigures({ figures, onTaken }: LearnedFiguresProps) {
  const [taking, setTaking] = useState<LearnedFigureView | null>(null);
  return (
    <section aria-labelledby="figures-learned">
      <h2 id="figures-learned" className="text-lg font-extrabold">
        {texts.whatRecordsTeach}
      </h2>
      {figures.length === 0 ? (
        <p className="text-ink-soft">{texts.tooLittleYet}</p>
      ) : (
        <table className="w-full border-collapse text-left max-md:block">
          <caption className="sr-only">{texts.whatRecordsTeach}</caption>
          <thead className="border-b-2 border-ink text-sm text-ink-soft max-md:hidden">
            <tr>
              {[texts.figure, texts.byTheRecords, texts.eightInTen, texts.toldBy, texts.inForce].map((head) => (
                <th key={head} scope="col" className="py-1 pr-3 font-semibold">
                  {head}
                </th>
              ))}
              <th scope="col" className="no-print py-1">
                <span className="sr-only">{texts.takeOver}</span>
              </th>
            </tr>
          </thead>
          <tbody className="max-md:block">
            {figures.map((each) => (
              <LearnedRow key={each.id} figure={each} onTake={() => setTaking(each)} />
            ))}
          </tbody>
        </table>
      )}
      <Dialog title={texts.takeOver} open={taking !== null} onClose={() => setTaking(null)}>
        {taking && (
          <TakeOver
            figure={taking}
            onDone={() => {
              setTaking(null);
              onTaken();
            }}
          />
        )}
      </Dialog>
    </section>
  );
}

/** A number as short as what is known of it. */
const digits = ({ offered }: LearnedFigureView): number => (String(offered).split('.')[1] ?? '').length;

function LearnedRow({ figure, onTake }: { figure: LearnedFigureView; onTake: () => void }) {
  const { shop } = useFrame();
  const { id, value, from, until, count, inForce, offered } = figure;
  const unit = unitText(inForce.unit, shop);
  const show = (number: number) => number.toFixed(digits(figure));
  return (
    <tr className="border-b border-line align-middle max-md:grid max-md:grid-cols-1 max-md:gap-y-0.5 max-md:py-2">
      <th scope="row" className="py-1.5 pr-3 font-semibold">
        {limitName[id]}
      </th>
      <td className="pr-3 figures font-bold whitespace-nowrap">
        {show(value)} {unit}
      </td>
      <td className="pr-3 figures whitespace-nowrap">
        <OnPhone says={texts.eightInTen} />
        {texts.between(show(from), show(until))}
      </td>
      <td className="pr-3 figures">
        <OnPhone says={texts.toldBy} />
        {count}
      </td>
      <td className="pr-3">
        <OnPhone says={texts.inForce} />
        <span className="figures whitespace-nowrap">
          {inForce.value} {unit}
        </span>{' '}
        <span className="text-sm text-ink-soft">{provenanceWord[inForce.provenance]}</span>
      </td>
      <td className="no-print text-right max-md:text-left">
        {offered === inForce.value ? (
          <span className="text-sm text-ink-soft">{texts.inForceAlready}</span>
        ) : (
          <button type="button" className="quiet" aria-label={texts.takeOverOf(limitName[id])} onClick={onTake}>
            {texts.takeOver}
          </button>
        )}
      </td>
    </tr>
  );
}

/** What a column's head says, where a phone has no heads. */
const OnPhone = ({ says }: { says: string }) => (
  <span className="font-sans text-sm text-ink-soft md:hidden">{says} </span>
);

function TakeOver({ figure, onDone }: { figure: LearnedFigureView; onDone: () => void }) {
  const { shop, who } = useFrame();
  const changedHere = useChangedHere();
  const [trouble, setTrouble] = useState<string | null>(null);
  const { id, offered, inForce, count } = figure;
  const unit = unitText(inForce.unit, shop);
  const take = () =>
    api
      .put(`/api/limits/${id}`, { by: who || UNNAMED, value: String(offered), source: null, was: inForce.value })
      .then(onDone, (error: unknown) => setTrouble(failure(error, texts.notTakenOver)))
      .finally(() => void changedHere());
  return (
    <div className="grid gap-3">
      <p>{texts.insteadOf(limitName[id], `${offered} ${unit}`, `${inForce.value} ${unit}`, count)}</p>
      <LimitEffect id={id} value={String(offered)} />
      {trouble && <Notice kind="error">{trouble}</Notice>}
      <button type="button" className="act justify-self-start" onClick={() => void take()}>
        {texts.takeOver}
      </button>
    </div>
  );
}
