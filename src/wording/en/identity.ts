import { never } from '../../core/result';
import { formatFigure, formatLength, formatPosition, mm, type UnitSystem } from '../../core/quantity';
import type { IdentityReason, StampMeaning } from '../../core/identify';
import { familyLabel, gaugeLabel, pitchMarkLabel } from './labels';
import { list } from './places';

const pm = (u: number, unit: UnitSystem) => `± ${formatFigure(mm(2 * u), unit)}`;

/** What a piece of evidence says, without what follows from it; used inside sentences. */
function says(reason: IdentityReason, unit: UnitSystem): string {
  switch (reason.code) {
    case 'pitch-mark':
      return `${reason.on === 'template' ? 'the template' : reason.on === 'sprocket' ? 'the sprocket' : 'the stamp'} says ${pitchMarkLabel(reason.value)}`;
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
      return `${reason.cutters} cutters in ${reason.sequence.replace('-', ' ')} need ${list(reason.links.map(String), 'or')} links`;
    case 'links-mark':
      return `the stamp says ${reason.value} links`;
    case 'chassis':
      return `the build is ${reason.chassis}`;
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
      const on =
        reason.on === 'sprocket' ? 'Drive sprocket marked' : reason.on === 'template' ? 'Template fits' : 'Stamped';
      return `${on} ${reason.text}: ${pitchMarkLabel(reason.value)}.`;
    }
    case 'chassis':
      return `Laid beside a known chain the build is ${reason.chassis}.`;
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
      return `${reason.cutters} cutters in ${reason.sequence.replace('-', ' ')} mean ${list(reason.links.map(String), 'or')} drive links.`;
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
    case 'outOfScope':
      return meaning.what === 'harvester-pitch'
        ? '3/4 harvester pitch, out of scope'
        : '.080 harvester gauge, out of scope';
    default:
      return never(meaning);
  }
}
