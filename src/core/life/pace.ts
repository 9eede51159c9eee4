import { flatMap } from '../flat-map';
import { middleOf, type Middle } from '../quantity';
import type { LimitId } from '../limits';
import { CLEANING, OPERATIONS, SERVICE, type Operation } from '../sheet';

/** Something that was written on a job, in the order in which all of it was written. */
export interface Logged {
  readonly jobId: string;
  /** The work on one part that was done by then; null of everything else that is written. */
  readonly work: { readonly place: string; readonly done: readonly Operation[] } | null;
  /** A moment, ISO 8601. */
  readonly at: string;
  readonly by: string;
}

/** Work that one person did in one go, from what they wrote on the job before until they ticked it off. */
export interface Spell {
  readonly operations: readonly Operation[];
  readonly minutes: number;
}

const MS_PER_MINUTE = 60_000;
/** What is ticked off within so many minutes of each other was done together. */
const TOGETHER = 0.5;
/** A shorter spell was written down afterwards; in a longer one something else was done as well. Minutes. */
const SHORTEST = 0.5;
const LONGEST = 90;

/** Where a person stands: what they wrote last, and the work that they tick off with it. */
interface Standing {
  readonly jobId: string;
  readonly at: number;
  readonly ticking: { readonly since: number | null; readonly operations: readonly Operation[] } | null;
}

/** What of a list was not on it before. */
const newOf = (done: readonly Operation[], before: readonly Operation[]): readonly Operation[] =>
  done.filter((operation) => !before.includes(operation));

function spellOf({ at, ticking }: Standing): readonly Spell[] {
  if (!ticking || ticking.since === null) return [];
  const minutes = (at - ticking.since) / MS_PER_MINUTE;
  return minutes < SHORTEST || minutes > LONGEST ? [] : [{ operations: ticking.operations, minutes }];
}

/**
 * How long work took, as the log of readings has it. A spell begins where the same person last wrote on the same job;
 * one who wrote on another job between has no beginning that is known.
 * @param log of all that was written on some jobs, in its order
 */
export function spellsOf(log: readonly Logged[]): readonly Spell[] {
  const spells: Spell[] = [];
  const people = new Map<string, Standing>();
  const lists = new Map<string, readonly Operation[]>();
  for (const { jobId, work, at: moment, by } of log) {
    const at = Date.parse(moment);
    const last = people.get(by);
    const ticked = work ? newOf(work.done, lists.get(`${jobId} ${work.place}`) ?? []) : [];
    if (work) lists.set(`${jobId} ${work.place}`, work.done);
    const goesOn =
      ticked.length > 0 && last?.ticking && last.jobId === jobId && at - last.at <= TOGETHER * MS_PER_MINUTE;
    if (last && !goesOn) spells.push(...spellOf(last));
    const since = last && last.jobId === jobId ? last.at : null;
    const begun = goesOn ? last.ticking! : { since, operations: [] };
    const ticking = ticked.length > 0 ? { ...begun, operations: [...begun.operations, ...ticked] } : null;
    people.set(by, { jobId, at, ticking });
  }
  for (const last of people.values()) spells.push(...spellOf(last));
  return spells;
}

/** The figure that says how long a kind of work takes; null where none does: dressing is counted in passes. */
function figureOf(operation: Operation): LimitId | null {
  if (CLEANING.includes(operation)) return 'plan.minutes.cleaning';
  return operation === 'dress-rails' || SERVICE.includes(operation) ? null : 'plan.minutes.operation';
}

/** How long one operation takes, minutes. */
export interface Pace extends Middle {
  readonly operation: Operation;
}

/** How long work takes by its spells: each operation that was done by itself, and the figures that plans count with. */
export interface Paces {
  readonly each: readonly Pace[];
  readonly figures: readonly (Middle & { readonly id: LimitId })[];
}

const FIGURES = ['plan.minutes.cleaning', 'plan.minutes.operation'] as const satisfies readonly LimitId[];

/**
 * How long work takes. Of work that was ticked off together each has its even share, where all of it is of one kind.
 */
export function pacesOf(spells: readonly Spell[]): Paces {
  return {
    each: flatMap(OPERATIONS, (operation): readonly Pace[] => {
      const alone = spells.filter(({ operations: [only, ...more] }) => only === operation && more.length === 0);
      const middle = middleOf(alone.map(({ minutes }) => minutes));
      return middle ? [{ operation, ...middle }] : [];
    }),
    figures: flatMap(FIGURES, (id) => {
      const alike = spells.filter(({ operations }) => operations.every((operation) => figureOf(operation) === id));
      const middle = middleOf(alike.map(({ minutes, operations }) => minutes / operations.length));
      return middle ? [{ id, ...middle }] : [];
    }),
  };
}
