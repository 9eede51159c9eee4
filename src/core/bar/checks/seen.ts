import { flatMap } from '../../flat-map';
import { type Station } from '../../groove';
import { EDGES, RAILS, type Edge } from '../../declared';
import type { Limits } from '../../limits';
import { mm } from '../../quantity';
import type { BarContext } from './context';
import {
  missingCheck,
  readingCheck,
  repeatOf,
  seenCheck,
  seenChecks,
  withOutcome,
  workCheck,
  type Check,
} from '../../judge';

const part = 'bar' as const;

/** Bow by its reading, whatever kind of reading it is. A slight one may be straightened, unless the shop replaces every bent bar: then what counts as slight condemns. */
function bowCheck({ sheet, limits, schools }: BarContext): Check {
  const bow = sheet.bar?.checks?.bow;
  if (!bow)
    return missingCheck({ id: 'bar.bow', part }, limits['bar.bow'].provenance, {
      code: 'needs',
      readings: ['bar.checks.bow'],
    });
  const work = { operation: 'straighten', from: 'watch' } as const;
  const head = { id: 'bar.bow', part, repeat: repeatOf('bar.checks.bow', bow), work } as const;
  const [slight, real] = [limits['bar.bow.straighten'], limits['bar.bow']];
  return schools.bentBar === 'always-replace'
    ? readingCheck(head, bow, slight, null)
    : readingCheck(head, bow, real, slight);
}

/** A slight twist is a bend too. */
const bySchool = (check: Check, { schools }: BarContext): Check =>
  check.id === 'bar.twist' && check.outcome === 'watch' && schools.bentBar === 'always-replace'
    ? withOutcome(check, 'fail')
    : check;

/** What was seen of the bar as a whole. */
export function observations(context: BarContext): Check[] {
  return [
    ...seenChecks('bar', 'bar.checks', context.sheet.bar?.checks ?? {}).map((check) => bySchool(check, context)),
    bowCheck(context),
  ];
}

/** What was seen at the stations: burrs and chips. */
export function stationsSeen({ sheet, limits, edges }: BarContext): Check[] {
  return flatMap(EDGES, (edge) =>
    flatMap(edges[edge].stations, (station) => [
      ...burrChecks(edge, station.index, sheet),
      ...chipChecks(edge, station, limits),
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

function burrChecks(edge: Edge, index: number, sheet: BarContext['sheet']): Check[] {
  const station = sheet.bar?.edges?.[edge]?.stations[index];
  return flatMap(RAILS, (rail) => {
    const field = rail === 'near' ? 'burrNear' : 'burrFar';
    const word = station?.[field];
    return word ? [seenCheck(`bar.edges.stations.${field}`, word, { at: { edge, station: index, rail } })] : [];
  });
}
