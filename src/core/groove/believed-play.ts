import { flatMap } from '../flat-map';
import {
  believedAlong,
  CLEAR_ROWS,
  CLOSE_ROWS,
  designsOfSheet,
  isClear,
  leastAbout,
  leastAlong,
  lesser,
  shortestOf,
  type Designs,
  type Least,
} from '../belief';
import { quadrature, mm, ownUncertainty, type Bounds, type Estimate, type InstrumentId } from '../quantity';
import { ANY_LEVEL, commonOf, commonToolOf, placesAlong } from './profile-prior';
import { type Station } from './station';
import { EDGES, type Edge } from '../declared';

/**
 * The widest that a groove is anywhere, from all widths together: drawn as the least of its negative, so that one
 * question serves depth and width.
 */
export interface WidestBelief {
  /** What is negative: the greatest width anywhere. */
  readonly negative: Least;
  readonly tool: InstrumentId | null;
  /** The station where it most likely is. */
  readonly at: { readonly edge: Edge; readonly station: number };
}

/** What is believed of the width that a link rocks in, over the whole bar. */
export interface WidthBelief {
  /** No wider than this anywhere that was measured; null where no reading holds it from above. */
  readonly atMost: WidestBelief | null;
  /** As wide as this somewhere, at least; null where no reading holds it from below. */
  readonly atLeast: WidestBelief | null;
  /** A station whose mouth is known only from below: nothing is cleared before it is measured. */
  readonly open: { readonly edge: Edge; readonly station: number } | null;
}

interface Width {
  readonly edge: Edge;
  readonly station: number;
  readonly at: number;
  readonly width: Estimate;
  /**
   * Readings of one kind make one profile: mouth and floor together, one of them alone, or bounds, which are no
   * readings of it.
   */
  readonly kind: string;
}

/** A width for itself; of another tool also with that tool's own error. */
const ownVariance = (width: Estimate, tool: InstrumentId | null): number =>
  width.tool === tool ? ownUncertainty(width) ** 2 : width.u ** 2;

/** One profile of widths, negative, with the marks that hold it. */
function fitWidths(widths: readonly Width[], tool: InstrumentId | null, designs: Designs) {
  const sorted = [...widths].sort((a, b) => a.at - b.at || a.width.value - b.width.value);
  const places = placesAlong(sorted.map(({ at }) => at));
  const sightings = sorted.map(({ at, width }) => ({ at, value: -width.value, variance: ownVariance(width, tool) }));
  const held = new Map(
    flatMap(sorted, ({ at, width: { between } }): readonly (readonly [number, readonly [number, number]])[] =>
      between ? [[places.indexOf(at), [-between[1], -between[0]]]] : [],
    ),
  );
  return { belief: believedAlong(designs, sightings, places, ANY_LEVEL), held };
}

/** Columns of the points between two profiles. */
const APART = 61;

/**
 * Readings so far from every level, all on one side, that no roughness between them brings them near it: standard
 * uncertainties, and mm beside.
 */
const FAR = 6;
const FAR_BESIDE = 0.12;

/** Whether each reading by itself answers the question already. */
function isFar(widths: readonly Width[], levels: readonly number[]): boolean {
  return levels.every((level) => {
    const apart = widths.map(({ width }) => (-width.value - level) / (FAR * width.u + FAR_BESIDE));
    return Math.min(...apart) > 1 || Math.max(...apart) < -1;
  });
}

function widest(widths: readonly Width[], levels: readonly number[], designs: Designs): WidestBelief | null {
  const [first] = widths;
  if (!first) return null;
  const read = widths.map(({ width }) => width);
  const tool = commonToolOf(read);
  const common = commonOf(read, tool);
  const at = widths.reduce((most, next) => (next.width.value > most.width.value ? next : most), first);
  const place = { edge: at.edge, station: at.station };
  if (isFar(widths, levels)) {
    const own = widths.map(({ width }) => ({ value: -width.value, own: Math.sqrt(ownVariance(width, tool)) }));
    return { negative: leastAbout(shortestOf(own, 0)!, common), tool, at: place };
  }
  const groups = new Map<string, Width[]>();
  for (const width of widths) {
    const key = `${width.edge}${width.kind}`;
    groups.set(key, [...(groups.get(key) ?? []), width]);
  }
  const fits = [...groups.values()].map((group) => fitWidths(group, tool, designs));
  const drawn = (rows: number): Least =>
    fits
      .map(({ belief, held }, i) => leastAlong(belief, common, held, i * APART, rows))
      .reduce((least, next) => lesser(least, next));
  const few = drawn(CLEAR_ROWS);
  const negative = isClear(few, levels) ? few : drawn(CLOSE_ROWS);
  return { negative, tool, at: place };
}

/**
 * What is believed of a bar's groove from all its widths.
 * @param widths the widths that it is held against, mm
 * @param boundsAt the width that a link rocks in at a station: as measured, or as a plan would leave it
 */
export function widthBelief(
  stations: Readonly<Record<Edge, readonly Station[]>>,
  boundsAt: (edge: Edge, station: Station, i: number) => Bounds,
  widths: readonly number[],
  designs: Designs = designsOfSheet(),
): WidthBelief {
  const levels = widths.map((width) => -width);
  const all = flatMap(EDGES, (edge) =>
    stations[edge].map((station, i) => ({ edge, station, bounds: boundsAt(edge, station, i) })),
  );
  const side = (which: 'lo' | 'hi') =>
    flatMap(all, ({ edge, station, bounds }): readonly Width[] => {
      const width = bounds[which];
      const { mouth, deep } = station.widths;
      const isBound = [mouth, deep].some((bounds) => bounds && (!bounds.lo || !bounds.hi));
      const kind = `${mouth && deep ? 'whole' : mouth ? 'mouth' : 'floor'}${isBound ? ', bound' : ''}`;
      return width ? [{ edge, station: station.index, at: station.at, width, kind }] : [];
    });
  const unheld = all.find(({ station }) => station.widths.mouth && !station.widths.mouth.hi);
  const [above, below] = [side('hi'), side('lo')];
  const atMost = widest(above, levels, designs);
  const isOne = above.length === below.length && above.every(({ width }, i) => width === below[i]!.width);
  return {
    atMost,
    atLeast: isOne ? atMost : widest(below, levels, designs),
    open: unheld ? { edge: unheld.edge, station: unheld.station.index } : null,
  };
}

/** The play that the widest place leaves a link, as the least of its negative. */
export function playAtWidest({ negative, tool }: WidestBelief, link: Estimate): Least {
  const cancels = link.tool !== undefined && link.tool === tool;
  const common = cancels ? ownUncertainty(link) : quadrature(negative.common, link.u);
  return { draws: negative.draws.map((draw) => draw + link.value), common };
}

/** The greatest play with its uncertainty, from the least of its negative. */
export const positive = ({ value, u }: Estimate): Estimate => ({ value: mm(-value), u });

/**
 * Of so many widths the narrowest reading must be this many standard uncertainties below the link before the place is
 * called pinched.
 */
const OF_MANY = 1.5;

/** Whether a groove is no wider than its link: the narrowest of many readings is low by chance, one alone is not. */
export function isPinched(play: Estimate, readings: number): boolean {
  return play.value <= (readings > 2 ? -OF_MANY * play.u : 0);
}
