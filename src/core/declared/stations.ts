import {
  goesWith,
  group,
  length,
  measuredAgain,
  oneOf,
  orderedList,
  recorded,
  seen,
  words,
  yesNo,
  type Around,
  type IdleReason,
  evidence,
} from '../reading';

/** Where one pass of the guided file took the marker off. */
export const MARKER = ['near', 'far', 'both', 'none'] as const;

/** What a square held against the light shows at a station: both rails touched, or light under the low one. */
export const SQUARE = ['level', 'near-high', 'far-high'] as const;

/**
 * How a step under the square was looked for: by light, or with a blade of 0.10 mm slipped under its low side, which an
 * eye keener than most does not need.
 */
export const SQUARE_WITH = ['eye', 'blade'] as const;

/** A clean bar stood on its edge on a flat surface: it stands, or falls to a side. */
export const STANDS = ['yes', 'near', 'far'] as const;

const depth = { kind: 'depth', instrument: 'depth-rod' } as const;
const width = { kind: 'grooveWidth', instrument: 'caliper', goNoGo: 'tab' } as const;

/** What of a station decides whether its other readings move anything. */
interface Measured {
  readonly near?: unknown;
  readonly far?: unknown;
  readonly mouth?: unknown;
  readonly deep?: unknown;
  readonly marker?: string;
  readonly square?: string;
  readonly squareWith?: string;
  readonly after?: Partial<Record<'near' | 'far' | 'mouth', unknown>>;
}

const isDressed = ({ after }: Measured): boolean => Boolean(after?.near ?? after?.far);

/** A reason that depends on the station. */
const at =
  (reason: (station: Measured, around: Around) => IdleReason | null) =>
  (around: Around): IdleReason | null =>
    reason(around.group as Measured, around);

const takenAgain = (field: 'near' | 'far') => at(({ after }) => (after?.[field] ? measuredAgain : null));
const whenDressed = at((station) => (isDressed(station) ? measuredAgain : null));
const withoutLink = ({ hasLink }: Around): IdleReason | null => (hasLink ? null : goesWith('bar.gauge'));

/** A test of level counts by itself, until the rails were dressed. */
const testOfLevel = whenDressed;

/** A piece broken out of a rail: how long along the rail, how deep below it. */
const chip = (rail: string) =>
  group(
    {
      length: length({ kind: 'chip', instrument: 'rule' }),
      depth: length({ kind: 'smallDefect', instrument: 'depth-rod' }),
    },
    { means: `Piece broken out of the ${rail} rail.`, idle: whenDressed },
    ['length', 'depth'],
  );

/** A rut worn into the rail tops, or a pit rusted into them: how deep below the rails, how long along them. */
const rut = () =>
  group(
    {
      length: length({ kind: 'chip', instrument: 'rule' }, { idle: recorded }),
      depth: length({ kind: 'smallDefect', instrument: 'depth-rod' }),
    },
    { means: 'Rut or pit in the rail tops: the dressing goes down to its floor on both rails.', idle: whenDressed },
    ['depth'],
  );

const burr = (rail: string) =>
  seen(
    { none: 'ok', felt: ['fail', 'deburr'], heavy: ['fail', 'deburr'] },
    { check: 'bar.burr', means: `Wire edge on the outer side of the ${rail} rail.` },
  );

/** What a station measures after the rework: the same readings, taken again. */
const after = group(
  { near: length(depth), far: length(depth), mouth: length(width, { idle: withoutLink }) },
  { means: 'The second measurement, after the rework.', step: 'rework' },
);

/** Everything that can be said of one station on one edge. */
export const stationReadings = group(
  {
    at: length({ kind: 'station', instrument: 'rule' }, { means: 'Position along the edge from the tail.' }),
    near: length(depth, { means: 'Groove depth from the rail on the stamped side.', idle: takenAgain('near') }),
    far: length(depth, { means: 'Groove depth from the other rail.', idle: takenAgain('far') }),
    mouth: evidence(
      length(width, {
        means: 'Groove width at the rails.',
        needed: {
          by: ['bar'],
          orElse: ['bar.edges.stations.deep', 'bar.checks.straightEdge'],
          asks: 'bar.edges.mouth',
        },
        decides: 0.1,
        setUp: 'caliper',
        idle: at((station, around) => (station.after?.mouth ? measuredAgain : withoutLink(around))),
      }),
    ),
    deep: evidence(
      length(width, {
        means: 'Groove width near the floor.',
        setUp: 'caliper',
        idle: at((station, around) =>
          station.after?.mouth || isDressed(station) ? measuredAgain : withoutLink(around),
        ),
      }),
    ),
    deepAt: length(depth, {
      means: 'How far below the rails `deep` was taken.',
      idle: at((station) => {
        if (isDressed(station)) return measuredAgain;
        return station.mouth && station.deep ? goesWith('chain.tang') : goesWith('bar.edges.mouth', 'bar.edges.deep');
      }),
    }),
    burrNear: burr('near'),
    burrFar: burr('far'),
    chipNear: chip('near'),
    chipFar: chip('far'),
    rut: rut(),
    marker: oneOf(MARKER, {
      means: 'Rails that one guided pass touched: the untouched rail is the low one.',
      idle: (around) => ((around.group as Measured).marker === 'none' ? recorded : testOfLevel(around)),
    }),
    square: oneOf(SQUARE, {
      means: 'Square on the rails: level, or which rail is high. Beside the bare word `{ says, with }`.',
      madeWith: 'squareWith',
      idle: testOfLevel,
    }),
    squareWith: oneOf(SQUARE_WITH, {
      means: 'How the step was looked for: by the light, or with a blade of 0.10 mm under the low side.',
      idle: at((station) => {
        if (isDressed(station)) return measuredAgain;
        if (station.square === undefined) return goesWith('bar.edges.square');
        return station.squareWith === 'eye' ? recorded : null;
      }),
    }),
    leaveLow: yesNo({
      means: 'A dip left as it is, because levelling to it would cost the whole edge.',
      step: 'rework',
      idle: recorded,
    }),
    after,
    note: words(500, { idle: recorded }),
  },
  { minutes: 0.5, step: 'bar', view: 'measure', leads: 'near' },
  ['at'],
);

interface EdgeAround {
  readonly stations?: readonly Measured[];
}

/** One edge: its stations along it, and how it stands. */
export const edgeReadings = () =>
  group(
    {
      stations: orderedList(stationReadings, 60, 'at', {
        minutes: 2.5,
        decides: 0.15,
        needed: { by: ['bar'], enough: (there) => (there as Measured[]).some(({ near, far }) => near && far) },
      }),
      stands: oneOf(STANDS, {
        means: 'The clean bar stood on this edge on a flat surface: it stands, or falls to that side.',
        minutes: 0.3,
        idle: ({ group: edge }) => ((edge as EdgeAround).stations?.some(isDressed) ? measuredAgain : null),
      }),
    },
    { view: 'measure', setUp: 'bar-in-vise' },
  );
