import type { Outcome } from '../quantity';
import type { Part } from '../reading';
import type { FindingId, FitResult } from './findings';
import type { School, Symptom } from './symptom';

/** What a finding came to: the outcome of a check, the word that was said, or how a rule stands. */
type Result = Outcome | FitResult | string;

/** Everything about a cause but its sentences, which stand in the wording under its name. */
interface CauseRow {
  /** The part that it lies in. */
  readonly part: Part;
  /** How often it brings a complaint about where it is present (trade figure; a third more or less costs nothing). */
  readonly strength: number;
  /** How often a bench finds a complaint to come from it, of a hundred, before anything is read. */
  readonly brings: Readonly<Partial<Record<Symptom, number>>>;
  /** Causes beside which it brings a complaint about more often. */
  readonly aggravatedBy?: readonly string[];
  /** The school to which it is likelier from the start; to all others it is a cause beside the bar. */
  readonly school?: School;
  /**
   * By how much each result of a finding makes it likelier, above 1, or less likely, below: how much oftener a bench
   * that found the cause had seen the result than one that had not.
   */
  readonly evidence: Readonly<Partial<Record<FindingId, Readonly<Partial<Record<Result, number>>>>>>;
}

/**
 * What may ail a saw, a row each (common practice, no source). Complaints, crooked cuts and blue patches share them.
 * Why a complaint may come of each stands in the wording, which does not compile without it.
 */
export const CAUSES = {
  'groove-worn': {
    part: 'bar',
    strength: 0.6,
    brings: {
      'cuts-curved-left': 28,
      'cuts-curved-right': 28,
      'chain-comes-off': 12,
      'needs-force': 6,
      'eats-chains': 10,
      vibrates: 6,
      stalls: 26,
    },
    aggravatedBy: ['cutters-dull', 'depth-gauges-high'],
    evidence: {
      play: { fail: 30, watch: 2, ok: 1 / 30 },
      'straight-edge': { fail: 30, ok: 1 / 30 },
      'groove-shape': { splayed: 3 },
      'turned-over': { never: 1.5 },
    },
  },
  'rails-unlevel': {
    part: 'bar',
    strength: 0.8,
    brings: { 'cuts-curved-left': 30, 'cuts-curved-right': 30, 'needs-force': 4, stalls: 26 },
    aggravatedBy: ['cutters-dull', 'depth-gauges-high'],
    evidence: {
      step: { fail: 30, ok: 1 / 30 },
      ruts: { fail: 3, watch: 1.5, ok: 1 / 1.2 },
      pattern: { 'leaned-on': 2, level: 1 / 1.5 },
      'turned-over': { never: 1.5, 'every-chain': 1 / 1.3, 'every-sharpening': 1 / 1.3 },
    },
  },
  'bar-bent': {
    part: 'bar',
    strength: 0.8,
    brings: { 'cuts-curved-left': 8, 'cuts-curved-right': 8, 'chain-comes-off': 2, stalls: 7 },
    evidence: {
      bow: { fail: 30, watch: 3, ok: 1 / 30 },
      twist: { fail: 30, watch: 3, ok: 1 / 30 },
    },
  },
  'tip-worn': {
    part: 'bar',
    strength: 0.6,
    brings: { 'chain-comes-off': 5 },
    evidence: {
      'wear-place': { 'at-nose': 8, 'toward-nose': 1 / 1.5, even: 1 / 6, 'at-tail': 1 / 2, 'one-spot': 1 / 2 },
    },
  },
  'rails-rough': {
    part: 'bar',
    strength: 0.5,
    brings: { 'eats-chains': 6 },
    evidence: {
      rust: { fail: 5, ok: 1 / 3 },
      ruts: { fail: 4, watch: 1.5, ok: 1 / 3 },
    },
  },
  'groove-pinched': {
    part: 'bar',
    strength: 0.8,
    brings: { 'runs-hot': 6, stalls: 6 },
    evidence: {
      'groove-shape': { pinched: 30, splayed: 1 / 3, even: 1 / 30 },
      blueing: { watch: 2, ok: 1 / 1.3 },
      gauge: { 'will-not-run': 8 },
      pinch: { fail: 10 },
    },
  },
  'groove-packed': {
    part: 'bar',
    strength: 0.7,
    brings: { 'runs-hot': 15, 'will-not-oil': 30 },
    evidence: {
      groove: { fail: 30, ok: 1 / 30 },
      blueing: { watch: 2, ok: 1 / 1.3 },
    },
  },
  'link-on-floor': {
    part: 'bar',
    strength: 0.8,
    brings: { 'runs-hot': 11, 'needs-force': 6, 'eats-chains': 8, stalls: 4 },
    evidence: {
      'floor-clearance': { fail: 30, watch: 2, ok: 1 / 30 },
      'tang-wear': { watch: 3, ok: 1 / 2 },
      blueing: { watch: 2, ok: 1 / 1.3 },
    },
  },
  'oil-blocked': {
    part: 'bar',
    strength: 0.8,
    brings: { 'runs-hot': 28, 'eats-chains': 20, 'will-not-oil': 60 },
    evidence: {
      'oil-holes': { fail: 30, ok: 1 / 30 },
      blueing: { watch: 2, ok: 1 / 1.3 },
      resin: { watch: 2, ok: 1 / 1.3 },
      heat: { watch: 2, ok: 1 / 1.3 },
    },
  },
  'oil-hole-differs': {
    part: 'bar',
    strength: 0.9,
    brings: { 'runs-hot': 2, 'will-not-oil': 10 },
    evidence: {
      'oil-pattern': { broken: 30, holds: 1 / 30 },
    },
  },
  'tensioner-hole-torn': {
    part: 'bar',
    strength: 0.9,
    brings: { 'will-not-take-up-tension': 12 },
    evidence: {
      holes: { fail: 30, watch: 2, ok: 1 / 30 },
    },
  },
  'nose-failing': {
    part: 'nose',
    strength: 0.8,
    brings: { 'chain-comes-off': 6, 'runs-hot': 8, 'eats-chains': 7 },
    evidence: {
      'nose-turns': { fail: 30, watch: 4, ok: 1 / 30 },
      'nose-dirt': { fail: 3, ok: 1 / 1.3 },
      'nose-pinch': { fail: 6, ok: 1 / 1.3 },
    },
  },
  'nose-worn': {
    part: 'nose',
    strength: 0.6,
    brings: { 'chain-comes-off': 5, vibrates: 4 },
    evidence: {
      'tip-play': { fail: 30, watch: 2, ok: 1 / 30 },
      'nose-teeth': { fail: 30, watch: 3, ok: 1 / 30 },
      'nose-hard': { fail: 30, watch: 3, ok: 1 / 30 },
    },
  },
  'cutters-uneven': {
    part: 'chain',
    strength: 0.6,
    brings: { 'cuts-curved-left': 10, 'cuts-curved-right': 10, vibrates: 12, stalls: 8 },
    aggravatedBy: ['groove-worn'],
    school: 'cutters-too',
    evidence: {
      pattern: { 'cutters-of-one-side': 3, level: 1 / 1.5 },
      uneven: { fail: 30, ok: 1 / 30 },
      sharpening: { hand: 1.5, grinder: 1 / 1.5 },
      'files-on-bar': { yes: 1.4 },
    },
  },
  'cutters-dull': {
    part: 'chain',
    strength: 0.8,
    brings: {
      'cuts-curved-left': 5,
      'cuts-curved-right': 5,
      'runs-hot': 15,
      'fine-dust': 50,
      'needs-force': 42,
      stalls: 12,
    },
    evidence: {
      resin: { watch: 2, ok: 1 / 1.3 },
      heat: { watch: 2 },
      edge: { fail: 30, ok: 1 / 30 },
      straps: { fail: 2.5, watch: 2, ok: 1 / 1.5 },
      sharpening: { never: 2 },
      blueing: { watch: 1.5, ok: 1 / 1.3 },
    },
  },
  'chain-blunt-forced': {
    part: 'chain',
    strength: 0.5,
    brings: { 'chain-comes-off': 9 },
    evidence: {
      edge: { fail: 30, ok: 1 / 30 },
      'wear-place': { 'one-spot': 2 },
    },
  },
  'cutters-hooked': {
    part: 'chain',
    strength: 0.7,
    brings: { vibrates: 12 },
    evidence: {
      undercut: { hooked: 30, blunt: 1 / 30, right: 1 / 30 },
      sharpening: { hand: 1.5 },
    },
  },
  'cutters-blunt': {
    part: 'chain',
    strength: 0.7,
    brings: { 'fine-dust': 12, 'needs-force': 9 },
    evidence: {
      undercut: { hooked: 1 / 30, blunt: 30, right: 1 / 30 },
      sharpening: { hand: 1.5 },
    },
  },
  'depth-gauges-high': {
    part: 'chain',
    strength: 0.8,
    brings: { 'runs-hot': 5, 'fine-dust': 38, 'needs-force': 25, stalls: 8 },
    evidence: {
      'gauges-high': { fail: 30, ok: 1 / 30 },
    },
  },
  'depth-gauges-low': {
    part: 'chain',
    strength: 0.7,
    brings: { vibrates: 24, stalls: 6 },
    evidence: {
      'gauges-low': { fail: 30, ok: 1 / 30 },
    },
  },
  'depth-gauges-uneven': {
    part: 'chain',
    strength: 0.7,
    brings: { 'cuts-curved-left': 8, 'cuts-curved-right': 8 },
    evidence: {
      'gauges-uneven': { watch: 30, ok: 1 / 30 },
    },
  },
  'chain-slack': {
    part: 'chain',
    strength: 0.8,
    brings: { 'chain-comes-off': 36, 'eats-chains': 8, vibrates: 8 },
    aggravatedBy: ['cutters-dull'],
    evidence: {
      tension: { slack: 8, right: 1 / 10, tight: 1 / 30 },
      'tail-erosion': { watch: 3, ok: 1 / 1.5 },
      straps: { fail: 2.5, watch: 2, ok: 1 / 1.5 },
    },
  },
  'tension-tight': {
    part: 'chain',
    strength: 0.7,
    brings: { 'runs-hot': 8, 'needs-force': 2 },
    evidence: {
      resin: { watch: 2, ok: 1 / 1.3 },
      heat: { watch: 2, ok: 1 / 1.3 },
      tension: { slack: 1 / 30, right: 1 / 30, tight: 30 },
      blueing: { watch: 1.5, ok: 1 / 1.3 },
    },
  },
  'chain-stretched': {
    part: 'chain',
    strength: 0.6,
    brings: { 'chain-comes-off': 12, 'will-not-take-up-tension': 36 },
    evidence: {
      elongation: { fail: 30, watch: 3, ok: 1 / 30 },
      feel: { undecided: 5, watch: 1.5, ok: 1 / 4 },
    },
  },
  'chain-thin-for-groove': {
    part: 'chain',
    strength: 0.8,
    brings: { 'cuts-curved-left': 7, 'cuts-curved-right': 7, 'chain-comes-off': 5, 'eats-chains': 5, vibrates: 6 },
    evidence: {
      gauge: { 'goes-in-must-not': 30, 'will-not-run': 1 / 30, holds: 1 / 30 },
    },
  },
  'links-differ': {
    part: 'chain',
    strength: 0.9,
    brings: { 'will-not-take-up-tension': 16 },
    evidence: {
      links: { broken: 30, holds: 1 / 30 },
    },
  },
  'tangs-burred': {
    part: 'chain',
    strength: 0.6,
    brings: { 'chain-comes-off': 5 },
    evidence: {
      tangs: { fail: 30, ok: 1 / 30 },
    },
  },
  'tight-joints': {
    part: 'chain',
    strength: 0.6,
    brings: { 'runs-hot': 2, vibrates: 8 },
    evidence: {
      'tight-joints': { fail: 30, ok: 1 / 30 },
    },
  },
  'adjuster-at-end': {
    part: 'chain',
    strength: 0.9,
    brings: { 'chain-comes-off': 4, 'will-not-take-up-tension': 26 },
    evidence: {
      adjuster: { 'will-not-take-up': 30, 'in-travel': 1 / 30, 'will-not-go-on': 1 / 30 },
    },
  },
  'sprocket-worn': {
    part: 'driveSprocket',
    strength: 0.6,
    brings: {
      'chain-comes-off': 10,
      'needs-force': 6,
      'eats-chains': 32,
      vibrates: 15,
      'will-not-take-up-tension': 10,
    },
    evidence: {
      'sprocket-wear': { fail: 30, watch: 2, ok: 1 / 30 },
      'sprocket-grade': { fail: 30, watch: 1.5, ok: 1 / 30 },
      chains: { watch: 2.5, ok: 1 / 1.8 },
    },
  },
  'sprocket-pitch-differs': {
    part: 'driveSprocket',
    strength: 0.9,
    brings: { 'chain-comes-off': 3, 'eats-chains': 10, vibrates: 3 },
    evidence: {
      'sprocket-pitch': { broken: 30, holds: 1 / 20 },
    },
  },
  'bearing-worn': {
    part: 'driveSprocket',
    strength: 0.7,
    brings: { vibrates: 14 },
    evidence: {
      bearing: { fail: 30, watch: 2, ok: 1 / 30 },
      'sprocket-turns': { fail: 5, watch: 3, ok: 1 / 2 },
    },
  },
} as const satisfies Record<string, CauseRow>;

export type Cause = keyof typeof CAUSES;
export const CAUSE_LIST = Object.keys(CAUSES) as readonly Cause[];

/** A row as the computation reads it. */
export const rowOf = (cause: Cause): Omit<CauseRow, 'aggravatedBy'> & { readonly aggravatedBy?: readonly Cause[] } =>
  CAUSES[cause];

/** The symptoms that a cause may bring about. */
export type SymptomOf<C extends Cause> = keyof (typeof CAUSES)[C]['brings'] & Symptom;
