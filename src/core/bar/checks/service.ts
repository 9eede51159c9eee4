import { type Edge, BAR_OPERATIONS } from '../../declared';
import type { Schools } from '../../schools';
import { SERVICE, type BarSheet, type BenchSheet, type Operation } from '../../sheet';
import type { BarAssessment } from './bar';
import type { Verdict } from '../../judge';

/** Whether the nose is greased, by the shop's school. A nose that is known to have no port cannot be. */
function isGreased({ nosePort, noseGreased, nose }: BarSheet, school: Schools['greaseNose']): boolean {
  if (nosePort === false || nose === 'hard') return false;
  switch (school) {
    case 'by-its-port':
      return nosePort === true;
    case 'each-service':
      return true;
    case 'once-begun':
      return noseGreased === true;
    case 'never':
      return false;
  }
}

/**
 * What is done to a bar at every service and calls for no verdict of its own: its oil holes cleared, the nose greased,
 * and the bar turned over when the edge with less left came down, or at every chain change, as the shop's schools have
 * it.
 */
export function serviceOf({ bar }: BenchSheet, next: Edge | null, schools: Schools): readonly Operation[] {
  if (!bar) return [];
  const came = bar.edgeDown;
  const turn = came !== undefined && (schools.turnOver === 'when-worn' ? next !== null && next !== came : true);
  return [
    'clean-oil-holes',
    ...(isGreased(bar, schools.greaseNose) ? (['grease-nose'] as const) : []),
    ...(turn ? (['turn-over'] as const) : []),
  ];
}

const SERVED: readonly Operation[] = [...SERVICE, 'clean-oil-holes'];

/** Whether the work on a bar is no more than what every bar gets. */
export const isServiceOnly = ({ action }: Verdict, work: readonly Operation[]): boolean =>
  action === 'keep' && work.every((operation) => SERVED.includes(operation));

/**
 * All work on the bar in working order: what the verdict calls for, what the first measurement called for, what was
 * done, and the service with it, which a bar that is kept gets too.
 */
export function barWork(
  sheet: BenchSheet,
  bar: BarAssessment,
  verdict: Verdict,
  schools: Schools,
): readonly Operation[] {
  const done: readonly Operation[] = sheet.bar?.reworkDone ?? [];
  const planned = bar.edges.A.called || bar.edges.B.called;
  const dress: readonly Operation[] = planned && verdict.action !== 'replace' ? ['dress-rails', 'deburr'] : [];
  const work = [...verdict.operations, ...done, ...dress];
  if (work.length === 0 && verdict.action !== 'keep') return [];
  const wanted = [...work, ...serviceOf(sheet, bar.edgeDownNext, schools)];
  return BAR_OPERATIONS.filter((operation) => wanted.includes(operation));
}
