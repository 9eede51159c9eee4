import { useMemo } from 'react';
import { mayTurn } from '../../core/life';
import { unpackView, type GearVisit, type PieceLine, type SawGearView, type Sent } from '../../contract';
import { inSentence, list, operationWord, partName, shopDay } from '../../wording';
import { PrintBar } from '../../ui/parts/PrintBar';
import { Frame } from '../frame/Frame';
import { useFrame } from '../frame/frame-context';
import type { Preferences } from '../frame/preferences';
import { opened } from '../frame/opened';
import { NumbersOf } from './NumbersOf';
import { Act } from './said/Act';
import { Pieces } from './PieceRows';
import { Said } from './said/Said';
import { chainText, useJobAddress } from './words';
import * as texts from '#language/screens/gear';

const SawForm = opened(() => import('./said/SawForm').then((there) => there.SawForm));
const InTurnForm = opened(() => import('./said/InTurnForm').then((there) => there.InTurnForm));
const WhichChainForm = opened(() => import('./said/WhichChainForm').then((there) => there.WhichChainForm));
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
  const { saw, customer, numbers, set, resting, past, jobs, said, isCut } = view;
  const chains = [...set, ...resting, ...past].filter(mayTurn);
  const turning = [...set, ...resting].filter(({ turns }) => turns > 1);
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
        {chains.length > 1 && (
          <Act name={texts.chainsInTurn}>
            <InTurnForm sawId={id} chains={chains} />
          </Act>
        )}
      </div>
      <div className="grid grid-cols-[1fr_19rem] items-start gap-x-8 gap-y-5 max-lg:grid-cols-1">
        <section aria-labelledby="saw-set">
          <h2 id="saw-set" className="text-lg font-extrabold">
            {texts.onItNow}
          </h2>
          {set.length === 0 ? <p className="text-ink-soft">{texts.notKnownYet}</p> : <Pieces pieces={set} />}
          {resting.length > 0 && (
            <>
              <h3 className="mt-3 font-bold">{texts.inTurnWithIt}</h3>
              <Pieces pieces={resting} />
            </>
          )}
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
            <Visit key={job.jobId} job={job} turning={turning} />
          ))}
        </ul>
        {isCut && <p className="mt-2 text-sm text-ink-soft">{texts.earlierJobsAreThere}</p>}
      </section>
      <Said said={said} />
    </>
  );
}

function Visit({ job, turning }: { job: GearVisit; turning: readonly PieceLine[] }) {
  const { shop } = useFrame();
  const jobAddress = useJobAddress();
  const done = job.worked.map(
    ({ part, operations }) => `${partName[part]}: ${list(operations.map((each) => operationWord[each]))}`,
  );
  const renewed =
    job.renewed.length > 0 ? [texts.wentOnNew(list(job.renewed.map((part) => inSentence(partName[part]))))] : [];
  const what = [...done, ...renewed];
  return (
    <li className="grid grid-cols-[9rem_13rem_1fr] items-center gap-x-4 border-b border-line px-2 py-1 max-md:grid-cols-1">
      <a className="grid min-h-11 content-center figures font-bold underline" href={jobAddress(job.jobId)}>
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
        {job.chain !== null && turning.length > 1 && <ItsChain job={job} chain={job.chain} turning={turning} />}
      </span>
    </li>
  );
}

interface ItsChainProps {
  readonly job: GearVisit;
  readonly chain: string;
  readonly turning: readonly PieceLine[];
}

/** Which of the chains that go in turn a job came with; where the measurements told it wrongly, it is said. */
function ItsChain({ job, chain, turning }: ItsChainProps) {
  const { shop } = useFrame();
  const its = turning.find(({ id }) => id === chain);
  return (
    <span className="no-print flex flex-wrap items-center gap-x-3">
      {its ? texts.cameWithChain(chainText(its, shop)) : texts.cameWithAnotherChain}
      <Act name={texts.whichChainOf(job.tag)} shown={texts.anotherOfThem} inLine>
        <WhichChainForm jobId={job.jobId} chain={chain} turning={turning} />
      </Act>
    </span>
  );
}
