import { FAMILY_IDS } from '../../core/families';
import { PRACTICE_PARTS } from '../../core/practice';
import { formatLength, type Mm, type UnitSystem } from '../../core/quantity';
import type { Limit, LimitId } from '../../core/limits';
import { LIMIT_IDS } from '../../core/limits';
import type { Paper, PaperBlock, ReviewView, RoundView } from '../../contract';
import {
  actionWord,
  AILMENTS,
  chainOrderText,
  dangerSentence,
  faultName,
  levelName,
  limitName,
  markWord,
  paperName,
  partName,
  provenanceWord,
  readingName,
  sentence,
  shopMoment,
  symptomName,
} from '../../wording';
import type { Context } from '../context';
import { notFound } from '../refusal';
import { rulesInForce, shopView } from '../use-cases/shop';
import { roundPageView } from './progress';
import * as texts from '#language/screens/practice';

/** A limit as it is written: lengths in the unit of the screen. */
const shownLimit = ({ value, unit }: Limit, system: UnitSystem): string => {
  if (unit === 'mm') return formatLength(value as Mm, system);
  return unit === 'count' ? String(value) : `${value} ${unit}`;
};

/** What a technician goes by: floors, ceilings, and what depth gauges are set to. */
const GAUGE_SETTINGS: readonly LimitId[] = FAMILY_IDS.map((family) => `chain.gauge.${family}` as const);
const isOfThePocket = (id: LimitId, { role }: Limit): boolean => role !== 'figure' || GAUGE_SETTINGS.includes(id);

/** The limits in force on one page, to print and put into a pocket. */
export async function pocketPaper(context: Context, system: UnitSystem): Promise<Paper> {
  const [shop, { limits }] = await Promise.all([shopView(context), rulesInForce(context)]);
  const rows = LIMIT_IDS.filter((id) => isOfThePocket(id, limits[id])).map((id) => [
    texts.limitFrom(limitName[id], limits[id].source ?? provenanceWord[limits[id].provenance]),
    shownLimit(limits[id], system),
  ]);
  return {
    shop,
    title: texts.pocketTitle,
    tag: '',
    lines: [`${shop.name} · ${shopMoment(context.now().toISOString(), shop)}`],
    size: 'page',
    blocks: [
      { is: 'notice', kind: 'caution', items: [texts.makersFirst] },
      { is: 'table', title: texts.pocketTitle, head: [texts.limit, texts.value], rows },
    ],
  };
}

const listed = (all: readonly string[]): string => (all.length === 0 ? texts.nothingNamed : all.join(', '));

/** What was said and what is true, a line each: they are as long as they are, and wrap. */
function comparison({ said, truth, score }: ReviewView): PaperBlock {
  const parts = PRACTICE_PARTS.map((part) => {
    const action = said.actions[part];
    const right = truth.actions[part].map((each) => actionWord[each]).join(texts.either);
    const answered = action === undefined ? texts.notSaid : actionWord[action];
    return texts.compared(partName[part], answered, right, markWord[score.parts[part]]);
  });
  const belong = (is: boolean | null) => (is === null ? texts.notSaid : is ? texts.theyBelong : texts.theyDoNot);
  const chain = (order: ReviewView['truth']['order']) => (order === null ? texts.noChain : chainOrderText(order));
  const faults = (of: ReviewView['truth']['faults']) => listed(of.map((id) => faultName[id]));
  const causes = (of: ReviewView['truth']['causes']) => listed(of.map((id) => AILMENTS[id].name));
  return {
    is: 'list',
    items: [
      ...parts,
      texts.compared(texts.belongHead, belong(said.belongs), belong(truth.belongs), markWord[score.belongs]),
      texts.compared(texts.orderHead, chain(said.order), chain(truth.order), markWord[score.order]),
      texts.compared(texts.faultsHead, faults(said.faults), faults(truth.faults), null),
      texts.compared(texts.causes, causes(said.causes), causes(truth.causes), null),
    ],
  };
}

function setBlocks(round: RoundView): readonly PaperBlock[] {
  const { review, complaint, taken, minutes } = round;
  if (!review) return [];
  const { score } = review;
  const asked = taken.map(({ path }) => readingName(path));
  return [
    {
      is: 'section',
      title: `${texts.roundOf(round.place, round.of)}: ${texts.points(score.points)}`,
      label: texts.roundOf(round.place, round.of),
      blocks: [
        { is: 'text', text: complaint === null ? texts.forService : sentence(symptomName(complaint)), look: 'strong' },
        { is: 'text', text: texts.askedWas(listed(asked)), look: 'small' },
        { is: 'text', text: texts.minutesOf(minutes, score.minutes.shortest), look: 'small' },
        ...(score.dangers.length > 0
          ? [{ is: 'notice', kind: 'caution', items: score.dangers.map(dangerSentence) } as const]
          : []),
        comparison(review),
      ],
    },
  ];
}

/** The result of an assessor's paper: of each set what was asked, answered and true. */
export async function resultPaper(context: Context, id: string, who: string): Promise<Paper> {
  const { shop, paper } = await roundPageView(context, id, who);
  const [first] = paper;
  if (!first) throw notFound('paper');
  const points = paper.map(({ review }) => review?.score.points ?? 0);
  const mean = points.reduce((sum, each) => sum + each / points.length, 0);
  return {
    shop,
    title: paperName[first.paper ?? ''] ?? texts.assessorsPapers,
    tag: texts.points(mean),
    lines: [`${first.by} · ${shopMoment(first.at, shop)}`, `${texts.level}: ${levelName[first.level]}`],
    size: 'page',
    blocks: paper.flatMap(setBlocks),
  };
}
