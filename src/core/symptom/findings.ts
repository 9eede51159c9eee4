import type { FitReason, FitRule } from '../fit';
import { readingOf, type CheckId } from '../judge';
import type { Askable, JudgedCheckId, ReadingPath, SeenCheckId } from '../sheet';

/** Where a finding comes from, and the readings it rests on. */
export type Finding = { readonly asks: readonly Askable[] } & (
  | { readonly from: 'check'; readonly check: CheckId }
  | { readonly from: 'word'; readonly reading: ReadingPath }
  | { readonly from: 'fit'; readonly rule: FitRule }
  | { readonly from: 'tension' }
  | { readonly from: 'pattern' }
  | { readonly from: 'wear-place' }
);

type CheckOfOne = SeenCheckId | JudgedCheckId;
type Asks = Askable | readonly Askable[];
const list = (asks: Asks): readonly Askable[] => (typeof asks === 'string' ? [asks] : asks);

/** A check with what it rests on: of one reading that one, else as named. */
function check(id: CheckOfOne): Finding;
function check(id: CheckId, asks: Asks): Finding;
function check(id: CheckId, asks: Asks = readingOf(id) ?? []): Finding {
  return { from: 'check', check: id, asks: list(asks) };
}
const word = (reading: ReadingPath) => ({ from: 'word', reading, asks: [reading] }) as const;
const fit = (rule: FitRule, asks: Asks) => ({ from: 'fit', rule, asks: list(asks) }) as const;

const STATIONS = ['bar.edges.A.stations', 'bar.edges.B.stations'] as const;
const GAUGES = ['chain.depthGaugesLeft', 'chain.depthGaugesRight'] as const;

/**
 * What can be found out of a saw, and where it stands: the judgements of its parts, the rules between them, and what
 * the customer told.
 */
export const FINDINGS = {
  play: check('bar.play', 'bar.edges.mouth'),
  'straight-edge': check('bar.straight-edge'),
  step: check('bar.step', ['bar.edges.A.stands', 'bar.edges.B.stands', ...STATIONS]),
  ruts: check('bar.ruts'),
  rust: check('bar.rust'),
  pattern: { from: 'pattern', asks: STATIONS },
  'wear-place': { from: 'wear-place', asks: STATIONS },
  bow: check('bar.bow'),
  twist: check('bar.twist'),
  groove: check('bar.groove'),
  'groove-shape': check('bar.groove-shape'),
  pinch: check('bar.pinch', 'bar.edges.mouth'),
  'floor-clearance': check('bar.floor-clearance', ['bar.edges.A.stations', 'chain.tang']),
  'tang-wear': check('chain.tang-wear'),
  'oil-holes': check('bar.oil-holes'),
  'oil-pattern': fit('oil-hole-is-saw-oil-hole', ['bar.oilHole', 'saw.oilHole']),
  blueing: check('bar.blueing'),
  resin: check('chain.resin'),
  heat: check('chain.heat'),
  holes: check('bar.holes'),
  'nose-turns': check('nose.turns'),
  'nose-dirt': check('nose.dirt'),
  'nose-pinch': check('nose.pinch'),
  'tip-play': check('nose.tip-play'),
  'nose-teeth': check('nose.teeth'),
  'nose-hard': check('nose.hard-wear'),
  uneven: check('chain.uneven', ['chain.cuttersLeft', 'chain.cuttersRight']),
  edge: check('chain.edge'),
  undercut: check('chain.undercut'),
  'gauges-high': check('chain.gauges-high', GAUGES),
  'gauges-low': check('chain.gauges-low', GAUGES),
  'gauges-uneven': check('chain.gauges-uneven', GAUGES),
  tension: word('strip.tension'),
  'tail-erosion': check('bar.tail'),
  straps: check('chain.straps'),
  elongation: check('chain.elongation', 'chain.pushPull'),
  feel: check('chain.feel'),
  gauge: fit('chain-gauge-is-bar-gauge', ['chain.driveLinkThickness', 'bar.stamp']),
  links: fit('chain-links-are-bar-links', ['chain.driveLinks', 'bar.stamp']),
  tangs: check('chain.tangs', 'chain.checks.burredTangs'),
  'tight-joints': check('chain.tight-joints', 'chain.checks.tightJoints'),
  adjuster: { from: 'tension', asks: ['loop.centreBack', 'loop.centreOut'] },
  'sprocket-wear': check('sprocket.wear'),
  'sprocket-grade': check('sprocket.grade'),
  chains: check('sprocket.chains', 'driveSprocket.chainsRun'),
  'sprocket-pitch': fit('chain-pitch-is-sprocket-pitch', ['driveSprocket.pitch', 'chain.span']),
  bearing: check('sprocket.bearing'),
  'sprocket-turns': check('sprocket.turns'),
  sharpening: word('job.sharpening'),
  'turned-over': word('job.turnOver'),
  'files-on-bar': word('job.filesOnBar'),
} as const satisfies Record<string, Finding>;

export type FindingId = keyof typeof FINDINGS;
export const FINDING_LIST = Object.entries(FINDINGS) as readonly (readonly [FindingId, Finding])[];

/** How a rule of the set stands, or why. */
export type FitResult = 'holds' | 'broken' | FitReason['code'];
