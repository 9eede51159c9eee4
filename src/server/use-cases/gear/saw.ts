import { PARTS } from '../../../core/reading';
import type { VisitFacts } from '../../../core/life';
import { findSaw, sawsById } from '../../../data/repositories';
import type { GearVisit, SawGearView } from '../../../contract';
import { calendarDay } from '../../../wording';
import type { Context } from '../../context';
import { notFound } from '../../refusal';
import { shopAndRules } from '../shop';
import { linesOf, sawGear } from './lines';
import { MOST_VISITS } from './past';
import { piecesOfSaws } from './pieces';
import { saidView } from './said';

const workedOn = ({ worked }: VisitFacts): GearVisit['worked'] =>
  PARTS.flatMap((part) => (worked[part] ? [{ part, operations: worked[part] }] : []));

/** A saw: what is on it, what was on it, and the jobs that it came with. */
export async function sawGearView(context: Context, asked: string): Promise<SawGearView> {
  const { db } = context.store;
  const standing = shopAndRules(context);
  const [stays, [found], { shop, rules }, gear, said] = await Promise.all([
    findSaw(db, asked),
    sawsById(db, [asked]),
    standing,
    piecesOfSaws(
      context,
      [asked],
      standing.then((its) => its.rules),
    ),
    saidView(db, { sawId: asked }),
  ]);
  if (!found) throw notFound('saw');
  const { id } = found.saw;
  // A record that is one with another is looked at there.
  if (stays && stays.id !== id) return sawGearView(context, stays.id);
  const past = gear.pasts.get(id)!;
  const lines = (await linesOf(db, gear, id, rules.limits, shop.timeZone)).map(({ line }) => line);
  const chainOf = new Map(
    gear.pieces
      .filter(({ part }) => part === 'chain')
      .flatMap(({ id: piece, seen }) => seen.map(({ visit }) => [visit.jobId, piece] as const)),
  );
  const jobs = past.jobs.map(({ id: jobId, tag, state, createdAt, complaint }, i): GearVisit => ({
    jobId,
    tag,
    state,
    came: createdAt,
    went: past.visits[i]!.went,
    complaint,
    worked: workedOn(past.visits[i]!.facts),
    renewed: past.visits[i]!.facts.renewed,
    chain: chainOf.get(jobId) ?? null,
  }));
  return {
    ...(await sawGear(db, found.saw, past, lines)),
    shop,
    customer: found.customer,
    past: lines.filter(({ ended }) => ended !== null).toReversed(),
    jobs: jobs.toReversed(),
    said,
    isCut: jobs.length >= MOST_VISITS,
    today: calendarDay(context.now(), shop.timeZone),
  };
}
