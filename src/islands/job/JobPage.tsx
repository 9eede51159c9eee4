import { startTransition, useCallback, useEffect, useMemo, useState } from 'react';
import { unpackJob, type JobView, type SentJob } from '../../contract';
import { shopMoment, UNNAMED } from '../../wording';
import { Frame } from '../frame/Frame';
import { useFrame } from '../frame/frame-context';
import type { Preferences } from '../frame/preferences';
import { firstStep } from './first-step';
import { Opening } from './Opening';
import type * as Bench from './bench';
import { asSeen, kept as keptHere } from '#language/screens/offline';

interface JobPageProps {
  readonly sent: SentJob;
  readonly preferences: Preferences;
  /** The step asked for in the address. */
  readonly step: string;
}

/** One job: its opening as the server draws it, and then, in the browser, all that it means. */
export function JobPage({ sent, ...others }: JobPageProps) {
  const view = useMemo(() => unpackJob(sent), [sent]);
  return <OpenJob view={view} {...others} />;
}

interface OpenJobProps extends Omit<JobPageProps, 'sent'> {
  readonly view: JobView;
  /** When the shop told it, of a job that is opened without the shop. */
  readonly seenAt?: string;
}

/** A job whose view is here, from the server or from what the browser keeps. */
export function OpenJob({ view, preferences, step, seenAt }: OpenJobProps) {
  const [opened, setOpened] = useState(false);
  const onOpened = useCallback(() => setOpened(true), []);
  return (
    <Frame
      shop={view.shop}
      preferences={preferences}
      place="bench"
      fixed
      waits={!opened}
      {...(seenAt === undefined ? {} : { under: () => <AsSeen at={seenAt} /> })}
    >
      <JobInFrame view={view} asked={step} onOpened={onOpened} />
    </Frame>
  );
}

/** Since when nobody knows what others did to this job. */
function AsSeen({ at }: { readonly at: string }) {
  const { shop } = useFrame();
  return (
    <section aria-label={keptHere} className="no-print bg-brass-pale px-4 py-1.5 text-sm">
      {asSeen(shopMoment(at, shop))}
    </section>
  );
}

/**
 * What a job is worked with: fetched beside the page, which shows its verdicts and answers taps before all that judges
 * them is there.
 */
const fetchBench = () => import('./bench');

/** The bench, and the job begun on it. */
interface AtWork {
  readonly bench: typeof Bench;
  readonly begun: Bench.Begun;
}

/** Begins a job at its bench; null until all is there. */
function useAtWork(arrived: JobView, who: string, asked: string, onView: (view: JobView) => void): AtWork | null {
  const [atWork, setAtWork] = useState<AtWork | null>(null);
  const [given] = useState({ view: arrived, who, step: firstStep(asked, arrived.kept.next.step) });
  useEffect(() => {
    let isGone = false;
    const begin = async () => {
      const bench = await fetchBench();
      const begun = await bench.begin(given, onView, () => isGone);
      // Drawn as a transition: what is pressed meanwhile comes first.
      if (begun) startTransition(() => setAtWork({ bench, begun }));
    };
    // What goes wrong is said where troubles of drawing are.
    begin().catch((error: unknown) =>
      setAtWork(() => {
        throw error;
      }),
    );
    return () => {
      isGone = true;
    };
  }, [given, onView]);
  return atWork;
}

/**
 * All of a view but its readings, which the store keeps up by itself, and what they came to when the page was drawn.
 */
const besideReadings = ({ readings: _readings, kept: _kept, ...rest }: JobView): string => JSON.stringify(rest);

function JobInFrame({ view: arrived, asked, onOpened }: { view: JobView; asked: string; onOpened: () => void }) {
  const named = useFrame().who || UNNAMED;
  const [view, setView] = useState(arrived);
  const onView = useCallback(
    (next: JobView) => setView((before) => (besideReadings(before) === besideReadings(next) ? before : next)),
    [],
  );
  const atWork = useAtWork(arrived, named, asked, onView);
  if (!atWork) return <Opening view={view} asked={asked} />;
  const { bench, begun } = atWork;
  return (
    <bench.JobProvider begun={begun} view={view} who={named}>
      <bench.Job arrived={view} asked={asked} onOpened={onOpened} />
    </bench.JobProvider>
  );
}
