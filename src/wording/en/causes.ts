import { never } from '../../core/result';
import {
  FOUND_FROM,
  type Cause,
  type Diagnosis,
  type FindingId,
  type Found,
  type Symptom,
  type SymptomOf,
} from '../../core/symptom';
import type { UnitSystem } from '../../core/quantity';
import { ailmentName } from './ailments';
import { wearPlaceSentence } from './bar';
import { checkSentence } from './check';
import { choiceLabel } from './choices';
import { fitSentence, wearPatternSentence } from './judgements';
import { tensionSentence } from './loop';
import { readingName } from './places';
import { inSentence, list, sentence } from './sentence';

/** Why a symptom may come of a cause. */
export const causeBecause: { readonly [C in Cause]: Readonly<Record<SymptomOf<C>, string>> } = {
  'groove-worn': {
    'cuts-curved-left': 'A chain that can rock in its groove takes its own way. As usual a find as rails.',
    'cuts-curved-right': 'A chain that can rock in its groove takes its own way. As usual a find as rails.',
    'chain-comes-off': 'A groove that no longer guides the chain lets it climb out.',
    'needs-force': 'A rocking chain cuts badly.',
    'eats-chains': 'A rocking chain wears itself and the bar.',
    vibrates: 'In a worn groove the chain rattles from wall to wall.',
    stalls: 'Held to the line, a rocking chain binds in its kerf.',
  },
  'rails-unlevel': {
    'cuts-curved-left':
      'The chain leans toward the low rail, and the cut follows it. The usual find on a bar that was never dressed.',
    'cuts-curved-right':
      'The chain leans toward the low rail, and the cut follows it. The usual find on a bar that was never dressed.',
    'needs-force': 'A leaning chain binds in its own kerf.',
    stalls: 'Held to the line, a leaning chain binds in the curve that it wants to cut.',
  },
  'bar-bent': {
    'cuts-curved-left': 'A bent bar steers. Seen at once when one sights along it, and seldom.',
    'cuts-curved-right': 'A bent bar steers. Seen at once when one sights along it, and seldom.',
    'chain-comes-off': 'A bent bar throws a chain; seldom.',
    stalls: 'A bent bar binds in a straight cut.',
  },
  'tip-worn': {
    'chain-comes-off': 'Worn close behind the nose from limbing, the rails let the chain go where it turns.',
  },
  'rails-rough': {
    'eats-chains': 'Rough rail tops file the straps down from below.',
  },
  'groove-pinched': {
    'runs-hot': 'A pinched place rubs the links on both sides.',
    stalls: 'A pinched groove holds the chain.',
  },
  'groove-packed': {
    'runs-hot': 'A packed groove carries no oil round.',
    'will-not-oil': 'A packed groove lets no oil past.',
  },
  'link-on-floor': {
    'runs-hot': 'A link on the floor rubs all the way round.',
    'needs-force': 'A link on the floor eats the power.',
    'eats-chains': 'The floor wears the tangs.',
    stalls: 'A link on the floor eats the power.',
  },
  'oil-blocked': {
    'runs-hot': 'No oil is what burns most bars.',
    'eats-chains': 'Dry straps wear on the rails and dry rivets in their holes.',
    'will-not-oil': 'The holes are what packs first. The usual find.',
  },
  'oil-hole-differs': {
    'runs-hot': 'Oil that meets no hole runs down outside.',
    'will-not-oil': 'A bar made for another saw may miss its oil.',
  },
  'tensioner-hole-torn': {
    'will-not-take-up-tension': 'The pin slips out of a torn hole.',
  },
  'nose-failing': {
    'chain-comes-off': 'A nose that stops throws the chain.',
    'runs-hot': 'A stiff nose drags the chain.',
    'eats-chains': 'A stiff nose wears straps and links.',
  },
  'nose-worn': {
    'chain-comes-off': 'Worn or missing teeth at the nose let go of the links.',
    vibrates: 'A loose nose rattles.',
  },
  'cutters-uneven': {
    'cuts-curved-left':
      'The longer side cuts more and draws the cut. One school finds this oftenest with hand filers, the other found gross unevenness to cut straight.',
    'cuts-curved-right':
      'The longer side cuts more and draws the cut. One school finds this oftenest with hand filers, the other found gross unevenness to cut straight.',
    vibrates: 'Uneven cutters cut by turns.',
    stalls: 'The longer side pulls away from the line, and being held back it binds.',
  },
  'cutters-dull': {
    'cuts-curved-left': 'Where one side has met stone, the other side cuts alone.',
    'cuts-curved-right': 'Where one side has met stone, the other side cuts alone.',
    'runs-hot': 'A dull chain is pushed, and pushing heats.',
    'fine-dust': 'A dull edge scrapes. The usual find.',
    'needs-force': 'A sharp chain pulls itself in; a dull one must be pushed.',
    stalls: 'Pushed hard it stops before it cuts.',
  },
  'chain-blunt-forced': {
    'chain-comes-off': 'A blunt chain is forced, and jumps.',
  },
  'cutters-hooked': {
    vibrates: 'Hooked cutters grab.',
  },
  'cutters-blunt': {
    'fine-dust': 'A blunt side plate scrapes.',
    'needs-force': 'A blunt side plate does not bite.',
  },
  'depth-gauges-high': {
    'runs-hot': 'It cuts little and is pushed for it.',
    'fine-dust': 'Gauges that stand high let the cutters take dust only, however sharp they are.',
    'needs-force': 'Gauges that stand high hold the cutters off the wood.',
    stalls: 'Held off the wood it is pushed until it stops.',
  },
  'depth-gauges-low': {
    vibrates: 'Gauges that stand low let the cutters grab.',
    stalls: 'Cutters that grab stop the motor.',
  },
  'depth-gauges-uneven': {
    'cuts-curved-left': 'The side whose gauges stand lower bites deeper and draws the cut.',
    'cuts-curved-right': 'The side whose gauges stand lower bites deeper and draws the cut.',
  },
  'chain-slack': {
    'chain-comes-off': 'A chain that comes off is first of all slack.',
    'eats-chains': 'A slack chain hammers its straps.',
    vibrates: 'A slack chain whips.',
  },
  'tension-tight': {
    'runs-hot': 'Too tight, it drags round the nose.',
    'needs-force': 'Too tight, it drags.',
  },
  'chain-stretched': {
    'chain-comes-off': 'A chain that grew goes slack again and again, and rides up on the teeth.',
    'will-not-take-up-tension': 'A chain that grew uses up the travel.',
  },
  'chain-thin-for-groove': {
    'cuts-curved-left': 'A thin chain looks right in a wide groove, and rocks.',
    'cuts-curved-right': 'A thin chain looks right in a wide groove, and rocks.',
    'chain-comes-off': 'A thin chain wanders in its groove.',
    'eats-chains': 'A thin chain rocks itself worn.',
    vibrates: 'A thin chain rattles in a wide groove.',
  },
  'links-differ': {
    'will-not-take-up-tension': 'A chain with a link too many never comes tight.',
  },
  'tangs-burred': {
    'chain-comes-off': 'A chain that came off once has burrs that climb out again.',
  },
  'tight-joints': {
    'runs-hot': 'Tight joints bend hard round nose and sprocket.',
    vibrates: 'Each tight joint knocks as it goes round.',
  },
  'adjuster-at-end': {
    'chain-comes-off': 'With the tensioner at its end nothing takes up the slack.',
    'will-not-take-up-tension': 'The loop is longer than the travel takes.',
  },
  'sprocket-worn': {
    'chain-comes-off': 'Worn teeth let the links ride up.',
    'needs-force': 'A worn sprocket pulls unevenly and cuts slowly.',
    'eats-chains': 'A worn sprocket ruins the drive links of each chain that follows.',
    vibrates: 'Worn teeth pull by jerks.',
    'will-not-take-up-tension': 'A worn sprocket is a smaller one.',
  },
  'sprocket-pitch-differs': {
    'chain-comes-off': 'Links of another pitch climb the teeth.',
    'eats-chains': 'A wrong pitch hammers every link.',
    vibrates: 'A wrong pitch hammers.',
  },
  'bearing-worn': {
    vibrates: 'A worn bearing lets the sprocket wobble.',
  },
};

/** Why a symptom may come of a cause, whichever of the two is asked about. */
export const becauseOf = (cause: Cause, symptom: Symptom): string =>
  (causeBecause[cause] as Readonly<Partial<Record<Symptom, string>>>)[symptom] ?? '';

/** How one cause makes another bring a complaint about more often: the mechanism in a sentence. */
const FORCED =
  'feed is slow and force is great, so the chain leans further and cuts sideways: a worn or leaning bar steers most then.';
const AGGRAVATES: Readonly<Partial<Record<Cause, string>>> = {
  'cutters-dull': `Made worse by a dull chain: ${FORCED}`,
  'depth-gauges-high': `Made worse by depth gauges left high: ${FORCED}`,
  'groove-worn': 'Made worse by the worn groove: a chain that rocks while it is filed on the bar gets wrong angles.',
};

/** What makes a cause worse; empty where nothing does. */
export const aggravatedSentence = (by: readonly Cause[]): string =>
  by.map((cause) => AGGRAVATES[cause] ?? `Made worse: ${inSentence(ailmentName[cause])}.`).join(' ');

/** What is said where more than one cause was found: mending one leaves the other. Null where no two were. */
export function togetherSentence({ causes, enough }: Diagnosis): string | null {
  const found = causes.filter(({ present }) => present > FOUND_FROM);
  const names = found.map(({ cause }) => inSentence(ailmentName[cause]));
  const both =
    names.length > 1
      ? `Found together: ${list(names)}. Mending one leaves the other, and the customer is told both.`
      : null;
  const little = enough === false ? 'What was found is not enough to explain the curve.' : null;
  return both || little ? [both, little].filter(Boolean).join(' ') : null;
}

/** What stands beside “nothing found explains it”: what nobody has looked at yet, and how long that takes. */
export function notLookedAtSentence({ notLookedAt: { measures, minutes } }: Diagnosis): string {
  if (measures.length === 0) return 'Everything that speaks of it was looked at.';
  return `Not looked at yet: ${list(measures.map((measure) => readingName(measure)))}; about ${Math.max(1, Math.round(minutes))} min.`;
}

/** What may have made a bar go blue; null where it did not. */
export const heatSentence = (causes: readonly Cause[]): string | null =>
  causes.length === 0
    ? null
    : `Likely: ${list(
        causes.map((cause) => inSentence(ailmentName[cause])),
        'or',
      )}.`;

/** Why a piece of evidence moves the causes it speaks of. */
export const evidenceBecause: Record<FindingId, string> = {
  play: 'Measured play is the groove’s wear itself.',
  'straight-edge': 'The straight edge shows how far the chain rocks.',
  step: 'A step is what a leaning chain stands on.',
  ruts: 'Ruts in the rail tops come with rails that wear unevenly.',
  rust: 'Pitted rail tops are felt.',
  pattern: 'The sides of the low rails tell who wore them.',
  'wear-place': 'Where depth was lost tells how the saw is used.',
  bow: 'The gap under a straight edge is the bend itself.',
  twist: 'A twist is a bend too.',
  groove: 'The rake shows what is in the groove.',
  'groove-shape': 'A pinched or splayed place is seen along the bar.',
  pinch: 'A groove narrower than its link is measured.',
  'floor-clearance': 'No room under the link means that it rubs.',
  'tang-wear': 'Only a floor wears the tips of the tangs.',
  'oil-holes': 'A wire through the holes tells.',
  'oil-pattern': 'The pattern of the bar against that of the saw.',
  blueing: 'Blue steel was hot: no oil, dirt, the floor, or a pinch.',
  resin: 'Baked resin means heat: dry, dull, or too tight.',
  heat: 'Coloured links were hot: dry, dull, or too tight.',
  holes: 'A torn hole is seen.',
  'nose-turns': 'Turned by hand, a nose tells at once.',
  'nose-dirt': 'Dirt round the nose stops it.',
  'nose-pinch': 'Pinched plates hold the nose.',
  'tip-play': 'Play at the tip is wear of the nose.',
  'nose-teeth': 'Worn or missing teeth are wear of the nose.',
  'nose-hard': 'Wear through the facing is wear of the nose.',
  uneven: 'The mean lengths of both sides tell.',
  edge: 'A dull corner shines against the light.',
  undercut: 'The side plate under the edge is seen.',
  'gauges-high': 'The heights against their setting tell.',
  'gauges-low': 'The heights against their setting tell.',
  'gauges-uneven': 'The mean heights of both sides tell.',
  tension: 'How it hung as it came, before anything was loosened.',
  'tail-erosion': 'A slack chain hammers the tail.',
  straps: 'Peened straps come of a chain that ran slack or dull.',
  elongation: 'Push and pull measures the growth itself.',
  feel: 'The hand feels loose joints well and small growth badly.',
  gauge: 'Link and groove against each other.',
  links: 'The count against what the bar takes.',
  tangs: 'Burrs are counted.',
  'tight-joints': 'Joints that do not swing are counted.',
  adjuster: 'Where the loop puts the tensioner follows from wheels, links and pitch.',
  'sprocket-wear': 'Measured wear is the wear itself.',
  'sprocket-grade': 'The eye sees deep grooves well and light ones badly.',
  chains: 'About two chains are what a sprocket lasts.',
  'sprocket-pitch': 'The marks of both against each other.',
  bearing: 'A worn bearing is felt.',
  'sprocket-turns': 'A rough sprocket may be its bearing.',
  sharpening: 'Free hand makes sides and angles uneven; never sharpened is dull; a grinder makes them even.',
  'turned-over': 'A bar never turned over wears on one edge only.',
  'files-on-bar': 'A chain filed on the bar rocks with it.',
};

/** A piece of evidence as it stands, in a sentence. */
export function foundSentence({ source }: Found, unit: UnitSystem = 'mm'): string {
  switch (source.from) {
    case 'check':
      return checkSentence(source.check, unit);
    case 'word': {
      return `${sentence(readingName(source.reading))}: ${choiceLabel(source.reading, source.word)}.`;
    }
    case 'fit':
      return fitSentence(source.judgement);
    case 'tension':
      return tensionSentence(source.tension);
    case 'pattern':
      return wearPatternSentence(source.pattern) ?? '';
    case 'wear-place':
      return wearPlaceSentence(source.place, unit) ?? '';
    default:
      return never(source);
  }
}
