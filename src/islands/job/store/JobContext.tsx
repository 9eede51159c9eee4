import { createContext, useContext, useEffect, useMemo, useState, useSyncExternalStore, type ReactNode } from 'react';
import type { JobView, PutReadingsReply } from '../../../contract';
import { api, RequestFailed } from '../../frame/api';
import { JobStore, type Outside, type Snapshot } from './job-store';
import { keeping } from './keeping';
import { courseOf, meaningOf, type Meaning } from './meaning';
import { Outbox } from './outbox';

/** How often a visible screen asks for what other machines have stored. */
const LOOK_AGAIN_MS = 15_000;

interface JobValue extends Meaning {
  readonly view: JobView;
  readonly snapshot: Snapshot;
  readonly signedOff: boolean;
}

const JobContext = createContext<JobValue | null>(null);
const StoreContext = createContext<JobStore | null>(null);

/** The job on this screen: what was typed, and what it means. */
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

const channelName = (jobId: string): string => `serrata:job:${jobId}`;

/**
 * All of a view but its readings, which the store keeps up by itself, and what they came to when the page was drawn.
 */
const besideReadings = ({ readings: _readings, kept: _kept, ...rest }: JobView): string => JSON.stringify(rest);

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

interface JobProviderProps {
  readonly view: JobView;
  readonly who: string;
  readonly children: ReactNode;
}

/** Holds a job's readings and computes, at every keystroke, what they mean. */
export function JobProvider({ view: arrived, who, children }: JobProviderProps) {
  // Limits, codes, schools, photographs and sign-offs that were changed elsewhere arrive with the readings.
  const [view, setView] = useState(arrived);
  const [store] = useState(() => {
    return new JobStore(
      view.readings,
      new Outbox(window.localStorage, `serrata:outbox:${view.job.id}`, crypto.randomUUID()),
      outsideOf(view.job.id, (next) =>
        setView((before) => (besideReadings(before) === besideReadings(next) ? before : next)),
      ),
    );
  });
  const snapshot = useSyncExternalStore(store.subscribe, store.getSnapshot);
  useKeepingUp(store, view.job.id, who);
  const { signedOff } = courseOf(view);
  const [find] = useState(() => keeping(meaningOf, ['checks', 'stations', 'figures', 'hangsOn']));
  const { standing, drafts } = snapshot;
  const meaning = useMemo(
    () => find({ standing, drafts }, view, courseOf(view), who),
    [find, standing, drafts, view, who],
  );
  const value = useMemo(() => ({ view, snapshot, signedOff, ...meaning }), [view, snapshot, signedOff, meaning]);
  return (
    <StoreContext value={store}>
      <JobContext value={value}>{children}</JobContext>
    </StoreContext>
  );
}
