import { useMemo, useSyncExternalStore } from 'react';
import { DEFAULT_RULES } from '../../core/assess';
import type { ShopView } from '../../contract';
import { useFrame } from '../frame/frame-context';
import type { JobValue } from '../job/store/JobContext';
import { meaningOf } from '../job/store/meaning';
import type { RoundStore } from './round-store';
import { silent } from './silent';
import * as texts from '#language/screens/practice';

/** A job as the instruments need one: of nobody, and with nothing of the shop's but how it writes. */
const jobOfNobody = (shop: ShopView): JobValue['view'] => ({
  ...{ shop, limits: DEFAULT_RULES.limits, codes: [], schools: DEFAULT_RULES.schools, studies: [] },
  job: { id: 'practice', tag: texts.practice, state: 'open', promisedFor: null, createdAt: '', createdBy: '' },
  customer: { id: '', name: texts.practice, contact: '' },
  ...{
    saw: null,
    readings: [],
    rulesMark: '',
    rulesAsOf: null,
    turnOvers: [],
    photos: [],
    choices: null,
    signOffs: [],
  },
});

const NONE = { standing: new Map(), drafts: new Map() } as const;

/** What readings of a set mean, as far as a learner is told. */
export function useMeaning(store: RoundStore, by: string): JobValue {
  const { shop } = useFrame();
  const snapshot = useSyncExternalStore(store.subscribe, store.getSnapshot, store.getSnapshot);
  const job = useMemo(() => jobOfNobody(shop), [shop]);
  const nothing = useMemo(() => meaningOf({ ...NONE, view: job, who: by }), [job, by]);
  return useMemo<JobValue>(() => {
    const { entered, appraisal } = meaningOf({
      standing: snapshot.standing,
      drafts: snapshot.drafts,
      view: job,
      who: by,
    });
    return {
      ...nothing,
      ...{ view: job, snapshot, signedOff: false, entered },
      appraisal: silent(appraisal, nothing.appraisal),
    };
  }, [snapshot, job, by, nothing]);
}
