import { flatMap } from '../flat-map';
import { GAUGES, familyAndGaugeMeet, type FamilyId, type GaugeId } from '../families';
import type { SprocketKind } from '../declared';
import type { CountedSequence, Identified, Identity, Sequence, SequenceJudgement } from '../identify';
import { rock } from '../groove';
import type { Degrees, Mm } from '../quantity';
import type { Part } from '../reading';
import type { Schools } from '../schools';
import type { Askable } from '../sheet';

/** Which kickback class a chain belongs to. */
export type KickbackClass = 'low-kickback' | 'standard';

/** The rules a set must satisfy, all of them. */
export const FIT_RULES = [
  'chain-pitch-is-sprocket-pitch',
  'chain-pitch-is-bar-pitch',
  'chain-pitch-is-nose-pitch',
  'chain-gauge-is-bar-gauge',
  'chain-links-are-bar-links',
  'family-and-gauge-meet',
  'sequence-is-counted',
  'bar-mount-is-saw-mount',
  'oil-hole-is-saw-oil-hole',
  'nose-is-known',
  'kickback-not-stepped-up',
  'sprocket-is-saws',
  'sprocket-takes-new-chain',
  'parts-may-go-back-on',
  'saw-guards-are-whole',
] as const;
export type FitRule = (typeof FIT_RULES)[number];

/** Rules on the state of the parts: they follow from the verdicts and are no clash between parts. */
const STATE_RULES = [
  'sequence-is-counted',
  'nose-is-known',
  'sprocket-takes-new-chain',
  'parts-may-go-back-on',
  'saw-guards-are-whole',
] as const satisfies readonly FitRule[];
/** Rules that parts break which do not go together. */
export type ClashRule = Exclude<FitRule, (typeof STATE_RULES)[number]>;

/** Whether a rule speaks of parts that do not go together, and not of the state of one. */
export const isClash = (rule: FitRule): rule is ClashRule => !STATE_RULES.some((of) => of === rule);

/** Guards of the saw that a chain coming off is caught by. */
export type Guard = keyof FitContext['guards'];

/** Why a rule holds, breaks, or cannot be said. */
export type FitReason =
  | { readonly code: 'equal'; readonly value: string }
  | { readonly code: 'differ'; readonly first: string; readonly second: string }
  | { readonly code: 'goes-in-must-not'; readonly chain: GaugeId; readonly bar: GaugeId; readonly rock: Degrees | null }
  | { readonly code: 'will-not-run'; readonly chain: GaugeId; readonly bar: GaugeId }
  | { readonly code: 'not-known'; readonly missing: readonly Askable[] }
  | { readonly code: 'pair-meets' | 'pair-rare'; readonly family: FamilyId; readonly gauge: GaugeId }
  | { readonly code: 'sequence-counted'; readonly says: Sequence; readonly cutters: number; readonly links: number }
  /** The counts fit no sequence, or another than was ticked. */
  | {
      readonly code: 'sequence-doubted';
      readonly says: CountedSequence;
      readonly ticked: Sequence | null;
      readonly cutters: number;
      readonly links: number;
    }
  | { readonly code: 'hard-nose' }
  | { readonly code: 'nose-known'; readonly teeth: number; readonly thickness: Mm }
  | { readonly code: 'parts-sound' }
  | { readonly code: 'parts-condemned' | 'parts-undecided'; readonly parts: readonly Part[] }
  | { readonly code: 'kickback-chosen'; readonly why: string }
  | {
      readonly code:
        | 'kickback-low'
        | 'kickback-trained'
        | 'kickback-untrained'
        | 'kickback-unknown'
        /** The chain is a standard one, and nobody has said who runs the saw. */
        | 'kickback-operator-unknown'
        | 'kickback-trained-only'
        | 'kickback-professional';
    }
  /** The signed plan renews what the rule speaks of: the new part was chosen to agree. */
  | { readonly code: 'by-plan'; readonly parts: readonly Part[] }
  | { readonly code: 'guards-whole' | 'guards-not-asked' }
  | { readonly code: 'guards-broken'; readonly guards: readonly Guard[] }
  | { readonly code: 'sprocket-sound' | 'sprocket-worn' | 'sprocket-close' | 'sprocket-unmeasured' };

export interface FitJudgement {
  readonly rule: FitRule;
  readonly holds: boolean | null;
  readonly reason: FitReason;
}

/** What the rules look at beside the three identities. */
export interface FitContext {
  readonly identity: Identity;
  readonly tang: Mm | null;
  readonly barMount: string | null;
  readonly sawMount: string | null;
  readonly barOilHole: string | null;
  readonly sawOilHole: string | null;
  readonly nose: { readonly hard: boolean; readonly teeth: number | null; readonly thickness: Mm | null };
  readonly kickbackClass: KickbackClass | null;
  readonly operatorTrained: boolean | null;
  /** The shop's school on who is given standard chain. */
  readonly classSchool: Schools['lowKickback'];
  /** Guards of the saw that a chain coming off is caught by; null where nobody looked. */
  readonly guards: Readonly<Record<'chainCatcher' | 'rearGuard', 'ok' | 'damaged' | 'missing' | null>>;
  /** Whether anything says that the chain came off while it ran. */
  readonly derailed: boolean;
  /** Why standard chain was chosen all the same; null when nobody chose. */
  readonly kickbackChoice: string | null;
  /** Whether the drive sprocket's wear is within its limit; null when not measured, `close` when too close to call. */
  readonly sprocketSound: boolean | 'close' | null;
  readonly sequence: SequenceJudgement & { readonly ticked: Sequence | null };
  /** Kind and splines, of the drive sprocket and of the saw. */
  readonly drive: {
    readonly type: SprocketKind | null;
    readonly sprocketKind: SprocketKind | null;
    readonly splines: number | null;
    readonly sawSplines: number | null;
  };
  /** Parts that must not go back on, and those nobody has decided on yet. */
  readonly condemned: readonly Part[];
  readonly undecided: readonly Part[];
}

/** A candidate lighter than this is out of the question when two parts are compared. */
export const LIVE_WEIGHT = 0.05;

/** The values still in question. */
export const live = <T>(property: Identified<T>): readonly T[] =>
  property.candidates.filter(({ weight }) => weight >= LIVE_WEIGHT).map(({ value }) => value);

/**
 * Whether two identified properties are the same: true when both are settled alike, false when no live candidate is
 * shared (so an unsettled 3/8 and a .325 already clash), else null.
 */
export function sameProperty<T>(a: Identified<T>, b: Identified<T>): boolean | null {
  if (a.status === 'conflict' || b.status === 'conflict') return null;
  if (a.value !== null && b.value !== null) return a.value === b.value;
  const [first, second] = [live(a), live(b)];
  if (first.length === 0 || second.length === 0) return null;
  return first.some((value) => second.includes(value)) ? null : false;
}

function compared<T extends string | number>(
  rule: FitRule,
  a: Identified<T>,
  b: Identified<T>,
  names: readonly [Askable, Askable],
): FitJudgement {
  const holds = sameProperty(a, b);
  if (holds === null) {
    const missing = flatMap([a, b], (property, i) => (property.value === null ? [names[i]!] : []));
    return { rule, holds, reason: { code: 'not-known', missing } };
  }
  const shown = (property: Identified<T>) => live(property).join(' or ');
  return {
    rule,
    holds,
    reason: holds ? { code: 'equal', value: shown(a) } : { code: 'differ', first: shown(a), second: shown(b) },
  };
}

/** Gauges must be equal. A thinner chain goes in and rocks; a thicker one pinches and will not run. */
function gaugeRule({ identity, tang }: FitContext): FitJudgement {
  const rule = 'chain-gauge-is-bar-gauge';
  const judged = compared(rule, identity.chain.gauge, identity.bar.gauge, ['chain.gauge', 'bar.gauge']);
  const [chain, bar] = [identity.chain.gauge.value, identity.bar.gauge.value];
  if (judged.holds !== false || chain === null || bar === null) return judged;
  const [thin, wide] = [GAUGES[chain].thickness, GAUGES[bar].thickness];
  if (thin > wide) return { rule, holds: false, reason: { code: 'will-not-run', chain, bar } };
  return {
    rule,
    holds: false,
    reason: { code: 'goes-in-must-not', chain, bar, rock: tang === null ? null : rock(wide, thin, tang) },
  };
}

/** What of these is not known. */
const absent = (known: Readonly<Partial<Record<Askable, unknown>>>): readonly Askable[] =>
  (Object.keys(known) as Askable[]).filter((asked) => known[asked] === null);

function pairRule({ identity: { chain } }: FitContext): FitJudgement {
  const rule = 'family-and-gauge-meet';
  const [family, gauge] = [chain.pitch.value, chain.gauge.value];
  if (family === null || gauge === null) {
    const missing = absent({ 'chain.pitch': family, 'chain.gauge': gauge });
    return { rule, holds: null, reason: { code: 'not-known', missing } };
  }
  const meets = familyAndGaugeMeet(family, gauge);
  return { rule, holds: meets, reason: { code: meets ? 'pair-meets' : 'pair-rare', family, gauge } };
}

/** Names of patterns are the shop's own and compared without case and spaces around. */
export const samePattern = (a: string, b: string): boolean => a.trim().toUpperCase() === b.trim().toUpperCase();

function patternRule(
  rule: FitRule,
  property: 'mount' | 'oilHole',
  bar: string | null,
  saw: string | null,
): FitJudgement {
  if (!bar || !saw) {
    const missing = absent({ [`bar.${property}`]: bar || null, [`saw.${property}`]: saw || null });
    return { rule, holds: null, reason: { code: 'not-known', missing } };
  }
  const holds = samePattern(bar, saw);
  return { rule, holds, reason: holds ? { code: 'equal', value: bar } : { code: 'differ', first: bar, second: saw } };
}

/** The chain runs over the nose too. A hard nose has no teeth and takes any pitch that fits its groove. */
function nosePitchRule({ identity, nose }: FitContext): FitJudgement {
  const rule = 'chain-pitch-is-nose-pitch';
  if (nose.hard) return { rule, holds: true, reason: { code: 'hard-nose' } };
  return compared(rule, identity.chain.pitch, identity.nose.pitch, ['chain.pitch', 'bar.nosePitch']);
}

/** A sprocket nose is replaced by teeth and bar thickness: both must be known before one is ordered. */
function noseKnownRule({ nose: { hard, teeth, thickness } }: FitContext): FitJudgement {
  const rule = 'nose-is-known';
  if (hard) return { rule, holds: true, reason: { code: 'hard-nose' } };
  if (teeth === null || thickness === null) {
    const missing = absent({ 'bar.noseTeeth': teeth, 'bar.thickness': thickness });
    return { rule, holds: null, reason: { code: 'not-known', missing } };
  }
  return { rule, holds: true, reason: { code: 'nose-known', teeth, thickness } };
}

/** What is condemned does not go back on, and what is undecided not yet. */
function partsRule({ condemned, undecided }: FitContext): FitJudgement {
  const rule = 'parts-may-go-back-on';
  if (condemned.length > 0) return { rule, holds: false, reason: { code: 'parts-condemned', parts: condemned } };
  if (undecided.length > 0) return { rule, holds: null, reason: { code: 'parts-undecided', parts: undecided } };
  return { rule, holds: true, reason: { code: 'parts-sound' } };
}

/**
 * Low-kickback suits everyone. A standard chain is for trained operators only; a recorded choice lifts that unless the
 * shop is of the school that it never does.
 */
function kickbackRule({ kickbackClass, operatorTrained, kickbackChoice, classSchool }: FitContext): FitJudgement {
  const rule = 'kickback-not-stepped-up';
  if (kickbackClass === 'low-kickback') return { rule, holds: true, reason: { code: 'kickback-low' } };
  if (kickbackChoice && classSchool === 'trained-only' && operatorTrained !== true)
    return { rule, holds: operatorTrained === null ? null : false, reason: { code: 'kickback-trained-only' } };
  if (kickbackChoice) return { rule, holds: true, reason: { code: 'kickback-chosen', why: kickbackChoice } };
  if (kickbackClass === null) return { rule, holds: null, reason: { code: 'kickback-unknown' } };
  if (operatorTrained === null) return { rule, holds: null, reason: { code: 'kickback-operator-unknown' } };
  return {
    rule,
    holds: operatorTrained,
    reason: { code: trainedReason(operatorTrained, classSchool) },
  };
}

const trainedReason = (trained: boolean, school: Schools['lowKickback']) =>
  !trained ? 'kickback-untrained' : school === 'professionals-free' ? 'kickback-professional' : 'kickback-trained';

/** What catches a chain that comes off must be whole before the saw runs again. */
function guardsRule({ guards, derailed }: FitContext): FitJudgement {
  const rule = 'saw-guards-are-whole';
  const named = Object.entries(guards) as [Guard, FitContext['guards'][Guard]][];
  const broken = named.filter(([, state]) => state === 'damaged' || state === 'missing').map(([guard]) => guard);
  if (broken.length > 0) return { rule, holds: false, reason: { code: 'guards-broken', guards: broken } };
  const missing = named.filter(([, state]) => state === null).map(([guard]) => `saw.checks.${guard}` as const);
  if (missing.length === 0) return { rule, holds: true, reason: { code: 'guards-whole' } };
  return { rule, holds: null, reason: derailed ? { code: 'not-known', missing } : { code: 'guards-not-asked' } };
}

/** Cutters follow one another as was ticked; what two counts contradict is the tick. */
function sequenceRule({ sequence: { cutters, driveLinks, says, agrees, ticked } }: FitContext): FitJudgement {
  const rule = 'sequence-is-counted';
  if (cutters === null || driveLinks === null || says === null) {
    const missing = absent({ 'chain.cutters': cutters, 'chain.driveLinks': driveLinks });
    return { rule, holds: null, reason: { code: 'not-known', missing } };
  }
  if (agrees === false || says === 'irregular')
    return { rule, holds: false, reason: { code: 'sequence-doubted', says, ticked, cutters, links: driveLinks } };
  return { rule, holds: true, reason: { code: 'sequence-counted', says, cutters, links: driveLinks } };
}

/** The drive sprocket is of the kind that the saw takes, and has its splines where it is a rim. */
function driveRule({ drive: { type, sprocketKind, splines, sawSplines } }: FitContext): FitJudgement {
  const rule = 'sprocket-is-saws';
  const differ = (first: string, second: string): FitJudgement => ({
    rule,
    holds: false,
    reason: { code: 'differ', first, second },
  });
  if (type && sprocketKind && type !== sprocketKind) return differ(type, sprocketKind);
  if (splines && sawSplines && splines !== sawSplines) return differ(String(splines), String(sawSplines));
  const isRim = (type ?? sprocketKind) !== 'spur';
  const missing = absent({
    'driveSprocket.type': type,
    'saw.sprocketKind': sprocketKind,
    ...(isRim ? { 'driveSprocket.splines': splines, 'saw.splines': sawSplines } : {}),
  });
  if (missing.length > 0) return { rule, holds: null, reason: { code: 'not-known', missing } };
  return { rule, holds: true, reason: { code: 'equal', value: String(sawSplines ?? sprocketKind) } };
}

/** A new chain on a drive sprocket past its limit is a failed plan, not a warning. */
function sprocketRule({ sprocketSound }: FitContext): FitJudgement {
  const rule = 'sprocket-takes-new-chain';
  if (sprocketSound === null) return { rule, holds: null, reason: { code: 'sprocket-unmeasured' } };
  if (sprocketSound === 'close') return { rule, holds: null, reason: { code: 'sprocket-close' } };
  return { rule, holds: sprocketSound, reason: { code: sprocketSound ? 'sprocket-sound' : 'sprocket-worn' } };
}

/** Judges every rule for the set on the bench, in the order of {@link FIT_RULES}. */
export function judgeFit(context: FitContext): readonly FitJudgement[] {
  const { chain, bar, driveSprocket } = context.identity;
  return [
    compared('chain-pitch-is-sprocket-pitch', chain.pitch, driveSprocket.pitch, ['chain.pitch', 'driveSprocket.pitch']),
    compared('chain-pitch-is-bar-pitch', chain.pitch, bar.pitch, ['chain.pitch', 'bar.pitch']),
    nosePitchRule(context),
    gaugeRule(context),
    compared('chain-links-are-bar-links', chain.driveLinks, bar.driveLinks, ['chain.driveLinks', 'bar.driveLinks']),
    pairRule(context),
    sequenceRule(context),
    patternRule('bar-mount-is-saw-mount', 'mount', context.barMount, context.sawMount),
    patternRule('oil-hole-is-saw-oil-hole', 'oilHole', context.barOilHole, context.sawOilHole),
    noseKnownRule(context),
    kickbackRule(context),
    driveRule(context),
    sprocketRule(context),
    partsRule(context),
    guardsRule(context),
  ];
}
