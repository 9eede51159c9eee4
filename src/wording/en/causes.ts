import { never } from '../../core/result';
import { FOUND_FROM, type Cause, type Diagnosis, type FindingId, type Found } from '../../core/symptom';
import type { UnitSystem } from '../../core/quantity';
import { AILMENTS } from './ailments';
import { wearPlaceSentence } from './bar';
import { checkSentence } from './check';
import { choiceLabel } from './choices';
import { fitSentence, wearPatternSentence } from './judgements';
import { tensionSentence } from './loop';
import { readingName } from './places';
import { inSentence, list, sentence } from './sentence';

/** What makes a cause worse; empty where nothing does. */
export const aggravatedSentence = (by: readonly Cause[]): string =>
  by.map((cause) => AILMENTS[cause].makesWorse ?? `Made worse: ${inSentence(AILMENTS[cause].name)}.`).join(' ');

/** What is said where more than one cause was found: mending one leaves the other. Null where no two were. */
export function togetherSentence({ causes, enough }: Diagnosis): string | null {
  const found = causes.filter(({ present }) => present > FOUND_FROM);
  const names = found.map(({ cause }) => inSentence(AILMENTS[cause].name));
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
        causes.map((cause) => inSentence(AILMENTS[cause].name)),
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
