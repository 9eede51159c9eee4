import { never } from '../../core/result';
import type { CauseOf, EvidenceId, Found, Symptom } from '../../core/symptom';
import { readingAt, type ReadingId } from '../../core/sheet';
import type { UnitSystem } from '../../core/quantity';
import { checkSentence } from './check';
import { fitSentence, wearPatternSentence } from './judgements';
import { tensionSentence } from './loop';
import { READING_WORDS, nameOfReading } from './readings';
import { sentence } from './sentence';

const CURVED = {
  'rails-unlevel':
    'The chain leans toward the low rail, and the cut follows it. The usual find on a bar that was never dressed.',
  'groove-worn': 'A chain that can rock in its groove takes its own way. As usual a find as rails.',
  'bar-bent': 'A bent bar steers. Seen at once when one sights along it, and seldom.',
  'chain-thin-for-groove': 'A thin chain looks right in a wide groove, and rocks.',
  'cutters-dull': 'Where one side has met stone, the other side cuts alone.',
  'cutters-uneven':
    'The longer side cuts more and draws the cut. One school finds this oftenest with hand filers, the other found gross unevenness to cut straight.',
} as const;

/** Why a symptom may come of a cause, and why it weighs what it weighs. */
export const causeBecause: { readonly [S in Symptom]: Readonly<Record<CauseOf<S>, string>> } = {
  'cuts-curved-left': CURVED,
  'cuts-curved-right': CURVED,
  'chain-comes-off': {
    'chain-slack': 'A chain that comes off is first of all slack.',
    'groove-worn': 'A groove that no longer guides the chain lets it climb out.',
    'chain-stretched': 'A chain that grew goes slack again and again, and rides up on the teeth.',
    'sprocket-worn': 'Worn teeth let the links ride up.',
    'nose-failing': 'A nose that stops throws the chain.',
    'nose-worn': 'Worn or missing teeth at the nose let go of the links.',
    'tangs-burred': 'A chain that came off once has burrs that climb out again.',
    'chain-thin-for-groove': 'A thin chain wanders in its groove.',
    'adjuster-at-end': 'With the tensioner at its end nothing takes up the slack.',
    'sprocket-pitch-differs': 'Links of another pitch climb the teeth.',
    'bar-bent': 'A bent bar throws a chain; seldom.',
  },
  'runs-hot': {
    'oil-blocked': 'No oil is what burns most bars.',
    'groove-packed': 'A packed groove carries no oil round.',
    'cutters-dull': 'A dull chain is pushed, and pushing heats.',
    'link-on-floor': 'A link on the floor rubs all the way round.',
    'chain-tight': 'Too tight, it drags round the nose.',
    'nose-failing': 'A stiff nose drags the chain.',
    'groove-pinched': 'A pinched place rubs the links on both sides.',
    'depth-gauges-high': 'It cuts little and is pushed for it.',
    'tight-joints': 'Tight joints bend hard round nose and sprocket.',
    'oil-hole-differs': 'Oil that meets no hole runs down outside.',
  },
  'fine-dust': {
    'cutters-dull': 'A dull edge scrapes. The usual find.',
    'depth-gauges-high': 'Gauges that stand high let the cutters take dust only, however sharp they are.',
    'cutters-blunt': 'A blunt side plate scrapes.',
  },
  'needs-force': {
    'cutters-dull': 'A sharp chain pulls itself in; a dull one must be pushed.',
    'depth-gauges-high': 'Gauges that stand high hold the cutters off the wood.',
    'cutters-blunt': 'A blunt side plate does not bite.',
    'groove-worn': 'A rocking chain cuts badly.',
    'link-on-floor': 'A link on the floor eats the power.',
    'sprocket-worn': 'A worn sprocket pulls unevenly and cuts slowly.',
    'rails-unlevel': 'A leaning chain binds in its own kerf.',
    'chain-tight': 'Too tight, it drags.',
  },
  'eats-chains': {
    'sprocket-worn': 'A worn sprocket ruins the drive links of each chain that follows.',
    'oil-blocked': 'Dry straps wear on the rails and dry rivets in their holes.',
    'groove-worn': 'A rocking chain wears itself and the bar.',
    'sprocket-pitch-differs': 'A wrong pitch hammers every link.',
    'chain-slack': 'A slack chain hammers its straps.',
    'link-on-floor': 'The floor wears the tangs.',
    'nose-failing': 'A stiff nose wears straps and links.',
    'chain-thin-for-groove': 'A thin chain rocks itself worn.',
  },
  vibrates: {
    'depth-gauges-low': 'Gauges that stand low let the cutters grab.',
    'sprocket-worn': 'Worn teeth pull by jerks.',
    'bearing-worn': 'A worn bearing lets the sprocket wobble.',
    'cutters-hooked': 'Hooked cutters grab.',
    'cutters-uneven': 'Uneven cutters cut by turns.',
    'chain-slack': 'A slack chain whips.',
    'tight-joints': 'Each tight joint knocks as it goes round.',
    'groove-worn': 'In a worn groove the chain rattles from wall to wall.',
    'chain-thin-for-groove': 'A thin chain rattles in a wide groove.',
    'nose-worn': 'A loose nose rattles.',
    'sprocket-pitch-differs': 'A wrong pitch hammers.',
  },
  stalls: {
    'rails-unlevel': 'Held to the line, a leaning chain binds in the curve that it wants to cut.',
    'groove-worn': 'Held to the line, a rocking chain binds in its kerf.',
    'cutters-dull': 'Pushed hard it stops before it cuts.',
    'cutters-uneven': 'The longer side pulls away from the line, and being held back it binds.',
    'bar-bent': 'A bent bar binds in a straight cut.',
    'groove-pinched': 'A pinched groove holds the chain.',
    'depth-gauges-low': 'Cutters that grab stop the motor.',
    'link-on-floor': 'A link on the floor eats the power.',
  },
  'will-not-oil': {
    'oil-blocked': 'The holes are what packs first. The usual find.',
    'groove-packed': 'A packed groove lets no oil past.',
    'oil-hole-differs': 'A bar made for another saw may miss its oil.',
  },
  'will-not-take-up-tension': {
    'chain-stretched': 'A chain that grew uses up the travel.',
    'adjuster-at-end': 'The loop is longer than the travel takes.',
    'links-differ': 'A chain with a link too many never comes tight.',
    'tensioner-hole-torn': 'The pin slips out of a torn hole.',
    'sprocket-worn': 'A worn sprocket is a smaller one.',
  },
};

/** Why a piece of evidence moves the causes it speaks of. */
export const evidenceBecause: Record<EvidenceId, string> = {
  play: 'Measured play is the groove’s wear itself.',
  'straight-edge': 'The straight edge shows how far the chain rocks.',
  step: 'A step is what a leaning chain stands on.',
  ruts: 'Ruts in the rail tops come with rails that wear unevenly.',
  pattern: 'The sides of the low rails tell who wore them.',
  bow: 'The gap under a straight edge is the bend itself.',
  twist: 'A twist is a bend too.',
  groove: 'The rake shows what is in the groove.',
  'groove-shape': 'A pinched or splayed place is seen along the bar.',
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
  tension: 'How it hung as it came, before anything was loosened.',
  'tail-erosion': 'A slack chain hammers the tail.',
  straps: 'Peened straps come of a chain that ran slack or dull.',
  elongation: 'Push and pull measures the growth itself.',
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
};

/** A piece of evidence as it stands, in a sentence. */
export function foundSentence({ source }: Found, unit: UnitSystem = 'mm'): string {
  switch (source.from) {
    case 'check':
      return checkSentence(source.check, unit);
    case 'word': {
      const id = (readingAt(source.reading)?.id ?? source.reading) as ReadingId;
      const words = READING_WORDS[id];
      const said =
        typeof words === 'string' ? source.word : (words.words as Readonly<Record<string, string>>)[source.word];
      return `${sentence(nameOfReading(id))}: ${said ?? source.word}.`;
    }
    case 'fit':
      return fitSentence(source.judgement);
    case 'tension':
      return tensionSentence(source.tension);
    case 'pattern':
      return wearPatternSentence(source.pattern) ?? '';
    default:
      return never(source);
  }
}
