import { useEffect, useRef, useState, type ReactNode } from 'react';
import type { ReviewView, RoundView } from '../../contract';
import { PRACTICE_PARTS, type Mark, type Named } from '../../core/practice';
import {
  actionWord,
  AILMENTS,
  chainOrderText,
  dangerSentence,
  faultName,
  markWord,
  partName,
  readingName,
  sentence,
} from '../../wording';
import { Notice } from '../../ui/parts/Notice';
import { api, failure } from '../frame/api';
import { later } from '../frame/later';
import * as texts from '#language/screens/practice';

const { View: SetAsMade } = later(() => import('./SetAsMade').then((there) => there.SetAsMade));

interface ReviewProps {
  readonly view: RoundView;
  readonly by: string;
  /** Of a paper: whether all of it may be compared. */
  readonly isPaperDone: boolean;
  /** Whether it was answered just now: then the focus comes here. */
  readonly isFresh: boolean;
}

/** A set that was answered: how it was judged, and how it was made. */
export function Review({ view, by, isPaperDone, isFresh }: ReviewProps) {
  const { review } = view;
  const head = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    if (isFresh) head.current?.focus();
  }, [isFresh]);
  return (
    <div className="mx-auto grid max-w-4xl gap-4">
      <header className="graduated pt-5">
        <h1 ref={head} tabIndex={-1} className="text-2xl font-extrabold">
          {texts.review}
        </h1>
        <p className="text-ink-soft">{texts.roundOf(view.place, view.of)}</p>
      </header>
      {review === null ? <p className="text-lg">{texts.answerIsTaken}</p> : <Told review={review} />}
      {review && <AsMade made={review.made} by={by} />}
      <GoOn view={view} by={by} isPaperDone={isPaperDone} />
    </div>
  );
}

const LOOK: Readonly<Record<Mark, string>> = {
  right: 'text-leaf',
  wrong: 'text-oxide',
  open: 'text-steel',
  'not-said': 'text-ink-soft',
};

function Marked({ mark }: { readonly mark: Mark }) {
  return <span className={`font-bold ${LOOK[mark]}`}>{markWord[mark]}</span>;
}

function Told({ review }: { readonly review: ReviewView }) {
  const { score, truth, said, untold, forNothing } = review;
  return (
    <>
      <p>
        <span className="figures text-4xl font-extrabold">{texts.points(score.points)}</span>
      </p>
      {score.dangers.map((danger) => (
        <Notice key={`${danger.code} ${'part' in danger ? danger.part : ''}`} kind="error">
          {dangerSentence(danger)}
        </Notice>
      ))}
      <table className="w-full border-collapse text-left">
        <caption className="sr-only">{texts.review}</caption>
        <thead>
          <tr className="border-b-2 border-ink text-sm">
            <th scope="col">{texts.partHead}</th>
            <th scope="col">{texts.youSaid}</th>
            <th scope="col">{texts.wasRight}</th>
            <th scope="col">{texts.mark}</th>
          </tr>
        </thead>
        <tbody>
          {PRACTICE_PARTS.map((part) => {
            const action = said.actions[part];
            return (
              <Row
                key={part}
                name={partName[part]}
                said={action === undefined ? texts.notSaid : actionWord[action]}
                right={truth.actions[part].map((each) => actionWord[each]).join(texts.either)}
                mark={score.parts[part]}
                note={truth.actions[part].length > 1 ? texts.schoolsDiffer : null}
              />
            );
          })}
          <Row
            name={texts.belongHead}
            said={said.belongs === null ? texts.notSaid : said.belongs ? texts.theyBelong : texts.theyDoNot}
            right={truth.belongs ? texts.theyBelong : texts.theyDoNot}
            mark={score.belongs}
          />
          <Row
            name={texts.orderHead}
            said={said.order === null ? texts.noChain : chainOrderText(said.order)}
            right={truth.order === null ? texts.noChain : chainOrderText(truth.order)}
            mark={score.order}
          />
        </tbody>
      </table>
      <Section title={texts.whatWasWrong}>
        {truth.faults.length === 0 && <p>{texts.nothingWasWrong}</p>}
        <NamedLines named={score.faults} nameOf={(id) => faultName[id]} />
      </Section>
      {(score.causes.found.length > 0 || score.causes.missed.length > 0 || score.causes.invented.length > 0) && (
        <Section title={texts.causes}>
          <NamedLines named={score.causes} nameOf={(id) => AILMENTS[id].name} />
        </Section>
      )}
      {truth.faults.length > 0 && (
        <Section title={texts.wouldHaveTold}>
          {untold.length === 0 ? (
            <p>{texts.nothingMissing}</p>
          ) : (
            <ul>
              {untold.map(({ asked, fault }) => (
                <li key={`${asked} ${fault}`} className="border-t border-line py-1">
                  {texts.wouldTell(sentence(readingName(asked)), faultName[fault])}
                </li>
              ))}
            </ul>
          )}
        </Section>
      )}
      <Section title={texts.minutesHead}>
        <p>{texts.minutesOf(score.minutes.taken, score.minutes.shortest)}</p>
        {forNothing.length > 0 && (
          <p>
            {texts.takenForNothing}: {forNothing.map((asked) => readingName(asked)).join(', ')}.
          </p>
        )}
      </Section>
    </>
  );
}

/** The set as it was made, opened by whoever wants to see it: the instruments are fetched then. */
function AsMade({ made, by }: { readonly made: ReviewView['made']; readonly by: string }) {
  const [isOpen, setIsOpen] = useState(false);
  return (
    <Section title={texts.asItWasMade}>
      <button type="button" className="quiet" aria-expanded={isOpen} onClick={() => setIsOpen(!isOpen)}>
        {texts.showAsMade}
      </button>
      {isOpen && <SetAsMade made={made} by={by} />}
    </Section>
  );
}

interface RowProps {
  readonly name: string;
  readonly said: string;
  readonly right: string;
  readonly mark: Mark;
  readonly note?: string | null;
}

function Row({ name, said, right, mark, note = null }: RowProps) {
  return (
    <tr className="border-b border-line align-top">
      <th scope="row" className="py-1.5 pr-3 font-semibold">
        {name}
      </th>
      <td className="py-1.5 pr-3">{said}</td>
      <td className="py-1.5 pr-3">
        {right}
        {note && <span className="block text-sm text-ink-soft">{note}</span>}
      </td>
      <td className="py-1.5">
        <Marked mark={mark} />
      </td>
    </tr>
  );
}

function Section({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <section aria-label={title}>
      <h2 className="text-lg font-extrabold">{title}</h2>
      {children}
    </section>
  );
}

function NamedLines<T>({ named, nameOf }: { readonly named: Named<T>; readonly nameOf: (id: T) => string }) {
  const lines = [
    { word: texts.found, look: 'text-leaf', of: named.found },
    { word: texts.missed, look: 'text-oxide', of: named.missed },
    { word: texts.invented, look: 'text-brass', of: named.invented },
  ];
  return (
    <ul>
      {lines.flatMap(({ word, look, of }) =>
        of.map((id) => (
          <li key={`${word} ${nameOf(id)}`} className="flex gap-3 border-t border-line py-1">
            <span className={`w-24 shrink-0 font-bold ${look}`}>{word}</span>
            <span>{nameOf(id)}</span>
          </li>
        )),
      )}
    </ul>
  );
}

/** The way on: to the next set of a sitting, to the result of a paper, or back. */
function GoOn({ view, by, isPaperDone }: Omit<ReviewProps, 'isFresh'>) {
  const [said, setSaid] = useState<string | null>(null);
  const isSitting = view.by === by && (view.kind === 'twenty' || (view.kind === 'paper' && !isPaperDone));
  const goOn = async () => {
    try {
      const { round } = await api.post<{ round: RoundView | null }>(`/api/practice/rounds/${view.id}/next`, { by });
      if (round) window.location.assign(`/practice/rounds/${round.id}`);
      else setSaid(texts.sittingIsOver);
    } catch (error) {
      setSaid(failure(error, texts.notGoneOn));
    }
  };
  return (
    <div className="no-print flex flex-wrap items-center gap-3">
      {isSitting && said === null && (
        <button type="button" className="act" onClick={() => void goOn()}>
          {texts.nextSet}
        </button>
      )}
      {view.kind === 'paper' && isPaperDone && (
        <a className="grid act content-center" href={`/practice/papers/${view.id}`}>
          {texts.printResult}
        </a>
      )}
      <a className="grid quiet content-center" href="/practice">
        {texts.anotherRound}
      </a>
      {said !== null && <p role="status">{said}</p>}
    </div>
  );
}
