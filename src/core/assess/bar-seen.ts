import { EDGES, RAILS, type Edge, type Station } from '../bar';
import type { Limits } from '../families';
import { mm, type Outcome } from '../quantity';
import type { BarContext } from './bar-context';
import { missingCheck, observedCheck, readingCheck, repeatOf, workCheck, type Check } from './check';

const part = 'bar' as const;

/** Bow by its reading, whatever kind of reading it is. */
function bowCheck({ sheet, limits }: BarContext): Check {
  const bow = sheet.bar?.checks?.bow;
  if (!bow)
    return missingCheck({ id: 'bar.bow', part }, limits['bar.bow'].provenance, {
      code: 'needs',
      readings: ['bar.checks.bow'],
    });
  const head = { id: 'bar.bow', part, repeat: repeatOf('bar.checks.bow', bow) } as const;
  return readingCheck(head, bow, limits['bar.bow'], limits['bar.bow.straighten']);
}

/** What was seen of the bar as a whole. */
export function observations(context: BarContext): Check[] {
  const checks = context.sheet.bar?.checks ?? {};
  return [
    observedCheck({ id: 'bar.crack', part, condemns: true }, checks.crack, {
      no: 'ok',
      yes: 'fail',
      unsure: 'undecided',
    }),
    observedCheck({ id: 'bar.slot', part, condemns: true }, checks.slot, { ok: 'ok', worn: 'watch', wallowed: 'fail' }),
    bowCheck(context),
    observedCheck({ id: 'bar.oil-holes', part }, checks.oilHoles, { clear: 'ok', blocked: 'fail' }),
    observedCheck({ id: 'bar.groove', part }, checks.groove, { clean: 'ok', packed: 'fail' }),
    observedCheck(
      {
        id: 'bar.blueing',
        part,
        note: context.blueing.length > 0 ? { code: 'causes', causes: context.blueing } : null,
      },
      checks.blueing,
      { no: 'ok', light: 'watch', heavy: 'watch' },
    ),
    ...seen(context),
  ];
}

/** Findings that are only listed when somebody looked: none of them is required. Bare paint is no check at all. */
function seen({ sheet, schools }: BarContext): Check[] {
  const checks = sheet.bar?.checks ?? {};
  const found = <W extends string>(
    head: Parameters<typeof observedCheck<W>>[0],
    word: W | undefined,
    outcomes: Readonly<Record<W, Outcome>>,
  ): Check[] => (word === undefined ? [] : [observedCheck(head, word, outcomes)]);
  return [
    ...found({ id: 'bar.twist', part, condemns: true }, checks.twist, { none: 'ok', slight: 'watch', plain: 'fail' }),
    ...found({ id: 'bar.holes', part, condemns: true }, checks.holes, { ok: 'ok', worn: 'watch', torn: 'fail' }),
    ...found({ id: 'bar.dents', part }, checks.dents, { none: 'ok', light: 'ok', deep: 'watch' }),
    ...found({ id: 'bar.tail', part }, checks.tailErosion, { none: 'ok', slight: 'watch', deep: 'watch' }),
    ...found({ id: 'bar.ruts', part }, checks.ruts, { none: 'ok', slight: 'watch', deep: 'fail' }),
    ...found({ id: 'bar.groove-shape', part }, checks.grooveShape, {
      even: 'ok',
      pinched: 'fail',
      splayed: schools.closeRails === 'on' ? 'fail' : 'watch',
    }),
    ...found({ id: 'bar.resin', part }, checks.resin, { none: 'ok', soft: 'ok', baked: 'watch' }),
  ];
}

/** What was seen at the stations: burrs and chips. */
export function stationsSeen({ sheet, limits, edges }: BarContext): Check[] {
  return EDGES.flatMap((edge) =>
    edges[edge].stations.flatMap((station) => [
      ...burrChecks(edge, station.index, sheet),
      ...chipChecks(edge, station, limits),
    ]),
  );
}

/** Chips: a short one is left, a long one is levelled to and so costs depth. */
function chipChecks(edge: Edge, { index, chips }: Station, limits: Limits): Check[] {
  return RAILS.flatMap((rail) => {
    const chip = chips[rail];
    if (!chip) return [];
    const head = { id: 'bar.chip', part, at: { edge, station: index, rail } } as const;
    const check = workCheck(head, { value: mm(chip.length), u: 0 }, limits['bar.dress.chip']);
    // A long chip calls for no work of its own: the dressing plan already goes down to it.
    return [{ ...check, outcome: 'watch' as const }];
  });
}

function burrChecks(edge: Edge, index: number, sheet: BarContext['sheet']): Check[] {
  const station = sheet.bar?.edges?.[edge]?.stations[index];
  return RAILS.flatMap((rail) => {
    const word = rail === 'near' ? station?.burrNear : station?.burrFar;
    return word
      ? [
          observedCheck({ id: 'bar.burr', part, at: { edge, station: index, rail } }, word, {
            none: 'ok',
            felt: 'fail',
            heavy: 'fail',
          }),
        ]
      : [];
  });
}
