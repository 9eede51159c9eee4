import type { HandOverPage, PaperLink } from '../../../contract';
import { CalendarPlus, FileDown, Printer } from 'lucide-react';
import { Notice } from '../../../ui/parts/Notice';
import { choiceDone, familyLabel, partName, plainDay, proofWord, sentence, shopMoment } from '../../../wording';
import { Going } from '../hand-over/Going';
import { Group, StepHead } from '../parts/StepHead';
import { useJob } from '../store/JobContext';
import { useJobData } from '../store/use-job-data';

type Document = HandOverPage['draft'];

/** Hand over: what was found, done and condemned, what is still open, the papers, and the next visit. */
export default function HandOver() {
  const { view } = useJob();
  const { data, put } = useJobData<HandOverPage>('hand-over');
  const isOut = view.job.state === 'handed-over';
  return (
    <>
      <StepHead title="Hand over">
        {isOut && data !== null && data !== 'failed' && data.last && (
          <p className="font-semibold">
            Handed over by {data.last.by} on {shopMoment(data.last.at, view.shop)}
          </p>
        )}
      </StepHead>
      {data === null && <p className="text-ink-soft">Putting it together…</p>}
      {data === 'failed' && <Notice kind="error">It could not be put together. Try again in a moment.</Notice>}
      {data !== null && data !== 'failed' && (
        <div className="grid grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)] gap-8 max-lg:grid-cols-1">
          <Told document={isOut && data.last ? data.last.document : data.draft} />
          <div>
            <Going view={data} onHandedOver={put} />
            <Papers papers={data.papers} />
          </div>
        </div>
      )}
    </>
  );
}

/** What the customer is told. */
function Told({ document }: { readonly document: Document }) {
  const { view } = useJob();
  const { parts, fitted, numbers, edgeDown, proof, advice, nextVisit } = document;
  const known = [
    numbers.pitch === null ? 'pitch not known' : familyLabel(numbers.pitch as Parameters<typeof familyLabel>[0]),
    numbers.gauge ?? 'gauge not known',
    numbers.driveLinks === null ? 'links not counted' : `${numbers.driveLinks} links`,
  ];
  return (
    <div>
      <Group title="What became of it">
        <ul className="grid gap-1.5">
          {parts.map(({ part, condemned, choice, why }) => (
            <li key={part}>
              <span className={`font-bold ${condemned ? 'text-oxide' : ''}`}>
                {partName[part]}: {condemned ? 'condemned' : choice ? choiceDone[choice] : 'undecided'}
              </span>
              <span className="block text-sm text-ink-soft">{(condemned ?? why)[0]}</span>
            </li>
          ))}
        </ul>
        {fitted.length > 0 && (
          <p className="mt-2">
            New: <strong>{fitted.map(({ name }) => name).join(', ')}</strong>
          </p>
        )}
      </Group>
      <Group title="For next time">
        <p className="figures text-2xl font-bold">{known.join(' · ')}</p>
        <p>
          {edgeDown ? `Edge ${edgeDown} is down now.` : 'Nobody said which edge is down now.'}
          {proof.state !== 'not-needed' && ` Proof: ${proofWord[proof.state]}.`}
        </p>
        <p className="mt-1">
          Next visit <strong>{plainDay(nextVisit.on, view.shop)}</strong>. {nextVisit.why}
        </p>
      </Group>
      {advice.length > 0 && (
        <Group title="What to tell them">
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

/** The papers, each to read, to print and as PDF; the document and the calendar file. */
function Papers({ papers }: { readonly papers: readonly PaperLink[] }) {
  const { view } = useJob();
  const { id } = view.job;
  return (
    <Group title="Papers">
      <ul className="border-t border-line">
        {papers.map((paper) => (
          <li key={paper.id} className="flex items-center gap-2 border-b border-line py-1">
            <span className="flex-1 font-semibold">{paper.name}</span>
            <a
              className="flex quiet items-center gap-1.5"
              href={`/jobs/${id}/${paper.id}`}
              aria-label={`${paper.name}, page to print`}
            >
              <Printer size={16} aria-hidden="true" />
              Page
            </a>
            <a
              className="flex quiet items-center gap-1.5"
              href={`/api/jobs/${id}/papers/${paper.id}.pdf`}
              aria-label={`${paper.name} as PDF`}
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
          Next visit for a calendar
        </a>
        <a className="flex quiet items-center gap-1.5" href={`/api/jobs/${id}/hand-over.json`} download>
          <FileDown size={16} aria-hidden="true" />
          Hand-over document
        </a>
        <a className="flex quiet items-center gap-1.5" href={`/api/jobs/${id}/sheet.json`} download>
          <FileDown size={16} aria-hidden="true" />
          Bench sheet
        </a>
      </p>
    </Group>
  );
}
