import { INSTRUMENTS, normalCdf, normalPdf, type InstrumentId } from '../quantity';
import { minutesFor, type BenchSheet, type Part } from '../sheet';
import type { Identity } from '../identify';
import type { Check } from './check';
import { brought, missingReadings, type Verdict } from './verdict';

/** Why a measurement is worth making. */
export type NextReason =
  | { readonly code: 'never-measured'; readonly part: Part }
  | { readonly code: 'too-close'; readonly check: Check; readonly instrument: InstrumentId }
  | { readonly code: 'settles'; readonly property: 'pitch' | 'gauge' | 'driveLinks' }
  | { readonly code: 'limit-waits-for-pitch' };

/** One measurement worth making: what it takes off the chance of a wrong verdict, and the minutes it costs. */
export interface NextMeasurement {
  readonly measure: string;
  readonly gain: number;
  readonly minutes: number;
  readonly reason: NextReason;
}

/** With nothing known of it, a condemning reading is as likely good as bad: deciding blind is wrong half the time. */
const BLIND = 0.5;

/**
 * Expected drop in the chance of a wrong call on a limit if one more independent reading with standard uncertainty v is taken
 * (preposterior analysis of a normal mean; the expectation over where the mean would move is summed over 120 steps).
 * @param margin distance from the limit, either sign
 * @param u present standard uncertainty, above zero
 * @param v standard uncertainty of the reading to come, above zero
 * @returns 0…0.5
 */
export function gainOfRepeat(margin: number, u: number, v: number): number {
  const now = normalCdf(-Math.abs(margin) / u);
  const posterior = (u * v) / Math.hypot(u, v);
  const spread = (u * u) / Math.hypot(u, v);
  const STEPS = 120;
  const REACH = 6;
  let after = 0;
  for (let i = 0; i <= STEPS; i += 1) {
    const z = -REACH + (2 * REACH * i) / STEPS;
    const weight = normalPdf(z) * ((2 * REACH) / STEPS);
    after += weight * normalCdf(-Math.abs(margin + spread * z) / posterior);
  }
  return Math.max(0, now - after);
}

/** The reading a check hangs on, and the tool to take it again with. */
function readingOf({ id, at }: Check): { measure: string; instrument: InstrumentId } {
  const station = at?.station === undefined ? '' : `bar.${at.edge}.${at.station}`;
  switch (id) {
    case 'bar.bow':
      return { measure: 'bar.checks.bow', instrument: 'feeler' };
    case 'bar.play':
    case 'bar.play-after':
      return { measure: `${station}.mouth`, instrument: 'caliper' };
    case 'chain.cutter':
      return { measure: 'chain.cuttersLeft', instrument: 'caliper' };
    case 'chain.elongation':
      return { measure: 'chain.pushPull', instrument: 'caliper' };
    case 'sprocket.wear':
      return { measure: 'driveSprocket.wear', instrument: 'depth-rod' };
    default:
      return { measure: station === '' ? id : `${station}.${at?.rail ?? 'near'}`, instrument: 'depth-rod' };
  }
}

function repeats(checks: readonly Check[]): NextMeasurement[] {
  return checks.flatMap((check): NextMeasurement[] => {
    if (
      !check.condemns ||
      check.outcome !== 'undecided' ||
      check.value === null ||
      check.limit === null ||
      !check.uncertainty
    )
      return [];
    const { measure, instrument } = readingOf(check);
    const { resolution, maxError, placing } = INSTRUMENTS[instrument];
    const v = Math.min(check.uncertainty, Math.hypot(resolution / Math.sqrt(12), maxError / Math.sqrt(3), placing));
    const gain = gainOfRepeat(check.value - check.limit, check.uncertainty, v);
    return [
      {
        measure,
        gain,
        minutes: minutesFor(measure.startsWith('bar.') ? 'bar.edges' : measure),
        reason: { code: 'too-close', check, instrument },
      },
    ];
  });
}

function missing(sheet: BenchSheet, verdicts: readonly Verdict[]): NextMeasurement[] {
  return verdicts.flatMap(({ part, action }) => {
    if (action !== 'undecided' || !brought(sheet, part)) return [];
    return missingReadings(sheet, part).map((measure): NextMeasurement => ({
      measure,
      gain: BLIND,
      minutes: minutesFor(measure),
      reason: { code: 'never-measured', part },
    }));
  });
}

/** What would settle the three numbers of the chain, each by the observation that gains most a minute. */
function identifying(sheet: BenchSheet, { chain }: Identity): NextMeasurement[] {
  if (!sheet.chain) return [];
  return (['pitch', 'gauge', 'driveLinks'] as const).flatMap((property): NextMeasurement[] => {
    const { settledBy } = chain[property];
    return settledBy ? [{ ...settledBy, reason: { code: 'settles', property } }] : [];
  });
}

function limitWaits(checks: readonly Check[]): NextMeasurement[] {
  const waits = checks.some(({ note }) => note?.code === 'needs' && note.readings.includes('bar.pitch'));
  return waits
    ? [
        {
          measure: 'bar.stamp',
          gain: BLIND,
          minutes: minutesFor('bar.stamp'),
          reason: { code: 'limit-waits-for-pitch' },
        },
      ]
    : [];
}

/** Measurements worth making, the largest gain per minute first; one entry per reading. */
export function nextMeasurements(
  sheet: BenchSheet,
  identity: Identity,
  checks: readonly Check[],
  verdicts: readonly Verdict[],
): readonly NextMeasurement[] {
  const open = verdicts.filter(({ action }) => action === 'undecided').map(({ part }) => part);
  const all = [
    ...missing(sheet, verdicts),
    ...limitWaits(checks),
    ...repeats(checks.filter(({ part }) => open.includes(part))),
    ...identifying(sheet, identity),
  ];
  const best = new Map<string, NextMeasurement>();
  for (const next of all) if (next.gain > (best.get(next.measure)?.gain ?? 0)) best.set(next.measure, next);
  return [...best.values()].sort((a, b) => b.gain / b.minutes - a.gain / a.minutes);
}
