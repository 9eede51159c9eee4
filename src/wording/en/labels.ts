import type { StraightEdgeOutcome } from '../../core/groove';
import type { Rail } from '../../core/declared';
import type { Part, Waits } from '../../core/reading';
import { GAUGES, type FamilyId, type GaugeId, type Provenance, type PitchMark } from '../../core/families';
import type { FitRule, KickbackClass } from '../../core/fit';
import type { Schools } from '../../core/schools';
import type { Action, Operation } from '../../core/sheet';
import type { SprocketKind } from '../../core/declared';
import type { Sequence } from '../../core/identify';
import type { PlannedPart } from '../../core/stock';
import { KICKBACK_CLASS, SEQUENCE, SPROCKET_KIND } from './readings/shared';

/** Names of things, as the bench says them. */
export const partName: Record<Part, string> = {
  bar: 'Bar',
  chain: 'Chain',
  driveSprocket: 'Drive sprocket',
  nose: 'Nose',
};

/** Parts that a plan may take, the small ones of the drive too. */
export const plannedPartName: Record<PlannedPart, string> = {
  ...partName,
  drum: 'Clutch drum',
  bearing: 'Bearing',
  clip: 'Clip',
};

export const actionWord: Record<Action, string> = {
  keep: 'Keep',
  clean: 'Clean',
  recondition: 'Recondition',
  replace: 'Replace',
  undecided: 'Undecided',
};

export const operationWord: Record<Operation, string> = {
  'clean-rust': 'clean the rust off',
  'clean-oil-holes': 'clear the oil holes',
  'rake-groove': 'rake the groove',
  'ease-pinch': 'ease the pinched place',
  'close-rails': 'close the splayed rails, then measure again',
  'dress-rails': 'dress the rails',
  deburr: 'deburr and bevel the outer edges',
  straighten: 'straighten, then measure again',
  'free-nose': 'free the nose',
  're-nose': 'rivet in a new nose',
  'grease-nose': 'grease the nose through its port',
  'turn-over': 'turn the bar over',
  'free-tight-joints': 'free the tight joints',
  'file-tangs': 'file the burred tangs',
  'dress-straps': 'dress the straps',
  'file-back': 'file all cutters back to the worst',
  'grind-back': 'grind all cutters back to the worst',
  'correct-angles': 'bring the top plates to their angle',
  'correct-undercut': 'correct the undercut',
  'even-cutters': 'even the two sides',
  sharpen: 'sharpen',
  'lower-gauges': 'lower the depth gauges',
  'file-to-gauges': 'file the cutters back until the depth gauges stand right',
  'renew-drum': 'renew the drum',
  'renew-bearing': 'renew the bearing',
  'free-bearing': 'clean and grease the bearing',
  'renew-clip': 'renew the clip',
};

/** Work as the shop's school has it done. */
export const operationWordIn = (operation: Operation, { outerEdges }: Pick<Schools, 'outerEdges'>): string =>
  operation === 'deburr' && outerEdges === 'plain-deburr' ? 'deburr the outer edges' : operationWord[operation];

export const provenanceWord: Record<Provenance, string> = {
  published: 'published',
  practice: 'common practice',
  memory: 'from handbooks, page not at hand',
  derived: 'follows from the geometry',
  shop: "the shop's own",
  invented: 'invented, until the shop sets it',
};

/** A rail where it is plain that rails are meant. */
export const railSide: Record<Rail, string> = { near: 'near', far: 'far' };
export const sideWord: Record<'left' | 'right', string> = { left: 'left', right: 'right' };
export const railWord: Record<Rail, string> = { near: 'near rail', far: 'far rail' };

export const straightEdgeWord: Record<StraightEdgeOutcome, string> = {
  'gap-stays': 'the gap stays',
  'gap-closes': 'the gap closes',
  'passes-beyond': 'the cutter passes beyond',
};

const FAMILY_LABELS: Record<FamilyId, string> = {
  quarter: '1/4',
  '325': '.325',
  '38lp': '3/8 low profile',
  '38': '3/8 standard',
  '404': '.404',
};

/** A family as the trade writes it. */
export const familyLabel = (id: FamilyId): string => FAMILY_LABELS[id];
/** A family in tight places: plates, slips. */
export const familyShort: Record<FamilyId, string> = {
  quarter: '1/4',
  '325': '.325',
  '38lp': '3/8 LP',
  '38': '3/8',
  '404': '.404',
};
export const gaugeLabel = (id: GaugeId): string => `${id} in (${GAUGES[id].mmLabel} mm)`;
export const pitchMarkLabel = (mark: PitchMark): string => (mark === '3/8' ? '3/8, build not said' : familyLabel(mark));

export const fitRuleName: Record<FitRule, string> = {
  'chain-pitch-is-sprocket-pitch': 'Pitch: chain and drive sprocket',
  'chain-pitch-is-bar-pitch': 'Pitch: chain and bar',
  'chain-pitch-is-nose-pitch': 'Pitch: chain and nose sprocket',
  'chain-gauge-is-bar-gauge': 'Gauge: chain and bar groove',
  'chain-links-are-bar-links': 'Drive links: chain and bar',
  'family-and-gauge-meet': 'Pitch and gauge meet in practice',
  'sequence-is-counted': 'Sequence: links and cutters',
  'bar-mount-is-saw-mount': 'Mount: bar and saw',
  'oil-hole-is-saw-oil-hole': 'Oil hole: bar and saw',
  'nose-is-known': 'Nose: teeth and thickness known',
  'kickback-not-stepped-up': 'Kickback class suits the operator',
  'sprocket-is-saws': 'Drive sprocket: its kind and the saw’s',
  'sprocket-takes-new-chain': 'Drive sprocket can take a new chain',
  'parts-may-go-back-on': 'No part condemned or undecided',
  'saw-guards-are-whole': 'Chain catcher and rear guard whole',
};

/** What a job on the bench waits for. */
export const waitsWord: Record<Waits, string> = {
  'to-measure': 'To measure',
  'too-close': 'Too close to call',
  'to-decide': 'To decide',
  'waiting-for-parts': 'Waiting for parts',
  'at-the-vise': 'At the vise',
  'to-prove': 'To prove',
  ready: 'Ready to collect',
};

/** A class of chain by how it kicks back. */
export const kickbackClassWord: Record<KickbackClass, string> = KICKBACK_CLASS;
export const sequenceWord: Record<Sequence, string> = SEQUENCE;
export const sprocketKindWord: Record<SprocketKind, string> = SPROCKET_KIND;
