import { useEffect, useRef, useState } from 'react';
import type { JobView, PictureView, PutReadings, PutReadingsReply, StoredReadingMessage } from '../../contract';
import { Notice } from '../../ui/parts/Notice';
import { UNNAMED } from '../../wording';
import { api, failure } from '../frame/api';
import * as texts from '#language/screens/picture';

interface TakeOverProps {
  readonly job: string;
  readonly who: string;
  readonly span: NonNullable<PictureView['span']>;
}

const PATHS = ['chain.span.rivets', 'chain.span.length'] as const;

/** What stands at the two places now: one of them alone would be another span. */
async function standingIn(job: string): Promise<readonly StoredReadingMessage[]> {
  const { readings } = await api.get<JobView>(`/api/jobs/${job}`);
  return PATHS.map((path) => readings.findLast((reading) => reading.path === path)).filter(
    (each) => each !== undefined,
  );
}

interface Said {
  readonly kind: 'good' | 'caution' | 'error';
  readonly text: string;
}

/** Sends the span in the place of what stands there. */
async function sent({ job, who, span }: TakeOverProps, standing: readonly StoredReadingMessage[]): Promise<Said> {
  const texted = [String(span.rivets), span.length];
  const message: PutReadings = {
    by: who || UNNAMED,
    readings: PATHS.map((path, i) => ({
      ...{ id: crypto.randomUUID(), path, text: texted[i]!, unit: 'mm' },
      instrument: path === 'chain.span.length' ? 'picture' : null,
      supersedes: standing.find((reading) => reading.path === path)?.id ?? null,
    })),
  };
  const { results } = await api.post<PutReadingsReply>(`/api/jobs/${job}/readings`, message);
  const isIn = results.every(({ outcome }) => outcome === 'stored');
  return isIn ? { kind: 'good', text: texts.takenOver } : { kind: 'caution', text: texts.writtenMeanwhile };
}

/** A span over rivets is taken over into the job that asked for it; what stands there is replaced only when told. */
export function TakeOver(props: TakeOverProps) {
  const { job, span } = props;
  const [asked, setAsked] = useState(false);
  const [said, setSaid] = useState<Said | null>(null);
  const status = useRef<HTMLDivElement>(null);
  const isIn = said?.kind === 'good';
  // The button has gone then: the focus goes on to what it came to.
  useEffect(() => {
    if (isIn) status.current?.focus();
  }, [isIn]);
  const takeOver = async () => {
    try {
      const standing = await standingIn(job);
      const read = standing.filter(({ text }) => text !== '');
      const [first] = read;
      const mustAsk = first !== undefined && !asked;
      setAsked(mustAsk);
      setSaid(
        mustAsk
          ? { kind: 'caution', text: texts.standsThere(read.map(({ text }) => text).join(', '), first.by) }
          : await sent(props, standing),
      );
    } catch (error) {
      setSaid({ kind: 'error', text: failure(error, texts.notTakenOver) });
    }
  };
  return (
    <div className="mt-3 grid gap-2">
      {!isIn && (
        <button type="button" className="act" onClick={() => void takeOver()}>
          {(asked ? texts.replaceWith : texts.takeOver)(span.rivets, span.length)}
        </button>
      )}
      <div role="status" ref={status} tabIndex={-1}>
        {said && (
          <Notice kind={said.kind}>
            <p>{said.text}</p>
            {isIn && (
              <a className="inline-grid min-h-11 content-center underline" href={`/jobs/${job}?step=identify`}>
                {texts.toTheJob}
              </a>
            )}
          </Notice>
        )}
      </div>
    </div>
  );
}
