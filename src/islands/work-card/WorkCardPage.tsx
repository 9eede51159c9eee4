import type { WorkCardView, WorkOnPart } from '../../contract';
import { Notice } from '../../ui/parts/Notice';
import { PrintBar } from '../../ui/parts/PrintBar';
import { Frame } from '../frame/Frame';
import { useFrame } from '../frame/frame-context';
import type { Preferences } from '../frame/preferences';

interface WorkCardPageProps {
  readonly view: WorkCardView;
  readonly preferences: Preferences;
  readonly jobId: string;
}

/** The work card in large type, to print and lay beside the vise. */
export function WorkCardPage({ view, preferences, jobId }: WorkCardPageProps) {
  return (
    <Frame shop={view.shop} preferences={preferences} place="bench">
      <PrintBar back={`/jobs/${jobId}?step=rework`} to={view.tag} />
      <article className="mx-auto max-w-4xl border border-line-strong bg-sheet p-8 text-lg print:border-0 print:p-0">
        <header className="mb-4 graduated pt-5">
          <div className="flex items-baseline justify-between">
            <h1 className="text-2xl font-extrabold">Work card</h1>
            <p className="figures text-2xl font-bold">{view.tag}</p>
          </div>
          <p>{[view.customer, view.saw, view.date].filter(Boolean).join(' · ')}</p>
          {view.verdict !== null && <p className="mt-1 text-xl font-bold">Bar: {view.verdict}</p>}
        </header>
        {view.verdict !== null && <BarWork view={view} />}
        {view.others.map((work) => (
          <PartWork key={work.title} work={work} />
        ))}
      </article>
    </Frame>
  );
}

/** What comes off which rail, in which order, and how it is levelled. */
function BarWork({ view }: { view: WorkCardView }) {
  return (
    <>
      {view.edges.length === 0 && <Notice kind="info">No metal has to come off this bar.</Notice>}
      <div className="grid grid-cols-2 gap-6 max-md:grid-cols-1">
        {view.edges.map((edge) => (
          <EdgeTable key={edge.edge} edge={edge} />
        ))}
      </div>
      {view.left.map((text) => (
        <p key={text} className="mt-2">
          {text}
        </p>
      ))}
      <div className="mt-4 grid grid-cols-2 gap-6 max-md:grid-cols-1">
        <section>
          <h2 className="font-bold">In this order</h2>
          <ol className="list-decimal pl-6">
            {view.operations.map((text) => (
              <li key={text}>{text}</li>
            ))}
            <li>Measure again</li>
          </ol>
        </section>
        <section>
          <h2 className="font-bold">Levelling: {view.levelling.school}</h2>
          <ol className="list-decimal pl-6">
            {view.levelling.steps.map((text) => (
              <li key={text}>{text}</li>
            ))}
          </ol>
        </section>
      </div>
      <ul className="mt-4 border-t border-line pt-2 text-base">
        {view.cautions.map((text) => (
          <li key={text}>{text}</li>
        ))}
      </ul>
    </>
  );
}

/** The work on the chain or the drive sprocket, below the bar's. */
function PartWork({ work: { title, verdict, rows, notes, operations, cautions } }: { work: WorkOnPart }) {
  return (
    <section aria-label={title} className="mt-6 break-inside-avoid border-t-2 border-ink pt-3">
      <h2 className="text-xl font-extrabold">
        {title}: {verdict}
      </h2>
      <div className="mt-1 grid grid-cols-2 gap-6 max-md:grid-cols-1">
        <ol className="list-decimal pl-6">
          {operations.map((text) => (
            <li key={text}>{text}</li>
          ))}
        </ol>
        <dl className="grid grid-cols-[auto_1fr] content-start gap-x-4">
          {rows.map(({ name, value }) => (
            <div key={name} className="contents">
              <dt>{name}</dt>
              <dd className="figures font-bold">{value}</dd>
            </div>
          ))}
        </dl>
      </div>
      {notes.map((text) => (
        <p key={text} className="mt-1">
          {text}
        </p>
      ))}
      <ul className="mt-2 text-base">
        {cautions.map((text) => (
          <li key={text}>{text}</li>
        ))}
      </ul>
    </section>
  );
}

function EdgeTable({ edge: { edge, effort, rows } }: { edge: WorkCardView['edges'][number] }) {
  const { position, show } = useFrame();
  const off = (amount: number | null) => (amount === null ? 'stay off' : amount < 0.005 ? '–' : show(amount));
  return (
    <section aria-label={`Edge ${edge}`}>
      <h2 className="text-xl font-extrabold">Edge {edge}</h2>
      <table className="w-full border-collapse text-2xl">
        <thead>
          <tr className="border-b-2 border-ink text-left text-base">
            <th scope="col">at</th>
            <th scope="col">near off</th>
            <th scope="col">far off</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ at, near, far }) => (
            <tr key={at} className="border-b border-line">
              <th scope="row" className="text-left figures font-normal">
                {position(at)}
              </th>
              <td className="figures font-bold">{off(near)}</td>
              <td className="figures font-bold">{off(far)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-base">{effort}</p>
    </section>
  );
}
