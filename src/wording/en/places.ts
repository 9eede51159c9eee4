/** Readings by the path of the bench sheet, said the way one points at them. */
const READINGS: Record<string, string> = {
  'bar.checks.crack': 'a look for cracks in the bar',
  'bar.checks.bow': 'bow of the bar',
  'bar.checks.noseTurns': 'whether the nose turns',
  'bar.edges.A.stations': 'depth from both rails, edge A',
  'bar.edges.B.stations': 'depth from both rails, edge B',
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
  'chain.cutters': 'cutter lengths',
  'chain.pushPull': 'push-and-pull length',
  'driveSprocket.pitch': 'pitch of the drive sprocket',
  'driveSprocket.wear': 'wear of the drive sprocket',
};

const FIELD: Record<string, string> = { near: 'near rail', far: 'far rail', mouth: 'groove width' };

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
