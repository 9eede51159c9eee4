import { isRenewed, saidByHandOver } from '../../../core/course';
import type { HandOverPage, PaperLink } from '../../../contract';
import { CalendarPlus, FileDown, Printer } from 'lucide-react';
import { Notice } from '../../../ui/parts/Notice';
import {
  familyLabel,
  inSentence,
  partName,
  plainDay,
  proofWord,
  sentence,
  shopMoment,
  storyWord,
} from '../../../wording';
import { Going } from '../hand-over/Going';
import { Group, StepHead } from '../parts/StepHead';
import { useJob } from '../store/JobContext';
import { isTold, useJobData } from '../store/use-job-data';
import * as texts from '#language/screens/job-hand-over';
import { handingOverWaits } from '#language/screens/offline';

type Document = HandOverPage['draft'];

/** Hand over: what was found, done and condemned, what is still open, the papers, and the next visit. */
export default function HandOver() {
  const { view } = useJob();
  const { data, put } = useJobData<HandOverPage>('hand-over');
  const isOut = view.job.state === 'handed-over';
  return (
    <>
      <StepHead title={texts.handOver}>
        {isOut && isTold(data) && data.last && (
          <p className="font-semibold">{texts.handedOverBy(data.last.by, shopMoment(data.last.at, view.shop))}</p>
        )}
      </StepHead>
      {data === null && <p className="text-ink-soft">{texts.puttingItTogether}</p>}
      {data === 'failed' && <Notice kind="error">{texts.notPutTogether}</Notice>}
      {data === 'away' && <Notice kind="caution">{handingOverWaits}</Notice>}
      {isTold(data) && (
        <div className="grid grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)] gap-8 max-lg:grid-cols-1">
          <Told document={isOut && data.last ? data.last.document : data.draft} />
          <div>
            <Going view={data} onView={put} />
            <Papers papers={data.papers} />
            <Given given={isOut ? data.given.slice(1) : data.given} />
          </div>
        </div>
      )}
    </>
  );
}

/** What the customer is told. */
function Told({ document }: { readonly document: Document }) {
  const { view, stories } = useJob();
  const moment = stories[0]?.moment ?? 'came';
  const { parts, fitted, numbers, edgeDown, proof, advice, nextVisit } = document;
  const said = saidByHandOver(document, moment);
  const isNewBar = said.some((each) => each.part === 'bar' && isRenewed(each));
  const known = [
    numbers.pitch === null ? texts.pitchNotKnown : familyLabel(numbers.pitch as Parameters<typeof familyLabel>[0]),
    numbers.gauge ?? texts.gaugeNotKnown,
    numbers.driveLinks === null ? texts.linksNotCounted : texts.countOfLinks(numbers.driveLinks),
  ];
  return (
    <div>
      <Group title={texts.whatBecameOfIt}>
        <ul className="grid gap-1.5">
          {parts.map(({ part, condemned, why }, i) => (
            <li key={part}>
              <span className={`font-bold ${condemned ? 'text-oxide' : ''}`}>
                {partName[part]}: {inSentence(storyWord(said[i]!))}
              </span>
              <span className="block text-sm text-ink-soft">{condemned ? condemned.join(' ') : why[0]}</span>
            </li>
          ))}
        </ul>
        {fitted.length > 0 && (
          <p className="mt-2">
            {texts.newParts} <strong>{fitted.map(({ name }) => name).join(', ')}</strong>
          </p>
        )}
      </Group>
      <Group title={texts.forNextTime}>
        <p className="figures text-2xl font-bold">{known.join(' · ')}</p>
        <p>
          {edgeDown ? texts.edgeIsDownNow(edgeDown) : isNewBar ? '' : texts.nobodySaidWhichEdge}
          {proof.state !== 'not-needed' && ` ${texts.proofStands(proofWord[proof.state])}`}
        </p>
        <p className="mt-1">
          {texts.nextVisit} <strong>{plainDay(nextVisit.on, view.shop)}</strong>. {nextVisit.why}
        </p>
      </Group>
      {advice.length > 0 && (
        <Group title={texts.whatToTellThem}>
          <ul className="grid gap-1.5">
            {advice.map(({ code, says, because }) => (
              <li key={code}>
                {says} <span className="text-sm text-ink-soft">({sentence(because)})</span>
              </li>
            ))}
          </ul>
        </Group>
      )}
    </div>
  );
}

/** What the customer was given before: kept as it was, whatever was judged since. */
function Given({ given }: { readonly given: HandOverPage['given'] }) {
  const { view } = useJob();
  if (given.length === 0) return null;
  return (
    <Group title={texts.givenBefore}>
      <ul className="border-t border-line">
        {given.map(({ id, at, by }) => (
          <li key={id} className="flex items-center gap-2 border-b border-line py-1">
            <span className="flex-1">{texts.handedOverBy(by, shopMoment(at, view.shop))}</span>
            <a className="grid quiet place-items-center" href={`/jobs/${view.job.id}/customer?given=${id}`}>
              {texts.customersPage}
            </a>
          </li>
        ))}
      </ul>
    </Group>
  );
}

/** The papers, each to read, to print and as PDF; the document and the calendar file. */
function Papers({ papers }: { readonly papers: readonly PaperLink[] }) {
  const { view } = useJob();
  const isOut = view.job.state === 'handed-over';
  const { id } = view.job;
  return (
    <Group title={texts.papers}>
      <ul className="border-t border-line">
        {papers.map((paper, i) => (
          <li key={paper.id} className="flex items-center gap-2 border-b border-line py-1">
            <span className="flex-1 font-semibold">{paper.name}</span>
            <a
              className="flex quiet items-center gap-1.5"
              href={`/jobs/${id}/${paper.id}`}
              aria-label={texts.pageToPrint(paper.name)}
              data-next={i === 0 && isOut ? true : undefined}
            >
              <Printer size={16} aria-hidden="true" />
              {texts.page}
            </a>
            <a
              className="flex quiet items-center gap-1.5"
              href={`/api/jobs/${id}/papers/${paper.id}.pdf`}
              aria-label={texts.asPdf(paper.name)}
            >
              <FileDown size={16} aria-hidden="true" />
              PDF
            </a>
          </li>
        ))}
      </ul>
      <p className="mt-2 flex flex-wrap gap-2">
        <a className="flex quiet items-center gap-1.5" href={`/api/jobs/${id}/next-visit.ics`} download>
          <CalendarPlus size={16} aria-hidden="true" />
          {texts.nextVisitForACalendar}
        </a>
        <a className="flex quiet items-center gap-1.5" href={`/api/jobs/${id}/hand-over.json`} download>
          <FileDown size={16} aria-hidden="true" />
          {texts.handOverDocument}
        </a>
        <a className="flex quiet items-center gap-1.5" href={`/api/jobs/${id}/sheet.json`} download>
          <FileDown size={16} aria-hidden="true" />
          {texts.benchSheet}
        </a>
      </p>
    </Group>
  );
}
