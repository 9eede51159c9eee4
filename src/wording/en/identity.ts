import { never } from '../../core/result';
import { formatFigure, formatLength, formatPosition, mm, type UnitSystem } from '../../core/quantity';
import type { FamilyId, GaugeId } from '../../core/families';
import type {
  EvidenceEffect,
  Identified,
  IdentifiedPart,
  IdentifiedProperty,
  IdentityFinding,
  IdentityReason,
  OnMark,
  Settling,
  StampMeaning,
  CountedSequence,
  LearnedCode,
  Sequence,
} from '../../core/identify';
import { familyLabel, gaugeLabel, pitchMarkLabel, kickbackClassWord, sequenceWord } from './labels';
import { readingName } from './places';
import { list, sentence } from './sentence';
import { CHAIN_WORDS } from './readings/chain';

const pm = (u: number, unit: UnitSystem) => `± ${formatFigure(mm(2 * u), unit)}`;

const MARKED_ON = {
  template: 'the template',
  sprocket: 'the sprocket',
  nose: 'the nose',
  stamp: 'the stamp',
};
const STANDS_ON = {
  template: 'Template fits',
  sprocket: 'Drive sprocket marked',
  nose: 'Nose marked',
  stamp: 'Stamped',
};

export function codeMeaning(code: Omit<LearnedCode, 'code' | 'note'>): string {
  const { pitch, gauge, driveLinks, kickbackClass, replacedBy } = code;
  const said = [
    pitch && pitchMarkLabel(pitch),
    gauge && gaugeLabel(gauge),
    driveLinks && `${driveLinks} links`,
    kickbackClass && kickbackClassWord[kickbackClass],
    replacedBy && `replaced by ${replacedBy}`,
  ];
  return said.filter(Boolean).join(', ') || 'nothing yet';
}

const BUILD = CHAIN_WORDS['chain.chassis'].words;

/** What a piece of evidence says, without what follows from it; used inside sentences. */
function says(reason: IdentityReason, unit: UnitSystem): string {
  switch (reason.code) {
    case 'pitch-mark':
      return `${MARKED_ON[reason.on]} says ${pitchMarkLabel(reason.value)}`;
    case 'gauge-mark':
      return `the stamp says ${gaugeLabel(reason.value)}`;
    case 'span':
      return `the span measures ${formatLength(reason.pitch, unit)} a pitch`;
    case 'thickness':
      return `the drive links measure ${formatLength(reason.thickness, unit)}`;
    case 'groove-floor':
    case 'groove-mouth':
      return `the groove measures ${formatLength(reason.width, unit)}`;
    case 'count':
      return `${reason.value} links were counted`;
    case 'cutters':
      return `${reason.cutters} cutters in ${sequenceWord[reason.sequence]} need ${list(reason.links.map(String), 'or')} links`;
    case 'links-mark':
      return `the stamp says ${reason.value} links`;
    case 'chassis':
      return `the build is ${BUILD[reason.chassis]}`;
    case 'file-size':
      return `a ${formatLength(reason.diameter, unit, unit === 'mm' ? 1 : 3)} file was used`;
    case 'learned-code':
      return `the code ${reason.text} stands for ${codeMeaning(reason)}`;
    case 'loop-length':
      return `the loop measures ${formatLength(reason.length, unit, 0)} round, about ${reason.links} links`;
    case 'tape':
      return `the tape reads ${formatLength(reason.length, unit, 0)}, about ${reason.links} links`;
    case 'centres':
      return `the tensioner's travel takes ${list(reason.links.map(String), 'or')} links`;
    default:
      return identityReason(reason, unit).replace(/\.$/, '');
  }
}

/** One reason as a sentence. */
export function identityReason(reason: IdentityReason, unit: UnitSystem = 'mm'): string {
  switch (reason.code) {
    case 'span':
      return `${reason.rivets} rivets span ${reason.rivets - 1} pitches: ${formatLength(reason.pitch, unit)} ${pm(reason.u, unit)} each.`;
    case 'span-fits-none': {
      const found = `A pitch of ${formatLength(reason.pitch, unit)} belongs to no family here.`;
      return reason.miscounted === null
        ? `${found} Measure the span again.`
        : `${found} With ${reason.miscounted} rivets instead of ${reason.rivets} it would: count the rivets again.`;
    }
    case 'harvester-pitch':
      return 'This is 3/4 harvester pitch: out of scope here, order it from its maker.';
    case 'harvester-gauge':
      return 'This is .080 harvester gauge: out of scope here, order it from its maker.';
    case 'pitch-mark': {
      return `${STANDS_ON[reason.on]} ${reason.text}: ${pitchMarkLabel(reason.value)}.`;
    }
    case 'chassis':
      return `Laid beside a known chain the build is ${BUILD[reason.chassis]}.`;
    case 'file-size':
      return `Filed with ${formatLength(reason.diameter, unit, unit === 'mm' ? 1 : 3)}: the file that goes with its family.`;
    case 'file-fits-none':
      return `A file of ${formatLength(reason.diameter, unit, unit === 'mm' ? 1 : 3)} is usual on no family here.`;
    case 'learned-code':
      return `Code ${reason.text}, learned by this shop: ${codeMeaning(reason)}.`;
    case 'loop-length':
      return `Once round it measures ${formatLength(reason.length, unit, 0)}: about ${reason.links} drive links.`;
    case 'tape':
      return `A tape round groove and sprocket reads ${formatLength(reason.length, unit, 0)}: about ${reason.links} drive links.`;
    case 'centres':
      return reason.links.length === 0
        ? "No whole number of links falls inside the tensioner's travel: measure both centres again."
        : `Inside the tensioner's travel lie ${list(reason.links.map(String), 'or')} drive links.`;
    case 'waits-for':
      return `Counts once this is known: ${list(reason.readings.map(readingName))}.`;
    case 'thickness':
      return `Drive links measure ${formatLength(reason.thickness, unit)} ${pm(reason.u, unit)}; links only wear thinner.`;
    case 'thickness-fits-none':
      return `A drive link of ${formatLength(reason.thickness, unit)} belongs to no gauge here: measure a clean link again, off the burr.`;
    case 'slot': {
      const lo = reason.lo === null ? null : formatLength(reason.lo, unit, 3);
      const hi = reason.hi === null ? null : formatLength(reason.hi, unit, 3);
      if (lo && hi) return `By slots and tabs it lies between ${lo} and ${hi}.`;
      return lo ? `By slots and tabs it is at least ${lo}.` : `By slots and tabs it is at most ${hi ?? 'unknown'}.`;
    }
    case 'gauge-mark':
      return `Stamped ${reason.text}: ${gaugeLabel(reason.value)}.`;
    case 'groove-floor':
      return `The groove near its floor is ${formatLength(reason.width, unit)} ${pm(reason.u, unit)} wide.`;
    case 'groove-mouth':
      return `The groove at its mouth is ${formatLength(reason.width, unit)} ${pm(reason.u, unit)} wide.`;
    case 'count':
      return `Counted ${reason.value} drive links.`;
    case 'links-mark':
      return reason.marked
        ? `Stamped ${reason.text}: ${reason.value} drive links.`
        : `A bare ${reason.text} on the stamp may mean ${reason.value} drive links.`;
    case 'cutters':
      return `${reason.cutters} cutters in ${sequenceWord[reason.sequence]} mean ${list(reason.links.map(String), 'or')} drive links.`;
    case 'sequence-doubted':
      return sequenceDoubted({ ...reason, ticked: reason.sequence });
    case 'gauge-narrows-pitch':
      return 'The gauge tells the two 3/8 builds apart here.';
    case 'build-open':
      return '3/8, build not settled: do not order yet. Lay it beside a known chain: small or large chassis?';
    case 'pair-not-in-practice':
      return `${familyLabel(reason.family)} is not made in ${gaugeLabel(reason.gauge)} in practice: measure one of them again.`;
    case 'count-again':
      return reason.counts.length === 0
        ? 'Count the drive links, twice.'
        : reason.counts.length === 1
          ? `Counted once, ${reason.counts[0]!}: count again, two equal counts settle it.`
          : `Counts differ (${list(reason.counts.map(String))}): count again, two equal counts settle it.`;
    case 'stamp-is-not-a-count':
      return 'A stamp is no count: the bar may not be the one this saw left the factory with.';
    case 'mouth-may-pass-for-wider':
      return 'A worn mouth passes for the next gauge up: measure near the floor or read the stamp.';
    case 'disagree':
      return `These contradict each other: ${says(reason.first, unit)}, but ${says(reason.second, unit)}. One of them speaks of another part or was misread.`;
    case 'nothing-known':
      return 'Nothing is known of it yet.';
    default:
      return never(reason);
  }
}

/** Counts that fit no sequence, or another than the ticked one. */
export function sequenceDoubted({
  cutters,
  links,
  says,
  ticked,
}: {
  readonly cutters: number;
  readonly links: number;
  readonly says: CountedSequence;
  readonly ticked: Sequence | null;
}): string {
  const counted = `${cutters} cutters on ${links} drive links`;
  if (says !== 'irregular')
    return `${counted} are ${sequenceWord[says]}${ticked ? `, not ${sequenceWord[ticked]}: the ticked sequence is what is doubted` : ''}.`;
  return `${counted} fit no sequence: count the cutters again, or some are missing.`;
}

/** What a piece of a stamp may mean, in a few words. */
export function stampMeaning(meaning: StampMeaning): string {
  switch (meaning.property) {
    case 'pitch':
      return `pitch ${pitchMarkLabel(meaning.value)}`;
    case 'gauge':
      return `gauge ${gaugeLabel(meaning.value)}`;
    case 'driveLinks':
      return meaning.marked ? `${meaning.value} drive links` : `${meaning.value} drive links?`;
    case 'listedLength':
      return `length ${formatPosition(meaning.value, 'mm')} (${formatPosition(meaning.value, 'in')})`;
    case 'teeth':
      return `${meaning.value} teeth`;
    case 'outOfScope':
      return meaning.what === 'harvester-pitch'
        ? '3/4 harvester pitch, out of scope'
        : '.080 harvester gauge, out of scope';
    default:
      return never(meaning);
  }
}

/** A trap that was recognised, in the words of the bench. */
export function identityFinding(finding: IdentityFinding, unit: UnitSystem = 'mm'): string {
  switch (finding.code) {
    case 'thin-chain':
      return `A ${gaugeLabel(finding.chain)} chain in a ${gaugeLabel(finding.bar)} groove goes in and looks right. It rocks, wears itself and the bar, and cuts badly: it must not run.`;
    case 'thick-chain':
      return `A ${gaugeLabel(finding.chain)} chain in a ${gaugeLabel(finding.bar)} groove pinches and burns: it will not run.`;
    case 'stretched':
      return `This ${familyLabel(finding.family)} chain measures ${formatLength(finding.pitch, unit)} a pitch, ${finding.percent.toFixed(1)} % longer than made: stretched, no other pitch. Judge it by push and pull.`;
    case 'worn-mouth':
      return `The groove is ${gaugeLabel(finding.gauge)}, worn to ${formatLength(finding.width, unit)} at the mouth: there it passes for ${gaugeLabel(finding.looksLike)}. Order by the floor, not by the mouth.`;
    case 'build-open':
      return 'Low profile and standard carry the same 3/8 and never interchange. Until the build is known, nothing is ordered.';
    case 'other-count':
      return `The chain carries ${finding.chain} drive links, the bar is for ${finding.bar}: it may be another bar than the saw left the factory with. What runs on this saw is what was counted, if it took up tension.`;
    case 'odd-count':
      return `${finding.links} is an odd count: one pair of cutters stands out of order at the join, or a link was missed.`;
    default:
      return never(finding);
  }
}

/** What a number stands on, and the half minute that confirms it; with a small letter, to follow a name. */
function standsOnMark({ mark, confirmedBy }: OnMark, unit: UnitSystem): string {
  const said = `stands on one mark alone: ${says(mark, unit)}.`;
  return confirmedBy ? `${said} Confirm it by ${readingName(confirmedBy.measure)} (${confirmedBy.minutes} min).` : said;
}

/** That a number stands on one mark alone, beside the number. */
export function onMarkSentence(onMark: OnMark, unit: UnitSystem = 'mm'): string {
  return sentence(standsOnMark(onMark, unit));
}

/** The same where the number is not beside it, as on the slip and at the counter. */
export function numberOnMarkSentence(number: IdentifiedProperty, onMark: OnMark, unit: UnitSystem = 'mm'): string {
  return `${sentence(identifiedPropertyName[number])}: ${standsOnMark(onMark, unit)}`;
}

/** The one observation that would settle a number. */
export function settlingSentence({ measure, minutes }: Settling): string {
  return `${sentence(readingName(measure))} would settle it (${minutes} min).`;
}

/** Parts that are identified, as the bench says them. */
export const identifiedPartName: Record<IdentifiedPart, string> = {
  chain: 'chain',
  bar: 'bar',
  driveSprocket: 'drive sprocket',
  nose: 'nose',
};

/** A part where there is little room. */
export const identifiedPartShort: Record<IdentifiedPart, string> = {
  chain: 'Chain',
  bar: 'Bar',
  driveSprocket: 'Sprocket',
  nose: 'Nose',
};

export const identifiedPropertyName: Record<IdentifiedProperty, string> = {
  pitch: 'pitch',
  gauge: 'gauge',
  driveLinks: 'drive links',
};

/** A value of one of the three numbers. */
export function numberValue(property: IdentifiedProperty, value: string | number): string {
  if (property === 'pitch') return familyLabel(value as FamilyId);
  return property === 'gauge' ? gaugeLabel(value as GaugeId) : String(value);
}

function standing(property: IdentifiedProperty, { status, value, candidates }: Identified<string | number>): string {
  if (status === 'conflict') return 'contradicted';
  if (value !== null) return numberValue(property, value);
  if (candidates.length === 0) return 'not known';
  const live = candidates.filter(({ weight }) => weight >= 0.05).slice(0, 3);
  return `open (${list(
    live.map((candidate) => `${numberValue(property, candidate.value)} ${Math.round(candidate.weight * 100)} %`),
    'or',
  )})`;
}

/** What setting evidence aside, or putting it back, does to one number. */
export function effectSentence({ part, property, before, after }: EvidenceEffect): string {
  return `${sentence(identifiedPropertyName[property])} of the ${identifiedPartName[part]}: ${standing(property, before)} → ${standing(property, after)}`;
}
