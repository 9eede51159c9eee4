import { useMemo } from 'react';
import { unpackView, type GearVisit, type PieceLine, type SawGearView, type Sent } from '../../contract';
import {
  endedText,
  inSentence,
  list,
  marksText,
  operationWord,
  otherBecause,
  partName,
  reachSentence,
  sawText,
  shopDay,
} from '../../wording';
import { PrintBar } from '../../ui/parts/PrintBar';
import { Frame } from '../frame/Frame';
import { useFrame } from '../frame/frame-context';
import type { Preferences } from '../frame/preferences';
import { opened } from '../frame/opened';
import { NumbersOf } from './NumbersOf';
import { Act } from './said/Act';
import { Said, SayButton } from './said/Said';
import { howItCame, useWords } from './words';
import * as texts from '#language/screens/gear';

const SawForm = opened(() => import('./said/SawForm').then((there) => there.SawForm));
const OtherSaw = opened(() => import('./said/OtherSaw').then((there) => there.OtherSaw));

interface SawPageProps {
  readonly sent: Sent<SawGearView>;
  readonly preferences: Preferences;
}

/** A saw: what is on it now and when it is due, its numbers, what was on it, and the jobs it came with. */
export function SawPage({ sent, preferences }: SawPageProps) {
  const view = useMemo(() => unpackView(sent), [sent]);
  return (
    <Frame shop={view.shop} preferences={preferences} place="gear">
      <Saw view={view} />
    </Frame>
  );
}

function Saw({ view }: { view: SawGearView }) {
  const { saw, customer, numbers, set, past, jobs, said, isCut } = view;
  const { id, label, tag, mount, maxRpm, retired } = saw;
  return (
    <>
      <PrintBar back={`/gear/customers/${customer.id}`} to={customer.name} />
      <h1 className="text-2xl font-extrabold">
        {saw.label} {saw.tag && <span className="figures font-normal text-ink-soft">{saw.tag}</span>}
      </h1>
      <p className="mb-2 text-ink-soft">
        {[
          customer.name,
          mount && texts.mount(mount),
          maxRpm !== null && texts.mostRpm(maxRpm),
          retired && texts.retired,
        ]
          .filter(Boolean)
          .join(' · ')}
      </p>
      <div className="no-print mb-4 flex flex-wrap gap-2">
        <Act name={texts.mend}>
          <SawForm of={{ sawId: id, was: { label, tag, mount, maxRpm, retired } }} />
        </Act>
        <Act name={texts.isOneWith}>
          <OtherSaw
            of={id}
            label={texts.recordItIsOneWith}
            means={texts.mergeMeans}
            send={texts.makeThemOne}
            act={(into) => ({ say: 'saws-merged', sawId: id, into })}
          />
        </Act>
      </div>
      <div className="grid grid-cols-[1fr_19rem] items-start gap-x-8 gap-y-5 max-lg:grid-cols-1">
        <section aria-labelledby="saw-set">
          <h2 id="saw-set" className="text-lg font-extrabold">
            {texts.onItNow}
          </h2>
          {set.length === 0 ? <p className="text-ink-soft">{texts.notKnownYet}</p> : <Pieces pieces={set} />}
        </section>
        <section aria-labelledby="saw-numbers" className="border border-line-strong bg-sheet px-3 py-2">
          <h2 id="saw-numbers" className="mb-1 font-bold">
            {texts.numbersForNextTime}
          </h2>
          <NumbersOf saw={saw} numbers={numbers} />
        </section>
      </div>
      {past.length > 0 && (
        <section aria-labelledby="saw-past" className="mt-6">
          <h2 id="saw-past" className="text-lg font-extrabold">
            {texts.wasOnIt}
          </h2>
          <Pieces pieces={past} />
        </section>
      )}
      <section aria-labelledby="saw-jobs" className="mt-6">
        <h2 id="saw-jobs" className="text-lg font-extrabold">
          {texts.jobs}
        </h2>
        <ul className="border-t border-line-strong">
          {jobs.map((job) => (
            <Visit key={job.jobId} job={job} />
          ))}
        </ul>
        {isCut && <p className="mt-2 text-sm text-ink-soft">{texts.earlierJobsAreThere}</p>}
      </section>
      <Said said={said} />
    </>
  );
}

function Pieces({ pieces }: { pieces: readonly PieceLine[] }) {
  return (
    <ul className="border-t border-line-strong">
      {pieces.map((piece) => (
        <PieceRow key={piece.id} piece={piece} />
      ))}
    </ul>
  );
}

function PieceRow({ piece }: { piece: PieceLine }) {
  const { shop } = useFrame();
  const words = useWords();
  const { part, began, ended, looks, first, marks, sold, tag, to } = piece;
  const how = howItCame(piece);
  const span = ended
    ? texts.fromUntil(shopDay(began.at, shop), shopDay(ended.at, shop))
    : texts.since(shopDay(began.at, shop));
  const other = began.how === 'found' && !ended && began.because;
  return (
    <li className="grid grid-cols-[9rem_1fr] gap-x-4 border-b border-line px-2 py-1.5 max-md:grid-cols-1">
      <a className="grid min-h-11 content-center font-bold underline" href={`/gear/pieces/${piece.id}`}>
        {partName[part]}
      </a>
      <div className="min-w-0 self-center">
        {!ended && (
          <p className={first ? 'font-semibold' : 'text-ink-soft'}>
            {first
              ? reachSentence(first, words.show, words.day)
              : looks === 0
                ? texts.noLookYet
                : texts.nothingToForesee}
          </p>
        )}
        <p className="text-sm text-ink-soft">
          {[
            tag && texts.tagged(tag),
            how,
            span,
            looks > 0 && texts.looks(looks),
            marksText(marks),
            sold && `${sold.sku} ${sold.name}`,
          ]
            .filter(Boolean)
            .join(' · ')}
        </p>
        {ended && <p className="text-sm">{endedText(ended, to && sawText(to), words.show)}</p>}
        {other && began.how === 'found' && (
          <p className="text-sm text-ink-soft">
            {texts.heldToBeAnother(otherBecause(other, words.show))}{' '}
            <SayButton
              act={{ say: 'piece-told', jobId: began.jobId, part, isSame: true }}
              name={texts.isTheOneBefore}
              about={partName[part]}
            />
          </p>
        )}
      </div>
    </li>
  );
}

function Visit({ job }: { job: GearVisit }) {
  const { shop } = useFrame();
  const done = job.worked.map(
    ({ part, operations }) => `${partName[part]}: ${list(operations.map((each) => operationWord[each]))}`,
  );
  const renewed =
    job.renewed.length > 0 ? [texts.wentOnNew(list(job.renewed.map((part) => inSentence(partName[part]))))] : [];
  const what = [...done, ...renewed];
  return (
    <li className="grid grid-cols-[9rem_13rem_1fr] items-center gap-x-4 border-b border-line px-2 py-1 max-md:grid-cols-1">
      <a className="grid min-h-11 content-center figures font-bold underline" href={`/jobs/${job.jobId}`}>
        {job.tag}
      </a>
      <span className="text-sm">
        {shopDay(job.came, shop)}
        <span className="block text-ink-soft">
          {job.went ? texts.wentOut(shopDay(job.went, shop)) : texts.stillHere}
        </span>
      </span>
      <span className="min-w-0 text-sm">
        {job.complaint !== '' && <span className="block text-ink-soft">“{job.complaint}”</span>}
        {what.length === 0 ? texts.nothingDone : what.join('. ')}
      </span>
    </li>
  );
}
