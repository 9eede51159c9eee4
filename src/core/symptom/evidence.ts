import { flatMap } from '../flat-map';
import type { FitReason, FitRule } from '../fit';
import type { CheckId } from '../judge';
import type { Outcome } from '../quantity';
import type { Askable, ReadingPath } from '../sheet';
import type { Cause } from './causes';

/**
 * What one result says of causes: it makes some so many times likelier, and others so many times less likely. What speaks for several causes speaks for all of them alike, so that none of them loses by it.
 */
export interface Says {
  readonly for?: { readonly causes: readonly Cause[]; readonly by: number };
  readonly against?: { readonly causes: readonly Cause[]; readonly by: number };
}

const forThese = (by: number, ...causes: Cause[]): Says => ({ for: { causes, by } });
const againstThese = (by: number, ...causes: Cause[]): Says => ({ against: { causes, by } });

/** How a rule of the set stands, or why. */
type FitResult = 'holds' | 'broken' | FitReason['code'];

/** Where a result comes from. */
type From =
  | { readonly from: 'check'; readonly check: CheckId; readonly results: Readonly<Partial<Record<Outcome, Says>>> }
  | { readonly from: 'word'; readonly reading: ReadingPath; readonly results: Readonly<Record<string, Says>> }
  | { readonly from: 'fit'; readonly rule: FitRule; readonly results: Readonly<Partial<Record<FitResult, Says>>> }
  | {
      readonly from: 'tension';
      readonly results: Readonly<Partial<Record<'will-not-go-on' | 'in-travel' | 'will-not-take-up', Says>>>;
    }
  | { readonly from: 'pattern'; readonly results: Readonly<Record<string, Says>> };

/** Something that can be found out and speaks of causes: the readings it rests on, and what each result says. */
export type Evidence = From & { readonly asks: readonly Askable[] };

type Asks = Askable | readonly Askable[];
const list = (asks: Asks): readonly Askable[] => (typeof asks === 'string' ? [asks] : asks);

const check = (id: CheckId, asks: Asks, results: Readonly<Partial<Record<Outcome, Says>>>): Evidence => ({
  from: 'check',
  check: id,
  asks: list(asks),
  results,
});

/** A check that finds a cause, the plainer the more, or clears it. */
const finds = (id: CheckId, asks: Asks, cause: Cause, by: { fail: number; watch?: number; ok: number }): Evidence =>
  check(id, asks, {
    fail: forThese(by.fail, cause),
    ...(by.watch ? { watch: forThese(by.watch, cause) } : {}),
    ok: againstThese(by.ok, cause),
  });

const word = (reading: ReadingPath, results: Readonly<Record<string, Says>>): Evidence => ({
  from: 'word',
  reading,
  asks: [reading],
  results,
});

const fit = (rule: FitRule, asks: Asks, results: Readonly<Partial<Record<FitResult, Says>>>): Evidence => ({
  from: 'fit',
  rule,
  asks: list(asks),
  results,
});

/**
 * What can be found out, and the ratios by which each result moves the odds of causes (common practice, no source): how much oftener a bench that found the cause had seen the result than one that had not.
 * What nobody has looked at moves nothing. The reason for each stands in the wording, which does not compile without it.
 */
export const EVIDENCE = {
  play: finds('bar.play', 'bar.edges.mouth', 'groove-worn', { fail: 9, watch: 2, ok: 6 }),
  'straight-edge': finds('bar.straight-edge', 'bar.checks.straightEdge', 'groove-worn', { fail: 9, ok: 6 }),
  step: finds('bar.step', ['bar.edges.A.stations', 'bar.edges.B.stations'], 'rails-unlevel', { fail: 9, ok: 6 }),
  ruts: finds('bar.ruts', 'bar.checks.ruts', 'rails-unlevel', { fail: 3, watch: 1.5, ok: 1.2 }),
  pattern: {
    from: 'pattern',
    asks: ['bar.edges.A.stations', 'bar.edges.B.stations'],
    results: {
      'leaned-on': forThese(2, 'rails-unlevel'),
      'cutters-of-one-side': forThese(3, 'cutters-uneven'),
      level: againstThese(1.5, 'rails-unlevel', 'cutters-uneven'),
    },
  },
  bow: finds('bar.bow', 'bar.checks.bow', 'bar-bent', { fail: 12, watch: 3, ok: 6 }),
  twist: finds('bar.twist', 'bar.checks.twist', 'bar-bent', { fail: 10, watch: 3, ok: 3 }),
  groove: finds('bar.groove', 'bar.checks.groove', 'groove-packed', { fail: 9, ok: 6 }),
  'groove-shape': word('bar.checks.grooveShape', {
    pinched: forThese(10, 'groove-pinched'),
    splayed: { ...forThese(3, 'groove-worn'), ...againstThese(3, 'groove-pinched') },
    even: againstThese(4, 'groove-pinched'),
  }),
  'floor-clearance': finds('bar.floor-clearance', ['bar.edges.A.stations', 'chain.tang'], 'link-on-floor', {
    fail: 10,
    watch: 2,
    ok: 8,
  }),
  'tang-wear': check('chain.tang-wear', 'chain.checks.tangWear', {
    watch: forThese(3, 'link-on-floor'),
    ok: againstThese(2, 'link-on-floor'),
  }),
  'oil-holes': finds('bar.oil-holes', 'bar.checks.oilHoles', 'oil-blocked', { fail: 10, ok: 6 }),
  'oil-pattern': fit('oil-hole-is-saw-oil-hole', ['bar.oilHole', 'saw.oilHole'], {
    broken: forThese(15, 'oil-hole-differs'),
    holds: againstThese(15, 'oil-hole-differs'),
  }),
  blueing: check('bar.blueing', 'bar.checks.blueing', {
    watch: forThese(2, 'oil-blocked', 'groove-packed', 'link-on-floor', 'groove-pinched'),
    ok: againstThese(1.3, 'oil-blocked', 'groove-packed', 'link-on-floor', 'groove-pinched'),
  }),
  resin: check('chain.resin', 'chain.checks.resin', {
    watch: forThese(2, 'oil-blocked', 'cutters-dull', 'chain-tight'),
    ok: againstThese(1.3, 'oil-blocked', 'cutters-dull', 'chain-tight'),
  }),
  heat: check('chain.heat', 'chain.checks.heat', {
    watch: forThese(2, 'oil-blocked', 'cutters-dull', 'chain-tight'),
    ok: againstThese(1.3, 'oil-blocked', 'chain-tight'),
  }),
  holes: finds('bar.holes', 'bar.checks.holes', 'tensioner-hole-torn', { fail: 15, watch: 2, ok: 8 }),
  'nose-turns': finds('nose.turns', 'bar.checks.noseTurns', 'nose-failing', { fail: 12, watch: 4, ok: 5 }),
  'nose-dirt': finds('nose.dirt', 'bar.checks.noseDirt', 'nose-failing', { fail: 3, ok: 1.3 }),
  'nose-pinch': finds('nose.pinch', 'bar.checks.nosePinch', 'nose-failing', { fail: 6, ok: 1.3 }),
  'tip-play': finds('nose.tip-play', 'bar.checks.tipPlay', 'nose-worn', { fail: 8, watch: 2, ok: 3 }),
  'nose-teeth': finds('nose.teeth', 'bar.checks.noseTeeth', 'nose-worn', { fail: 10, watch: 3, ok: 3 }),
  'nose-hard': finds('nose.hard-wear', 'bar.checks.hardNose', 'nose-worn', { fail: 10, watch: 3, ok: 5 }),
  uneven: finds('chain.uneven', ['chain.cuttersLeft', 'chain.cuttersRight'], 'cutters-uneven', { fail: 7, ok: 6 }),
  edge: finds('chain.edge', 'chain.checks.edge', 'cutters-dull', { fail: 9, ok: 9 }),
  undercut: word('chain.checks.undercut', {
    hooked: { ...forThese(10, 'cutters-hooked'), ...againstThese(6, 'cutters-blunt') },
    blunt: { ...forThese(10, 'cutters-blunt'), ...againstThese(6, 'cutters-hooked') },
    right: againstThese(6, 'cutters-hooked', 'cutters-blunt'),
  }),
  'gauges-high': finds('chain.gauges-high', 'chain.depthGaugesLeft', 'depth-gauges-high', { fail: 10, ok: 9 }),
  'gauges-low': finds('chain.gauges-low', 'chain.depthGaugesLeft', 'depth-gauges-low', { fail: 10, ok: 9 }),
  tension: word('strip.tension', {
    slack: { ...forThese(4, 'chain-slack'), ...againstThese(6, 'chain-tight') },
    right: againstThese(5, 'chain-slack', 'chain-tight'),
    tight: { ...forThese(8, 'chain-tight'), ...againstThese(8, 'chain-slack') },
  }),
  'tail-erosion': check('bar.tail', 'bar.checks.tailErosion', {
    watch: forThese(3, 'chain-slack'),
    ok: againstThese(1.5, 'chain-slack'),
  }),
  straps: check('chain.straps', 'chain.checks.strapBurrs', {
    fail: forThese(2.5, 'chain-slack', 'cutters-dull'),
    watch: forThese(2, 'chain-slack', 'cutters-dull'),
    ok: againstThese(1.5, 'chain-slack', 'cutters-dull'),
  }),
  elongation: finds('chain.elongation', 'chain.pushPull', 'chain-stretched', { fail: 10, watch: 3, ok: 6 }),
  gauge: fit('chain-gauge-is-bar-gauge', ['chain.driveLinkThickness', 'bar.stamp'], {
    'goes-in-must-not': forThese(15, 'chain-thin-for-groove'),
    'will-not-run': { ...forThese(8, 'groove-pinched'), ...againstThese(15, 'chain-thin-for-groove') },
    holds: againstThese(15, 'chain-thin-for-groove'),
  }),
  links: fit('chain-links-are-bar-links', ['chain.driveLinks', 'bar.stamp'], {
    broken: forThese(12, 'links-differ'),
    holds: againstThese(12, 'links-differ'),
  }),
  tangs: check('chain.tangs', 'chain.checks.burredTangs', {
    fail: forThese(6, 'tangs-burred'),
    ok: againstThese(6, 'tangs-burred'),
  }),
  'tight-joints': finds('chain.tight-joints', 'chain.checks.tightJoints', 'tight-joints', { fail: 9, ok: 8 }),
  adjuster: {
    from: 'tension',
    asks: ['loop.centreBack', 'loop.centreOut'],
    results: {
      'will-not-take-up': forThese(15, 'adjuster-at-end'),
      'in-travel': againstThese(10, 'adjuster-at-end'),
      'will-not-go-on': againstThese(10, 'adjuster-at-end'),
    },
  },
  'sprocket-wear': finds('sprocket.wear', 'driveSprocket.wear', 'sprocket-worn', { fail: 10, watch: 2, ok: 7 }),
  'sprocket-grade': check('sprocket.grade', 'driveSprocket.grade', {
    fail: forThese(7, 'sprocket-worn'),
    watch: forThese(1.5, 'sprocket-worn'),
    ok: againstThese(4, 'sprocket-worn'),
  }),
  chains: check('sprocket.chains', 'driveSprocket.chainsRun', {
    watch: forThese(2.5, 'sprocket-worn'),
    ok: againstThese(1.8, 'sprocket-worn'),
  }),
  'sprocket-pitch': fit('chain-pitch-is-sprocket-pitch', ['driveSprocket.pitch', 'chain.span'], {
    broken: forThese(20, 'sprocket-pitch-differs'),
    holds: againstThese(20, 'sprocket-pitch-differs'),
  }),
  bearing: finds('sprocket.bearing', 'driveSprocket.bearing', 'bearing-worn', { fail: 12, watch: 2, ok: 6 }),
  'sprocket-turns': finds('sprocket.turns', 'driveSprocket.turns', 'bearing-worn', { fail: 5, watch: 3, ok: 2 }),
  sharpening: word('job.sharpening', {
    hand: forThese(1.5, 'cutters-uneven', 'cutters-hooked', 'cutters-blunt'),
    grinder: againstThese(1.5, 'cutters-uneven'),
    never: forThese(2, 'cutters-dull'),
  }),
  'turned-over': word('job.turnOver', {
    never: forThese(1.5, 'rails-unlevel', 'groove-worn'),
    'every-chain': againstThese(1.3, 'rails-unlevel'),
    'every-sharpening': againstThese(1.3, 'rails-unlevel'),
  }),
} as const satisfies Record<string, Evidence>;

export type EvidenceId = keyof typeof EVIDENCE;
export const EVIDENCE_LIST = Object.entries(EVIDENCE) as readonly (readonly [EvidenceId, Evidence])[];

/** How a result moves the logarithm of a cause's odds. */
export function moves({ for: likelier, against }: Says, cause: Cause): number {
  const up = likelier?.causes.includes(cause) ? Math.log(likelier.by) : 0;
  const down = against?.causes.includes(cause) ? Math.log(against.by) : 0;
  return up - down;
}

/** What a piece of evidence may do to the odds of a cause: the ratio of the result that speaks most for it, and of the one that speaks most against it. */
interface Reach {
  readonly up: number;
  readonly down: number;
}

function reachesOf({ results }: Evidence): ReadonlyMap<Cause, Reach> {
  const says = Object.values(results) as readonly Says[];
  const causes = new Set(flatMap(says, (each) => [...(each.for?.causes ?? []), ...(each.against?.causes ?? [])]));
  const reach = (cause: Cause): Reach => {
    const all = says.map((each) => moves(each, cause));
    return { up: Math.exp(Math.max(0, ...all)), down: Math.exp(Math.min(0, ...all)) };
  };
  return new Map([...causes].map((cause) => [cause, reach(cause)]));
}

/** What each piece of evidence may do to the odds of the causes it speaks of, worked out once. */
export const REACHES: ReadonlyMap<EvidenceId, ReadonlyMap<Cause, Reach>> = new Map(
  EVIDENCE_LIST.map(([id, evidence]) => [id, reachesOf(evidence)]),
);
