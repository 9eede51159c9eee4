import type { Advice } from '../core/advice';
import type { Appraisal } from '../core/assess';
import type { Proof } from '../core/proof';
import type { Check, Place, Verdict } from '../core/judge';
import type { EdgeAssessment } from '../core/bar/checks';
import type { LoopAssessment } from '../core/loop/assessed';
import type { Identified } from '../core/identify';
import { leastDepth, measuredAgainAt, type Station } from '../core/groove';
import { drawnDoubt, type PartDoubt } from '../core/doubt';
import type { Cause, Diagnosis } from '../core/symptom';
import type { ChainOrder } from '../core/order';
import type { StockMatch } from '../core/stock';
import type { Assessment } from '../core/report';
import {
  adviceBecause,
  adviceSentence,
  becauseOf,
  crookedSentence,
  checkSentence,
  failedProofSentence,
  fitSentence,
  identityFinding,
  idleSentence,
  identityReason,
  nextSentence,
  onMarkSentence,
  orderWithheld,
  stockMiss,
  tensionSentence,
  verdictReason,
  wearPlaceSentence,
  wearPatternSentence,
  writtenPlace,
} from '#language';
import { aggravatedSentence, foundSentence, heatSentence } from './causes';

/** Advice as a document has it. */
export const adviceResult = (advice: Advice): Assessment['advice'][number] => ({
  code: advice.code,
  says: adviceSentence[advice.code],
  because: adviceBecause(advice),
});

function proofResult({ state, missing, cut, failed }: Proof): Assessment['proof'] {
  return {
    state,
    missing: missing.map(writtenPlace),
    cut: cut && { ...cut },
    failed: failed.map((each) => ({
      check: each.check,
      symptom: each.symptom,
      cause: each.cause,
      share: each.share,
      unexplainedShare: each.unexplainedShare,
      step: each.step,
      next: each.measure && writtenPlace(each.measure),
      why: failedProofSentence(each),
    })),
  };
}

type IdentityOf<T> = {
  status: 'settled' | 'open' | 'conflict';
  value: T | null;
  candidates: { value: T; weight: number }[];
  why: string[];
  settledBy: { measure: string; minutes: number; gain: number } | null;
  onMark: { why: string; confirmedBy: { measure: string; minutes: number } | null } | null;
};

const onMarkOf = <T>({ onMark }: Identified<T>): IdentityOf<T>['onMark'] => {
  if (!onMark) return null;
  const { confirmedBy } = onMark;
  return {
    why: onMarkSentence(onMark),
    confirmedBy: confirmedBy && { measure: writtenPlace(confirmedBy.measure), minutes: confirmedBy.minutes },
  };
};

const identified = <T>(property: Identified<T>): IdentityOf<T> => identifiedAs(property, onMarkOf(property));

const identifiedAs = <T>(
  { status, value, candidates, why, settledBy }: Identified<T>,
  onMark: IdentityOf<T>['onMark'],
): IdentityOf<T> => ({
  onMark,
  status,
  value,
  candidates: [...candidates],
  why: why.map((reason) => identityReason(reason)),
  settledBy: settledBy && { ...settledBy, measure: writtenPlace(settledBy.measure) },
});

function loopResult({ tension, linksInTravel, chainSpeed, lengths, plausible }: LoopAssessment): Assessment['loop'] {
  return {
    tension: tension && {
      state: tension.state,
      close: tension.close,
      links: tension.links,
      pitch: tension.pitch,
      pitchFrom: tension.from,
      centres: tension.centres,
      used: tension.used,
      left: tension.left,
      travel: tension.travel,
      why: tensionSentence(tension),
    },
    linksInTravel: linksInTravel && [...linksInTravel],
    chainSpeed,
    lengths: {
      effective: lengths.effective?.value ?? null,
      listedAs: lengths.listedAs.map((listed) => ({ ...listed })),
      said: lengths.said,
      agrees: lengths.agrees,
      reach: lengths.reach?.value ?? null,
    },
    plausible: plausible && { ...plausible },
  };
}

/** Where a check was made, as the format has it: the position stands with the station itself. */
const writtenAt = ({ mm: _mm, ...at }: Place) => at;

function check(item: Check): Assessment['checks'][number] {
  const {
    id,
    part,
    at,
    value,
    unit,
    limit,
    watch,
    kind,
    probability,
    uncertainty,
    bound,
    outcome,
    provenance,
    source,
    condemns,
  } = item;
  return {
    id,
    part,
    at: at && writtenAt(at),
    value,
    unit,
    limit,
    watch,
    kind,
    probability,
    uncertainty,
    bound,
    outcome,
    provenance,
    source,
    condemns,
    why: checkSentence(item),
  };
}

function afterOf(
  station: Station,
  { stations, figures }: EdgeAssessment,
  i: number,
): Assessment['bar']['edges']['A']['stations'][number]['after'] {
  const standing = stations[i];
  const figure = figures[i];
  if (!standing || !figure || !measuredAgainAt(station)) return null;
  return {
    depth: leastDepth(standing)?.value ?? null,
    step: figure.step?.value ?? null,
    play: figure.play?.value ?? null,
    floorClearance: figure.floorClearance?.value ?? null,
  };
}

function edge(
  { stations, figures, dressing }: EdgeAssessment,
  standing: EdgeAssessment,
): Assessment['bar']['edges']['A'] {
  const { belief } = standing;
  return {
    believed: (belief?.places ?? []).map(({ at, near, far }) => ({
      at,
      near: near.value,
      far: far.value,
      u: near.u,
    })),
    stepChance: belief?.stepChance ?? null,
    called: standing.called,
    byHand: belief?.byHand ?? false,
    stations: stations.map(({ at }, i) => {
      const figure = figures[i]!;
      return {
        row: 1 + stations.filter((other, k) => other.at < at || (other.at === at && k < i)).length,
        at,
        step: figure.step?.value ?? null,
        rawLean: figure.rawLean,
        rock: figure.rock,
        setLean: figure.setLean,
        play: figure.play?.value ?? null,
        floorClearance: figure.floorClearance?.value ?? null,
        after: afterOf(stations[i]!, standing, i),
      };
    }),
    dressing: dressing && {
      feasible: dressing.feasible,
      advised: dressing.advised,
      target: [...dressing.plan.target],
      removeNear: [...dressing.plan.removeNear],
      removeFar: [...dressing.plan.removeFar],
      mouthAfter: [...dressing.plan.mouthAfter],
      weakestDepthAfter: dressing.plan.weakest?.depth ?? null,
      dressingsLeft: dressing.dressingsLeft,
      coarseFirst: dressing.coarseFirst,
      deeper: dressing.deeper,
      exceptions: dressing.exceptions.map((exception) => ({ ...exception })),
      passes: { ...dressing.effort.passes },
      minutes: dressing.effort.minutes,
      stoppedBy: dressing.stoppedBy,
    },
  };
}

const verdict = (
  { action, operations, reasons, decidedBy, against }: Verdict,
  doubt: PartDoubt | null,
): Assessment['verdicts']['bar'] => ({
  action,
  operations: [...operations],
  why: reasons.map((reason) => verdictReason(reason)),
  decidedBy: decidedBy?.id ?? null,
  doubt: doubt && doubt.wrong,
  against: against.map((item) => checkSentence(item)),
  asked: against[0]?.again ? writtenPlace(against[0].again) : null,
});

function orderOf({ driveSprocket, ...chain }: ChainOrder): NonNullable<Assessment['order']> {
  return { chain, ...(driveSprocket ? { driveSprocket: { ...driveSprocket } } : {}) };
}

const causes = (symptom: Diagnosis['symptom'], standing: Diagnosis['causes']) =>
  standing.map(({ cause, share, present, acting, aggravatedBy, for: likelier, against }) => ({
    cause,
    share,
    present,
    acting,
    aggravatedBy: [...aggravatedBy],
    because: [becauseOf(cause, symptom), aggravatedSentence(aggravatedBy)].filter(Boolean).join(' '),
    for: likelier.map((found) => foundSentence(found)),
    against: against.map((found) => foundSentence(found)),
  }));

function symptomOf(diagnosis: Diagnosis): Assessment['symptoms'][number] {
  const {
    symptom,
    causes: standing,
    unexplained,
    unexplainedShare,
    notLookedAt,
    enough,
    next,
    otherSchool,
  } = diagnosis;
  return {
    symptom,
    causes: causes(symptom, standing),
    unexplained,
    unexplainedShare,
    notLookedAt: { measures: notLookedAt.measures.map(writtenPlace), minutes: notLookedAt.minutes },
    enough,
    next: next && writtenPlace(next.measure),
    otherSchool: otherSchool && {
      school: otherSchool.school,
      causes: otherSchool.causes.map(({ cause, share }) => ({ cause, share })),
    },
  };
}

/** Names that the causes of a crooked cut have had in the document from the first. */
const CROOKED_NAMES: Readonly<Partial<Record<Cause, 'lean' | 'play' | 'cutters'>>> = {
  'rails-unlevel': 'lean',
  'groove-worn': 'play',
  'cutters-uneven': 'cutters',
};

function crookedResult(findings: Appraisal['crookedFindings']): Assessment['bar']['crooked'] {
  return findings.flatMap((finding) => {
    const cause = CROOKED_NAMES[finding.cause];
    return cause ? [{ ...finding, cause, why: crookedSentence(finding) }] : [];
  });
}

/** A check as it stands, with what is said beside it. */
const checkWith = (item: Check, heat: string | null): Assessment['checks'][number] => {
  const written = check(item);
  return item.id === 'bar.blueing' && heat ? { ...written, why: `${written.why} ${heat}` } : written;
};

/** Draws that were asked for, and the seed they begin with. */
export interface Draws {
  readonly draws: number;
  readonly seed: number;
}

/** What draws tell, part by part. */
function doubtDrawn(appraisal: Appraisal, { draws, seed }: Draws): NonNullable<Assessment['doubt']> {
  const { parts } = drawnDoubt(appraisal, draws, seed);
  const written = Object.entries(parts).map(([part, { shares, wrong, movedBy, next }]) => [
    part,
    {
      ...shares,
      wrong,
      movedBy: movedBy.map((moved) => ({ ...moved, measure: writtenPlace(moved.measure) })),
      next: next.map(({ measure, tool, ...worth }) => ({ measure: writtenPlace(measure), instrument: tool, ...worth })),
    },
  ]);
  return { draws, seed, parts: Object.fromEntries(written) };
}

/** Writes an appraisal as the assessment document, with its sentences. */
export function assessmentDocument(
  appraisal: Appraisal,
  stock?: readonly StockMatch[],
  draws: Draws | null = null,
): Assessment {
  const { identity, bar, chain, verdicts, doubts, order } = appraisal;
  return {
    format: 'serrata-assessment',
    version: 1,
    identity: {
      chain: {
        pitch: identified(identity.chain.pitch),
        gauge: identified(identity.chain.gauge),
        driveLinks: identified(identity.chain.driveLinks),
      },
      bar: {
        pitch: identified(identity.bar.pitch),
        gauge: identified(identity.bar.gauge),
        driveLinks: identified(identity.bar.driveLinks),
      },
      driveSprocket: { pitch: identified(identity.driveSprocket.pitch) },
      nose: { pitch: identified(identity.nose.pitch) },
      findings: identity.findings.map((finding) => ({ code: finding.code, why: identityFinding(finding) })),
      evidence: identity.evidence.map(({ id, part, setAside, says }) => ({
        id,
        part,
        setAside,
        says: says.map((reason) => identityReason(reason)),
      })),
    },
    checks: appraisal.checks.map((item) => checkWith(item, heatSentence(appraisal.heat))),
    bar: {
      edges: { A: edge(bar.edges.A, bar.standing.A), B: edge(bar.edges.B, bar.standing.B) },
      wearPattern: wearPatternSentence(bar.wearPattern),
      wearPlace: wearPlaceSentence(bar.wearPlace),
      measuredAgain: bar.measuredAgain,
      crooked: crookedResult(appraisal.crookedFindings),
      drift: { ...appraisal.crooked.pull, odds: { ...appraisal.crooked.odds } },
      edgeDownNext: bar.edgeDownNext,
      playLimit: bar.playLimit.value,
      straightEdgePredicted: bar.straightEdgePredicted,
    },
    loop: loopResult(appraisal.loop),
    chain: {
      elongation: chain.stretch.counted?.value ?? null,
      elongationBySpan: chain.stretch.bySpan?.value ?? null,
      baseline: chain.stretch.fresh?.percent ?? null,
      playPerJoint: chain.stretch.measured?.perJoint ?? null,
      adjusterTravel: chain.stretch.adjuster,
      lengthAfterCorrection: chain.correction?.length.value ?? null,
      filingsLeft: chain.filingsLeft,
      hoursLeft: chain.hoursLeft,
      imbalance: chain.imbalance?.value ?? null,
      depthGauge: chain.gauges && {
        worst: chain.gauges.worst.height.value,
        setting: chain.gauges.setting,
        afterCorrection: chain.gauges.afterCorrection,
        strokes: chain.gauges.strokes,
        noneTooHigh: chain.gauges.noneHigh.most,
        noneTooLow: chain.gauges.noneLow.least,
        filed: chain.gauges.each
          .filter(({ strokes }) => strokes > 0)
          .map(({ side, cutter, strokes }) => ({ side, cutter, strokes })),
      },
      start: { ...chain.start },
      sequenceAgrees: chain.sequence.agrees,
      sequence: {
        cutters: chain.sequence.cutters,
        driveLinks: chain.sequence.driveLinks,
        says: chain.sequence.says === 'full-complement' ? 'full' : chain.sequence.says,
        agrees: chain.sequence.agrees,
      },
    },
    verdicts: {
      bar: verdict(verdicts.bar, doubts.bar),
      chain: verdict(verdicts.chain, doubts.chain),
      driveSprocket: verdict(verdicts.driveSprocket, doubts.driveSprocket),
      nose: verdict(verdicts.nose, doubts.nose),
    },
    fit: appraisal.fitPlanned.map((judgement) => ({
      rule: judgement.rule,
      holds: judgement.holds,
      why: fitSentence(judgement),
    })),
    ...('order' in order ? { order: orderOf(order.order) } : { orderWithheld: order.withheld.map(orderWithheld) }),
    next: appraisal.next.map((next) => ({
      measure: writtenPlace(next.measure),
      at: next.at,
      gain: next.gain,
      minutes: next.minutes,
      why: nextSentence(next),
    })),
    symptoms: appraisal.diagnoses.map(symptomOf),
    refit: { acts: [...appraisal.refit] },
    proof: proofResult(appraisal.proof),
    advice: appraisal.advice.map(adviceResult),
    plan: appraisal.plan.steps.map((step) => ({
      measure: writtenPlace(step.measure),
      at: step.at,
      minutes: step.minutes,
      why: nextSentence(step),
    })),
    minutesInAll: appraisal.plan.minutes,
    idle: appraisal.idle.map((idle) => ({ measure: writtenPlace(idle.measure), why: idleSentence(idle) })),
    ...(draws ? { doubt: doubtDrawn(appraisal, draws) } : {}),
    ...(stock
      ? {
          stock: stock.map(({ part, answer, misses }) => ({
            sku: part.sku,
            fits: answer === 'fits',
            why: misses.map(stockMiss),
          })),
        }
      : {}),
  };
}
