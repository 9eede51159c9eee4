import type { ReadingId, WrittenAt } from '../../core/sheet';

type Yes<T> = T extends boolean ? 'yes' | 'no' : T extends readonly (infer I)[] ? I : T;
/** Readings that are chosen from a few words: those whose values are known by name. */
type ChosenId = {
  [I in ReadingId]: [WrittenAt<I>] extends [string | boolean] ? (string extends WrittenAt<I> ? never : I) : never;
}[ReadingId];

const YES_NO = { yes: 'yes', no: 'no' } as const;
const EDGE = { A: 'A (stamp upright)', B: 'B' } as const;
const RESIN = { none: 'none', soft: 'soft', baked: 'baked on' } as const;
const CRACK = { no: 'none found', yes: 'cracked', unsure: 'not sure' } as const;
const BURR = { none: 'none', felt: 'felt', heavy: 'heavy' } as const;
const DEEP = { none: 'none', slight: 'slight', deep: 'deep' } as const;
const TURNS = { free: 'freely', rough: 'roughly', seized: 'seized' } as const;
const PITCH = {
  quarter: '1/4',
  '325': '.325',
  '38lp': '3/8 LP',
  '38': '3/8 std',
  '404': '.404',
  '3/8': '3/8 only',
} as const;

/** These are never chosen on a screen by their words: work, evidence and tools have their own. */
type SaidElsewhere = 'bar.reworkDone' | 'setAside' | 'chain.span.instrument' | 'saw.turnLog.came' | 'saw.turnLog.went';

type Words = { readonly [I in Exclude<ChosenId, SaidElsewhere>]: Readonly<Record<Yes<WrittenAt<I>> & string, string>> };

/** The words of every reading that is chosen from a few: each value has its own, or this does not compile. */
export const CHOICE_WORDS: Words = {
  'job.symptoms': {
    'cuts-curved-left': 'cuts in a curve, left',
    'cuts-curved-right': 'cuts in a curve, right',
    'chain-comes-off': 'chain comes off',
    'runs-hot': 'smokes or runs hot',
    'fine-dust': 'fine dust, no chips',
    'needs-force': 'needs pushing',
    'eats-chains': 'eats chains',
    vibrates: 'vibrates',
    'will-not-oil': 'will not oil',
    'will-not-take-up-tension': 'will not take up tension',
  },
  'job.use': {
    bucking: 'bucking',
    limbing: 'limbing',
    milling: 'milling, ripping',
    felling: 'felling',
    rescue: 'rescue',
  },
  'job.operatorTrained': { yes: 'trained', no: 'not trained' },
  'job.brought': {
    'whole-saw': 'whole saw',
    bar: 'bar',
    chain: 'chain',
    'drive-sprocket': 'drive sprocket',
    scrap: 'a scrap to copy',
  },
  'job.sharpening': { hand: 'file, free hand', guide: 'file with a guide', grinder: 'grinder', never: 'never' },
  'job.turnOver': {
    never: 'never',
    sometimes: 'now and then',
    'every-chain': 'every chain',
    'every-sharpening': 'every sharpening',
  },
  'saw.sameBar': YES_NO,
  'bar.edgeDown': EDGE,
  'bar.edgeDownNow': EDGE,
  'bar.construction': { laminated: 'laminated', solid: 'solid' },
  'bar.nose': { sprocket: 'sprocket', hard: 'hard' },
  'bar.noseReplaceable': YES_NO,
  'bar.nosePort': YES_NO,
  'bar.nosePitch': PITCH,
  'bar.checks.crack': CRACK,
  'bar.checks.blueing': { no: 'none', light: 'light', heavy: 'heavy' },
  'bar.checks.resin': RESIN,
  'bar.checks.twist': { none: 'none', slight: 'slight', plain: 'plain' },
  'bar.checks.dents': { none: 'none', light: 'light', deep: 'deep' },
  'bar.checks.barePaint': { seen: 'bare in places' },
  'bar.checks.holes': { ok: 'sound', worn: 'worn', torn: 'torn out' },
  'bar.checks.tailErosion': DEEP,
  'bar.checks.ruts': DEEP,
  'bar.checks.grooveShape': { even: 'even', pinched: 'pinched', splayed: 'splayed' },
  'bar.checks.noseTeeth': { good: 'good', worn: 'worn', missing: 'missing' },
  'bar.checks.hardNose': { good: 'sound', worn: 'worn', through: 'worn through or chipped' },
  'bar.checks.nosePinch': { no: 'no', yes: 'yes' },
  'bar.checks.noseDirt': { clear: 'clear', packed: 'packed' },
  'bar.checks.noseTurns': TURNS,
  'bar.checks.tipPlay': { none: 'none', slight: 'slight', loose: 'loose' },
  'bar.checks.slot': { ok: 'sound', worn: 'worn', wallowed: 'wallowed out' },
  'bar.checks.oilHoles': { clear: 'clear', blocked: 'blocked' },
  'bar.checks.groove': { clean: 'clean', packed: 'packed' },
  'bar.checks.straightEdge': {
    'gap-stays': 'gap stays',
    'gap-closes': 'gap closes',
    'passes-beyond': 'passes beyond',
  },
  'bar.edges.stations.burrNear': BURR,
  'bar.edges.stations.burrFar': BURR,
  'bar.edges.stations.marker': { near: 'near only', far: 'far only', both: 'both', none: 'neither' },
  'bar.edges.stations.square': { level: 'level', 'near-high': 'near high', 'far-high': 'far high' },
  'bar.edges.stations.leaveLow': YES_NO,
  'bar.edges.stands': { yes: 'stands', near: 'falls to the near side', far: 'falls to the far side' },
  'chain.template': PITCH,
  'chain.chassis': { small: 'small', large: 'large' },
  'chain.damage.side': { left: 'left', right: 'right' },
  'chain.checks.crack': CRACK,
  'chain.checks.resin': RESIN,
  'chain.checks.strapBurrs': { none: 'clean', light: 'lightly peened', heavy: 'burred' },
  'chain.kickbackClass': { 'low-kickback': 'low-kickback', standard: 'standard' },
  'chain.sequence': { 'full-complement': 'full complement', 'semi-skip': 'semi-skip', 'full-skip': 'full skip' },
  'driveSprocket.type': { spur: 'spur', rim: 'rim and drum' },
  'driveSprocket.pitch': PITCH,
  'driveSprocket.turns': TURNS,
  'strip.done': {
    'power-off': 'Battery out, or spark lead off',
    gloves: 'Gloves on: a worn rail cuts like a knife',
    'brake-off': 'Chain brake off',
    'cover-off': 'Cover off',
    'tension-back': 'Tensioner back',
    'bar-off': 'Chain and bar off; note which edge was down',
  },
  'clean.done': {
    'rake-groove': 'Rake the groove: begin at the nose end and pull away from it',
    'clear-oil-holes': 'Clear both oil holes',
    'wipe-resin': 'Wipe off the resin',
    'blow-out': 'Blow out, away from the nose',
    'light-under': 'A light under the bar: the floor shows',
  },
};

/** One word to choose, as it is stored and as it is said. */
export interface ChoiceWord {
  readonly value: string;
  readonly label: string;
}

/** The words of one reading in the order they are written, for screens that do without the sheet itself. */
export const choiceWords = (id: keyof Words): readonly ChoiceWord[] =>
  Object.entries(CHOICE_WORDS[id]).map(([value, label]) => ({ value, label }));
