import {
  createContext,
  startTransition,
  useContext,
  useEffect,
  useMemo,
  useState,
  useSyncExternalStore,
  type ReactNode,
} from 'react';
import type { JobView, PutReadingsReply } from '../../../contract';
import { api, RequestFailed } from '../../frame/api';
import { afterPaint } from '../../../ui/parts/paint';
import { inTurns } from '../../frame/turns';
import { JobStore, type Outside, type Snapshot } from './job-store';
import { keeping } from './keeping';
import { courseOf, meaning, meaningOf, type Meaning } from './meaning';
import { Outbox } from './outbox';

/** How often a visible screen asks for what other machines have stored. */
const LOOK_AGAIN_MS = 15_000;

interface JobValue extends Meaning {
  readonly view: JobView;
  /** What was typed, as it stood when this was worked out. */
  readonly snapshot: Snapshot;
  readonly signedOff: boolean;
}

const JobContext = createContext<JobValue | null>(null);
const StoreContext = createContext<JobStore | null>(null);

/** The job on this screen: what was typed, and what it means. It follows a key in its own time: see `useOfStore`. */
export function useJob(): JobValue {
  const job = useContext(JobContext);
  if (!job) throw new Error('useJob is used outside a job.');
  return job;
}

/**
 * Where readings of this job are typed into. It stays the same, so that who only writes is not drawn anew with every
 * reading.
 */
export function useJobStore(): JobStore {
  const store = useContext(StoreContext);
  if (!store) throw new Error('useJobStore is used outside a job.');
  return store;
}

/**
 * Something of the readings as they are at this moment: what a field shows, and what an act waits for. Screens that
 * tell what the readings mean take `useJob`, which is drawn after the key is.
 */
export function useOfStore<T>(select: (snapshot: Snapshot) => T): T {
  const store = useJobStore();
  return useSyncExternalStore(store.subscribe, () => select(store.getSnapshot()));
}

/** Whether all that was entered is stored. */
export const isSaved = ({ saving }: Snapshot): boolean => saving === 'saved';

const channelName = (jobId: string): string => `serrata:job:${jobId}`;

function outsideOf(jobId: string, onView: (view: JobView) => void): Outside {
  return {
    send: (message) => api.post<PutReadingsReply>(`/api/jobs/${jobId}/readings`, message),
    fetchJob: async () => {
      const view = await api.get<JobView>(`/api/jobs/${jobId}`);
      onView(view);
      return view;
    },
    newId: () => crypto.randomUUID(),
    later: (work, ms) => setTimeout(work, ms),
    announce: () => {
      const channel = new BroadcastChannel(channelName(jobId));
      channel.postMessage('stored');
      channel.close();
    },
    mayRetry: (error) => !(error instanceof RequestFailed) || error.unreachable,
  };
}

/** Sends at start, when the connection returns, and keeps up with other tabs and machines. */
function useKeepingUp(store: JobStore, jobId: string, who: string): void {
  useEffect(() => {
    const look = () => void store.refresh().catch(() => undefined);
    const send = () => void store.flush();
    const leave = () => document.visibilityState === 'hidden' && store.enterAll(who);
    const visible = () => document.visibilityState === 'visible' && look();
    const channel = new BroadcastChannel(channelName(jobId));
    channel.onmessage = look;
    const timer = setInterval(visible, LOOK_AGAIN_MS);
    window.addEventListener('online', send);
    window.addEventListener('focus', look);
    window.addEventListener('pagehide', leave);
    document.addEventListener('visibilitychange', leave);
    send();
    return () => {
      channel.close();
      clearInterval(timer);
      window.removeEventListener('online', send);
      window.removeEventListener('focus', look);
      window.removeEventListener('pagehide', leave);
      document.removeEventListener('visibilitychange', leave);
    };
  }, [store, jobId, who]);
}

/** A job whose readings are there, and what they mean: worked out before anything is drawn of it. */
export interface Begun {
  readonly view: JobView;
  readonly who: string;
  readonly store: JobStore;
  readonly meaning: Meaning;
}

/**
 * Begins a job in turns of its own, so that the page it opens on goes on answering.
 * @param onView hears of limits, codes, schools, photographs and sign-offs that were changed elsewhere
 * @returns null where it was left meanwhile
 */
export async function begunOn(
  view: JobView,
  who: string,
  onView: (view: JobView) => void,
  isGone: () => boolean,
): Promise<Begun | null> {
  const { job, readings } = view;
  const box = new Outbox(window.localStorage, `serrata:outbox:${job.id}`, crypto.randomUUID());
  const store = new JobStore(readings, box, outsideOf(job.id, onView));
  const found = await inTurns(meaning(store.getSnapshot(), view, courseOf(view), who), isGone);
  return found && { view, who, store, meaning: found };
}

/** Lists of a meaning that are long, and of which little is drawn. */
const AFRESH = ['checks', 'stations', 'figures', 'hangsOn'];

/** What the readings mean: what was worked out as the job began, and then anew at every keystroke. */
function useMeaning(begun: Begun, { standing, drafts }: Snapshot, view: JobView, who: string): Meaning {
  const [first] = useState({ ...begun, standing, drafts });
  const [find] = useState(() => keeping(meaningOf, AFRESH, first.meaning));
  return useMemo(() => {
    const given = { standing, drafts, view, who };
    const isFirst = (Object.keys(given) as (keyof typeof given)[]).every((each) => given[each] === first[each]);
    return isFirst ? first.meaning : find(given, view, courseOf(view), who);
  }, [first, find, standing, drafts, view, who]);
}

interface JobProviderProps {
  readonly begun: Begun;
  readonly view: JobView;
  readonly who: string;
  readonly children: ReactNode;
}

/**
 * The readings as they are once the key that changed them is on the screen: a key is shown first and then judged, and
 * on a slow machine neither it nor the next one waits.
 */
function useShown(store: JobStore): Snapshot {
  const [shown, setShown] = useState(store.getSnapshot);
  useEffect(() => {
    let waits = false;
    const follow = () => {
      waits = false;
      startTransition(() => setShown(store.getSnapshot()));
    };
    const changed = () => {
      if (!waits) afterPaint(follow);
      waits = true;
    };
    changed();
    return store.subscribe(changed);
  }, [store]);
  return shown;
}

/** Holds a job's readings and computes, at every keystroke, what they mean. */
export function JobProvider({ begun, view, who, children }: JobProviderProps) {
  const { store } = begun;
  const snapshot = useShown(store);
  useKeepingUp(store, view.job.id, who);
  const { signedOff } = courseOf(view);
  const means = useMeaning(begun, snapshot, view, who);
  const value = useMemo(() => ({ view, snapshot, signedOff, ...means }), [view, snapshot, signedOff, means]);
  return (
    <StoreContext value={store}>
      <JobContext value={value}>{children}</JobContext>
    </StoreContext>
  );
}
