import { useMemo } from 'react';
import { WEARS } from '../../core/life';
import { unpackView, type PieceView, type Sent, type WearLifeView } from '../../contract';
import {
  backtestText,
  endedText,
  hoursLeft,
  list,
  marksText,
  operationWord,
  otherBecause,
  partName,
  pieceTitle,
  pointWord,
  rateText,
  reachSentence,
  sawText,
  shopDay,
  wearName,
  wearValue,
} from '../../wording';
import { Empty } from '../../ui/parts/Notice';
import { PrintBar } from '../../ui/parts/PrintBar';
import { Frame } from '../frame/Frame';
import { useFrame } from '../frame/frame-context';
import type { Preferences } from '../frame/preferences';
import { opened } from '../frame/opened';
import { LifePlot } from './LifePlot';
import { Act } from './said/Act';
import { Said, SayButton } from './said/Said';
import { howItCame, useJobAddress, useWords } from './words';
import * as texts from '#language/screens/gear';

const TagForm = opened(() => import('./said/TagForm').then((there) => there.TagForm));
const OtherSaw = opened(() => import('./said/OtherSaw').then((there) => there.OtherSaw));

interface PiecePageProps {
  readonly sent: Sent<PieceView>;
  readonly preferences: Preferences;
}

/** A piece with its life: what ends it first, then how each thing wears, point by point, each leading to its job. */
export function PiecePage({ sent, preferences }: PiecePageProps) {
  const view = useMemo(() => unpackView(sent), [sent]);
  return (
    <Frame shop={view.shop} preferences={preferences} place="gear">
      <Piece view={view} />
    </Frame>
  );
}

function Piece({ view }: { view: PieceView }) {
  const { shop } = useFrame();
  const words = useWords();
  const jobAddress = useJobAddress();
  const { piece, saw, use, wears, seen, said } = view;
  const { id, part, tag, began, ended, first, hours, to } = piece;
  const came = began.how === 'found' ? began : null;
  // What is told is how much the saw runs.
  const runs = use.hoursPerWeek * piece.turns;
  const week = runs.toFixed(runs % 1 === 0 ? 0 : 1);
  return (
    <>
      <PrintBar back={`/gear/saws/${saw.id}`} to={saw.label} />
      <PieceCode view={view} />
      <h1 className="text-2xl font-extrabold">
        {pieceTitle(piece.part, [saw.label, saw.tag].filter(Boolean).join(' '))}
      </h1>
      {ended && (
        <p className="mt-1 text-lg font-semibold">
          {texts.notOnItAnyMore} {endedText(ended, to && sawText(to), words.show)}.
        </p>
      )}
      {first && <p className="mt-1 text-lg font-semibold">{reachSentence(first, words.show, words.day)}</p>}
      <p className="mt-1 text-ink-soft">
        {[
          tag && texts.tagged(tag),
          !ended && piece.turns > 1 && texts.goesInTurn(piece.turns),
          marksText(piece.marks),
          howItCame(piece),
          ended
            ? texts.fromUntil(shopDay(piece.began.at, shop), shopDay(ended.at, shop))
            : texts.since(shopDay(piece.began.at, shop)),
          hours.value > 0 && texts.aboutHours(Math.round(hours.value).toString(), Math.round(hours.u).toString()),
        ]
          .filter(Boolean)
          .join(' · ')}
      </p>
      {came?.because && (
        <p className="mt-1 text-sm text-ink-soft">
          {texts.heldToBeAnother(otherBecause(came.because, words.show))}{' '}
          <SayButton
            act={{ say: 'piece-told', jobId: came.jobId, part, isSame: true }}
            name={texts.isTheOneBefore}
            about={partName[part]}
          />
        </p>
      )}
      <div className="no-print mt-2 flex flex-wrap gap-2">
        <Act name={texts.writeItsTag}>
          <TagForm piece={id} tag={tag} />
        </Act>
        {!ended && (
          <Act name={texts.putOnAnother}>
            <OtherSaw
              of={saw.id}
              label={texts.sawItWentTo}
              means={texts.moveMeans}
              send={texts.putItThere}
              act={(other) => ({ say: 'piece-moved', piece: id, to: other })}
            />
          </Act>
        )}
      </div>
      {wears.length === 0 ? (
        <div className="mt-4">
          <Empty title={texts.nothingMeasured}>{texts.measuredAtItsNextJob}</Empty>
        </div>
      ) : (
        <>
          {wears.map((wear) => (
            <Wear key={wear.wear} wear={wear} today={view.today} isFirst={wear.wear === first?.wear} />
          ))}
          <p className="mt-4 max-w-prose text-sm text-ink-soft">
            {use.isTold ? texts.hoursTold(week) : texts.hoursThought(week)}{' '}
            {piece.turns > 1 && texts.sharedInTurn(piece.turns)} {texts.isStraightLine} {texts.adviceNotCertificate}
          </p>
        </>
      )}
      {seen.length > 0 && (
        <section aria-labelledby="piece-jobs" className="mt-6">
          <h2 id="piece-jobs" className="text-lg font-extrabold">
            {texts.jobs}
          </h2>
          <ul className="border-t border-line-strong">
            {seen.toReversed().map(({ jobId, tag: jobTag, came: cameAt, worked, edge }, i) => (
              <li key={jobId} className="flex flex-wrap items-center gap-x-4 border-b border-line px-2">
                <a className="grid min-h-11 place-items-center figures font-bold underline" href={jobAddress(jobId)}>
                  {jobTag}
                </a>
                <span className="min-w-28 text-sm">{shopDay(cameAt, shop)}</span>
                <span className="text-sm text-ink-soft">
                  {[
                    worked.length > 0 ? list(worked.map((each) => operationWord[each])) : texts.nothingDone,
                    edge?.came && edge.went && texts.edgeDown(edge.came, edge.went),
                  ]
                    .filter(Boolean)
                    .join(' · ')}
                </span>
                {/* The first look is what it is known by. */}
                {i < seen.length - 1 && (
                  <SayButton
                    act={{ say: 'piece-told', jobId, part, isSame: false }}
                    name={texts.cameAsAnother}
                    about={jobTag}
                  />
                )}
              </li>
            ))}
          </ul>
        </section>
      )}
      <Said said={said} />
    </>
  );
}

/** On paper, a code that opens the page: cut out, it is the tag of the piece. */
function PieceCode({ view: { code, piece } }: { view: PieceView }) {
  return (
    <svg
      viewBox={`0 0 ${code.side} ${code.side}`}
      role="img"
      aria-label={texts.codeOfPiece(partName[piece.part])}
      className="float-right hidden w-36 print:block"
    >
      <path d={`M0 0h${code.side}v${code.side}h-${code.side}z`} fill="#fff" />
      <path d={code.dark} fill="#000" />
    </svg>
  );
}

interface WearProps {
  readonly wear: WearLifeView;
  readonly today: string;
  /** Whether the piece ends by it first: that is said above. */
  readonly isFirst: boolean;
}

function Wear({ wear, today, isFirst }: WearProps) {
  const words = useWords();
  const { figure } = useFrame();
  const name = `wear-${wear.wear.replace('.', '-')}`;
  const write = (value: number) => wearValue(wear.wear, value, words.show);
  const left = wear.reach && hoursLeft(wear.reach.hours);
  const foreseen = wear.reach ? reachSentence(wear.reach, words.show, words.day) : '';
  return (
    <section aria-labelledby={name} className="mt-6">
      <h2 id={name} className="text-lg font-extrabold">
        {wearName[wear.wear]}
      </h2>
      <p className="text-sm">
        {[
          !isFirst && foreseen,
          left && texts.fromItsLastLook(left),
          rateText(wear.wear, wear.rate, wear.usual.value),
          backtestText(wear.backtest),
        ]
          .filter(Boolean)
          .join(' ')}
      </p>
      {wear.limit === null && <p className="text-sm text-ink-soft">{texts.noLimit}</p>}
      <div className="mt-2 grid grid-cols-[1fr_21rem] items-start gap-6 max-lg:grid-cols-1">
        <LifePlot
          points={wear.points}
          ahead={wear.ahead}
          limit={wear.limit}
          today={today}
          label={(value) => (WEARS[wear.wear].unit === '%' ? `${value.toFixed(1)} %` : figure(value))}
          dayLabel={words.day}
          said={`${wearName[wear.wear]}. ${texts.measuredTimes(wear.points.length)} ${foreseen}`}
        />
        <Points wear={wear} write={write} />
      </div>
    </section>
  );
}

function Points({ wear, write }: { wear: WearLifeView; write: (value: number) => string }) {
  const words = useWords();
  const jobAddress = useJobAddress();
  return (
    <div className="max-h-72 overflow-y-auto">
      <table className="w-full border-collapse text-sm" aria-label={texts.measuredOf(wearName[wear.wear])}>
        <thead>
          <tr className="border-b border-ink text-left">
            {[texts.day, texts.hours, texts.value, texts.job].map((head) => (
              <th key={head} scope="col" className="py-1 pr-3">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {wear.points.toReversed().map(({ jobId, tag, day, hours, value, u, after }) => (
            <tr key={`${jobId} ${String(after)}`} className="border-b border-line align-top">
              <td className="py-1 pr-3 whitespace-nowrap">
                {words.day(day)}
                <span className="block text-ink-soft">{pointWord({ after })}</span>
              </td>
              <td className="py-1 pr-3 figures">{Math.round(hours)}</td>
              <td className="py-1 pr-3 figures whitespace-nowrap">
                {write(value)} <span className="block text-ink-soft">± {write(2 * u)}</span>
              </td>
              <td className="py-1">
                <a
                  className="figures underline max-md:inline-grid max-md:min-h-[44px] max-md:content-center"
                  href={jobAddress(jobId)}
                >
                  {tag}
                </a>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
