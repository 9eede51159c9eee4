import { useCallback, useMemo, useRef, useState } from 'react';
import { Plus } from 'lucide-react';
import { WAITS } from '../../core/reading';
import { unpackView, type BenchView, type Sent } from '../../contract';
import { waitsWord } from '../../wording';
import { Empty } from '../../ui/parts/Notice';
import { Pager } from '../../ui/parts/Pager';
import { Frame } from '../frame/Frame';
import { useKeptAlong } from './use-kept-along';
import { useKeptFocus } from './use-kept-focus';
import { useKeys } from '../frame/keys';
import { useLiveView } from '../frame/live';
import type { Preferences } from '../frame/preferences';
import { DueList } from './DueList';
import { FirstSteps } from './FirstSteps';
import { JobGroups } from './JobGroups';
import { JobLine } from './JobLine';
import { NewJob } from './NewJob';
import * as texts from '#language/screens/bench';

interface BenchPageProps {
  readonly sent: Sent<BenchView>;
  readonly preferences: Preferences;
  /** The query of the address, for paging. */
  readonly query: string;
}

/** The Bench: today's work by what it waits for, each job with its next step; and who is due. */
export function BenchPage({ sent, preferences, query }: BenchPageProps) {
  const arrived = useMemo(() => unpackView(sent), [sent]);
  const view = useLiveView(`/api/bench?${query}`, arrived, ['job', 'shop', 'rules', 'gear']);
  return (
    <Frame shop={view.shop} preferences={preferences} place="bench">
      <Bench view={view} query={query} />
    </Frame>
  );
}

function Bench({ view, query }: { view: BenchView; query: string }) {
  const [taking, setTaking] = useState(false);
  const list = useRef<HTMLDivElement>(null);
  const isBench = view.title === null;
  useKeptFocus(list, view);
  useKeptAlong(view);
  const move = useCallback((step: 1 | -1) => {
    const links = [...(list.current?.querySelectorAll<HTMLAnchorElement>('a[data-job]') ?? [])];
    const at = links.findIndex((link) => link === document.activeElement);
    links[Math.max(0, Math.min(links.length - 1, at + step))]?.focus();
  }, []);
  useKeys(
    useMemo(
      () => [
        { shown: ['n'], does: texts.takeInANewJob, on: 'n', act: () => setTaking(true) },
        { shown: ['j'], does: texts.nextJob, on: 'j', act: () => move(1) },
        { shown: ['k'], does: texts.jobBefore, on: 'k', act: () => move(-1) },
        { shown: ['Enter'], does: texts.openTheJob },
      ],
      [move],
    ),
  );
  return (
    <>
      <div className="mb-4 flex flex-wrap items-end gap-x-6 gap-y-2">
        <div>
          <h1 className="text-2xl font-extrabold">{view.title ?? texts.onTheBench}</h1>
          <p className="text-ink-soft">
            {view.shop.name} · {texts.countOfJobs(view.total)}
          </p>
        </div>
        <Show query={query} />
        <button type="button" className="ml-auto flex act items-center gap-2" onClick={() => setTaking(true)}>
          <Plus size={18} aria-hidden="true" />
          {texts.takeInAJob}
        </button>
      </div>
      {isBench && <Waiting view={view} />}
      {view.jobs.length === 0 ? (
        <Empty title={texts.nothingOnTheBench}>
          {texts.takeInAJobWith} <kbd className="figures">n</kbd>.
        </Empty>
      ) : isBench ? (
        <JobGroups jobs={view.jobs} today={view.today} ref={list} />
      ) : (
        <div ref={list}>
          <ul className="border-t border-line-strong">
            {view.jobs.map((job) => (
              <JobLine key={job.id} job={job} today={view.today} />
            ))}
          </ul>
        </div>
      )}
      <Pager page={view.page} pages={view.pages} href={(page) => `/?${withPage(query, page)}`} />
      {isBench && <DueList due={view.due} today={view.today} />}
      {view.shop.isDemo && <FirstSteps jobs={view.jobs} />}
      <NewJob open={taking} onClose={() => setTaking(false)} />
    </>
  );
}

function withPage(query: string, page: number): string {
  const params = new URLSearchParams(query);
  params.set('page', String(page));
  return params.toString();
}

const TAB =
  'grid min-h-11 place-items-center px-3 font-semibold text-ink-soft border-b-3 border-transparent aria-[current=true]:border-brass aria-[current=true]:text-ink';

/** Where the gear is of whose jobs these are; null of all jobs. */
function gearOf(params: URLSearchParams): string | null {
  const [customer, saw] = [params.get('customer'), params.get('saw')];
  if (customer) return `/gear/customers/${encodeURIComponent(customer)}`;
  return saw ? `/gear/saws/${encodeURIComponent(saw)}` : null;
}

/** On the bench, or gone; of one customer or saw also what they have. */
function Show({ query }: { query: string }) {
  const params = new URLSearchParams(query);
  const narrowed = params.has('customer') || params.has('saw');
  const done = params.get('show') === 'done';
  const gear = gearOf(params);
  return (
    <nav aria-label={texts.whichJobs} className="flex">
      <a className={TAB} href="/" aria-current={!done && !narrowed ? 'true' : undefined}>
        {texts.onTheBench}
      </a>
      <a className={TAB} href="/?show=done" aria-current={done ? 'true' : undefined}>
        {texts.handedOver}
      </a>
      {gear && (
        <a className={TAB} href={gear}>
          {texts.gear}
        </a>
      )}
    </nav>
  );
}

/** What jobs wait for, and how many for each thing; one narrows the list to it. */
function Waiting({ view: { waiting, waits } }: { view: BenchView }) {
  const there = WAITS.filter((each) => (waiting[each] ?? 0) > 0 || each === waits);
  if (there.length < 2 && waits === null) return null;
  const look =
    'flex min-h-11 items-center gap-1.5 rounded-[3px] border border-line-strong px-3 hover:bg-well aria-[current=true]:border-ink aria-[current=true]:bg-ink aria-[current=true]:text-sheet';
  return (
    <nav aria-label={texts.whatJobsWait} className="mb-4 flex flex-wrap gap-2">
      <a className={look} href="/" aria-current={waits === null ? 'true' : undefined}>
        {texts.all}
      </a>
      {there.map((each) => (
        <a key={each} className={look} href={`/?waits=${each}`} aria-current={waits === each ? 'true' : undefined}>
          {waitsWord[each]} <span className="figures font-bold">{waiting[each] ?? 0}</span>
        </a>
      ))}
    </nav>
  );
}
