import { useEffect } from 'react';
import type { Step } from '../../../core/reading';
import { useFrame } from '../../frame/frame-context';
import { live } from '../../frame/live';
import { useJob, useOfStore } from '../store/JobContext';

/** A caret that only passes is not told, ms. */
const SETTLED_MS = 250;

/** Tells the others at which step of this job somebody is, and which field they type into. */
export function useSayHere(step: Step): void {
  const { who } = useFrame();
  const { id } = useJob().view.job;
  const path = useOfStore(({ drafts }) => [...drafts.keys()].at(-1) ?? null);
  useEffect(() => {
    const timer = setTimeout(() => live.say({ by: who, at: { job: id, step, path } }), SETTLED_MS);
    return () => clearTimeout(timer);
  }, [who, id, step, path]);
}
