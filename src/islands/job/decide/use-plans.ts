import { useEffect, useState } from 'react';
import type { PlansView } from '../../../contract';
import { api, failure } from '../../frame/api';
import { useAwaySince } from '../../frame/away/use-away';
import { useChanges } from '../../frame/live';
import type { PlansState } from './plans-state';
import { usePlansMadeHere } from './plans-made-here';
import { isSaved, useJob, useOfStore } from '../store/JobContext';
import * as texts from '#language/screens/job-decide';

/**
 * Asks for the plans once everything that was typed is stored, and anew with every reading and every change of the
 * rules or of the shelf; an answer to what no longer stands is dropped.
 * Where the shop cannot be reached, the browser makes them by itself, with the shelf as it was seen last.
 * @param supplier whether the supplier is asked for the chain too
 */
export function usePlans(supplier: boolean): PlansState {
  const { view } = useJob();
  const lastReading = useOfStore((readings) => readings.lastReading);
  const [state, setState] = useState<PlansState>({ is: 'asking' });
  const isStored = useOfStore(isSaved);
  const { id } = view.job;
  const changes = useChanges([{ job: id }, 'stock']);
  const isAway = useAwaySince() !== null;
  const here = usePlansMadeHere(isAway);
  useEffect(() => {
    if (!isStored || isAway) return;
    let isStale = false;
    setState((before) => (before.is === 'there' ? before : { is: 'asking' }));
    api.get<PlansView>(`/api/jobs/${id}/plans.json${supplier ? '?supplier=yes' : ''}`).then(
      (plans) => !isStale && setState({ is: 'there', view: plans }),
      (error: unknown) => !isStale && setState({ is: 'failed', message: failure(error, texts.plansNotMade) }),
    );
    return () => {
      isStale = true;
    };
  }, [id, isStored, lastReading, view.rulesMark, supplier, changes, isAway]);
  return here ?? state;
}
