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
import { api, mayRetry } from '../../frame/api';
import { connection } from '../../frame/away/connection';
import { jobLock } from '../../frame/away/job-lock';
import { keep, KEPT, keepReadings } from '../../frame/away/keep';
import { useLive } from '../../frame/live';
import { afterPaint } from '../../../ui/parts/paint';
import { inTurns } from '../../frame/turns';
import { JobStore, type Outside, type ReadingsStore, type Snapshot } from './job-store';
import { Judged } from './judged';
import { courseOf, meaning, type Given, type Meaning } from './meaning';
import { Outbox } from '../../../offline/outbox';

export interface JobValue extends Meaning {
  readonly view: Omit<JobView, 'kept'>;
  /** What was typed, as it stood when this was worked out. */
  readonly snapshot: Snapshot;
  readonly signedOff: boolean;
}

const JobContext = createContext<JobValue | null>(null);
const StoreContext = createContext<ReadingsStore | null>(null);

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
export function useJobStore(): ReadingsStore {
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
      keep(`${KEPT.job}${jobId}`, view);
      onView(view);
      return view;
    },
    newId: () => crypto.randomUUID(),
    later: (work, ms) => setTimeout(work, ms),
    announce: (stored, lastReading) => {
      // Should the shop go this moment, they are in what is kept of the job.
      const at = new Date().toISOString();
      keepReadings(
        jobId,
        stored.map(({ supersedes: _supersedes, ...reading }) => ({ ...reading, seq: lastReading, at })),
      );
      const channel = new BroadcastChannel(channelName(jobId));
      channel.postMessage('stored');
      channel.close();
    },
    mayRetry,
  };
}

/** Sends at start, when the connection returns, and keeps up with other tabs and machines. */
function useKeepingUp(store: JobStore, jobId: string, who: string): void {
  // What is judged by, and what a job shows beside its readings, changes with the shop.
  useLive([{ job: jobId }, 'rules', 'shop', 'gear'], () => store.refresh());
  useEffect(() => {
    const look = () => void store.refresh().catch(() => undefined);
    const send = () => void store.flush();
    const leave = () => document.visibilityState === 'hidden' && store.enterAll(who);
    const channel = new BroadcastChannel(channelName(jobId));
    channel.onmessage = look;
    // The shop is there again: what others did meanwhile is looked at, and what was typed here brought in.
    const back = connection.subscribe(() => {
      if (connection.awaySince() !== null) return;
      send();
      look();
    });
    window.addEventListener('online', send);
    window.addEventListener('focus', look);
    window.addEventListener('pagehide', leave);
    document.addEventListener('visibilitychange', leave);
    send();
    // What was typed here is brought in from here.
    const leaves = new AbortController();
    const here = () => new Promise<void>((resolve) => leaves.signal.addEventListener('abort', () => resolve()));
    navigator.locks?.request(jobLock(jobId), { mode: 'shared', signal: leaves.signal }, here).catch(() => undefined);
    return () => {
      leaves.abort();
      back();
      channel.close();
      window.removeEventListener('online', send);
      window.removeEventListener('focus', look);
      window.removeEventListener('pagehide', leave);
      document.removeEventListener('visibilitychange', leave);
    };
  }, [store, jobId, who]);
}

/** A job whose readings are there, and what they mean: worked out before anything is drawn of it. */
export interface Begun {
  readonly store: JobStore;
  readonly given: Given;
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
  keep(`${KEPT.job}${job.id}`, view);
  const box = new Outbox(window.localStorage, job.id, crypto.randomUUID());
  const store = new JobStore(readings, box, outsideOf(job.id, onView));
  const { standing, drafts } = store.getSnapshot();
  const given = { standing, drafts, view, who };
  const found = await inTurns(meaning(given), isGone);
  return found && { store, given, meaning: found };
}

/** What the readings mean: what was worked out ahead, or else at once. */
function useMeaning(judged: Judged, { standing, drafts }: Snapshot, view: JobView, who: string): Meaning {
  return useMemo(() => judged.now({ standing, drafts, view, who }), [judged, standing, drafts, view, who]);
}

interface JobProviderProps {
  readonly begun: Begun;
  readonly view: JobView;
  readonly who: string;
  readonly children: ReactNode;
}

/**
 * The readings as they are once the key that changed them is on the screen and they are judged: on a slow machine
 * neither that key nor the next one waits.
 */
function useShown(store: JobStore, judged: Judged, view: JobView, who: string): Snapshot {
  const [shown, setShown] = useState(store.getSnapshot);
  useEffect(() => {
    let isGone = false;
    let isAtIt = false;
    const follow = async () => {
      const snapshot = store.getSnapshot();
      await judged.ahead({ standing: snapshot.standing, drafts: snapshot.drafts, view, who }, () => isGone);
      isAtIt = false;
      if (isGone) return;
      startTransition(() => setShown(snapshot));
      if (store.getSnapshot() !== snapshot) changed();
    };
    const changed = () => {
      if (!isAtIt) afterPaint(() => void follow());
      isAtIt = true;
    };
    changed();
    const leave = store.subscribe(changed);
    return () => {
      isGone = true;
      leave();
    };
  }, [store, judged, view, who]);
  return shown;
}

/** Holds a job's readings and computes, at every keystroke, what they mean. */
export function JobProvider({ begun, view, who, children }: JobProviderProps) {
  const { store } = begun;
  const [judged] = useState(() => new Judged(begun.given, begun.meaning));
  const snapshot = useShown(store, judged, view, who);
  useKeepingUp(store, view.job.id, who);
  const { signedOff } = courseOf(view);
  const means = useMeaning(judged, snapshot, view, who);
  const value = useMemo(() => ({ view, snapshot, signedOff, ...means }), [view, snapshot, signedOff, means]);
  return (
    <StoreContext value={store}>
      <JobContext value={value}>{children}</JobContext>
    </StoreContext>
  );
}

interface GivenJobProps {
  readonly store: ReadingsStore;
  readonly value: JobValue;
  readonly children: ReactNode;
}

/** Holds what is no job of the shop, and is worked with the same instruments: a round of practice. */
export function GivenJob({ store, value, children }: GivenJobProps) {
  return (
    <StoreContext value={store}>
      <JobContext value={value}>{children}</JobContext>
    </StoreContext>
  );
}
