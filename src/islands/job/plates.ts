import type { Appraisal } from '../../core/assess';
import type { FitJudgement, FitRule } from '../../core/fit';
import type { Identified } from '../../core/identify';
import type { FamilyId, GaugeId } from '../../core/families';
import type { BenchSheet } from '../../core/sheet';
import type { Joint, Plate } from '../../ui/parts/Plates';
import { familyShort, fitSentence, onMarkSentence } from '../../wording';
import * as texts from '#language/screens/job';

/** A settled value; an open 3/8 says so; a conflict is two marks against each other. */
function known<T>(property: Identified<T>, write: (value: T) => string): string | null {
  if (property.status === 'conflict') return '≠';
  if (property.value !== null) return write(property.value);
  const [first, second] = property.candidates;
  if (
    first &&
    second &&
    first.weight + second.weight > 0.95 &&
    [first.value, second.value].every((value) => value === '38' || value === '38lp')
  )
    return '3/8?';
  return null;
}

/** The sentences of numbers that stand on one mark alone. */
const marked = (
  numbers: Readonly<Partial<Record<'pitch' | 'gauge' | 'links', Identified<unknown>>>>,
): NonNullable<Plate['onMark']> =>
  Object.fromEntries(
    Object.entries(numbers).flatMap(([name, { onMark }]) => (onMark ? [[name, onMarkSentence(onMark)]] : [])),
  );

const pitch = (value: FamilyId): string => familyShort[value];
const gauge = (value: GaugeId): string => value;
const links = (value: number): string => String(value);

/** The four plates of the row. */
export function platesOf({ identity }: Appraisal, sheet: BenchSheet): readonly Plate[] {
  return [
    {
      name: texts.driveSprocket,
      pitch: known(identity.driveSprocket.pitch, pitch),
      gauge: null,
      links: null,
      shows: ['pitch'],
      onMark: marked({ pitch: identity.driveSprocket.pitch }),
    },
    {
      name: texts.chain,
      pitch: known(identity.chain.pitch, pitch),
      gauge: known(identity.chain.gauge, gauge),
      links: known(identity.chain.driveLinks, links),
      shows: ['pitch', 'gauge', 'links'],
      onMark: marked({ pitch: identity.chain.pitch, gauge: identity.chain.gauge }),
    },
    {
      name: texts.barGroove,
      pitch: null,
      gauge: known(identity.bar.gauge, gauge),
      links: known(identity.bar.driveLinks, links),
      shows: ['gauge', 'links'],
      onMark: marked({ gauge: identity.bar.gauge, links: identity.bar.driveLinks }),
    },
    sheet.bar?.nose === 'hard'
      ? { name: texts.nose, pitch: null, gauge: null, links: null, shows: [], note: texts.hardNoseNoSprocket }
      : { name: texts.nose, pitch: known(identity.nose.pitch, pitch), gauge: null, links: null, shows: ['pitch'] },
  ];
}

/** Rules between each plate and the next, with the word on the joint: sprocket, chain, groove, nose. */
const BETWEEN: readonly (readonly (readonly [FitRule, string])[])[] = [
  [['chain-pitch-is-sprocket-pitch', texts.pitch]],
  [
    ['chain-gauge-is-bar-gauge', texts.gauge],
    ['chain-links-are-bar-links', texts.driveLinks],
    ['chain-pitch-is-bar-pitch', texts.pitch],
  ],
  [['chain-pitch-is-nose-pitch', texts.pitch]],
];

/** Rules that concern the whole set. */
const OTHERS: readonly (readonly [FitRule, string])[] = [
  ['bar-mount-is-saw-mount', texts.mount],
  ['oil-hole-is-saw-oil-hole', texts.oilHole],
  ['kickback-not-stepped-up', texts.kickback],
  ['family-and-gauge-meet', texts.pair],
];

const STATE = { true: 'match', false: 'clash', null: 'unknown' } as const;

function jointOf(fit: readonly FitJudgement[], [rule, name]: readonly [FitRule, string]): Joint {
  const judgement = fit.find((each) => each.rule === rule);
  if (!judgement) throw new Error(texts.theRuleWasNotJudged(rule));
  return {
    name,
    state: STATE[String(judgement.holds) as keyof typeof STATE],
    sentence: fitSentence(judgement),
  };
}

/** The joints between the plates, one for each rule. */
export function jointsOf({ fit }: Appraisal): readonly (readonly Joint[])[] {
  return BETWEEN.map((rules) => rules.map((rule) => jointOf(fit, rule)));
}

/** The rules of the whole set. */
export function setJointsOf({ fit }: Appraisal): readonly Joint[] {
  return OTHERS.map((rule) => jointOf(fit, rule));
}
