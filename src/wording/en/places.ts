import {
  idAt,
  isReadingPath,
  isSubject,
  stationOf,
  type Askable,
  type GroupId,
  type GroupPath,
  type ReadingId,
  type ReadingPath,
  type Subject,
} from '../../core/sheet';

/** Readings as one points at them in a sentence. Every reading has its words: one without does not compile. */
const READINGS: Readonly<Record<ReadingId, string>> = {
  'job.reference': 'reference of the job',
  'job.symptoms': 'symptoms',
  'job.use': 'what the saw is used for',
  'job.operatorTrained': 'who runs the saw',
  'job.brought': 'what was brought',
  'job.sharpening': 'how the chain gets sharpened',
  'job.kickbackChoice': 'why standard chain was chosen',
  'job.turnOver': 'how often the bar is turned over',
  'job.complaint': 'what the customer says',
  'saw.label': 'name of the saw',
  'saw.mount': 'mount of the saw',
  'saw.oilHole': 'oil-hole pattern of the saw',
  'saw.maxRpm': 'top speed of the saw',
  'saw.turnLog.came': 'the edge that came down, at an earlier service',
  'saw.turnLog.went': 'the edge that went back down, at an earlier service',
  'saw.sameBar': 'whether it is the same bar',
  'bar.stamp': 'stamp on the bar',
  'bar.edgeDown': 'the edge that came down',
  'bar.edgeDownNow': 'the edge that is down now',
  'bar.construction': 'construction of the bar',
  'bar.nose': 'kind of nose',
  'bar.noseReplaceable': 'whether the nose can be replaced',
  'bar.nosePort': 'grease port of the nose',
  'bar.nosePitch': 'pitch marked on the nose',
  'bar.noseTeeth': 'teeth of the nose',
  'bar.mount': 'mount of the bar',
  'bar.oilHole': 'oil-hole pattern of the bar',
  'bar.groove': 'groove near the floor',
  'bar.listedLength': 'listed length of the bar',
  'bar.thickness': 'thickness of the bar',
  'bar.bodyHeight': 'height of the bar',
  'bar.effectiveLength': 'length from cover to tip',
  'bar.reach': 'length from case to tip',
  'bar.overallLength': 'length from tail to tip',
  'bar.reworkDone': 'the work that was done',
  'bar.checks.bow': 'bow of the bar',
  'bar.checks.crack': 'a look for cracks in the bar',
  'bar.checks.blueing': 'blue patches on the bar',
  'bar.checks.resin': 'resin on the bar',
  'bar.checks.twist': 'twist of the bar',
  'bar.checks.dents': 'dents in the rails',
  'bar.checks.barePaint': 'bare paint',
  'bar.checks.holes': 'tensioner hole',
  'bar.checks.tailErosion': 'erosion at the tail',
  'bar.checks.ruts': 'ruts in the rail tops',
  'bar.checks.grooveShape': 'shape of the groove along its length',
  'bar.checks.noseTeeth': 'state of the nose’s teeth',
  'bar.checks.hardNose': 'how far the hard nose is worn',
  'bar.checks.nosePinch': 'whether the plates press on the nose sprocket',
  'bar.checks.noseDirt': 'dirt round the nose sprocket',
  'bar.checks.noseTurns': 'whether the nose turns',
  'bar.checks.tipPlay': 'play at the tip',
  'bar.checks.slot': 'mount slot',
  'bar.checks.oilHoles': 'oil holes',
  'bar.checks.groove': 'dirt in the groove',
  'bar.checks.straightEdge': 'straight-edge test',
  'bar.edges.stations.at': 'position',
  'bar.edges.stations.near': 'near rail',
  'bar.edges.stations.far': 'far rail',
  'bar.edges.stations.mouth': 'groove width',
  'bar.edges.stations.deep': 'width further down',
  'bar.edges.stations.deepAt': 'how far down the width was taken',
  'bar.edges.stations.burrNear': 'burr on the near rail',
  'bar.edges.stations.burrFar': 'burr on the far rail',
  'bar.edges.stations.chipNear.length': 'length of the chip, near rail',
  'bar.edges.stations.chipNear.depth': 'depth of the chip, near rail',
  'bar.edges.stations.chipFar.length': 'length of the chip, far rail',
  'bar.edges.stations.chipFar.depth': 'depth of the chip, far rail',
  'bar.edges.stations.marker': 'where one marker pass touched',
  'bar.edges.stations.square': 'square against the light',
  'bar.edges.stations.leaveLow': 'the dip that is left',
  'bar.edges.stations.after.near': 'near rail, after the rework',
  'bar.edges.stations.after.far': 'far rail, after the rework',
  'bar.edges.stations.after.mouth': 'groove width, after the rework',
  'bar.edges.stations.note': 'note',
  'bar.edges.stands': 'the clean bar stood on its edge',
  'chain.stamp': 'mark on the chain',
  'chain.span.rivets': 'rivets of the span',
  'chain.span.length': 'length of the span',
  'chain.span.instrument': 'tool of the span',
  'chain.template': 'template over the rivets',
  'chain.chassis': 'build of the chain beside a known one',
  'chain.fileSize': 'size of the file used on it',
  'chain.driveLinkThickness': 'drive-link thickness',
  'chain.driveLinks': 'count of drive links',
  'chain.cutters': 'number of cutters',
  'chain.loopLength': 'length once round',
  'chain.tang': 'the length of the tang',
  'chain.kerf': 'the kerf',
  'chain.tipHeight': 'the height of the cutter tip',
  'chain.cuttersLeft': 'length of a left cutter',
  'chain.cuttersRight': 'length of a right cutter',
  'chain.damage.side': 'side of the damaged cutter',
  'chain.damage.cutter': 'number of the damaged cutter',
  'chain.damage.setBack': 'set-back that clears the damage',
  'chain.witnessLimit': 'witness mark',
  'chain.pushPull.joints': 'joints pushed and pulled',
  'chain.pushPull.closed': 'length pushed together',
  'chain.pushPull.pulled': 'length pulled apart',
  'chain.checks.crack': 'a look for cracks in the chain',
  'chain.checks.resin': 'resin on the chain',
  'chain.checks.strapBurrs': 'undersides of the straps',
  'chain.checks.burredTangs': 'burred tangs',
  'chain.checks.tightJoints': 'tight joints',
  'chain.kickbackClass': 'kickback class of the chain',
  'chain.sequence': 'cutters in their sequence',
  'driveSprocket.stamp': 'mark on the drive sprocket',
  'driveSprocket.type': 'kind of drive sprocket',
  'driveSprocket.teeth': 'teeth of the drive sprocket',
  'driveSprocket.pitch': 'pitch of the drive sprocket',
  'driveSprocket.wear': 'wear of the drive sprocket',
  'driveSprocket.chainsRun': 'chains that ran on the drive sprocket',
  'driveSprocket.turns': 'whether the drive sprocket turns',
  'loop.tape': 'tape round groove and sprocket',
  'loop.centreBack': 'centres, tensioner fully back',
  'loop.centreOut': 'centres, tensioner fully out',
  'loop.noseRadius': 'radius of the hard nose',
  'strip.done': 'acts of stripping',
  'clean.done': 'acts of cleaning',
  setAside: 'evidence set aside',
};

const GROUPS: Readonly<Record<GroupId, string>> = {
  job: 'what the customer says',
  saw: 'the saw',
  'saw.turnLog': 'the log of turning over',
  bar: 'the bar',
  'bar.checks': 'the bar looked over',
  'bar.edges': 'the edges of the bar',
  'bar.edges.stations': 'depth from both rails',
  'bar.edges.stations.chipNear': 'chip in the near rail',
  'bar.edges.stations.chipFar': 'chip in the far rail',
  'bar.edges.stations.after': 'the second measurement',
  chain: 'the chain',
  'chain.span': 'span over rivets',
  'chain.driveLinks': 'drive-link count',
  'chain.cuttersLeft': 'cutter lengths',
  'chain.cuttersRight': 'cutter lengths',
  'chain.damage': 'damaged cutters',
  'chain.pushPull': 'push-and-pull length',
  'chain.checks': 'the chain looked over',
  driveSprocket: 'the drive sprocket',
  loop: 'the loop on the saw',
  strip: 'stripping',
  clean: 'cleaning',
};

const SUBJECTS: Readonly<Record<Subject, string>> = {
  'bar.pitch': 'pitch of the bar',
  'bar.gauge': 'gauge of the bar',
  'bar.driveLinks': 'drive links the bar is for',
  'chain.pitch': 'pitch of the chain',
  'chain.gauge': 'gauge of the chain',
  'bar.edges.mouth': 'groove width at one station',
  'bar.edges.deep': 'groove near the floor, at a station',
  'bar.edges.depth': 'depths of the rails',
  'bar.after': 'the second measurement, after the rework',
};

const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth'] as const;

/** A member of a list, or something of an edge: which one is said before it. */
function withItsPlace(asked: ReadingPath | GroupPath): string | null {
  const station = stationOf(asked);
  const name = nameOf(asked);
  if (station) return `edge ${station.edge}, station ${station.station + 1}, ${name}`;
  const keys = asked.split('.');
  const edge = keys.find((key) => key === 'A' || key === 'B');
  if (edge) return keys.at(-1) === 'stands' ? `the clean bar stood on edge ${edge}` : `${name}, edge ${edge}`;
  const member = Number(keys.at(-1));
  if (keys.length < 2 || Number.isNaN(member)) return null;
  if (idAt(asked) === 'chain.driveLinks') return `${ORDINALS[member] ?? `${member + 1}th`} count`;
  return `${name}, number ${member + 1}`;
}

/** What stands at a place, without which member of a list or edge it is. */
const nameOf = (asked: ReadingPath | GroupPath): string =>
  isReadingPath(asked) ? READINGS[idAt(asked) as ReadingId] : GROUPS[idAt(asked) as GroupId];

/** Says what is asked for in words; stations and members of a list are counted from 1, as on the screen. */
export function readingName(asked: Askable): string {
  return isSubject(asked) ? SUBJECTS[asked] : (withItsPlace(asked) ?? nameOf(asked));
}

/** What is asked for as the assessment document writes it, which has always had a short form for readings at a station. */
export function writtenPlace(asked: Askable): string {
  const station = stationOf(asked);
  return station ? `bar.${station.edge}.${station.station}.${station.field}` : asked;
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
