import { never } from '../../core/result';
import type { WearPlace } from '../../core/bar';
import type { EdgeDressing } from '../../core/bar/checks';
import type { SchoolId, Schools } from '../../core/schools';
import { formatLength, formatPosition, mm, type UnitSystem } from '../../core/quantity';
import type { Cause, Crooked, CrookedFinding } from '../../core/symptom';
import { list } from './sentence';
import { sideWord } from './labels';

/** Where depth was lost, and what that tells of the use. */
export function wearPlaceSentence(place: WearPlace, unit: UnitSystem = 'mm'): string | null {
  if (place.code === 'not-measured') return null;
  if (place.code === 'even') return 'Depth is lost evenly along the bar.';
  const where = `Edge ${place.edge} has lost most depth at ${formatPosition(mm(place.at), unit)} (${formatLength(mm(place.lost), unit)})`;
  switch (place.code) {
    case 'toward-nose':
      return `${where}, toward the nose: that is where people cut.`;
    case 'at-nose':
      return `${where}, at the nose: limbing with the tip.`;
    case 'at-tail':
      return `${where}, at the tail: a slack chain hammers there.`;
    case 'one-spot':
      return `${where}, in one spot: a blunt chain gets forced at the same place.`;
    default:
      return never(place);
  }
}

/** What is not known of a cause of a crooked cut is asked for. */
const NOT_KNOWN: Readonly<Partial<Record<Cause, string>>> = {
  'rails-unlevel': 'Not known: set the square along the cutting edge, or measure both rails.',
  'groove-worn': 'Not known: measure the groove’s width, or make the straight-edge test.',
  'bar-bent': 'Not known: sight along the bar and lay a straight edge to it.',
  'cutters-uneven': 'Not known: measure cutters of both sides.',
  'depth-gauges-uneven': 'Not known: measure depth gauges of both sides.',
  'cutters-dull': 'Not known: hold the working corners to the light.',
  'chain-thin-for-groove': 'Not known: measure drive-link thickness and the groove’s width.',
};

/** How one cause of a crooked cut stands, with its figure, and how far it draws the cut. */
export function crookedSentence(
  { cause, state, value, limit, toward, pull, aggravates }: CrookedFinding,
  unit: UnitSystem = 'mm',
): string {
  if (state === 'not-measured') return NOT_KNOWN[cause] ?? 'Not known.';
  const show = (figure: number | null) =>
    figure === null
      ? ''
      : cause === 'rails-unlevel'
        ? `${Math.abs(figure).toFixed(1)}\u00b0`
        : formatLength(mm(Math.abs(figure)), unit);
  if (state === 'sound')
    return value === null ? 'No: looked at, and not found.' : `No: ${show(value)}, it counts from ${show(limit)}.`;
  const figures: Readonly<Partial<Record<Cause, string>>> = {
    'rails-unlevel': `The set lean is ${show(value)}, it counts from ${show(limit)}.`,
    'groove-worn': `The groove lets it rock by ${show(value)} of play, the most is ${show(limit)}.`,
    'cutters-uneven': `Left and right differ by ${show(value)} on average, it counts from ${show(limit)}.`,
    'depth-gauges-uneven': `Left and right differ by ${show(value)} on average, it counts from ${show(limit)}.`,
  };
  const says = (value === null ? null : figures[cause]) ?? 'Found.';
  const side =
    toward && pull !== null
      ? ` It draws the cut to the ${toward}, by about ${formatPosition(mm(pull), unit)} in ${formatPosition(mm(300), unit)}.`
      : ' It draws the cut to either side.';
  return `${says}${side}${aggravates ? ' The bar comes first; this makes it worse.' : ''}`;
}

/** Where all of it together draws a cut, and how likely somebody says so. */
export function driftSentence({ pull, odds }: Crooked, unit: UnitSystem = 'mm'): string {
  const percent = (chance: number) => `${Math.round(100 * chance)} %`;
  const side = sideWord[pull.mean > 0 ? 'right' : 'left'];
  const drawn = `All of it together draws the cut about ${formatPosition(mm(Math.abs(pull.mean)), unit)} to the ${side} in ${formatPosition(mm(300), unit)} of depth, ± ${formatPosition(mm(2 * pull.u), unit)}`;
  return `${drawn}: to the left ${percent(odds.left)}, straight ${percent(odds.straight)}, to the right ${percent(odds.right)}.`;
}

/** Both schools on crooked cuts, named. */
export const CROOKED_SCHOOLS: readonly string[] = [
  'One school: it is the bar. Unlevel rails or a worn groove; uneven sharpening alone cut straight in a trial.',
  'The other: it is the cutters. One side longer, sharper or damaged, the usual cause with hand filers.',
];

/** What the shop makes of the two. */
export const CROOKED_HERE: Record<Schools['curvedCuts'], string> = {
  'bar-first':
    'Here: the bar first. Cutters count alone only when the bar measures sound, and as an aggravator always.',
  'cutters-too': 'Here: both. Uneven cutters count as a cause of their own, whatever the bar measures.',
};

/** Questions the schools differ on, for the shop\u2019s choice. */
export const schoolName: Record<SchoolId, string> = {
  curvedCuts: 'What makes it cut in a curve',
  turnOver: 'Turning the bar over',
  greaseNose: 'Greasing the nose',
  levelling: 'Levelling the rails',
  closeRails: 'Splayed rails',
  bentBar: 'A slightly bent bar',
  flatSpots: 'Deep flat spots and chips',
  outerEdges: 'Outer edges of the rails',
  tension: 'Tensioning the chain',
  lowKickback: 'Low-kickback chain',
};

/** What the schools say of each question, the default\u2019s reason first, and what the choice changes. */
export const schoolSays: Record<SchoolId, { readonly says: string; readonly changes: string }> = {
  curvedCuts: {
    says: 'One school finds it in the bar: gross unevenness of the cutters cut straight in a trial. The other finds it in the cutters, above all with hand filers.',
    changes: 'Changes the causes under Why, and what the bar\u2019s view of crooked cuts says.',
  },
  turnOver: {
    says: 'At every chain change is easy to remember; at every sharpening wears most evenly; when wear shows costs no thought. Said to give about half as much life again.',
    changes: 'Changes the work card.',
  },
  greaseNose: {
    says: 'One school greases at each service; another never does, because chain oil serves and grease keeps it out; a third goes on once it was begun. The default follows what the nose is: with a port, greased; without, not.',
    changes: 'Changes the work card.',
  },
  levelling: {
    says: 'All four level: the amount to take off is the same whichever tool does it.',
    changes: 'Changes the steps of the work card.',
  },
  closeRails: {
    says: 'One school closes splayed rails with care and measures again; the other dresses, or replaces.',
    changes: 'Changes the bar\u2019s verdict where the groove is splayed, and the work card.',
  },
  bentBar: {
    says: 'One school straightens a slight bend of an otherwise good bar and measures again; the other replaces every bent bar.',
    changes: 'Changes the bar\u2019s verdict at a slight bow or twist.',
  },
  flatSpots: {
    says: 'One school always files back; the other lets a chain go once half of a cutter would go. By default both are shown: below the mark condemns, half is advised on.',
    changes: 'Changes the chain\u2019s verdict and what its page says of damage.',
  },
  outerEdges: {
    says: 'A slight bevel makes the next burr come later; plain deburring takes less metal.',
    changes: 'Changes the words of the work card and of the tag.',
  },
  tension: {
    says: 'One school sets every chain snug; another lets it hang a little round a hard nose, where nothing turns under it; a third tensions it warm from cutting and slackens it before it cools, lest it shrinks tight on the bar.',
    changes: 'Changes the limit on the lift at mid-bar, what Refit asks for, and what the customer is told.',
  },
  lowKickback: {
    says: 'One school gives standard chain to nobody untrained, whatever they ask for; the other lets professionals choose. By default nobody is stepped up from low-kickback without a choice on record.',
    changes: 'Changes the order slip, the counter\u2019s answer and what stock offers. Local rules come first.',
  },
};

export const schoolAnswer: { readonly [K in SchoolId]: Readonly<Record<Schools[K], string>> } = {
  curvedCuts: { 'bar-first': 'the bar first', 'cutters-too': 'cutters as well' },
  greaseNose: {
    'by-its-port': 'where it has a port',
    'each-service': 'at each service',
    never: 'never',
    'once-begun': 'always, once begun',
  },
  bentBar: { 'straighten-slight': 'straighten if slight', 'always-replace': 'always replace' },
  flatSpots: {
    'advise-at-half': 'file back, advise at half',
    'grind-back': 'always file back',
    'condemn-at-half': 'condemn at half',
  },
  outerEdges: { bevel: 'slight bevel', 'plain-deburr': 'plain deburr' },
  tension: {
    snug: 'snug',
    'sag-on-hard-nose': 'some sag round a hard nose',
    warm: 'warm, slackened before it cools',
  },
  lowKickback: {
    'recorded-choice': 'stepped up only on record',
    'trained-only': 'never for the untrained',
    'professionals-free': 'professionals choose',
  },
  levelling: {
    'guided-file': 'guided file',
    'draw-file': 'draw-file, with square and light',
    'belt-then-file': 'belt, then file',
    'wood-block': 'file in a wood block',
  },
  closeRails: { off: 'never closed: dress, or replace', on: 'closed, then measured again' },
  turnOver: {
    'every-chain': 'at every chain change',
    'every-sharpening': 'at every sharpening',
    'when-worn': 'when wear shows',
  },
};

/** What the shop does about grease at the nose, beside the question for its port. */
export const greaseSays: Record<Schools['greaseNose'], string> = {
  'by-its-port': 'With a port it is greased at each service; without one chain oil does it.',
  'each-service': 'This shop greases at each service, where there is no saying that it has no port.',
  never: 'This shop never greases a nose: chain oil does it, and grease keeps the oil out.',
  'once-begun': 'This shop goes on greasing what was greased before.',
};

/** How the rails are levelled, step by step, in the school of the shop. */
export const LEVELLING_STEPS: Record<Schools['levelling'], readonly string[]> = {
  'guided-file': [
    'Bar flat in the vise. Guided file on the rails, pressing down and in.',
    'Cut on the push only, lift on the return, clear the file often.',
    'Work the high rail until both shine evenly along the whole length.',
  ],
  'draw-file': [
    'Bar upright in the vise. Draw the file along both rails at once.',
    'Try with the square against the light, every few strokes.',
    'Stop when no light shows along the whole length.',
  ],
  'belt-then-file': [
    'Very bad rails: coarse on the belt first, the bar square to it, never long in one place: it blues.',
    'Then square by guided file, cutting on the push only.',
    'Stop when both rails shine evenly.',
  ],
  'wood-block': [
    'File set square into a wood block. Slide the block along the bar\u2019s side.',
    'Cut on the push only, lift on the return.',
    'Work the high rail until both shine evenly.',
  ],
};

/** How the outer edges are deburred, as the shop's school has them finished. */
export const DEBURR_STEPS: Record<Schools['outerEdges'], readonly string[]> = {
  'plain-deburr': [
    'One direction only: along the outer side, away from the groove and away from the nose.',
    'Turn the bar round for the other edge; never work back toward you over the nose.',
    'One light last pass, or the stone, over the rail tops: never into the groove.',
  ],
  bevel: [
    'One direction only: along the outer side, away from the groove and away from the nose.',
    'Finish with a slight bevel outside, so that the next burr starts later.',
    'Turn the bar round for the other edge; never work back toward you over the nose.',
    'One light last pass, or the stone, over the rail tops: never into the groove.',
  ],
};

/** Cautions on the work card. */
export const REWORK_CAUTIONS: readonly string[] = [
  'Gloves at the rail edges. Eye protection with file, belt and air.',
  'Stay off the nose sprocket. Blow away from the nose, never spin its bearing with air.',
  'Near enough is enough: this is maintenance, not a new bar. Then measure again.',
];

/** What a dressing takes in passes and minutes. */
export function effortSentence(
  { effort: { passes, minutes }, coarseFirst, deeper }: EdgeDressing,
  unit: UnitSystem = 'mm',
): string {
  const work = [
    passes.near > 0 ? `${passes.near} passes on the near rail` : '',
    passes.far > 0 ? `${passes.far} on the far rail` : '',
  ].filter(Boolean);
  if (work.length === 0) return 'Nothing to take off.';
  const coarse = coarseFirst ? ' Coarse first, then square by file.' : '';
  const deep =
    deeper > 0
      ? ` ${formatLength(mm(deeper), unit)} of it all along brings the flared mouth back within its play.`
      : '';
  return `About ${list(work)}, ${Math.round(minutes)} min.${coarse}${deep}`;
}

/** A dip that could be left. */
export function exceptionSentence(at: number, saves: number, unit: UnitSystem = 'mm'): string {
  return `The dip at ${formatPosition(mm(at), unit)} costs the rest of the edge up to ${formatLength(mm(saves), unit)}. It can be left, and is then named in the record.`;
}
