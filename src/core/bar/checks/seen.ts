import { flatMap } from '../../flat-map';
import { type Station } from '../../groove';
import { EDGES, RAILS, type Edge } from '../../declared';
import type { Limits } from '../../limits';
import { mm } from '../../quantity';
import type { BarContext } from './context';
import { measuredCheck, measuredChecks, seenCheck, seenChecks, withOutcome, workCheck, type Check } from '../../judge';

const part = 'bar' as const;

/** A slight bow may be straightened, unless the shop replaces every bent bar: then what counts as slight condemns. */
function bowCheck({ sheet, limits, schools }: BarContext): Check {
  const bow = sheet.bar?.checks?.bow;
  if (schools.bentBar !== 'always-replace') return measuredCheck('bar.checks.bow', bow, limits);
  return measuredCheck('bar.checks.bow', bow, limits, { limit: limits['bar.bow.straighten'], watch: null });
}

/** A slight twist is a bend too. */
const bySchool = (check: Check, { schools }: BarContext): Check =>
  check.id === 'bar.twist' && check.outcome === 'watch' && schools.bentBar === 'always-replace'
    ? withOutcome(check, 'fail')
    : check;

/** What was seen and measured of the bar as a whole. */
export function observations(context: BarContext): Check[] {
  const found = context.sheet.bar?.checks ?? {};
  return [
    ...seenChecks('bar', 'bar.checks', found).map((check) => bySchool(check, context)),
    bowCheck(context),
    ...measuredChecks('bar', 'bar.checks', found, context.limits),
  ];
}

/** What was seen at the stations: burrs and chips. */
export function stationsSeen({ sheet, limits, edges }: BarContext): Check[] {
  return flatMap(EDGES, (edge) =>
    flatMap(edges[edge].stations, (station) => [
      ...burrChecks(edge, station.index, sheet),
      ...chipChecks(edge, station, limits),
      ...rutChecks(edge, station, limits),
    ]),
  );
}

/** Chips: a short one is left, a long one is levelled to and so costs depth. */
function chipChecks(edge: Edge, { index, chips }: Station, limits: Limits): Check[] {
  return flatMap(RAILS, (rail) => {
    const chip = chips[rail];
    if (!chip) return [];
    const head = { id: 'bar.chip', part, at: { edge, station: index, rail } } as const;
    const check = workCheck(head, { value: mm(chip.length), u: 0 }, limits['bar.dress.chip']);
    // A long chip calls for no work of its own: the dressing plan already goes down to it.
    return [withOutcome(check, 'watch')];
  });
}

/** A rut or a pit: shallower than a step it goes with the next dressing, deeper it is dressed out of both rails. */
function rutChecks(edge: Edge, { index, rut }: Station, limits: Limits): Check[] {
  if (!rut) return [];
  const check = workCheck({ id: 'bar.rut', part, at: { edge, station: index } }, rut, limits['bar.step']);
  return [check.outcome === 'ok' ? check : withOutcome(check, 'watch')];
}

function burrChecks(edge: Edge, index: number, sheet: BarContext['sheet']): Check[] {
  const station = sheet.bar?.edges?.[edge]?.stations[index];
  return flatMap(RAILS, (rail) => {
    const field = rail === 'near' ? 'burrNear' : 'burrFar';
    const word = station?.[field];
    return word ? [seenCheck(`bar.edges.stations.${field}`, word, { at: { edge, station: index, rail } })] : [];
  });
}
