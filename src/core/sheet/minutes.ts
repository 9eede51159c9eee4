/** Minutes a hand needs for a reading (shop's figures), by the start of its path; the longest that fits counts. */
const MINUTES: readonly (readonly [string, number])[] = [
  ['bar.checks.crack', 1],
  ['bar.checks', 0.5],
  ['bar.checks.bow', 1],
  ['bar.edges', 0.5],
  ['bar.A', 0.5],
  ['bar.B', 0.5],
  ['bar.edges.A.stands', 0.3],
  ['bar.edges.B.stands', 0.3],
  ['bar.edges.A.stations', 2.5],
  ['bar.edges.B.stations', 2.5],
  ['bar.edges.mouth', 0.5],
  ['bar.groove', 0.5],
  ['bar.nosePitch', 0.5],
  ['bar.stamp', 0.5],
  ['chain.checks.crack', 2],
  ['chain.cutters', 3],
  ['chain.pushPull', 2],
  ['chain.driveLinks', 1.5],
  ['chain.span', 0.5],
  ['chain.chassis', 0.5],
  ['chain.fileSize', 0.5],
  ['chain.stamp', 0.5],
  ['chain.template', 0.5],
  ['chain.driveLinkThickness', 0.5],
  ['chain.loopLength', 2],
  ['driveSprocket.pitch', 0.5],
  ['driveSprocket.wear', 1],
  ['loop.tape', 2],
  ['loop.centreBack', 3],
];

/** The longest start first, so that the first that fits counts. */
const BY_LENGTH = [...MINUTES].sort(([a], [b]) => b.length - a.length);

/** Minutes where nothing is known of a reading. */
const USUAL = 1;

/** Minutes that a reading takes. */
export function minutesFor(path: string): number {
  return BY_LENGTH.find(([start]) => path.startsWith(start))?.[1] ?? USUAL;
}
