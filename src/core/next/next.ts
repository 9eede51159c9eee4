import { positionOf, type BarAssessment } from '../bar/checks';
import type { ChainAssessment } from '../chain/checks';
import type { FitJudgement } from '../fit';
import type { Identity } from '../identify';
import type { Check, Verdict } from '../judge';
import type { PastHeard } from '../past/checks';
import type { BenchSheet } from '../sheet';
import type { Diagnosis } from '../symptom';
import type { Asked, NextMeasurement } from './asked';
import { contradicted, gaugesAgain, levelTests, looksAgain, otherSide, repeats, unjudged } from './checks';
import { afterDerailing, bearing, lookingFor } from './complaint';
import { decidingDepths } from './depths';
import { inOrder } from './order';
import { angleWaits, choosingNew, identifying, leanWaits, limitWaits, metalLeft, missing, sparing } from './parts';

/** What a sheet means, as far as it decides what to measure. */
export interface Meaning {
  readonly sheet: BenchSheet;
  readonly identity: Identity;
  readonly checks: readonly Check[];
  readonly verdicts: readonly Verdict[];
  readonly bar: BarAssessment;
  readonly chain: ChainAssessment;
  readonly fit: readonly FitJudgement[];
  readonly diagnoses: readonly Diagnosis[];
  readonly past: Pick<PastHeard, 'spared' | 'instead' | 'wouldSpare'>;
}

/** Everything that is worth asking for, in no order. */
function worthAsking({
  sheet,
  identity,
  checks,
  verdicts,
  bar,
  chain,
  fit,
  diagnoses,
  past,
}: Meaning): readonly Asked[] {
  const open = verdicts.filter(({ action }) => action === 'undecided').map(({ part }) => part);
  const undecided = checks.filter(({ part }) => open.includes(part));
  const isChainOpen = verdicts.some(({ part, action }) => part === 'chain' && action !== 'replace');
  const isBarOpen = verdicts.some(({ part, action }) => part === 'bar' && action !== 'replace');
  return [
    ...missing(sheet, verdicts, past),
    ...sparing(past.wouldSpare),
    ...limitWaits(undecided, identity),
    ...angleWaits(undecided, sheet),
    ...otherSide(undecided),
    ...unjudged(undecided),
    ...repeats(undecided, sheet),
    ...decidingDepths(undecided, bar, sheet),
    ...contradicted(verdicts),
    ...looksAgain(undecided),
    ...(isBarOpen ? [...leanWaits(sheet, bar), ...levelTests(bar, sheet), ...metalLeft(bar)] : []),
    ...(isChainOpen ? gaugesAgain(chain) : []),
    ...identifying(sheet, identity),
    ...choosingNew(sheet, verdicts),
    ...lookingFor(sheet, diagnoses),
    ...afterDerailing(sheet, fit, verdicts),
  ];
}

/** What a reading's say on the complaint counts beside its deciding a verdict (tried on simulated jobs). */
const BEARING = 0.1;

/**
 * Measurements worth making, one entry per reading, in the order to take them: first what decides oftenest for the
 * minutes it takes now, set-ups that are due counted, and what speaks most of the complaint.
 */
export function nextMeasurements(meaning: Meaning): readonly NextMeasurement[] {
  const best = new Map<string, NextMeasurement>();
  for (const asked of worthAsking(meaning)) {
    const mm = positionOf(meaning.bar, asked.measure) ?? asked.at ?? null;
    const next = { at: null, question: asked.measure, decides: asked.gain, ...asked, mm };
    if (next.decides > (best.get(next.measure)?.decides ?? 0)) best.set(next.measure, next);
  }
  const chance = (next: NextMeasurement) => next.decides + BEARING * bearing(next.measure, meaning.diagnoses);
  return inOrder([...best.values()], chance);
}
