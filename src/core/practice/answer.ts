import { flatMap } from '../flat-map';
import { EDGES, RAILS, stationOf, type Edge } from '../declared';
import { FAMILIES } from '../families';
import { chanceOfAnswer, type LevelAnswer, type LevelTestKind } from '../groove';
import { INSTRUMENTS, type InstrumentId } from '../quantity';
import type { Kind } from '../reading';
import { isWithin, readingAt, usualToolAt, type Entry, type ReadingId, type ReadingPath } from '../sheet';
import { drawn } from './draw';
import { depthAt, FIRST_PLACE, LAST_PLACE, type Shape } from './shape';
import { testCut } from './test-cut';
import type { Truth } from './truth';

/** What somebody reads of a set: at one place of the sheet, with one tool, for the first time or once more. */
export interface Ask {
  readonly path: ReadingPath;
  /** Where along an edge the station lies, mm from the tail; null elsewhere. */
  readonly at: number | null;
  readonly instrument: InstrumentId | null;
  /** How often it was read before. */
  readonly before: number;
}

/** Whose errors a reading has. */
interface Hand {
  readonly seed: number;
  /** None. */
  readonly exact: boolean;
}

/** Joints that the push and pull goes over. */
const JOINTS = 60;
/** Rivets of the span: ten pitches. */
const RIVETS = 11;

/** The true length at a place of the sheet, mm; null where the set has none there. */
function lengthAt(shape: Shape, path: ReadingPath, id: ReadingId, at: number): number | null {
  const station = stationOf(path);
  if (station) {
    const { edge, field } = station;
    if (field === 'near' || field === 'far') return depthAt(shape.edges[edge], field, at);
    if (field === 'mouth') return shape.mouth;
    return field === 'deep' ? shape.deep : null;
  }
  const number = Number(path.split('.').at(-1));
  const pitch = FAMILIES[shape.family].pitch * (1 + shape.growth / 100);
  const closed = JOINTS * FAMILIES[shape.family].pitch;
  const lengths: Partial<Record<ReadingId, number | undefined>> = {
    'bar.groove': shape.deep,
    'bar.checks.bow': shape.bow,
    'chain.driveLinkThickness': shape.linkThickness,
    'chain.span.length': (RIVETS - 1) * pitch,
    'chain.cuttersLeft': shape.cutters.left[number],
    'chain.cuttersRight': shape.cutters.right[number],
    'chain.depthGaugesLeft': shape.gauges.left[number],
    'chain.depthGaugesRight': shape.gauges.right[number],
    'chain.damage.setBack': shape.damage?.setBack,
    'chain.pushPull.closed': closed,
    'chain.pushPull.pulled': closed * (1 + shape.growth / 100),
    'driveSprocket.wear': shape.sprocketWear,
  };
  return lengths[id] ?? null;
}

/** What is punched, counted or plain to see: nobody errs in it. */
function plainAt(shape: Shape, id: ReadingId): string | null {
  const plain: Partial<Record<ReadingId, string>> = {
    'bar.stamp': shape.stamps.bar,
    'bar.nose': 'sprocket',
    'bar.nosePitch': shape.family,
    'bar.noseReplaceable': 'no',
    'bar.edges.stations.deepAt': '3',
    'bar.edges.stations.squareWith': 'eye',
    'chain.stamp': shape.stamps.chain,
    'chain.driveLinks': String(shape.driveLinks),
    'chain.chassis': FAMILIES[shape.family].chassis,
    'chain.kickbackClass': shape.kickback,
    'chain.span.rivets': String(RIVETS),
    'chain.pushPull.joints': String(JOINTS),
    'driveSprocket.pitch': shape.family,
    'driveSprocket.stamp': shape.stamps.driveSprocket,
    'driveSprocket.teeth': String(shape.teeth),
    ...(shape.damage
      ? {
          'chain.damage.side': shape.damage.side,
          'chain.damage.cutter': String(shape.damage.cutter),
          'chain.damage.kind': 'chip',
          'chain.damage.place': 'corner',
        }
      : {}),
  };
  return plain[id] ?? shape.words[id] ?? null;
}

const SQUARE = { level: 'level', near: 'near-high', far: 'far-high' } as const;
/** It falls to the side of its low rail. */
const STANDS = { level: 'yes', near: 'far', far: 'near' } as const;

const stepAt = (shape: Shape, edge: Edge, at: number): number =>
  depthAt(shape.edges[edge], 'near', at) - depthAt(shape.edges[edge], 'far', at);

const PLACES = 36;
const meanStep = (shape: Shape, edge: Edge): number =>
  Array.from({ length: PLACES }, (_, i) =>
    stepAt(shape, edge, FIRST_PLACE + (i * (LAST_PLACE - FIRST_PLACE)) / (PLACES - 1)),
  ).reduce((sum, each) => sum + each / PLACES, 0);

/** A step that no hand and no square feels, mm. */
const LEVEL = 0.05;

/** What a hand finds by a level test: as often wrong as §18 says. */
function leveled({ exact, seed }: Hand, name: string, kind: LevelTestKind, step: number): LevelAnswer {
  if (exact) return Math.abs(step) < LEVEL ? 'level' : step > 0 ? 'near' : 'far';
  const at = drawn(seed, name).between(0, 1);
  const near = chanceOfAnswer(kind, 'near', step);
  if (at < near) return 'near';
  return at < near + chanceOfAnswer(kind, 'far', step) ? 'far' : 'level';
}

function levelAt(shape: Shape, hand: Hand, { path, at, before }: Ask): string | null {
  const name = `${path} ${at} ${before}`;
  const station = stationOf(path);
  if (station?.field === 'square')
    return SQUARE[leveled(hand, name, 'square', stepAt(shape, station.edge, at ?? FIRST_PLACE))];
  const edge = EDGES.find((each) => path === `bar.edges.${each}.stands`);
  return edge ? STANDS[leveled(hand, name, 'stands', meanStep(shape, edge))] : null;
}

/** What is felt by hand, beside the level tests: now and then a hand finds what is not there. */
const FELT: readonly ReadingPath[] = ['bar.checks.straightEdge', 'chain.checks.feel'];

/** How often a hand blunders (§18: 3 of 100, shared over all that it may find). */
const BLUNDER = 0.03;

function felt({ exact, seed }: Hand, { path, before }: Ask, kind: Kind, text: string): string {
  if (exact || kind.kind !== 'choice' || !FELT.includes(path)) return text;
  const { chance, pick } = drawn(seed, `${path} ${before}`);
  return chance(BLUNDER) ? pick(kind.options) : text;
}

/** A length as a tool shows it: its own error the same in every reading of the round, each placing anew (§1). */
function shown({ exact, seed }: Hand, truth: number, tool: InstrumentId, name: string, placing: number): string {
  if (exact) return truth.toFixed(3);
  const { maxError, resolution } = INSTRUMENTS[tool];
  const own = drawn(seed, `tool ${tool}`).between(-maxError, maxError);
  const read = truth + own + drawn(seed, name).normal(placing);
  return Math.max(0, Math.round(read / resolution) * resolution).toFixed(2);
}

/**
 * What a reading of a set answers, as it would be typed; null where the set has nothing there. The same question is
 * answered the same for ever: a place read once more, or with another tool, is another question.
 * @param exact as it would be read without any error, by nobody
 */
export function answer(truth: Truth, ask: Ask, exact = false): Entry | null {
  const { shape, recipe } = truth;
  const reading = readingAt(ask.path);
  if (!reading) return null;
  const id = reading.id as ReadingId;
  const hand: Hand = { seed: recipe.seed, exact };
  const entry = { path: ask.path, unit: 'mm' } as const;
  if (reading.kind.kind !== 'length' || id === 'bar.edges.stations.deepAt') {
    const text = levelAt(shape, hand, ask) ?? plainAt(shape, id) ?? testCut(truth).words[id] ?? null;
    return text === null ? null : { ...entry, text: felt(hand, ask, reading.kind, text) };
  }
  if (id === 'bar.edges.stations.at') return ask.at === null ? null : { ...entry, text: ask.at.toFixed(0) };
  const length = lengthAt(shape, ask.path, id, ask.at ?? FIRST_PLACE) ?? testCut(truth).lengths[id] ?? null;
  const tool = ask.instrument ?? usualToolAt(ask.path);
  if (length === null || tool === null) return null;
  const placing = reading.kind.spec.placing ?? INSTRUMENTS[tool].placing;
  const name = `${ask.path} ${ask.at} ${tool} ${ask.before}`;
  return { ...entry, text: shown(hand, length, tool, name, placing), instrument: tool };
}

/** Stations along an edge, from the tail to the nose, so near to one another that nothing hides between them. */
const CLOSE = 25;

const listed = (list: string, count: number): readonly string[] =>
  Array.from({ length: count }, (_, i) => `${list}.${i}`);

/** What is read of a damage. */
const DAMAGE = ['side', 'cutter', 'kind', 'place', 'setBack'] as const;

/** Every question that can be asked of a set: the card of somebody who reads all there is. */
export function everything({ shape }: Truth): readonly Ask[] {
  const ask = (path: string, at: number | null = null): Ask => ({
    path: path as ReadingPath,
    at,
    instrument: null,
    before: 0,
  });
  const placesOf = (edge: Edge) => {
    const even = Array.from(
      { length: Math.floor((LAST_PLACE - FIRST_PLACE) / CLOSE) + 1 },
      (_, i) => FIRST_PLACE + i * CLOSE,
    );
    // Where light shows under a rule, the depth is read.
    const { dip } = shape.edges[edge];
    return dip ? [...even, Math.round(dip.at)] : even;
  };
  const stations = flatMap(EDGES, (edge) => [
    ask(`bar.edges.${edge}.stands`),
    ...flatMap(placesOf(edge), (at, i) =>
      ['at', ...RAILS, 'square', ...(i === 0 ? ['mouth', 'deep', 'deepAt'] : [])].map((field) =>
        ask(`bar.edges.${edge}.stations.${i}.${field}`, at),
      ),
    ),
  ]);
  // What is seen at a station has no place before there is one.
  const words = Object.keys(shape.words).filter((id) => !isWithin(id, 'bar.edges'));
  return [
    ...[
      'bar.stamp',
      'bar.nose',
      'bar.nosePitch',
      'bar.noseReplaceable',
      'driveSprocket.pitch',
      'bar.groove',
      'bar.checks.bow',
      'chain.stamp',
    ],
    ...[
      'proof.idle',
      'chain.driveLinks.0',
      'chain.driveLinks.1',
      'chain.kickbackClass',
      'chain.chassis',
      'chain.driveLinkThickness',
    ],
    ...['chain.span.rivets', 'chain.span.length', 'driveSprocket.stamp', 'driveSprocket.teeth', 'driveSprocket.wear'],
    ...['chain.pushPull.joints', 'chain.pushPull.closed', 'chain.pushPull.pulled'],
    ...listed('chain.cuttersLeft', shape.cutters.left.length),
    ...listed('chain.cuttersRight', shape.cutters.right.length),
    ...listed('chain.depthGaugesLeft', shape.gauges.left.length),
    ...listed('chain.depthGaugesRight', shape.gauges.right.length),
    ...(shape.damage ? DAMAGE.map((field) => `chain.damage.0.${field}`) : []),
    ...words,
  ]
    .map((path) => ask(path))
    .concat(stations);
}
