import { orderedParts } from '../../core/plan';
import { namedBy } from '../../core/life';
import { FAMILY_IDS, GAUGE_IDS, GAUGES, type FamilyId, type GaugeId } from '../../core/families';
import { chainNeed, answersIn, STOCK_KINDS, type Need } from '../../core/stock';
import type { FitJudgement } from '../../core/fit';
import { SEQUENCES } from '../../core/identify';
import { PARTS } from '../../core/reading';
import { orderCautions, type ChainNumbers } from '../../core/order';
import { countStock, listImports, listStock, search, stockCandidates, type StockFilter } from '../../data/repositories';
import type {
  OrderedPartView,
  RowsView,
  SearchHitView,
  ShelvedPartView,
  SlipView,
  StockAnswer,
  StockView,
} from '../../contract';
import {
  shopDay,
  familyLabel,
  familyShort,
  fitSentence,
  orderCaution,
  orderWithheld,
  sprocketOrder,
  replacedPart,
  stockMiss,
  neededPart,
  partName,
  plannedPartName,
  kickbackClassWord,
  sequenceWord,
} from '../../wording';
import type { Context } from '../context';
import { rowsFrom } from '../paging';
import { appraisedJob, whoseJob, type AppraisedJob } from './appraised';
import { jobParts } from './job-parts';
import { shopView } from './shop';
import { sisters } from './sister-shops';
import * as texts from '#language/server';

const PAGE = 40;
const HITS = 12;
const IMPORTS_SHOWN = 5;

const oneOf = <T extends string>(options: readonly T[], value: string): T | undefined =>
  options.find((option) => option === value);

/** What the stock list is narrowed by, as it was asked, and as far as that is understood. */
function stockAsked(params: URLSearchParams) {
  const ask = (name: string) => params.get(name) ?? '';
  const filter = {
    text: ask('q'),
    kind: ask('kind'),
    pitch: ask('pitch'),
    gauge: ask('gauge'),
    driveLinks: ask('links'),
    low: ask('low') === 'yes',
  };
  const links = /^\d{1,3}$/.test(filter.driveLinks) ? Number(filter.driveLinks) : undefined;
  const where: StockFilter = {
    text: filter.text,
    kind: oneOf(STOCK_KINDS, filter.kind),
    pitch: oneOf(FAMILY_IDS, filter.pitch),
    gauge: oneOf(GAUGE_IDS, filter.gauge),
    driveLinks: links,
    low: filter.low,
  };
  return { filter, where };
}

/** The first of the stock list, narrowed by what was asked. What is asked and not understood does not narrow. */
export async function stockView(context: Context, params: URLSearchParams): Promise<StockView> {
  const { db } = context.store;
  const { filter, where } = stockAsked(params);
  const [shop, total, parts, imports] = await Promise.all([
    shopView(context),
    countStock(db, where),
    listStock(db, where, { limit: PAGE, offset: 0 }),
    listImports(db, IMPORTS_SHOWN),
  ]);
  return { shop, parts, total, filter, imports };
}

/** Some of the stock list, from where it was asked on. */
export async function stockRows({ store }: Context, params: URLSearchParams): Promise<RowsView<ShelvedPartView>> {
  const { where } = stockAsked(params);
  return rowsFrom(params.get('from'), (page) => listStock(store.db, where, page));
}

/** Chains in stock against an order: those that fit, then those that miss one thing. */
export async function stockAnswers(context: Context, order: ChainNumbers): Promise<readonly StockAnswer[]> {
  return answersTo(context, chainNeed(order));
}

/** Parts of one shop's shelf against a need: those that fit, those that may, near misses; with equals of what is out. */
async function answersOf({ store }: Context, need: Need, shop: string | null): Promise<readonly StockAnswer[]> {
  // Only chains and bars have a gauge and links, and only bars a mount: of others the shelf is not asked for it.
  const isLoop = need.kind === 'chain' || need.kind === 'bar';
  const candidates = await stockCandidates(store.db, {
    kind: need.kind,
    pitches: need.pitch.values,
    gauges: isLoop ? need.gauge.values : [],
    links: isLoop ? need.driveLinks.values : [],
    mount: need.kind === 'bar' ? need.mount : null,
    sequence: need.sequence,
    sprocketKind: need.sprocketKind,
  });
  return answersIn(need, candidates).map((each) => ({ ...each, misses: each.misses.map(stockMiss), shop }));
}

const isHere = ({ answer, part }: StockAnswer): boolean => answer === 'fits' && part.quantity > 0;

/**
 * Parts in stock against a need. Where none of one's own fits, those that fit and lie on the shelf of a sister shop come
 * first: they are nearer than the supplier.
 */
export async function answersTo(context: Context, need: Need): Promise<readonly StockAnswer[]> {
  const [own, others] = await Promise.all([answersOf(context, need, null), sisters(context)]);
  if (others.length === 0 || own.some(isHere)) return own;
  const theirs = await Promise.all(others.map((sister) => answersOf(sister.context, need, sister.name)));
  return [...theirs.flat().filter(isHere), ...own];
}

/** Parts beside the chain that must be replaced, with what the shelf answers. */
export const orderedPartViews = (
  context: Context,
  { sheet, appraisal, rules, course }: AppraisedJob,
): Promise<OrderedPartView[]> =>
  Promise.all(
    // For a saw that has gone nothing is ordered any more.
    (course.handedOver ? [] : orderedParts({ sheet, ...appraisal }, rules.schools, course.choices)).map(
      async ({ part, need }) => ({
        part,
        need,
        answers: await answersTo(context, need),
      }),
    ),
  );

/** The same of a job by its id. */
export const jobOrderedParts = async (context: Context, id: string): Promise<readonly OrderedPartView[]> =>
  orderedPartViews(context, await appraisedJob(context, id));

/** Reads the order asked for in an address. */
export function orderFrom(params: URLSearchParams): ChainNumbers | null {
  const pitch: FamilyId | undefined = oneOf(FAMILY_IDS, params.get('pitch') ?? '');
  const gauge: GaugeId | undefined = oneOf(GAUGE_IDS, params.get('gauge') ?? '');
  const driveLinks = Number(params.get('links'));
  const kickbackClass = oneOf(['low-kickback', 'standard'] as const, params.get('class') ?? '') ?? null;
  const sequence = oneOf(SEQUENCES, params.get('sequence') ?? '') ?? null;
  return pitch && gauge && Number.isInteger(driveLinks) && driveLinks > 0
    ? { pitch, gauge, driveLinks, kickbackClass, sequence }
    : null;
}

/**
 * What speaks for or against an order: rules of the set. That a part is condemned is why something is ordered, and is
 * said by itself.
 */
const rulesOfSet = (fit: readonly FitJudgement[]): readonly FitJudgement[] =>
  fit.filter(({ rule }) => rule !== 'parts-may-go-back-on');

/** The order slip of a job, ready to print. */
export async function slipView(context: Context, job: AppraisedJob): Promise<SlipView> {
  const { record, shop, appraisal } = job;
  const { order, fitPlanned, identity, verdicts } = appraisal;
  const planned = await jobParts(context, record.id);
  const newChain = planned.parts.find(({ chain }) => chain !== null)?.chain ?? null;
  const ready = newChain ? { ...newChain, driveSprocket: null } : 'order' in order ? order.order : null;
  return {
    shop,
    tag: record.tag,
    ...whoseJob(record),
    date: shopDay(context.now().toISOString(), shop),
    order: ready && {
      pitch: familyShort[ready.pitch],
      pitchNote: ready.pitch.startsWith('38') ? familyLabel(ready.pitch) : '',
      gauge: ready.gauge,
      gaugeNote: `${GAUGES[ready.gauge].mmLabel} mm`,
      driveLinks: ready.driveLinks,
      kickbackClass: ready.kickbackClass ? kickbackClassWord[ready.kickbackClass] : texts.toBeAsked,
      sequence: ready.sequence ? sequenceWord[ready.sequence] : texts.notCounted,
    },
    withheld: !ready && 'withheld' in order ? order.withheld.map(orderWithheld) : [],
    cautions: ready
      ? [
          ...(ready.driveSprocket ? [sprocketOrder(ready.driveSprocket)] : []),
          ...orderCautions(identity).map(orderCaution),
        ]
      : [],
    fit: rulesOfSet(fitPlanned).map((judgement) => ({ holds: judgement.holds, text: fitSentence(judgement) })),
    replaces: PARTS.filter((part) => verdicts[part].action === 'replace').map(replacedPart),
    planned: planned.parts.map(({ sku, name, left, priceCents, state }) => ({ sku, name, left, priceCents, state })),
    stock: ready && !newChain ? await stockAnswers(context, ready) : [],
    others: (await orderedPartViews(context, job)).map(({ part, need, answers }) => ({
      part,
      name: plannedPartName[part],
      needed: neededPart(need),
      stock: answers,
    })),
  };
}

/** Where each kind of find leads. */
const HREF = {
  customer: (ref: string) => `/?customer=${encodeURIComponent(ref)}`,
  saw: (ref: string) => `/gear/saws/${encodeURIComponent(ref)}`,
  piece: (ref: string) => `/gear/pieces/${encodeURIComponent(ref)}`,
  job: (ref: string) => `/jobs/${encodeURIComponent(ref)}`,
  part: (ref: string) => `/stock?q=${encodeURIComponent(ref)}`,
} as const;

/** What a piece is, by its id. */
function pieceWord(id: string): string {
  const part = namedBy(id)?.part;
  return part ? partName[part] : '';
}

/** Search over customers, saws, jobs and parts. */
export async function searchView({ store }: Context, text: string): Promise<readonly SearchHitView[]> {
  const hits = await search(store.db, text.slice(0, 100), HITS);
  return hits.map(({ kind, ref, title, body }) => ({
    ...{ kind, title, href: HREF[kind](ref) },
    detail: kind === 'piece' ? pieceWord(ref) : body,
  }));
}
