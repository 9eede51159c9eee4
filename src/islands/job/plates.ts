import type { Appraisal } from '../../core/assess';
import type { FitJudgement, FitRule } from '../../core/fit';
import type { Identified } from '../../core/identify';
import type { FamilyId, GaugeId } from '../../core/families';
import type { BenchSheet } from '../../core/sheet';
import type { Joint, Plate } from '../../ui/parts/Plates';
import { familyShort, fitSentence } from '../../wording';

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

const pitch = (value: FamilyId): string => familyShort[value];
const gauge = (value: GaugeId): string => value;
const links = (value: number): string => String(value);

/** The four plates of the row. */
export function platesOf({ identity }: Appraisal, sheet: BenchSheet): readonly Plate[] {
  return [
    {
      name: 'Drive sprocket',
      pitch: known(identity.driveSprocket.pitch, pitch),
      gauge: null,
      links: null,
      shows: ['pitch'],
    },
    {
      name: 'Chain',
      pitch: known(identity.chain.pitch, pitch),
      gauge: known(identity.chain.gauge, gauge),
      links: known(identity.chain.driveLinks, links),
      shows: ['pitch', 'gauge', 'links'],
    },
    {
      name: 'Bar groove',
      pitch: null,
      gauge: known(identity.bar.gauge, gauge),
      links: known(identity.bar.driveLinks, links),
      shows: ['gauge', 'links'],
    },
    sheet.bar?.nose === 'hard'
      ? { name: 'Nose', pitch: null, gauge: null, links: null, shows: [], note: 'hard nose, no sprocket' }
      : { name: 'Nose', pitch: known(identity.bar.pitch, pitch), gauge: null, links: null, shows: ['pitch'] },
  ];
}

/** Rules that each joint stands for: sprocket to chain, chain to groove, chain to nose. */
const JOINT_RULES: readonly (readonly FitRule[])[] = [
  ['chain-pitch-is-sprocket-pitch'],
  ['chain-gauge-is-bar-gauge', 'chain-links-are-bar-links'],
  ['chain-pitch-is-bar-pitch'],
];

function stateOf(judgements: readonly FitJudgement[]): Joint['state'] {
  if (judgements.some(({ holds }) => holds === false)) return 'clash';
  return judgements.every(({ holds }) => holds === true) ? 'match' : 'unknown';
}

/** The joints between the plates, each with its rules' sentences. A hard nose has no pitch to agree with. */
export function jointsOf({ fit }: Appraisal, sheet: BenchSheet): readonly Joint[] {
  return JOINT_RULES.map((rules, i) => {
    if (i === 2 && sheet.bar?.nose === 'hard')
      return { state: 'match', sentences: ['A hard nose takes any pitch that fits its groove.'] };
    const judgements = fit.filter(({ rule }) => rules.includes(rule));
    return { state: stateOf(judgements), sentences: judgements.map(fitSentence) };
  });
}
