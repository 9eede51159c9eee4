import { flatMap } from '../flat-map';
import type { SYMPTOMS } from '../take-in';
import type { Schools } from '../schools';
import type { Cause } from './causes';

export type Symptom = (typeof SYMPTOMS)[number];

/** What the schools on curved cuts make of it, weights of the causes before anything is read. */
type BySchool = Readonly<Record<Schools['curvedCuts'], Readonly<Partial<Record<Cause, number>>>>>;

const curved = {
  'rails-unlevel': 30,
  'groove-worn': 28,
  'bar-bent': 8,
  'chain-thin-for-groove': 7,
  'cutters-dull': 5,
  'cutters-uneven': 10,
} as const;

const stalls = {
  'rails-unlevel': 26,
  'groove-worn': 26,
  'bar-bent': 7,
  'cutters-dull': 12,
  'groove-pinched': 6,
  'link-on-floor': 4,
  'depth-gauges-low': 6,
  'cutters-uneven': 8,
} as const;

/** How much likelier uneven cutters are, before anything is read, to the school that finds curved cuts in them. */
const CUTTERS_TOO = 4;

/** Both schools on a symptom: the one that looks at the bar first, and the one to whom the cutters are a cause as well. */
const bothSchools = <W extends Readonly<Partial<Record<Cause, number>>> & { readonly 'cutters-uneven': number }>(
  weights: W,
) => ({
  'bar-first': weights,
  'cutters-too': { ...weights, 'cutters-uneven': CUTTERS_TOO * weights['cutters-uneven'] },
});

const either = <W extends Readonly<Partial<Record<Cause, number>>>>(weights: W) => ({
  'bar-first': weights,
  'cutters-too': weights,
});

/**
 * The causes of each symptom with their weights before anything is read (common practice, no source): how often a bench finds the complaint to come from each, of a hundred. The reason for each
 * stands in the wording, which does not compile without it.
 */
export const WEIGHTS = {
  'cuts-curved-left': bothSchools(curved),
  'cuts-curved-right': bothSchools(curved),
  'chain-comes-off': either({
    'chain-slack': 36,
    'groove-worn': 12,
    'chain-stretched': 12,
    'sprocket-worn': 10,
    'nose-failing': 6,
    'nose-worn': 5,
    'tangs-burred': 5,
    'chain-thin-for-groove': 5,
    'adjuster-at-end': 4,
    'sprocket-pitch-differs': 3,
    'bar-bent': 2,
  }),
  'runs-hot': either({
    'oil-blocked': 28,
    'groove-packed': 15,
    'cutters-dull': 15,
    'link-on-floor': 11,
    'chain-tight': 8,
    'nose-failing': 8,
    'groove-pinched': 6,
    'depth-gauges-high': 5,
    'tight-joints': 2,
    'oil-hole-differs': 2,
  }),
  'fine-dust': either({
    'cutters-dull': 50,
    'depth-gauges-high': 38,
    'cutters-blunt': 12,
  }),
  'needs-force': either({
    'cutters-dull': 42,
    'depth-gauges-high': 25,
    'cutters-blunt': 9,
    'groove-worn': 6,
    'link-on-floor': 6,
    'sprocket-worn': 6,
    'rails-unlevel': 4,
    'chain-tight': 2,
  }),
  'eats-chains': either({
    'sprocket-worn': 32,
    'oil-blocked': 20,
    'groove-worn': 10,
    'sprocket-pitch-differs': 10,
    'chain-slack': 8,
    'link-on-floor': 8,
    'nose-failing': 7,
    'chain-thin-for-groove': 5,
  }),
  vibrates: either({
    'depth-gauges-low': 24,
    'sprocket-worn': 15,
    'bearing-worn': 14,
    'cutters-hooked': 12,
    'cutters-uneven': 12,
    'chain-slack': 8,
    'tight-joints': 8,
    'groove-worn': 6,
    'chain-thin-for-groove': 6,
    'nose-worn': 4,
    'sprocket-pitch-differs': 3,
  }),
  stalls: bothSchools(stalls),
  'will-not-oil': either({
    'oil-blocked': 60,
    'groove-packed': 30,
    'oil-hole-differs': 10,
  }),
  'will-not-take-up-tension': either({
    'chain-stretched': 36,
    'adjuster-at-end': 26,
    'links-differ': 16,
    'tensioner-hole-torn': 12,
    'sprocket-worn': 10,
  }),
} as const satisfies Record<Symptom, BySchool>;

/** The causes that a symptom may have. */
export type CauseOf<S extends Symptom> = keyof (typeof WEIGHTS)[S]['bar-first'];

/** Symptoms on which the schools differ. */
export const isDisputed = (symptom: Symptom): boolean =>
  WEIGHTS[symptom]['bar-first'] !== WEIGHTS[symptom]['cutters-too'];

/** The weights as lists, made once. */
const LISTED = new Map(
  flatMap(Object.values(WEIGHTS), (bySchool) =>
    Object.values(bySchool).map((weights) => [weights, Object.entries(weights) as [Cause, number][]] as const),
  ),
);

/** The weights of a symptom's causes to a school. */
export const weightsOf = (symptom: Symptom, school: Schools['curvedCuts']): readonly (readonly [Cause, number])[] =>
  LISTED.get(WEIGHTS[symptom][school])!;
