import { appraise, type Rules } from '../../core/assess';
import { LIMIT_IDS, resolveLimits } from '../../core/limits';
import { keyOf, planSet } from '../../core/plan';
import { PARTS } from '../../core/reading';
import { sheetFromEntries, type EntryBy } from '../../core/sheet';
import { currentReadings, listJobs, shopStanding } from '../../data/repositories';
import type { Queryable } from '../../data/store';
import type { LimitPreview, PreviewLimit } from '../../contract';
import { limitProblem } from '../../wording';
import type { Context } from '../context';
import { nobodyWaits, notFound, Refusal } from '../refusal';
import { rulesOf } from './shop';
import { stockAsked } from './stock-asked';

/** Open jobs that a preview looks at: those that are due first. */
const MOST_JOBS = 100;

/** What the limits say of one job: each part's verdict, and the plan that costs least today and least an hour. */
async function meaningOf(db: Queryable, entries: readonly EntryBy[], rules: Rules) {
  const { sheet } = sheetFromEntries(entries, rules.studies);
  const judged = { sheet, ...appraise(sheet, rules, null) };
  const stock = await stockAsked(db, judged, rules.schools);
  const { plans } = planSet({ judged, limits: rules.limits, schools: rules.schools, stock, toOrder: true });
  const named = (name: 'least-today' | 'least-per-hour') => plans.find((plan) => plan.named.includes(name)) ?? null;
  return { verdicts: judged.verdicts, today: named('least-today'), hour: named('least-per-hour') };
}

/** What a change of a limit or a rate would do to the open jobs, before it is saved. */
export async function previewLimit(context: Context, id: string, { value }: PreviewLimit): Promise<LimitPreview> {
  const limitId = LIMIT_IDS.find((known) => known === id);
  if (!limitId) throw notFound('limit');
  const { db } = context.store;
  const [standing, onBench] = await Promise.all([
    shopStanding(db),
    listJobs(db, { show: 'bench', waits: null }, { limit: MOST_JOBS, offset: 0 }),
  ]);
  const rules = rulesOf(standing);
  const jobs = onBench.filter(({ state }) => state === 'open');
  const changed = resolveLimits({ ...standing.overrides, [limitId]: value });
  if (!changed.ok) throw new Refusal(422, 'limit-refused', changed.error.map(limitProblem).join(' '));
  const readings = await currentReadings(
    db,
    jobs.map((job) => job.id),
  );
  const effects: LimitPreview['effects'][number][] = [];
  for (const job of jobs) {
    if (context.isLeft?.()) throw nobodyWaits();
    const entries = readings.filter(({ jobId }) => jobId === job.id);
    const before = await meaningOf(db, entries, rules);
    const after = await meaningOf(db, entries, { ...rules, limits: changed.value });
    const verdicts = PARTS.flatMap((part) => {
      const [from, to] = [before.verdicts[part].action, after.verdicts[part].action];
      return from === to ? [] : [{ part, from, to }];
    });
    const otherPlan =
      before.hour !== null && after.hour !== null && keyOf(before.hour) !== keyOf(after.hour)
        ? { from: before.hour.choices, to: after.hour.choices }
        : null;
    const todayBy = (after.today?.costToday ?? 0) - (before.today?.costToday ?? 0);
    if (verdicts.length > 0 || otherPlan !== null || todayBy !== 0)
      effects.push({ id: job.id, tag: job.tag, verdicts, otherPlan, todayBy });
  }
  return { jobs: jobs.length, effects };
}
