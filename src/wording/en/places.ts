/** Readings by the path of the bench sheet, said the way one points at them. */
const READINGS: Record<string, string> = {
  'bar.checks.crack': 'a look for cracks in the bar',
  'bar.checks.bow': 'bow of the bar',
  'bar.checks.noseTurns': 'whether the nose turns',
  'bar.checks.hardNose': 'how far the hard nose is worn',
  'bar.edges.A.stations': 'depth from both rails, edge A',
  'bar.edges.B.stations': 'depth from both rails, edge B',
  'bar.edges.A.stands': 'the clean bar stood on edge A',
  'bar.edges.B.stands': 'the clean bar stood on edge B',
  'bar.checks.straightEdge': 'straight-edge test',
  'bar.edges.mouth': 'groove width at one station',
  'bar.pitch': 'pitch of the bar',
  'bar.gauge': 'gauge of the bar',
  'bar.driveLinks': 'drive links the bar is for',
  'bar.stamp': 'stamp on the bar',
  'bar.mount': 'mount of the bar',
  'saw.mount': 'mount of the saw',
  'chain.pitch': 'pitch of the chain',
  'chain.gauge': 'gauge of the chain',
  'chain.driveLinks': 'drive-link count',
  'chain.chassis': 'build of the chain beside a known one',
  'chain.span': 'span over rivets',
  'chain.driveLinkThickness': 'drive-link thickness',
  'chain.checks.crack': 'a look for cracks in the chain',
  'chain.cuttersLeft': 'cutter lengths',
  'chain.cuttersRight': 'cutter lengths',
  'chain.cutters': 'number of cutters',
  'chain.pushPull': 'push-and-pull length',
  'bar.after': 'the second measurement, after the rework',
  'bar.groove': 'groove near the floor',
  'bar.nosePitch': 'pitch marked on the nose',
  'bar.noseTeeth': 'teeth of the nose',
  'bar.thickness': 'thickness of the bar',
  'bar.oilHole': 'oil-hole pattern of the bar',
  'saw.oilHole': 'oil-hole pattern of the saw',
  'bar.listedLength': 'listed length of the bar',
  'bar.edges.depth': 'depths of the rails',
  'saw.turnLog': 'the log of turning over',
  'bar.edgeDown': 'the edge that came down',
  'chain.kerf': 'the kerf',
  'chain.tipHeight': 'the height of the cutter tip',
  'chain.tang': 'the length of the tang',
  'bar.edges.deep': 'groove near the floor, at a station',
  'chain.stamp': 'mark on the chain',
  'chain.template': 'template over the rivets',
  'chain.fileSize': 'size of the file used on it',
  'chain.loopLength': 'length once round',
  'chain.sequence': 'cutters in their sequence',
  'chain.driveLinks.0': 'first count',
  'chain.driveLinks.1': 'second count',
  'chain.driveLinks.2': 'third count',
  'chain.driveLinks.3': 'fourth count',
  'chain.driveLinks.4': 'fifth count',
  'loop.tape': 'tape round groove and sprocket',
  'loop.centreBack': 'centres, tensioner fully back',
  'loop.centreOut': 'centres, tensioner fully out',
  'loop.noseRadius': 'radius of the hard nose',
  'driveSprocket.stamp': 'mark on the drive sprocket',
  'driveSprocket.teeth': 'teeth of the drive sprocket',
  'job.operatorTrained': 'who runs the saw',
  'driveSprocket.pitch': 'pitch of the drive sprocket',
  'driveSprocket.wear': 'wear of the drive sprocket',
};

const FIELD: Record<string, string> = {
  near: 'near rail',
  far: 'far rail',
  mouth: 'groove width',
  deep: 'width further down',
  square: 'square against the light',
};

/** Says a reading's path in words; stations are counted from 1, as on the screen. */
export function readingName(path: string): string {
  const station = /^bar\.([AB])\.(\d+)\.(\w+)$/.exec(path);
  if (station) return `edge ${station[1]!}, station ${Number(station[2]) + 1}, ${FIELD[station[3]!] ?? station[3]!}`;
  return READINGS[path] ?? path;
}

/** Joins parts of a sentence: `a`, `a and b`, `a, b and c`. */
export function list(parts: readonly string[], last = 'and'): string {
  if (parts.length < 2) return parts[0] ?? '';
  return `${parts.slice(0, -1).join(', ')} ${last} ${parts.at(-1)!}`;
}

/** First letter as a capital. */
export function sentence(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
