import { z } from 'zod';
import { FAMILY_IDS } from '../families';
import { INSTRUMENT_IDS } from '../quantity';
import { quantity } from './quantity-schema';

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
  note: z.string().max(500).optional(),
});

export const edgeSchema = z.strictObject({ stations: z.array(stationSchema).max(60) });

/** Observations that need no tool, each with its words. */
export const barChecksSchema = z.strictObject({
  bow: quantity('bow').optional().describe('Largest gap under a straight edge along the side.'),
  crack: z.enum(['no', 'yes', 'unsure']).optional(),
  blueing: z.enum(['no', 'light', 'heavy']).optional(),
  slot: z.enum(['ok', 'worn', 'wallowed']).optional(),
  oilHoles: z.enum(['clear', 'blocked']).optional(),
  groove: z.enum(['clean', 'packed']).optional(),
  noseTurns: z.enum(['free', 'rough', 'seized']).optional(),
  tipPlay: z.enum(['none', 'slight', 'loose']).optional(),
  straightEdge: z
    .enum(['gap-stays', 'gap-closes', 'passes-beyond'])
    .optional()
    .describe('Rule against bar side and cutter, cutter pushed over.'),
});

export const barSchema = z.strictObject({
  stamp: z.string().max(200).optional().describe('As punched near the tail.'),
  construction: z.enum(['laminated', 'solid']).optional(),
  nose: z.enum(['sprocket', 'hard']).optional(),
  noseReplaceable: z.boolean().optional(),
  mount: z.string().max(40).optional(),
  thickness: quantity('thickness').optional(),
  bodyHeight: quantity('bodyHeight').optional(),
  effectiveLength: quantity('effectiveLength')
    .optional()
    .describe('Front of the side cover to the tip, chain tensioned.'),
  overallLength: quantity('overallLength')
    .optional()
    .describe('Tail to tip, off the saw: the measure that stations run along.'),
  checks: barChecksSchema.optional(),
  edges: z.strictObject({ A: edgeSchema.optional(), B: edgeSchema.optional() }).optional(),
});

/** Pitch as it stands on a part: a family, or 3/8 where the build is not said. */
export const PITCH_MARKS = [...FAMILY_IDS, '3/8'] as const;
export type PitchMark = (typeof PITCH_MARKS)[number];

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
  driveLinkThickness: quantity('driveLinkThickness').optional(),
  driveLinks: z.array(z.int().min(1).max(400)).max(20).optional().describe('Recounts, in the order they were made.'),
  cutters: z.int().min(1).max(200).optional(),
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
      strapBurrs: z.enum(['none', 'light', 'heavy']).optional(),
      burredTangs: z.int().min(0).optional(),
      tightJoints: z.int().min(0).optional(),
    })
    .optional(),
  kickbackClass: z.enum(['low-kickback', 'standard']).optional(),
  sequence: z.enum(['full-complement', 'semi-skip', 'full-skip']).optional(),
});

export const driveSprocketSchema = z.strictObject({
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

export const jobSchema = z.strictObject({
  reference: z.string().max(80).optional(),
  symptoms: z.array(z.enum(SYMPTOMS)).max(SYMPTOMS.length).optional(),
  use: z.enum(USES).optional(),
  operatorTrained: z.boolean().optional().describe('Decides the kickback class.'),
  turnOver: z.enum(['never', 'sometimes', 'every-chain', 'every-sharpening']).optional(),
  complaint: z.string().max(2000).optional().describe("In the customer's words."),
});

export const sawSchema = z.strictObject({
  label: z.string().max(120).optional(),
  mount: z.string().max(40).optional(),
  maxRpm: z.number().positive().max(30000).optional().describe('Revolutions per minute.'),
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
});

/** A sheet as read: quantities are readings. */
export type BenchSheet = z.output<typeof benchSheetSchema>;
/** A sheet as written in JSON. */
export type WrittenBenchSheet = z.input<typeof benchSheetSchema>;
export type BarSheet = NonNullable<BenchSheet['bar']>;
export type ChainSheet = NonNullable<BenchSheet['chain']>;
export type DriveSprocketSheet = NonNullable<BenchSheet['driveSprocket']>;
export type StationSheet = z.output<typeof stationSchema>;
