import { flatMap } from '../flat-map';
import { EDGES, type Edge, type Rail } from '../declared';
import { FAMILIES, GAUGES, type FamilyId, type GaugeId } from '../families';
import type { KickbackClass } from '../fit';
import { DEFAULTS, depthLimitId } from '../limits';
import { READINGS, type ReadingId } from '../sheet';
import type { Draw } from './draw';

/** An edge as it was worn: what its two rails are at every place along it. All lengths in mm. */
export interface EdgeShape {
  /** Depth of the groove in the middle of the bar. */
  readonly depth: number;
  /** What the tail is deeper than the nose by. */
  readonly slope: number;
  readonly wave: { readonly height: number; readonly length: number; readonly phase: number };
  /** A rail that stands lower than the other between two places; null where none does. */
  readonly step: { readonly low: Rail; readonly height: number; readonly from: number; readonly to: number } | null;
  /** Where both rails were worn in; null where they were not. */
  readonly dip: { readonly at: number; readonly width: number; readonly depth: number } | null;
}

/** A set of parts as it is, down to what nobody has measured yet. Lengths in mm. */
export interface Shape {
  readonly family: FamilyId;
  /** What the groove was made for, and what the chain was. */
  readonly barGauge: GaugeId;
  readonly chainGauge: GaugeId;
  readonly driveLinks: number;
  /** What the chain is built to keep down. */
  readonly kickback: KickbackClass;
  readonly teeth: number;
  /** What is punched: it need not be so. */
  readonly stamps: { readonly bar: string; readonly chain: string; readonly driveSprocket: string };
  readonly edges: Readonly<Record<Edge, EdgeShape>>;
  /** Width of the groove at the rails and near its floor. */
  readonly mouth: number;
  readonly deep: number;
  readonly bow: number;
  readonly linkThickness: number;
  readonly cutters: { readonly left: readonly number[]; readonly right: readonly number[] };
  readonly damage: { readonly side: 'left' | 'right'; readonly cutter: number; readonly setBack: number } | null;
  /** Height of the depth gauges below the cutting edge. */
  readonly gauges: { readonly left: readonly number[]; readonly right: readonly number[] };
  /** How much longer than new the chain is pulled, percent. */
  readonly growth: number;
  readonly sprocketWear: number;
  /** What looks and hands find, by the reading that tells it. */
  readonly words: Readonly<Partial<Record<ReadingId, string>>>;
}

/** First and last place along an edge at which its groove is read, mm from the tail. */
export const FIRST_PLACE = 40;
export const LAST_PLACE = 390;

/** Depth of one rail of an edge at a place, mm. */
export function depthAt({ depth, slope, wave, step, dip }: EdgeShape, rail: Rail, at: number): number {
  const along =
    slope * (0.5 - (at - FIRST_PLACE) / (LAST_PLACE - FIRST_PLACE)) +
    wave.height * Math.cos((2 * Math.PI * at) / wave.length + wave.phase);
  const lower = step && step.low === rail && at >= step.from && at <= step.to ? step.height : 0;
  const worn = dip ? dip.depth * Math.exp(-2 * ((at - dip.at) / (dip.width / 2)) ** 2) : 0;
  return depth + along - lower - worn;
}

/** The word by which each look finds nothing. */
const SOUND = Object.fromEntries(
  flatMap(READINGS, ({ id, told }) => {
    const sound = Object.entries(told.seen?.words ?? {}).find(([, means]) => means.outcome === 'ok');
    return sound ? [[id, sound[0]]] : [];
  }),
) as Partial<Record<ReadingId, string>>;

/** A family that is met at the bench every day, with what is sold of it for a bar of this length. */
interface Loop {
  readonly family: FamilyId;
  readonly mark: string;
  /** Those that no other family of the same mark is made in: what is punched says which family it is. */
  readonly gauges: readonly [GaugeId, ...GaugeId[]];
  readonly links: readonly number[];
}

const LOOPS: readonly Loop[] = [
  { family: '325', mark: '.325', gauges: ['.050', '.058', '.063'], links: [66, 72] },
  { family: '38', mark: '3/8', gauges: ['.058', '.063'], links: [60, 66] },
];

export const loopOf = (family: FamilyId): Loop => LOOPS.find((each) => each.family === family)!;

const CUTTERS_SHOWN = 6;

const soundEdge = ({ between }: Draw, depth: number): EdgeShape => ({
  depth,
  slope: between(-0.15, 0.15),
  wave: { height: between(0, 0.06), length: between(300, 600), phase: between(0, 2 * Math.PI) },
  step: null,
  dip: null,
});

/** A set with nothing wrong: used, and good for more. */
export function soundShape(draw: Draw): Shape {
  const { between, normal, pick } = draw;
  const { family, mark, gauges: made, links } = pick(LOOPS);
  const gauge = pick(made);
  const { thickness } = GAUGES[gauge];
  const driveLinks = pick(links);
  const teeth = pick([7, 8]);
  const least = Number(DEFAULTS[depthLimitId(family)].value);
  const length = between(5.8, 7.4);
  const cutters = () => Array.from({ length: CUTTERS_SHOWN }, () => length + normal(0.05));
  const gauges = () => Array.from({ length: CUTTERS_SHOWN }, () => FAMILIES[family].depthGauge + normal(0.01));
  return {
    family,
    barGauge: gauge,
    chainGauge: gauge,
    driveLinks,
    teeth,
    stamps: {
      bar: `${mark} ${gauge} ${driveLinks}DL`,
      chain: `${mark} ${gauge}`,
      driveSprocket: `${mark}-${teeth}`,
    },
    edges: Object.fromEntries(
      EDGES.map((edge) => [edge, soundEdge(draw, least + between(1.1, 2.2))]),
    ) as unknown as Shape['edges'],
    mouth: thickness + between(0.06, 0.16),
    deep: thickness + between(0.04, 0.12),
    bow: between(0, 0.15),
    linkThickness: thickness - between(0, 0.02),
    cutters: { left: cutters(), right: cutters() },
    damage: null,
    gauges: { left: gauges(), right: gauges() },
    growth: between(0.2, 1.1),
    sprocketWear: between(0, 0.15),
    kickback: pick(['low-kickback', 'standard'] as const),
    words: SOUND,
  };
}
