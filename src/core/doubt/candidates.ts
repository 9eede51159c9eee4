import { flatMap } from '../flat-map';
import { type PlaceDraws } from '../groove';
import { EDGES, RAILS, type Edge, type Rail, stationPath } from '../declared';
import type { BarAssessment } from '../bar/checks';
import type { Identity } from '../identify';
import { toolsAt, measured, mm, placingUncertainty, standardUncertainty, type InstrumentId } from '../quantity';
import type { Repeat } from '../judge';
import { beginOf, readingAt, type Askable } from '../sheet';
import type { Compiled } from './compile';
import { drawOf } from './draw';
import type { Factor } from './factors';
import { lookedAt, readAgain, settled, shownLatent, type Candidate } from './worth';

/** A tool and what one placing of it adds, in the unit of the value. */
interface Placed {
  readonly tool: InstrumentId;
  readonly own: number;
}

const own = (instrument: InstrumentId): number => placingUncertainty({ instrument });
const whole = (instrument: InstrumentId): number => standardUncertainty(measured([mm(0)], instrument));

/**
 * The tool a reading is repeated with, and those on the bench that are finer.
 * @param isScaled true of a value in another unit than the tool's: the doubt of any tool is as much larger
 */
function toolsFor({ measure, tool, u }: Repeat, isScaled = false): readonly Placed[] {
  const reading = readingAt(beginOf(measure));
  const others = reading?.kind.kind === 'length' ? toolsAt(reading.kind.spec.kind, reading.id) : [];
  const finer = others.filter((other) => other !== tool && whole(other) < whole(tool));
  const scale = isScaled ? u / own(tool) : 1;
  return [{ tool, own: u }, ...finer.map((other) => ({ tool: other, own: scale * own(other) }))];
}

/** The reading that settles a pitch or a gauge of the bar. */
function settling({ bar }: Identity, of: 'pitch' | 'gauge'): Askable {
  const { settledBy, onMark } = bar[of];
  return settledBy?.measure ?? onMark?.confirmedBy?.measure ?? `bar.${of}`;
}

/** Chances nearer to certainty than this are no question. */
const SETTLED = 1e-4;

const isOpen = ({ well }: Factor): boolean => well > SETTLED && well < 1 - SETTLED;

/** Readings of a part's questions: each repeated, looked at again, or settled. */
function ofQuestions(
  compiled: Compiled,
  factors: readonly Factor[],
  first: number,
  identity: Identity,
): readonly Candidate[] {
  return flatMap(factors, (factor, i): readonly Candidate[] => {
    if (!isOpen(factor)) return [];
    const { measure, repeat, rests } = factor;
    const question = first + i;
    const cases = (rests?.ways ?? []).length > 1 ? rests!.ways[0]!.case : null;
    const choice = compiled.choices.findIndex(({ of }) => of === cases?.of);
    const cleared: readonly Candidate[] = cases
      ? [{ measure: settling(identity, cases.of), tool: null, at: null, ...settled(choice) }]
      : [];
    if (!measure) return cleared;
    if (!rests || !repeat) return [...cleared, { measure, tool: null, at: null, ...lookedAt(compiled, question) }];
    const latent = compiled.termLatent[compiled.termFrom[compiled.wayFrom[question]!]!]!;
    const shown = shownLatent(compiled, latent);
    return [
      ...cleared,
      ...toolsFor(repeat, shown.used < 0).map((placed) => ({
        measure,
        tool: placed.tool,
        at: null,
        ...readAgain(compiled, shown, placed.tool, placed.own),
      })),
    ];
  });
}

/** Places of the bar that are asked about: where the least depth most often is. */
const PLACES_ASKED = 8;

/** A rail at a place, and how often the least depth of the bar is there. */
interface LeastHere {
  readonly edge: Edge;
  readonly rail: Rail;
  readonly place: PlaceDraws;
  readonly often: number;
}

/** Where the least depth is, draw by draw: the places that most often hold it. */
function whereLeast(bar: BarAssessment): readonly LeastHere[] {
  const along = bar.belief.along();
  const all = flatMap(EDGES, (edge) =>
    flatMap(along[edge], (place) => RAILS.map((rail) => ({ edge, rail, place, often: 0 }))),
  );
  const draws = all[0]?.place.rails.near.length ?? 0;
  for (let draw = 0; draw < draws; draw += 1) {
    let lowest = all[0]!;
    for (const each of all)
      if (each.place.rails[each.rail][draw]! < lowest.place.rails[lowest.rail][draw]!) lowest = each;
    lowest.often += 1;
  }
  return all.sort((a, b) => b.often - a.often).slice(0, PLACES_ASKED);
}

/** Depths read again, or at a place between stations, where the least most often is. */
function alongBar(compiled: Compiled, bar: BarAssessment): readonly Candidate[] {
  const { least, tool } = bar.belief;
  const latent = compiled.latents.findIndex((each) => each.is === 'least' && each.least === least);
  if (!least || !tool || latent < 0) return [];
  const used = compiled.latentTool[latent]!;
  return flatMap(
    whereLeast(bar).filter(({ often }) => often > 0),
    ({ edge, rail, place }) => {
      const { at, station, rails } = place;
      const drawn = rails[rail];
      const measure = stationPath(edge, station ?? bar.standing[edge].stations.length, rail);
      const shown = {
        used,
        toward: 1,
        shown: (_world: unknown, draw: number) => drawn[drawOf(latent, draw, drawn.length)]!,
      };
      return toolsFor({ measure, tool, u: own(tool) }).map((placed) => ({
        measure,
        tool: placed.tool,
        at: station === null ? at : null,
        ...readAgain(compiled, shown, placed.tool, placed.own),
      }));
    },
  );
}

/**
 * Readings that could still be made of a part: every one that its verdict hangs on repeated, or made with a finer tool,
 * looked at again or settled; and of a bar its depths, at stations and between them.
 * @param first number of the part's first question
 */
export function candidatesOf(
  compiled: Compiled,
  factors: readonly Factor[],
  first: number,
  isBar: boolean,
  { bar, identity }: { readonly bar: BarAssessment; readonly identity: Identity },
): readonly Candidate[] {
  const all = [...(isBar ? alongBar(compiled, bar) : []), ...ofQuestions(compiled, factors, first, identity)];
  const keys = all.map(({ measure, tool, at }) => `${measure} ${tool} ${at}`);
  return all.filter((_, i) => keys.indexOf(keys[i]!) === i);
}
