import { useEffect, useState } from 'react';
import type { LimitId } from '../../core/limits';
import type { LimitPreview } from '../../contract';
import { actionWord, choicesSentence, money, partName } from '../../wording';
import { api, failure } from '../frame/api';
import { useFrame } from '../frame/frame-context';
import * as texts from '#language/screens/shop';

/** Somebody types for this long before it is asked what the change would do, ms. */
const SETTLES_AFTER = 350;

/** Jobs told of by name; the rest is counted. */
const TOLD = 6;

/** What a change would do to the open jobs, shown before it is saved. */
export function LimitEffect({ id, value }: { readonly id: LimitId; readonly value: string }) {
  const { shop } = useFrame();
  const [found, setFound] = useState<LimitPreview | string | null>(null);
  useEffect(() => {
    let isStale = false;
    const timer = setTimeout(() => {
      api.post<LimitPreview>(`/api/limits/${id}/preview`, { value }).then(
        (preview) => !isStale && setFound(preview),
        (error: unknown) => !isStale && setFound(failure(error, texts.effectNotKnown)),
      );
    }, SETTLES_AFTER);
    return () => {
      isStale = true;
      clearTimeout(timer);
    };
  }, [id, value]);
  if (found === null) return <p className="text-sm text-ink-soft">{texts.lookingAtTheOpenJobs}</p>;
  if (typeof found === 'string') return <p className="text-sm text-oxide">{found}</p>;
  const { jobs, effects } = found;
  return (
    <div role="status" className="text-sm">
      <p className="font-semibold">
        {effects.length === 0 ? texts.changesNothing(jobs) : texts.changesSome(effects.length, jobs)}
      </p>
      <ul>
        {effects.slice(0, TOLD).map(({ id: jobId, tag, verdicts, otherPlan, todayBy }) => (
          <li key={jobId}>
            <a className="figures underline" href={`/jobs/${jobId}?step=decide`}>
              {tag}
            </a>
            {verdicts.map(({ part, from, to }) => (
              <span key={part}>
                {' '}
                {texts.becomes(partName[part], actionWord[from].toLowerCase(), actionWord[to].toLowerCase())}
              </span>
            ))}
            {otherPlan && <span> {texts.theCheapestHourBecomes(choicesSentence({ choices: otherPlan.to }))}</span>}
            {todayBy !== 0 && (
              <span> {texts.leastToday(todayBy > 0 ? 'up' : 'down', money(Math.abs(todayBy), shop))}</span>
            )}
          </li>
        ))}
      </ul>
      {effects.length > TOLD && <p className="text-ink-soft">{texts.andMore(effects.length - TOLD)}</p>}
    </div>
  );
}
