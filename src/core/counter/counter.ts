import { flatMap } from '../flat-map';
import { classKnown, fitContext, judgeFit, live, LIVE_WEIGHT, sameProperty, type FitJudgement } from '../fit';
import { need, UNKNOWN, wantedOf, wantedOfDrive, type Need, type StockKind, type Wanted } from '../stock';
import {
  codesOn,
  identify,
  sequenceOf,
  ranked,
  type Identified,
  type IdentifiedProperty,
  type Identity,
  type LearnedCode,
  type OnMark,
} from '../identify';
import { COMMON_LOOPS, type CommonLoop } from '../loop';
import { orderedClass } from '../order';
import { DEFAULT_SCHOOLS, type Schools } from '../schools';
import { estimate, SURE, toInches } from '../quantity';
import type { BenchSheet } from '../sheet';
import type { CounterNumber, CounterNumbers } from './numbers';
import { isCountedOnce, nextQuestion, type Question } from './question';

/** What must be said before anything is handed over. */
export type CounterCaution =
  /** The links come from a stamp: count before the chain leaves the shop. */
  | { readonly code: 'count-before-handing-over' }
  /** One count agrees with the stamp: a second is still the rule. */
  | { readonly code: 'counted-once'; readonly links: number }
  /** Nobody counted the cutters: it is sold as the usual sequence. */
  | { readonly code: 'sequence-not-counted' }
  /** Counts of links and cutters that fit no sequence, or another than the one named. */
  | { readonly code: 'sequence-doubted'; readonly judgement: FitJudgement }
  /** A code of this shop on the chain, and what is sold in its place. */
  | { readonly code: 'replaced'; readonly text: string; readonly by: string }
  | { readonly code: 'build-open' }
  /** A number that one mark alone says. */
  | { readonly code: 'on-one-mark'; readonly number: IdentifiedProperty; readonly onMark: OnMark }
  | { readonly code: 'clash'; readonly judgement: FitJudgement }
  /** Loops often seen at this length: plausibility, never an answer. */
  | { readonly code: 'usual-loops'; readonly inches: number; readonly loops: readonly CommonLoop[] };

/** What the counter answers to half a knowledge. */
export interface CounterAnswer {
  readonly identity: Identity;
  readonly numbers: CounterNumbers;
  readonly need: Need;
  /** The one thing to ask next; null when nothing is left to ask. */
  readonly question: Question | null;
  readonly cautions: readonly CounterCaution[];
}

/**
 * A number on which nothing settled yet speaks: chain and bar of one loop have it in common, so their weights multiply.
 */
function inCommon<T>(chain: Identified<T>, bar: Identified<T>): Wanted<T> {
  const weightIn = (property: Identified<T>, value: T): number =>
    property.candidates.find((candidate) => candidate.value === value)?.weight ?? 0;
  const joint = ranked(chain.candidates.map(({ value, weight }) => ({ value, weight: weight * weightIn(bar, value) })));
  const [top] = joint;
  if (top && top.weight >= SURE) return { values: [top.value], settled: true };
  return { values: joint.filter(({ weight }) => weight >= LIVE_WEIGHT).map(({ value }) => value), settled: false };
}

/** What a loop is sold by: the chain's number and the bar's, which must agree. */
function soldBy<T>(chain: Identified<T>, bar: Identified<T>): CounterNumber<T> {
  if (chain.status === 'conflict' || bar.status === 'conflict')
    return { ...UNKNOWN, status: 'conflict', from: chain.status === 'conflict' ? 'chain' : 'bar' };
  if (sameProperty(chain, bar) === false)
    return { values: [...live(chain), ...live(bar)], settled: false, status: 'conflict', from: null };
  const both = chain.candidates.length > 0 && bar.candidates.length > 0;
  const from = both ? null : chain.candidates.length > 0 ? 'chain' : 'bar';
  const wanted = both ? inCommon(chain, bar) : wantedOf(from === 'chain' ? chain : bar);
  const status = wanted.settled ? 'settled' : wanted.values.length > 0 ? 'open' : 'unknown';
  return { ...wanted, status, from: status === 'unknown' ? null : from };
}

/** The mark that a sold number stands on, where chain and bar do not confirm each other. */
function standsOnMark(chain: Identified<unknown>, bar: Identified<unknown>, isSold: boolean): OnMark | null {
  if (!isSold || (chain.status === 'settled' && bar.status === 'settled')) return null;
  return (chain.status === 'settled' ? chain : bar).onMark;
}

const CLASHES = ['chain-pitch-is-bar-pitch', 'chain-gauge-is-bar-gauge', 'chain-links-are-bar-links'] as const;

/** What is to be said of the sequence once the three numbers stand: a chain is ordered with it. */
function onSequence(
  fit: readonly FitJudgement[],
  numbers: CounterNumbers,
  { kind, sequence }: Need,
): readonly CounterCaution[] {
  if (kind !== 'chain') return [];
  const judgement = fit.find(({ rule }) => rule === 'sequence-is-counted');
  if (judgement?.holds === false) return [{ code: 'sequence-doubted', judgement }];
  const isSold = Object.values(numbers).every(({ status }) => status === 'settled');
  return isSold && sequence === null ? [{ code: 'sequence-not-counted' }] : [];
}

function cautionsFor(
  sheet: BenchSheet,
  identity: Identity,
  numbers: CounterNumbers,
  wanted: Need,
  codes: readonly LearnedCode[],
): readonly CounterCaution[] {
  const fit = judgeFit(fitContext(sheet, identity, null, null));
  const clashes = fit.filter(({ rule, holds }) => holds === false && CLASHES.some((clash) => clash === rule));
  const once = isCountedOnce(sheet, numbers);
  const byStamp = numbers.driveLinks.status === 'settled' && identity.chain.driveLinks.value === null;
  const buildOpen = [...numbers.pitch.values].sort().join() === '38,38lp';
  const marks = flatMap(['pitch', 'gauge'] as const, (number): readonly CounterCaution[] => {
    const onMark = standsOnMark(identity.chain[number], identity.bar[number], numbers[number].status === 'settled');
    return onMark ? [{ code: 'on-one-mark', number, onMark }] : [];
  });
  const said = sheet.bar?.listedLength && estimate(sheet.bar.listedLength);
  const inches = said ? Math.round(toInches(said.value)) : null;
  const loops = COMMON_LOOPS.filter((loop) => loop.inches === inches);
  return [
    ...clashes.map((judgement): CounterCaution => ({ code: 'clash', judgement })),
    ...marks,
    ...(byStamp && !once ? [{ code: 'count-before-handing-over' } as const] : []),
    ...(once ? [{ code: 'counted-once', links: numbers.driveLinks.values[0]! } as const] : []),
    ...onSequence(fit, numbers, wanted),
    ...flatMap(codesOn(sheet.chain?.stamp, codes), ({ code, replacedBy }): readonly CounterCaution[] =>
      replacedBy === '' ? [] : [{ code: 'replaced', text: code, by: replacedBy }],
    ),
    ...(buildOpen ? [{ code: 'build-open' } as const] : []),
    ...(inches !== null && numbers.driveLinks.status !== 'settled'
      ? [{ code: 'usual-loops', inches, loops } as const]
      : []),
  ];
}

function needOf(
  kind: StockKind,
  sheet: BenchSheet,
  numbers: CounterNumbers,
  identity: Identity,
  schools: Schools,
): Need {
  const { saw, bar } = sheet;
  const said = bar?.listedLength && estimate(bar.listedLength);
  const sprocketPitch = identity.driveSprocket.pitch;
  const pitch =
    kind === 'drive-sprocket' && numbers.pitch.values.length === 0 ? wantedOf(sprocketPitch) : numbers.pitch;
  return need(kind, {
    pitch,
    gauge: numbers.gauge,
    driveLinks: numbers.driveLinks,
    kickbackClass: orderedClass(classKnown(sheet, identity, schools)),
    sequence: sequenceOf(sheet, numbers.driveLinks.settled ? numbers.driveLinks.values[0]! : null).ordered,
    mount: saw?.mount ?? bar?.mount ?? null,
    oilHole: saw?.oilHole ?? bar?.oilHole ?? null,
    listedInches: said ? [Math.round(toInches(said.value))] : [],
    ...(kind === 'nose' ? { teeth: bar?.noseTeeth ?? null } : wantedOfDrive(sheet)),
  });
}

/**
 * Answers a caller's half knowledge: what is settled, the one question to ask next, and what the part to be sold must
 * be.
 * @param kind the kind of part wanted
 * @param inHand true when the chain lies on the counter and can be measured
 */
export function answerCounter(
  sheet: BenchSheet,
  kind: StockKind,
  inHand: boolean,
  codes: readonly LearnedCode[] = [],
  schools: Schools = DEFAULT_SCHOOLS,
): CounterAnswer {
  const identity = identify(sheet, codes);
  const numbers: CounterNumbers = {
    pitch: soldBy(identity.chain.pitch, identity.bar.pitch),
    gauge: soldBy(identity.chain.gauge, identity.bar.gauge),
    driveLinks: soldBy(identity.chain.driveLinks, identity.bar.driveLinks),
  };
  const wanted = needOf(kind, sheet, numbers, identity, schools);
  return {
    identity,
    numbers,
    need: wanted,
    question: nextQuestion(sheet, identity, numbers, wanted, inHand),
    cautions: cautionsFor(sheet, identity, numbers, wanted, codes),
  };
}
