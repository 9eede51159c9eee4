import { never } from '../../core/result';
import type { Part } from '../../core/reading';
import type { IdleReading } from '../../core/sheet';
import type { NextMeasurement } from '../../core/next';
import type { Verdict, VerdictReason } from '../../core/judge';
import type { EdgeDressing } from '../../core/bar/checks';
import { FAMILY_IDS, type FamilyId } from '../../core/families';
import type { Turned, TurnOver, WearPattern } from '../../core/bar';
import type { FitJudgement, Guard } from '../../core/fit';
import type { NeedProperty, StockMiss } from '../../core/stock';
import type { SprocketKind } from '../../core/declared';
import type { Sequence } from '../../core/identify';
import type { OrderCaution, OrderWithheld, SprocketOrder } from '../../core/order';
import { formatLength, formatPosition, mm, type UnitSystem } from '../../core/quantity';
import { AILMENTS } from './ailments';
import { checkSentence } from './check';
import { numberOnMarkSentence, sequenceDoubted } from './identity';
import {
  actionWord,
  familyLabel,
  fitRuleName,
  gaugeLabel,
  operationWord,
  partName,
  railSide,
  sequenceWord,
  sprocketKindWord,
} from './labels';
import { instrumentName } from './instruments';
import { readingName, readingNameAt } from './places';
import { inSentence, list, sentence } from './sentence';
import { lookName } from './past';
import { plural } from './plural';
import { figure, valueWithDoubt } from './value';

/** One reason of a verdict. */
export function verdictReason(reason: VerdictReason, unit: UnitSystem = 'mm'): string {
  switch (reason.code) {
    case 'check':
      return checkSentence(reason.check, unit);
    case 'missing':
      return `Not measured yet: ${list([...new Set(reason.readings.map(readingName))])}.`;
    case 'not-brought':
      return 'Not measured: nothing is known of this part.';
    case 'sound':
      return 'Nothing measured speaks against it.';
    default:
      return never(reason);
  }
}

/** The verdict in one line: the word, and the work where there is any. */
export function verdictHeadline({ action, operations }: Pick<Verdict, 'action' | 'operations'>): string {
  if (action === 'recondition' || action === 'clean')
    return `${actionWord[action]}: ${list(operations.map((operation) => operationWord[operation]))}`;
  return actionWord[action];
}

const turnedBy = (logged: number | null): string =>
  logged === null ? 'the bar gets turned over' : `the log has the bar turned over ${times(logged)}`;

/**
 * What the log of a saw tells of its bar, and how it stands to what the customer said. Null while there is nothing to
 * compare.
 */
export function turnLogSentence({ times: turns, seen }: Turned, told: TurnOver | undefined): string | null {
  if (seen === 0) return null;
  if (turns === 0)
    return `By the log the bar never changed its edge, in ${plural(seen, { one: '# look', other: '# looks' })}. It may have been turned there and back.`;
  const against = told === 'never' ? ' That counts before what was told.' : '';
  return `By the log the bar changed its edge ${turns} of ${seen} times.${against}`;
}

const times = (count: number): string => plural(count, { one: 'once', other: '# times' });

/** What the side of the low rails tells. */
export function wearPatternSentence(pattern: WearPattern): string | null {
  switch (pattern.code) {
    case 'not-measured':
      return null;
    case 'level':
      return 'Both edges are level: no lean to read.';
    case 'dipped':
      return pattern.edges.length === 1
        ? `No rail stands over the other, so there is no lean to read; both rails of edge ${list(pattern.edges)} dip, those of the other edge do not: a bar seldom turned over.`
        : 'No rail stands over the other, so there is no lean to read; both rails of both edges dip.';
    case 'open':
      return `Whether a rail of edge ${list(pattern.edges)} stands high is open: no lean to read before that is cleared up.`;
    case 'one-edge':
      return `Only edge ${pattern.edge} leans (${pattern.low} rail low): one edge alone names no cause.`;
    case 'leaned-on':
      return `Low rails on opposite sides (A ${railSide[pattern.low.A]}, B ${railSide[pattern.low.B]}) on a bar never turned over: the saw's weight or the operator leans it.`;
    case 'cutters-of-one-side':
      return `The ${pattern.low} rail is low on both edges of a bar never turned over: the cutters of one side pull. Measure them.`;
    case 'measure-the-cutters':
      return `The low rails are ${pattern.opposite ? 'on opposite sides' : 'on the same side'}, but ${turnedBy(pattern.logged)}, which mixes the causes: measure the cutters.`;
    case 'turning-not-told':
      return `The low rails are ${pattern.opposite ? 'on opposite sides' : 'on the same side'}. Ask how often the bar is turned over: without it the cause stays open.`;
    default:
      return never(pattern);
  }
}

/** The dressing of an edge in one or two sentences. */
export function dressingSentence(
  edge: 'A' | 'B',
  dressing: EdgeDressing,
  stationAt: (station: number) => number,
  unit: UnitSystem = 'mm',
): string {
  const { plan, advised, stoppedBy, coarseFirst } = dressing;
  const show = (value: number) => formatLength(mm(value), unit);
  if (!advised)
    return show(plan.most) === show(0)
      ? `Edge ${edge} needs no dressing: nothing stands proud.`
      : `Edge ${edge} needs no dressing: at most ${show(plan.most)} stands proud.`;
  const rails = (['near', 'far'] as const).map((rail) => ({
    rail,
    removal: rail === 'near' ? plan.removeNear : plan.removeFar,
  }));
  const worst = rails
    .flatMap(({ rail, removal }) => removal.map((amount, station) => ({ rail, station, amount: amount ?? 0 })))
    .reduce((most, next) => (next.amount > most.amount ? next : most));
  const most = `${show(worst.amount)} at ${formatPosition(mm(stationAt(worst.station)), unit)}`;
  if (stoppedBy)
    return `Edge ${edge} cannot be dressed: levelling takes ${most} off the ${railSide[worst.rail]} rail, and leaves ${formatPosition(mm(stationAt(stoppedBy.station)), unit)} ${stoppedBy.limit === 'bar.depth' ? 'below the least groove depth' : 'with the link on the floor'}.`;
  const work = `Dress edge ${edge}. Most comes off the ${railSide[worst.rail]} rail: ${most}.`;
  return coarseFirst ? `${work} Coarse first, then square by file.` : work;
}

/** Pitches are written as the trade writes them; anything else stands as it is. */
function shown(rule: FitJudgement['rule'], values: string): string {
  if (rule === 'sprocket-is-saws')
    return values in sprocketKindWord ? sprocketKindWord[values as SprocketKind] : `${values} splines`;
  if (!rule.startsWith('chain-pitch')) return values;
  return list(
    values.split(' or ').map((value) => {
      const family = FAMILY_IDS.find((id) => id === value);
      return family ? familyLabel(family) : value;
    }),
    'or',
  );
}

/** A fit rule as a sentence that stands alone: what it is about, then whether it holds and why. */
export function fitSentence(judgement: FitJudgement): string {
  return `${fitRuleName[judgement.rule]}: ${fitReason(judgement).replace(/^[A-Z](?=[a-z])/, (first) => first.toLowerCase())}`;
}

/** Why a fit rule holds, breaks or is not known, without its name. */
export function fitReason({ rule, reason }: FitJudgement): string {
  switch (reason.code) {
    case 'equal':
      return `Both ${shown(rule, reason.value)}.`;
    case 'differ':
      return `${shown(rule, reason.first)} against ${shown(rule, reason.second)}: they do not belong together.`;
    case 'goes-in-must-not':
      return `Goes in, must not: a ${gaugeLabel(reason.chain)} chain in a ${gaugeLabel(reason.bar)} groove ${reason.rock === null ? 'rocks' : `rocks by ${reason.rock.toFixed(1)}°`}, wears itself and the bar, and cuts badly.`;
    case 'will-not-run':
      return `Will not run: a ${gaugeLabel(reason.chain)} chain pinches and burns in a ${gaugeLabel(reason.bar)} groove.`;
    case 'not-known':
      return `Not known yet: ${list(reason.missing.map(readingName))}.`;
    case 'pair-meets':
      return 'This pitch is made in this gauge.';
    case 'pair-rare':
      return 'This pitch is not made in this gauge in practice: measure one of them again.';
    case 'sequence-counted':
      return `${reason.cutters} cutters on ${reason.links} drive links: ${sequenceWord[reason.says]}.`;
    case 'sequence-doubted':
      return sequenceDoubted(reason);
    case 'hard-nose':
      return 'A hard nose has no teeth: it takes any pitch that fits its groove.';
    case 'nose-known':
      return `${reason.teeth} teeth on a bar of ${formatLength(reason.thickness, 'mm')}.`;
    case 'parts-sound':
      return 'Nothing on the bench is condemned or undecided.';
    case 'parts-condemned':
      return `Condemned: ${list(reason.parts.map((part) => partName[part].toLowerCase()))}. It does not go back on.`;
    case 'parts-undecided':
      return `Not decided yet: ${list(reason.parts.map((part) => partName[part].toLowerCase()))}.`;
    case 'kickback-chosen':
      return `Standard chain was chosen on record: “${reason.why}”. Local rules on kickback class come first.`;
    case 'kickback-low':
      return 'Low-kickback chain: suits every operator.';
    case 'kickback-trained':
      return 'Standard chain and a trained operator. Local rules on kickback class come first.';
    case 'kickback-untrained':
      return 'Standard chain, but the operator is not trained: low-kickback chain is what fits. Stepping up needs a recorded choice.';
    case 'kickback-unknown':
      return 'Kickback class: ask who runs the saw and which class is on it.';
    case 'kickback-operator-unknown':
      return 'Standard chain, and nobody has said who runs the saw: ask.';
    case 'kickback-trained-only':
      return 'Standard chain was chosen on record, but this shop gives it to trained operators only: low-kickback chain is what fits.';
    case 'kickback-professional':
      return 'Standard chain and a trained operator: this shop lets professionals choose. Local rules on kickback class come first.';
    case 'by-plan':
      return `By the signed plan: the ${list(reason.parts.map((part) => inSentence(partName[part])))} ${reason.parts.length > 1 ? 'are' : 'is'} renewed, chosen to agree.`;
    case 'guards-whole':
      return 'Chain catcher and rear guard are whole.';
    case 'guards-broken':
      return `${sentence(list(reason.guards.map((guard) => GUARD_NAME[guard])))} damaged or missing: a chain that comes off is not caught. Mend it before the saw runs.`;
    case 'guards-not-asked':
      return 'Not looked at: nothing says that the chain came off.';
    case 'sprocket-sound':
      return 'The drive sprocket is within its wear limit.';
    case 'sprocket-worn':
      return 'The drive sprocket is past its limit: it would ruin a new chain. Replace it first.';
    case 'sprocket-close':
      return 'The drive sprocket is too close to its limit to call: measure its wear again before a new chain goes on.';
    case 'sprocket-unmeasured':
      return 'Measure the drive sprocket before a new chain goes on.';
    default:
      return never(reason);
  }
}

const GUARD_NAME: Record<Guard, string> = { chainCatcher: 'chain catcher', rearGuard: 'rear guard' };

const NUMBER: Record<'pitch' | 'gauge' | 'driveLinks', string> = {
  pitch: 'pitch',
  gauge: 'gauge',
  driveLinks: 'drive-link count',
};

/** Why there is no order yet. */
export function orderWithheld(reason: OrderWithheld): string {
  switch (reason.code) {
    case 'not-settled':
      return reason.status === 'conflict'
        ? `The ${NUMBER[reason.number]} is contradicted: clear that up first.`
        : `The ${NUMBER[reason.number]} is not settled.`;
    case 'links-not-counted':
      return 'The drive links are not counted: count them twice, even when the bar is stamped.';
    case 'sprocket-worn':
      return 'The drive sprocket is past its limit and would ruin a chain alone: say that a new one goes on with it.';
    case 'parts-clash':
      return `${fitRuleName[reason.rule]}: they differ, so it is open which of them the order should follow.`;
    default:
      return never(reason);
  }
}

/** The drive sprocket that goes on with an ordered chain. */
export function sprocketOrder({ pitch, teeth, type, splines }: SprocketOrder): string {
  const kind = type === null ? 'kind to be asked' : sprocketKindWord[type];
  const sits = splines === null ? 'fit to the saw not known' : `${splines} splines`;
  return `With it: a drive sprocket, ${familyLabel(pitch)}, ${teeth === null ? 'teeth to be counted' : `${teeth} teeth`}, ${kind}, ${sits}.`;
}

/** A number of an order that stands on one mark alone. */
export function orderCaution({ number, onMark }: OrderCaution): string {
  return numberOnMarkSentence(number, onMark);
}

const NEED: Readonly<Record<NeedProperty, string>> = {
  pitch: 'pitch',
  gauge: 'gauge',
  driveLinks: 'drive links',
  mount: 'mount',
  oilHole: 'oil hole',
  listedInches: 'listed length',
  teeth: 'teeth',
  sequence: 'sequence',
  sprocketKind: 'spur or rim',
  splines: 'splines',
  bore: 'bore',
};

function needValue(property: NeedProperty, value: string | number): string {
  if (property === 'pitch') return familyLabel(value as FamilyId);
  if (property === 'sequence') return sequenceWord[value as Sequence];
  if (property === 'sprocketKind') return sprocketKindWord[value as SprocketKind];
  if (property === 'bore') return `${value} mm`;
  return property === 'listedInches' ? `${value} in` : String(value);
}

/** Why a part in stock does not answer, or not yet. */
export function stockMiss(miss: StockMiss): string {
  switch (miss.code) {
    case 'differs': {
      const { property, wanted, has } = miss;
      if (has === null) return `${NEED[property]} not given`;
      return `${NEED[property]} ${needValue(property, has)}, not ${list(
        wanted.map((value) => needValue(property, value)),
        'or',
      )}`;
    }
    case 'not-settled':
      return `${NEED[miss.property]} not settled yet`;
    case 'kickback-stepped-up':
      return 'would step up from low-kickback';
    case 'kickback-not-asked':
      return 'standard chain: settle the class first';
    case 'saw-not-known':
      return 'fit to the saw not known';
    case 'out-of-stock':
      return 'fits, none on the shelf';
    default:
      return never(miss);
  }
}

/** Why a reading that stands may move nothing. */
export function idleSentence({ reason }: IdleReading): string {
  switch (reason.code) {
    case 'recorded':
      return 'Kept on record: no limit and no number rests on it.';
    case 'goes-with':
      return `Counts together with ${list([...new Set(reason.readings.map(readingName))])}.`;
    case 'measured-again':
      return 'The second measurement stands in its place.';
    case 'other-nose':
      return 'It belongs to the other kind of nose.';
    default:
      return never(reason);
  }
}

/** How long a measuring plan is. */
export const planSummary = (readings: number, minutes: number): string =>
  readings === 0
    ? 'nothing left to measure'
    : `${plural(readings, { one: '# reading', other: '# readings' })}, about ${Math.ceil(minutes)} min in all`;

/** What is to be measured, and where. */
export const nextName = ({ measure, mm: at }: Pick<NextMeasurement, 'measure' | 'mm'>, unit: UnitSystem): string =>
  readingNameAt(measure, at === null ? null : formatPosition(mm(at), unit));

/** Why a measurement is worth making next. */
export function nextSentence(next: NextMeasurement, unit: UnitSystem = 'mm'): string {
  const { reason } = next;
  const what = sentence(nextName(next, unit));
  switch (reason.code) {
    case 'never-measured':
      return `${what}: the ${partName[reason.part].toLowerCase()} cannot be judged without it.`;
    case 'bears-out':
      return `${what}: a quick look at the ${partName[reason.part].toLowerCase()} bears out what was foreseen, and spares measuring it all.`;
    case 'too-close': {
      const { check } = reason;
      const limit = check.limit === null ? '' : figure(check.limit, check.unit, unit);
      return `${what}: repeat it with the ${instrumentName(reason.instrument)}. ${valueWithDoubt(check, unit)} against ${limit} is too close to call.`;
    }
    case 'settles':
      return `${what}: settles the ${NUMBER[reason.property]}.`;
    case 'limit-waits':
      return reason.property === 'pitch'
        ? `${what}: the depth limit follows from the bar's pitch.`
        : `${what}: the play is judged with the link of the bar's own gauge.`;
    case 'figure-waits':
      return reason.figure === 'lean'
        ? `${what}: how far the links lean, and so how far the cut drifts, is reckoned with a usual one.`
        : `${what}: what is left of the cutters hangs on it, since filing an angle right takes from their points.`;
    case 'one-side-known':
      return `${what}: what stands is known from one side only. ${checkSentence(reason.check, unit)}`;
    case 'may-hide':
      return `${what}: all that was measured is deep enough, but a narrow dip may hide between the stations (${(100 * reason.chance).toFixed(0)}\u00a0%).`;
    case 'step-may-stand':
      return `${what}: a step may stand on edge ${reason.edge} (${(100 * reason.chance).toFixed(0)} %), and this tool cannot show it. A level test can.`;
    case 'not-sure':
      return `${what}: ${checkSentence(reason.check, unit).replace(/^[A-Z](?=[a-z])/, (first) => first.toLowerCase())}`;
    case 'tells-cause': {
      const cause = inSentence(AILMENTS[reason.about].name);
      return reason.again
        ? `${what}: once more, since ${cause} leads and hangs on it.`
        : `${what}: finds or clears that ${cause}.`;
    }
    case 'contradicts':
      return `${what}: once more. ${checkSentence(reason.check, unit)}`;
    case 'metal-left':
      return `${what}: the rails are to be dressed; it tells what metal is left.`;
    case 'gauge-open':
      return `${what}: once more. Whether a depth gauge stands wrong is open (${(100 * reason.chance).toFixed(0)} %), and this one is the likeliest.`;
    case 'spares':
      return `${what}: if so, ${list([...new Set(reason.spares.map(readingName))])} need not be measured, by what was foreseen from ${lookName(reason)}.`;
    case 'chooses-part':
      return `${what}: a new ${inSentence(partName[reason.part])} is chosen by it.`;
    case 'came-off':
      return `${what}: a chain that came off may have hurt it.`;
    default:
      return never(reason);
  }
}

/**
 * A condemned part as an order slip says it: the chain of the slip takes the old one's place, the others stand below
 * it.
 */
export function replacedPart(part: Part): string {
  return part === 'chain'
    ? 'Takes the place of the chain that was condemned.'
    : `Also condemned: the ${partName[part].toLowerCase()}.`;
}
