import { addDays } from 'date-fns';
import { byDay, EIGHT_IN_TEN, lineAt, type PieceLife, type WearLife } from '../../../core/life';
import { sawsById } from '../../../data/repositories';
import type { PieceView, WearLifeView } from '../../../contract';
import { calendarDay } from '../../../wording';
import type { Context } from '../../context';
import { scanModules } from '../../papers/scan-code';
import { notFound } from '../../refusal';
import { shopAndRules } from '../shop';
import { linesOf, reachView, sawView } from './lines';
import { pieceOn } from './pieces';
import { saidView } from './said';

/** What is foreseen is drawn at so many days after the last look. */
const STEPS = 12;
/** It is drawn until the limit is likely reached, between these, days. */
const LEAST_AHEAD = 90;
const MOST_AHEAD = 1095;

function aheadOf({ points, line, days }: WearLife, use: PieceLife['use'], timeZone: string): WearLifeView['ahead'] {
  const perDay = byDay(line, use);
  const last = new Date(points.at(-1)!.at);
  const far = Math.min(MOST_AHEAD, Math.max(LEAST_AHEAD, (days?.until ?? MOST_AHEAD) * 1.1));
  return Array.from({ length: STEPS + 1 }, (_, i) => {
    const ahead = (far * i) / STEPS;
    const { value, u } = lineAt(perDay, ahead);
    return {
      day: calendarDay(addDays(last, ahead), timeZone),
      value,
      low: value - EIGHT_IN_TEN * u,
      high: value + EIGHT_IN_TEN * u,
    };
  });
}

function wearView(life: WearLife, use: PieceLife['use'], isOn: boolean, timeZone: string): WearLifeView {
  return {
    wear: life.wear,
    points: life.points.map(({ at, ...point }) => ({ ...point, day: calendarDay(new Date(at), timeZone) })),
    limit: life.limit,
    rate: life.line.rate,
    usual: life.usual,
    backtest: life.backtest,
    reach: isOn ? reachView(life, timeZone) : null,
    ahead: isOn ? aheadOf(life, use, timeZone) : [],
  };
}

/** A piece with its life: what was measured of it from job to job, and when its limits are reached. */
export async function pieceView(context: Context, id: string, origin = ''): Promise<PieceView> {
  const { db } = context.store;
  const { found: piece, gear } = await pieceOn(context, id);
  const [found] = await sawsById(db, [piece.saw]);
  if (!found) throw notFound('piece');
  const { shop, rules } = await shopAndRules(context);
  const lines = await linesOf(db, gear, piece.saw, rules.limits, shop.timeZone);
  const its = lines.findLast(({ line }) => line.id === id)!;
  const { line, life } = its;
  const { seen, part } = life.piece;
  return {
    shop,
    customer: found.customer,
    saw: sawView(found.saw),
    piece: line,
    code: scanModules(`${origin}/gear/pieces/${id}`),
    said: await saidView(db, { piece: id }),
    use: { ...life.use, isTold: life.isTold },
    wears: life.wears.map((each) => wearView(each, life.use, line.ended === null, shop.timeZone)),
    seen: seen.map(({ visit, worked }) => ({
      jobId: visit.jobId,
      tag: visit.tag,
      came: visit.came,
      worked,
      edge: part === 'bar' ? visit.facts.edge : null,
    })),
    today: calendarDay(context.now(), shop.timeZone),
  };
}
