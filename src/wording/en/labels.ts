import type { StraightEdgeOutcome } from '../../core/groove';
import type { Rail } from '../../core/declared';
import type { Part, Waits } from '../../core/reading';
import { FAMILIES, GAUGES, type FamilyId, type GaugeId, type Provenance, type PitchMark } from '../../core/families';
import type { LimitId } from '../../core/limits';
import type { FitRule } from '../../core/fit';
import { INSTRUMENTS, type InstrumentId } from '../../core/quantity';
import type { Schools } from '../../core/schools';
import type { Action, Operation } from '../../core/sheet';

/** Names of things, as the bench says them. */
export const partName: Record<Part, string> = {
  bar: 'Bar',
  chain: 'Chain',
  driveSprocket: 'Drive sprocket',
  nose: 'Nose',
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

export const railWord: Record<Rail, string> = { near: 'near rail', far: 'far rail' };

export const straightEdgeWord: Record<StraightEdgeOutcome, string> = {
  'gap-stays': 'the gap stays',
  'gap-closes': 'the gap closes',
  'passes-beyond': 'the cutter passes beyond',
};

export const familyLabel = (id: FamilyId): string => FAMILIES[id].label;
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
export const instrumentName = (id: InstrumentId): string => INSTRUMENTS[id].name;
/** An instrument in the corner of a cell. */
export const instrumentShort: Record<InstrumentId, string> = {
  caliper: 'caliper',
  'depth-rod': 'rod',
  'depth-marks': 'marks',
  feeler: 'blade',
  'slot-gauge': 'slot',
  template: 'template',
  rule: 'rule',
  tape: 'tape',
};

export const fitRuleName: Record<FitRule, string> = {
  'chain-pitch-is-sprocket-pitch': 'Pitch: chain and drive sprocket',
  'chain-pitch-is-bar-pitch': 'Pitch: chain and bar',
  'chain-pitch-is-nose-pitch': 'Pitch: chain and nose sprocket',
  'chain-gauge-is-bar-gauge': 'Gauge: chain and bar groove',
  'chain-links-are-bar-links': 'Drive links: chain and bar',
  'family-and-gauge-meet': 'Pitch and gauge meet in practice',
  'bar-mount-is-saw-mount': 'Mount: bar and saw',
  'oil-hole-is-saw-oil-hole': 'Oil hole: bar and saw',
  'nose-is-known': 'Nose: teeth and thickness known',
  'kickback-not-stepped-up': 'Kickback class suits the operator',
  'sprocket-takes-new-chain': 'Drive sprocket can take a new chain',
  'parts-may-go-back-on': 'No part condemned or undecided',
  'saw-guards-are-whole': 'Chain catcher and rear guard whole',
};

/** What each limit is for, in the shop's list of limits. */
export const limitName: Record<LimitId, string> = {
  'bar.depth.quarter': 'Least groove depth, 1/4',
  'bar.depth.325': 'Least groove depth, .325',
  'bar.depth.38lp': 'Least groove depth, 3/8 low profile',
  'bar.depth.38': 'Least groove depth, 3/8 standard',
  'bar.depth.404': 'Least groove depth, .404',
  'bar.floor-clearance': 'Room under the drive link: watch below',
  'bar.floor-clearance.contact': 'Room under the drive link: it rubs at',
  'bar.play': 'Side play, where the cutter geometry is not known',
  'bar.play.watch': 'Side play: watch above',
  'bar.step': 'Step between the rails: dress above',
  'bar.bow': 'Bow: replace above',
  'bar.bow.straighten': 'Bow: straighten above',
  'bar.dress.tolerance': 'Dressing: what may stand over the low rail',
  'bar.dress.slope': 'Dressing: steepest climb along the rail',
  'bar.dress.keep-out': 'Dressing: the file stays off the nose by',
  'bar.dress.coarse-first': 'Dressing: coarse tool first above',
  'bar.dress.loss': 'Depth a usual dressing takes',
  'bar.dress.chip': 'Dressing: a chip up to this length is left',
  'bar.dress.exception': 'Dressing: a dip is offered to be left when it costs the edge more than',
  'bar.dress.touch': 'Dressing: what the last pass takes off the low rail too',
  'bar.dress.doubt': 'Dressing: doubt of the file, one standard deviation',
  'bar.dress.pass': 'Dressing: what a guided pass takes off',
  'bar.dress.minutes-setup': 'Dressing: minutes to set an edge up',
  'bar.dress.minutes-per-pass': 'Dressing: minutes a pass takes',
  'chain.cutter': 'Shortest cutter, where there is no mark',
  'chain.cutter.half': 'Damage: advise against filing back where it takes more of the cutter than',
  'chain.filing-hours': 'Running hours from one filing to the next',
  'chain.filing-loss': 'Cutter length a filing takes',
  'chain.elongation': 'Elongation: replace above',
  'chain.elongation.watch': 'Elongation: watch above',
  'chain.uneven': 'Left and right cutters: even out above',
  'chain.gauge.quarter': 'Depth-gauge setting, 1/4',
  'chain.gauge.325': 'Depth-gauge setting, .325',
  'chain.gauge.38lp': 'Depth-gauge setting, 3/8 low profile',
  'chain.gauge.38': 'Depth-gauge setting, 3/8 standard',
  'chain.gauge.404': 'Depth-gauge setting, .404',
  'chain.gauge.off': 'Depth gauges: how far one may stand off its setting',
  'chain.gauge.fall': 'Depth gauges: fall of the top plate toward its heel',
  'chain.gauge.stroke': 'Depth gauges: what a stroke of the flat file takes',
  'chain.tang-burr': 'Burr on a tang: file above',
  'chain.angle': 'Top-plate angle: correct above',
  'sprocket.wear': 'Sprocket wear: replace above',
  'sprocket.wear.watch': 'Sprocket wear: watch above',
  'refit.lift.quarter': 'Lift of the tensioned chain at mid-bar, 1/4',
  'refit.lift.325': 'Lift of the tensioned chain at mid-bar, .325',
  'refit.lift.38lp': 'Lift of the tensioned chain at mid-bar, 3/8 low profile',
  'refit.lift.38': 'Lift of the tensioned chain at mid-bar, 3/8 standard',
  'refit.lift.404': 'Lift of the tensioned chain at mid-bar, .404',
  'refit.lift.sag': 'Lift allowed beside, round a hard nose, where this shop lets it hang',
  'proof.drift': 'Drift that is noticed in a test cut 300 mm deep',
  'visit.weeks.bucking': 'Next visit after bucking, weeks',
  'visit.weeks.limbing': 'Next visit after limbing, weeks',
  'visit.weeks.felling': 'Next visit after felling, weeks',
  'visit.weeks.milling': 'Next visit after milling, weeks',
  'visit.weeks.rescue': 'Next visit after rescue work, weeks',
  'visit.weeks.other': 'Next visit where the use is not known, weeks',
  'visit.weeks.least': 'Next visit: never sooner than, weeks',
  'visit.habit': 'Next visit: what is left of that time where a habit is hard on the bar',
  'plan.labour': 'What an hour of work costs the customer',
  'plan.consumables': 'Files, stones and grease, for each part worked on',
  'plan.horizon': 'Running hours that plans are compared over',
  'plan.life.chain': 'Chain: running hours, on average',
  'plan.life.bar': 'Bar: running hours, on average',
  'plan.life.driveSprocket': 'Drive sprocket: running hours, on average',
  'plan.life.nose': 'Nose: running hours, on average',
  'plan.life.dressing': 'Bar: running hours between two dressings',
  'plan.life.spread': 'How far off these lives may be',
  'plan.life.on-worn-sprocket': 'What is left of a chain’s life on a worn sprocket',
  'plan.life.on-worn-bar': 'What is left of a chain’s life on a bar with play',
  'plan.price.chain': 'Chain: price where the shelf has none',
  'plan.price.bar': 'Bar: price where the shelf has none',
  'plan.price.driveSprocket': 'Drive sprocket: price where the shelf has none',
  'plan.price.nose': 'Nose: price where the shelf has none',
  'plan.minutes.chain': 'Fitting a chain',
  'plan.minutes.bar': 'Fitting a bar',
  'plan.minutes.driveSprocket': 'Fitting a drive sprocket',
  'plan.minutes.nose': 'Riveting in a nose',
  'plan.minutes.operation': 'One piece of work on a part, beside dressing',
  'plan.minutes.cleaning': 'One piece of cleaning',
  'plan.worth': 'Work on a budget bar is worth at most this share of a new one',
  'sprocket.chains': 'Chains to a sprocket: watch from',
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
