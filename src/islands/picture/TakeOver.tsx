import { useState } from 'react';
import type { PictureView, PutReadings, PutReadingsReply } from '../../contract';
import { Notice } from '../../ui/parts/Notice';
import { UNNAMED } from '../../wording';
import { api, failure } from '../frame/api';
import * as texts from '#language/screens/picture';

interface TakeOverProps {
  readonly job: string;
  readonly who: string;
  readonly span: NonNullable<PictureView['span']>;
}

type Conflict = Extract<PutReadingsReply['results'][number], { outcome: 'conflict' }>;

const PATHS = ['chain.span.rivets', 'chain.span.length'] as const;

/** A span over rivets is taken over into the job that asked for it; what stands there is replaced only when told. */
export function TakeOver({ job, who, span: { rivets, length } }: TakeOverProps) {
  const [standing, setStanding] = useState<readonly Conflict[]>([]);
  const [said, setSaid] = useState<{ readonly kind: 'good' | 'caution' | 'error'; readonly text: string } | null>(null);
  const send = async () => {
    const texted = { 'chain.span.rivets': String(rivets), 'chain.span.length': length };
    const message: PutReadings = {
      by: who || UNNAMED,
      readings: PATHS.map((path) => ({
        ...{ id: crypto.randomUUID(), path, text: texted[path], unit: 'mm' },
        instrument: path === 'chain.span.length' ? 'picture' : null,
        supersedes: standing.find(({ current }) => current.path === path)?.current.id ?? null,
      })),
    };
    try {
      const { results } = await api.post<PutReadingsReply>(`/api/jobs/${job}/readings`, message);
      const conflicts = results.filter((result) => result.outcome === 'conflict');
      setStanding(conflicts);
      const [first] = conflicts;
      setSaid(
        first
          ? { kind: 'caution', text: texts.standsThere(first.current.text, first.current.by) }
          : { kind: 'good', text: texts.takenOver },
      );
    } catch (error) {
      setSaid({ kind: 'error', text: failure(error, texts.notTakenOver) });
    }
  };
  return (
    <div className="mt-3 grid gap-2">
      {said?.kind !== 'good' && (
        <button type="button" className="act" onClick={() => void send()}>
          {standing.length > 0 ? texts.replaceWith(rivets, length) : texts.takeOver(rivets, length)}
        </button>
      )}
      <div role="status">
        {said && (
          <Notice kind={said.kind}>
            <p>{said.text}</p>
          </Notice>
        )}
      </div>
    </div>
  );
}
