import { subYears } from 'date-fns';
import { driftFactor } from '../../core/bar';
import {
  isSaved,
  keptMoney,
  learnedOf,
  overridesOf,
  pacesOf,
  spellsOf,
  type LearnedFigure,
  type Piece,
} from '../../core/life';
import type { Limits } from '../../core/limits';
import { PARTS } from '../../core/reading';
import {
  countBetween,
  goneOf,
  jobsBetween,
  testCutSums,
  workLog,
  type Between,
  type JobRecord,
} from '../../data/repositories';
import type { FiguresView, JobSummary, LearnedFigureView } from '../../contract';
import { calendarDay } from '../../wording';
import type { Context } from '../context';
import { nobodyWaits } from '../refusal';
import { piecesOfSaws } from './gear/pieces';
import { shopAndRules } from './shop';
import { summaries } from './summaries';

/** Jobs that are looked at, the newest of the time that is asked for, and saws of theirs. */
const MOST_JOBS = 3000;
const MOST_SAWS = 600;
/** Saws that are looked at at once. */
const SAWS_AT_ONCE = 25;

const MS_PER_DAY = 24 * 3600 * 1000;
const QUARTER = 15 * 60 * 1000;
/** No clock on earth is further from UTC, quarters of an hour. */
const FURTHEST = 15 * 4;

/** The first moment of a day in the shop's zone. */
function beginningOf(day: string, timeZone: string): string {
  const midnight = Date.parse(`${day}T00:00:00Z`);
  const quarters = Array.from({ length: 2 * FURTHEST }, (_, i) => midnight + (i - FURTHEST) * QUARTER);
  const first = quarters.find((at) => calendarDay(new Date(at), timeZone) >= day) ?? midnight;
  return new Date(first).toISOString();
}

/** The day after another, as ISO dates. */
const dayAfter = (day: string): string =>
  new Date(Date.parse(`${day}T00:00:00Z`) + MS_PER_DAY).toISOString().slice(0, 10);

const isDay = (text: string): boolean =>
  /^\d{4}-\d{2}-\d{2}$/.test(text) && !Number.isNaN(Date.parse(`${text}T00:00:00Z`));

/** The days that are asked for; the last year where none are, or where they are no days in their order. */
function daysAsked(from: string, until: string, today: string): { readonly from: string; readonly until: string } {
  const last = isDay(until) ? until : today;
  const first = isDay(from)
    ? from
    : subYears(new Date(`${last}T00:00:00Z`), 1)
        .toISOString()
        .slice(0, 10);
  return first <= last ? { from: first, until: last } : { from: last, until: first };
}

/** The pieces of saws as they were last, each once. */
async function piecesOfJobs(context: Context, jobs: readonly JobRecord[], rules: Parameters<typeof piecesOfSaws>[2]) {
  const saws = [...new Set(jobs.flatMap(({ saw }) => saw?.id ?? []))].slice(0, MOST_SAWS);
  const last = new Map<string, Piece>();
  for (let i = 0; i < saws.length; i += SAWS_AT_ONCE) {
    if (context.isLeft?.()) throw nobodyWaits();
    const { pieces } = await piecesOfSaws(context, saws.slice(i, i + SAWS_AT_ONCE), rules);
    for (const piece of pieces) last.set(piece.id, piece);
  }
  return { pieces: [...last.values()], isCut: saws.length === MOST_SAWS };
}

/** Digits of a figure that its interval bears out: two of half the interval. */
function rounded({ value, from, until }: LearnedFigure): number {
  const half = (until - from) / 2;
  const digits = half > 0 ? Math.max(0, 1 - Math.floor(Math.log10(half))) : 3;
  return Number(value.toFixed(Math.min(4, digits)));
}

const withWhatIsInForce = (figure: LearnedFigure, limits: Limits): LearnedFigureView => {
  const { value, unit, provenance } = limits[figure.id];
  return { ...figure, inForce: { value, unit, provenance }, offered: rounded(figure) };
};

/** Of jobs that went: which parts were mended and stayed, and which went on new. */
function partsOf(gone: readonly JobSummary[]): FiguresView['parts'] {
  return PARTS.map((part) => ({
    part,
    saved: gone.filter(({ visit }) => isSaved(visit, part)).length,
    renewed: gone.filter(({ visit }) => visit.renewed.includes(part)).length,
  }));
}

/** What jobs have in common, the commonest first, and in how many each is found. */
function commonest<T extends string>(
  lists: Iterable<readonly T[]>,
): readonly { readonly it: T; readonly jobs: number }[] {
  const jobs = new Map<T, number>();
  for (const list of lists) for (const it of list) jobs.set(it, (jobs.get(it) ?? 0) + 1);
  return [...jobs]
    .map(([it, count]) => ({ it, jobs: count }))
    .toSorted((one, other) => other.jobs - one.jobs || one.it.localeCompare(other.it));
}

/** How long work took on some jobs; the figures among it stand with the others that are learned. */
async function pacesOfJobs(context: Context, jobs: readonly JobRecord[]) {
  const log = await workLog(
    context.store.db,
    jobs.map(({ id }) => id),
  );
  const { each, figures } = pacesOf(spellsOf(log));
  return { each, figures: figures.map(({ middle, ...figure }): LearnedFigure => ({ ...figure, value: middle })) };
}

/** How long jobs were in the shop that went. */
async function daysInShop(context: Context, gone: readonly JobRecord[]): Promise<FiguresView['days']> {
  const out = await goneOf(
    context.store.db,
    gone.map(({ id }) => id),
  );
  const days = gone
    .flatMap(({ id, createdAt }) => {
      const at = out.get(id)?.at;
      return at === undefined ? [] : [Math.max(0, (Date.parse(at) - Date.parse(createdAt)) / MS_PER_DAY)];
    })
    .toSorted((one, other) => one - other);
  // The value that a share of them stays within, by rank.
  const within = (share: number) => days[Math.ceil(share * days.length) - 1]!;
  return days.length === 0 ? null : { middle: within(0.5), nineInTen: within(0.9) };
}

/** What the records of a time teach, and how the shop did in it. It looks at many jobs. */
export async function figuresView(context: Context, from: string, until: string): Promise<FiguresView> {
  const { db } = context.store;
  const { shop, rules } = await shopAndRules(context);
  const days = daysAsked(from, until, calendarDay(context.now(), shop.timeZone));
  const between: Between = {
    from: beginningOf(days.from, shop.timeZone),
    before: beginningOf(dayAfter(days.until), shop.timeZone),
  };
  const [states, jobs] = [await countBetween(db, between), await jobsBetween(db, between, MOST_JOBS)];
  const made = await summaries(context, jobs, rules);
  const gone = jobs.filter(({ state }) => state === 'handed-over');
  const { pieces, isCut } = await piecesOfJobs(context, jobs, rules);
  const { figures, ...learned } = learnedOf(pieces, rules.limits);
  const paces = await pacesOfJobs(context, jobs);
  const went = gone.map(({ id }) => made.get(id)!);
  const asked = new Set(jobs.map(({ id }) => id));
  return {
    ...days,
    jobs: [...states.values()].reduce((sum, each) => sum + each, 0),
    isCut: isCut || jobs.length === MOST_JOBS,
    states: {
      open: states.get('open') ?? 0,
      signedOff: states.get('signed-off') ?? 0,
      handedOver: states.get('handed-over') ?? 0,
    },
    days: await daysInShop(context, gone),
    parts: partsOf(went),
    causes: commonest([...made.values()].map(({ causes }) => causes)).map(({ it: cause, jobs }) => ({ cause, jobs })),
    nearMisses: commonest([...made.values()].map((each) => each.nearMisses)).map(({ it: miss, jobs }) => ({
      miss,
      jobs,
    })),
    kept: keptMoney(
      went.map(({ visit }) => visit),
      rules.limits,
    ),
    overrides: overridesOf(pieces, ({ jobId }) => asked.has(jobId)),
    paces: paces.each,
    drift: driftFactor(await testCutSums(db, '')),
    figures: [...figures, ...paces.figures].map((each) => withWhatIsInForce(each, rules.limits)),
    ...learned,
  };
}
