import type { Choice, Plan, PlanName, PlanNote, PlanRule } from '../../core/plan';
import { PARTS, type Part } from '../../core/reading';
import type { FamilyId, GaugeId } from '../../core/families';
import { SMALL_PARTS, type Need } from '../../core/stock';
import { formatLength, mm } from '../../core/quantity';
import { familyLabel, fitRuleName, partName, plannedPartName, sprocketKindWord } from './labels';
import { inSentence, list, sentence } from './sentence';

export const choiceWord: Readonly<Record<Choice, string>> = {
  keep: 'keep',
  recondition: 'recondition',
  replace: 'replace',
};

export const planNameWord: Readonly<Record<PlanName, string>> = {
  'least-today': 'Least today',
  'least-per-hour': 'Least per hour',
  'fresh-set': 'Fresh set',
};

const RULES: Readonly<Partial<Record<PlanRule, string>>> = {
  'parts-may-go-back-on': 'a part that is condemned or undecided would go back on',
  'part-needs-work': 'a part that needs work would go back on without it',
  'nose-not-replaceable': 'the nose of this bar cannot be replaced, or nobody has said that it can',
  'nose-is-known': 'teeth and thickness of the nose are not known',
  'numbers-not-settled': 'pitch, gauge or links are not settled: nothing can be chosen by them',
  'class-not-known': 'who runs the saw decides the kickback class, and nobody has said it',
  'no-chain': 'no chain to be had answers it',
  'no-bar': 'no bar to be had answers it',
  'no-nose': 'no nose to be had answers it',
  'no-driveSprocket': 'no drive sprocket to be had answers it',
  'family-and-gauge-meet': 'pitch and gauge do not meet in practice',
  'bar-mount-is-saw-mount': 'the mount of the saw is not known',
};

/** Why combinations are out of the question, said once for all of them. */
export const planRule = (rule: PlanRule): string =>
  RULES[rule] ??
  (rule in fitRuleName ? `${fitRuleName[rule as keyof typeof fitRuleName].toLowerCase()} would not agree` : rule);

/** What is done with each part, the parts that are replaced first. */
export function choicesSentence({ choices }: Pick<Plan, 'choices'>): string {
  const by = (choice: Choice) =>
    PARTS.filter((part) => choices[part] === choice).map((part) => partName[part].toLowerCase());
  const said = (['replace', 'recondition', 'keep'] as const).flatMap((choice) => {
    const parts = by(choice);
    return parts.length > 0 ? [`${choiceWord[choice]} ${list(parts)}`] : [];
  });
  return `${sentence(said.join('; '))}.`;
}

function numbers(said: string): string {
  const [pitch, gauge] = said.split(' ') as [FamilyId, GaugeId];
  return `${familyLabel(pitch)} ${gauge}`;
}

/** What must be said beside a plan. */
export function planNote(note: PlanNote): string {
  switch (note.code) {
    case 'worn-sprocket':
      return `The new chain runs on a worn sprocket: it lives ${note.share} % as long, and wears to its shape.`;
    case 'loose-bar':
      return `The new chain runs on a bar with play: it lives ${note.share} % as long.`;
    case 'converts':
      return `The whole set goes over from ${numbers(note.from)} to ${numbers(note.to)}: the saw’s maker must allow it.`;
    case 'guards-broken':
      return 'Chain catcher or rear guard is broken: it is renewed before the saw runs again, whatever is chosen.';
    case 'saw-not-known':
      return `Fit to the saw not known: ${list(note.skus)}. Compare splines, bore and drum before it is fitted.`;
    case 'sequence-not-said':
      return `The list does not say the sequence of ${note.sku}: look before it is fitted.`;
    case 'sequence-not-counted':
      return `${note.sku} is a skip chain: count the cutters of the old one first.`;
    case 'not-listed':
      return `Not on the list, and not in this price: ${list(note.parts.map((part) => inSentence(plannedPartName[part])))}.`;
    case 'to-order':
      return `To be ordered first: ${list(note.skus)}.`;
    case 'not-worth-the-work':
      return `Work on this budget bar costs ${note.share} % of a new one: it hardly repays it.`;
  }
}

/** When the first of its parts is due. */
export const dueSentence = (hours: number, part: Part | null): string =>
  part === null
    ? 'Nothing is due.'
    : `${partName[part]} is due first, in about ${hours < 10 ? hours.toFixed(1) : Math.round(hours)} h.`;

/** What the customer is told of a choice, in plain words. */
export function customerSentence(part: Part, choice: Choice): string {
  const name = partName[part].toLowerCase();
  switch (choice) {
    case 'keep':
      return `The ${name} is good and goes back on.`;
    case 'recondition':
      return `The ${name} is worth putting right, and goes back on when it is.`;
    case 'replace':
      return `The ${name} is replaced by a new one.`;
  }
}

/** By what a part of the drive sits on the saw. */
const sawFit = ({ splines, bore, saw }: Need): readonly string[] => {
  const said = [
    ...(splines === null ? [] : [`${splines} splines`]),
    ...(bore === null ? [] : [`bore ${formatLength(mm(bore), 'mm')}`]),
    ...(saw === null ? [] : [`for ${saw}`]),
  ];
  return said.length > 0 ? said : ['splines or bore to be measured'];
};

/** What a new part must be, as far as it is known; what is not known is to be asked. */
export function neededPart(need: Need): string {
  const { kind, pitch, gauge, driveLinks, mount, oilHole, listedInches, teeth } = need;
  if (SMALL_PARTS.some((part) => part === kind)) return `${sentence(list(sawFit(need)))}.`;
  const [family] = pitch.values;
  const [thickness] = gauge.values;
  const [links] = driveLinks.values;
  const isBar = kind === 'bar';
  const said = [
    family ? `pitch ${familyLabel(family)}` : 'pitch to be settled',
    ...(isBar ? [thickness ? `gauge ${thickness} in` : 'gauge to be settled'] : []),
    ...(isBar ? [links ? `${links} drive links` : 'drive links to be counted'] : []),
    ...(isBar ? [mount ? `mount ${mount}` : 'mount to be asked'] : []),
    ...(isBar && oilHole ? [`oil hole ${oilHole}`] : []),
    ...(isBar && listedInches.length > 0 ? [`sold as ${listedInches.join(' or ')} in`] : []),
    ...(isBar ? [] : [teeth === null ? 'teeth to be counted' : `${teeth} teeth`]),
    ...(kind === 'drive-sprocket'
      ? [need.sprocketKind ? sprocketKindWord[need.sprocketKind] : 'spur or rim to be asked']
      : []),
    ...(kind === 'drive-sprocket' ? sawFit(need) : []),
  ];
  return `${sentence(list(said))}.`;
}
