import { z } from 'zod';
import { FAMILY_IDS } from '../families';
import { INSTRUMENT_IDS } from '../quantity';
import { quantity } from './quantity-schema';

/** A piece broken out of a rail: how long along the rail, how deep below it. */
export const chipSchema = z.strictObject({ length: quantity('chipLength'), depth: quantity('chipDepth') });

/** What a station measures after the rework: the same readings, taken again. */
export const afterSchema = z.strictObject({
  near: quantity('near').optional(),
  far: quantity('far').optional(),
  mouth: quantity('mouth').optional(),
});

/** Where one pass of the guided file took the marker off. */
export const MARKER = ['near', 'far', 'both', 'none'] as const;

/** What a square held against the light shows at a station: both rails touched, or light under the low one. */
export const SQUARE = ['level', 'near-high', 'far-high'] as const;

/** A clean bar stood on its edge on a flat surface: it stands, or falls to a side. */
export const STANDS = ['yes', 'near', 'far'] as const;

/** Everything the sheet can say of one station on one edge. */
export const stationSchema = z.strictObject({
  at: quantity('at').describe('Position along the edge from the tail.'),
  near: quantity('near').optional().describe('Groove depth from the rail on the stamped side.'),
  far: quantity('far').optional().describe('Groove depth from the other rail.'),
  mouth: quantity('mouth').optional().describe('Groove width at the rails.'),
  deep: quantity('deep').optional().describe('Groove width near the floor.'),
  deepAt: quantity('deepAt').optional().describe('How far below the rails `deep` was taken.'),
  burrNear: z.enum(['none', 'felt', 'heavy']).optional().describe('Wire edge on the outer side of the near rail.'),
  burrFar: z.enum(['none', 'felt', 'heavy']).optional().describe('Wire edge on the outer side of the far rail.'),
  chipNear: chipSchema.optional().describe('Piece broken out of the near rail.'),
  chipFar: chipSchema.optional().describe('Piece broken out of the far rail.'),
  marker: z.enum(MARKER).optional().describe('Rails that one guided pass touched: the untouched rail is the low one.'),
  square: z.enum(SQUARE).optional().describe('Square on the rails against the light: level, or which rail is high.'),
  leaveLow: z.boolean().optional().describe('A dip left as it is, because levelling to it would cost the whole edge.'),
  after: afterSchema.optional().describe('The second measurement, after the rework.'),
  note: z.string().max(500).optional(),
});

export const edgeSchema = z.strictObject({
  stations: z.array(stationSchema).max(60).default([]),
  stands: z
    .enum(STANDS)
    .optional()
    .describe('The clean bar stood on this edge on a flat surface: it stands, or falls to that side.'),
});

/** Work on a bar, in working order: straight before level, level before deburring, clean last of all. */
export const BAR_OPERATIONS = [
  'clean-oil-holes',
  'rake-groove',
  'straighten',
  'ease-pinch',
  'dress-rails',
  'deburr',
  'close-rails',
  'free-nose',
  're-nose',
  'grease-nose',
  'turn-over',
] as const;

/** Observations that need no tool, each with its words. */
export const barChecksSchema = z.strictObject({
  bow: quantity('bow').optional().describe('Largest gap under a straight edge along the side.'),
  crack: z.enum(['no', 'yes', 'unsure']).optional(),
  blueing: z.enum(['no', 'light', 'heavy']).optional(),
  resin: z.enum(['none', 'soft', 'baked']).optional().describe('Baked resin means that it ran hot.'),
  twist: z.enum(['none', 'slight', 'plain']).optional(),
  dents: z.enum(['none', 'light', 'deep']).optional(),
  barePaint: z.enum(['seen']).optional().describe('Recorded, and means nothing.'),
  holes: z.enum(['ok', 'worn', 'torn']).optional().describe('Tensioner hole.'),
  tailErosion: z.enum(['none', 'slight', 'deep']).optional().describe('Where a slack chain hammers the tail.'),
  ruts: z.enum(['none', 'slight', 'deep']).optional().describe('Secondary ruts worn into the rail tops.'),
  grooveShape: z.enum(['even', 'pinched', 'splayed']).optional(),
  noseTeeth: z.enum(['good', 'worn', 'missing']).optional(),
  hardNose: z
    .enum(['good', 'worn', 'through'])
    .optional()
    .describe('Wear of a hard nose: `through` where the hard facing is worn through or chipped.'),
  nosePinch: z.enum(['no', 'yes']).optional().describe('Nose plates pressed together on the sprocket.'),
  slot: z.enum(['ok', 'worn', 'wallowed']).optional(),
  oilHoles: z.enum(['clear', 'blocked']).optional(),
  groove: z.enum(['clean', 'packed']).optional(),
  noseDirt: z.enum(['clear', 'packed']).optional().describe('Dirt packed round the nose sprocket.'),
  noseTurns: z.enum(['free', 'rough', 'seized']).optional(),
  tipPlay: z.enum(['none', 'slight', 'loose']).optional(),
  straightEdge: z
    .enum(['gap-stays', 'gap-closes', 'passes-beyond'])
    .optional()
    .describe('Rule against bar side and cutter, cutter pushed over.'),
});

/** Pitch as it stands on a part: a family, or 3/8 where the build is not said. */
export const PITCH_MARKS = [...FAMILY_IDS, '3/8'] as const;
export type PitchMark = (typeof PITCH_MARKS)[number];

export const barSchema = z.strictObject({
  stamp: z.string().max(200).optional().describe('As punched near the tail.'),
  edgeDown: z.enum(['A', 'B']).optional().describe('The edge that was down on the saw as it came.'),
  edgeDownNow: z.enum(['A', 'B']).optional().describe('The edge that is down as it goes back.'),
  construction: z.enum(['laminated', 'solid']).optional(),
  nose: z.enum(['sprocket', 'hard']).optional(),
  noseReplaceable: z.boolean().optional(),
  nosePort: z.boolean().optional().describe('Has a port to grease the nose through.'),
  nosePitch: z.enum(PITCH_MARKS).optional().describe('Pitch marked on the nose sprocket or its rivets.'),
  noseTeeth: z.int().min(5).max(20).optional(),
  mount: z.string().max(40).optional(),
  oilHole: z.string().max(40).optional().describe("The shop's name for the oil-hole pattern."),
  groove: quantity('groove')
    .optional()
    .describe('Groove width near the floor at a little-worn place, by caliper or by tabs.'),
  listedLength: quantity('listedLength').optional().describe('As sold or as the customer calls it.'),
  thickness: quantity('thickness').optional(),
  bodyHeight: quantity('bodyHeight').optional(),
  effectiveLength: quantity('effectiveLength')
    .optional()
    .describe('Front of the side cover to the tip, chain tensioned.'),
  reach: quantity('reach').optional().describe('True cutting length: furthest part of case or spikes to the tip.'),
  overallLength: quantity('overallLength')
    .optional()
    .describe('Tail to tip, off the saw: the measure that stations run along.'),
  reworkDone: z.array(z.enum(BAR_OPERATIONS)).max(BAR_OPERATIONS.length).optional(),
  checks: barChecksSchema.optional(),
  edges: z.strictObject({ A: edgeSchema.optional(), B: edgeSchema.optional() }).optional(),
});

export const chainSchema = z.strictObject({
  stamp: z.string().max(200).optional(),
  span: z
    .strictObject({
      rivets: z.int().min(2).max(400).describe('Rivets counted, both ends included: 11 rivets span 10 pitches.'),
      length: quantity('spanLength'),
      instrument: z.enum(INSTRUMENT_IDS).optional(),
    })
    .optional(),
  template: z.array(z.enum(PITCH_MARKS)).max(6).optional().describe('Templates whose cut-outs centre on the rivets.'),
  chassis: z.enum(['small', 'large']).optional().describe('Cutter and link compared side by side with a known chain.'),
  fileSize: quantity('fileSize').optional().describe('Round file that was used on it.'),
  driveLinkThickness: quantity('driveLinkThickness').optional(),
  driveLinks: z.array(z.int().min(1).max(400)).max(20).optional().describe('Recounts, in the order they were made.'),
  cutters: z.int().min(1).max(200).optional(),
  loopLength: quantity('loopLength').optional().describe('Once round at the rivet line, chain pulled straight.'),
  tang: quantity('tang').optional().describe('Length of the drive link below the straps.'),
  kerf: quantity('kerf').optional(),
  tipHeight: quantity('tipHeight').optional().describe('Cutter tip above the middle of the engaged tang.'),
  cuttersLeft: z.array(quantity('cutterLength')).max(200).optional(),
  cuttersRight: z.array(quantity('cutterLength')).max(200).optional(),
  damage: z
    .array(z.strictObject({ side: z.enum(['left', 'right']), cutter: z.int().min(1), setBack: quantity('setBack') }))
    .max(400)
    .optional(),
  witnessLimit: quantity('witnessLimit').optional(),
  pushPull: z
    .strictObject({ joints: z.int().min(1).max(800), closed: quantity('pushPull'), pulled: quantity('pushPull') })
    .optional(),
  checks: z
    .strictObject({
      crack: z.enum(['no', 'yes', 'unsure']).optional(),
      resin: z.enum(['none', 'soft', 'baked']).optional().describe('Bright: it was sharp and oiled.'),
      strapBurrs: z.enum(['none', 'light', 'heavy']).optional(),
      burredTangs: z.int().min(0).optional(),
      tightJoints: z.int().min(0).optional(),
    })
    .optional(),
  kickbackClass: z.enum(['low-kickback', 'standard']).optional(),
  sequence: z.enum(['full-complement', 'semi-skip', 'full-skip']).optional(),
});

export const driveSprocketSchema = z.strictObject({
  stamp: z.string().max(200).optional().describe('As punched on the sprocket: pitch and teeth, such as 325-7.'),
  type: z.enum(['spur', 'rim']).optional(),
  teeth: z.int().min(4).max(20).optional(),
  pitch: z.enum(PITCH_MARKS).optional(),
  wear: quantity('wear').optional().describe('Depth of the grooves the drive links have worn.'),
  chainsRun: z.int().min(0).max(100).optional(),
  turns: z.enum(['free', 'rough', 'seized']).optional(),
});

/** The complaint as symptoms, in the order a counter hears them. */
export const SYMPTOMS = [
  'cuts-curved-left',
  'cuts-curved-right',
  'chain-comes-off',
  'runs-hot',
  'fine-dust',
  'needs-force',
  'eats-chains',
  'vibrates',
  'will-not-oil',
  'will-not-take-up-tension',
] as const;

export const USES = ['bucking', 'limbing', 'milling', 'felling', 'rescue'] as const;

/** What the customer put on the counter. */
export const BROUGHT = ['whole-saw', 'bar', 'chain', 'drive-sprocket', 'scrap'] as const;

/** How the chain gets sharpened. */
export const SHARPENING = ['hand', 'guide', 'grinder', 'never'] as const;

/** Making safe and stripping, in working order. */
export const STRIP_ACTS = ['power-off', 'gloves', 'brake-off', 'cover-off', 'tension-back', 'bar-off'] as const;

/** Cleaning before judging, in working order. */
export const CLEAN_ACTS = ['rake-groove', 'clear-oil-holes', 'wipe-resin', 'blow-out', 'light-under'] as const;

/** Readings that tell what a part is. Each can be set aside, and counts again when it is put back. */
export const EVIDENCE_IDS = [
  'chain.stamp',
  'chain.span',
  'chain.template',
  'chain.chassis',
  'chain.fileSize',
  'chain.driveLinkThickness',
  'chain.driveLinks.0',
  'chain.driveLinks.1',
  'chain.driveLinks.2',
  'chain.driveLinks.3',
  'chain.driveLinks.4',
  'chain.cutters',
  'chain.loopLength',
  'bar.stamp',
  'bar.groove',
  'bar.edges.deep',
  'bar.edges.mouth',
  'bar.nosePitch',
  'driveSprocket.pitch',
  'driveSprocket.stamp',
  'loop.tape',
  'loop.centreBack',
] as const;
export type EvidenceId = (typeof EVIDENCE_IDS)[number];

export const jobSchema = z.strictObject({
  reference: z.string().max(80).optional(),
  symptoms: z.array(z.enum(SYMPTOMS)).max(SYMPTOMS.length).optional(),
  use: z.enum(USES).optional(),
  operatorTrained: z.boolean().optional().describe('Decides the kickback class.'),
  brought: z.array(z.enum(BROUGHT)).max(BROUGHT.length).optional(),
  sharpening: z.enum(SHARPENING).optional(),
  kickbackChoice: z
    .string()
    .max(500)
    .optional()
    .describe('Why standard chain was chosen although low-kickback chain fits the user: the recorded choice.'),
  turnOver: z.enum(['never', 'sometimes', 'every-chain', 'every-sharpening']).optional(),
  complaint: z.string().max(2000).optional().describe("In the customer's words."),
});

/** Services that a log goes back. */
export const MOST_SERVICES = 12;

export const sawSchema = z.strictObject({
  label: z.string().max(120).optional(),
  mount: z.string().max(40).optional(),
  oilHole: z.string().max(40).optional(),
  maxRpm: z.number().positive().max(30000).optional().describe('Revolutions per minute.'),
  turnLog: z
    .array(z.strictObject({ came: z.enum(['A', 'B']).optional(), went: z.enum(['A', 'B']).optional() }))
    .max(MOST_SERVICES)
    .optional()
    .describe('The edge that was down at each earlier service, as the bar came and as it went back; oldest first.'),
  sameBar: z.boolean().optional().describe('False where another bar is on the saw now: then the log does not count.'),
});

/** What was measured of the loop's way round drive sprocket and nose, with the bar on the saw. */
export const loopSchema = z.strictObject({
  tape: quantity('tape').optional().describe('Tape laid in the groove, round the nose and the drive sprocket.'),
  centreBack: quantity('centres')
    .optional()
    .describe('Centre of drive sprocket to centre of nose, tensioner fully back.'),
  centreOut: quantity('centres').optional().describe('The same, tensioner fully out.'),
  noseRadius: quantity('noseRadius').optional().describe('Hard nose: its radius to the rivet line.'),
});

/** The bench sheet: all that was seen and measured on one job. Everything but format and version may be missing. */
export const benchSheetSchema = z.strictObject({
  format: z.literal('serrata-bench-sheet'),
  version: z.literal(1),
  job: jobSchema.optional(),
  saw: sawSchema.optional(),
  bar: barSchema.optional(),
  chain: chainSchema.optional(),
  driveSprocket: driveSprocketSchema.optional(),
  loop: loopSchema.optional(),
  strip: z.strictObject({ done: z.array(z.enum(STRIP_ACTS)).max(STRIP_ACTS.length).optional() }).optional(),
  clean: z.strictObject({ done: z.array(z.enum(CLEAN_ACTS)).max(CLEAN_ACTS.length).optional() }).optional(),
  /** Evidence that was set aside: kept as it was read, and left out of identifying until it is put back. */
  setAside: z.array(z.enum(EVIDENCE_IDS)).max(EVIDENCE_IDS.length).optional(),
});

/** A sheet as read: quantities are readings. */
export type BenchSheet = z.output<typeof benchSheetSchema>;
/** A sheet as written in JSON. */
export type WrittenBenchSheet = z.input<typeof benchSheetSchema>;
export type BarSheet = NonNullable<BenchSheet['bar']>;
export type ChainSheet = NonNullable<BenchSheet['chain']>;
export type DriveSprocketSheet = NonNullable<BenchSheet['driveSprocket']>;
export type StationSheet = z.output<typeof stationSchema>;
export type EdgeSheet = z.output<typeof edgeSchema>;
