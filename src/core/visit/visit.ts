import type { Limits } from '../limits';
import { livesOf, type Choices, type Judged } from '../plan';
import type { Part } from '../reading';

/** A habit that wears parts sooner. */
export type HarderHabit = 'never-turned-over' | 'never-sharpened' | 'forced';

/** When to come back, and why then. */
export interface NextVisit {
  /** Days from the hand-over, whole. */
  readonly days: number;
  readonly because:
    /** The use of the saw. */
    | { readonly code: 'use'; readonly use: string | null; readonly weeks: number }
    /** A part is used up by then. */
    | { readonly code: 'wear'; readonly part: Part; readonly hours: number; readonly hoursPerWeek: number };
  /** Habits that brought the day of its use nearer. */
  readonly habits: readonly HarderHabit[];
}

const DAYS = 7;

function usualWeeks(use: string | undefined, limits: Limits): number {
  switch (use) {
    case 'bucking':
      return limits['visit.weeks.bucking'].value;
    case 'limbing':
      return limits['visit.weeks.limbing'].value;
    case 'felling':
      return limits['visit.weeks.felling'].value;
    case 'milling':
      return limits['visit.weeks.milling'].value;
    case 'rescue':
      return limits['visit.weeks.rescue'].value;
    default:
      return limits['visit.weeks.other'].value;
  }
}

function habitsOf({ sheet: { job }, bar }: Judged): readonly HarderHabit[] {
  return [
    ...(job?.turnOver === 'never' ? (['never-turned-over'] as const) : []),
    ...(job?.sharpening === 'never' ? (['never-sharpened'] as const) : []),
    ...(bar.wearPlace.code === 'one-spot' ? (['forced'] as const) : []),
  ];
}

/** The part that is used up first by this plan, h; null where there is none. */
function firstDue(
  judged: Judged,
  choices: Choices,
  limits: Limits,
): { readonly part: Part; readonly hours: number } | null {
  const lives = Object.entries(livesOf(judged, choices, limits)) as [Part, { readonly left: number }][];
  return lives.reduce<{ part: Part; hours: number } | null>(
    (first, [part, { left }]) => (first === null || left < first.hours ? { part, hours: left } : first),
    null,
  );
}

/**
 * The next visit: by what the saw is used for, sooner where habits are hard on it, and sooner still where a part is
 * used up by then. Its wear counts only where it is known how long the saw runs.
 * @param choices of the plan that was carried out
 */
export function nextVisit(judged: Judged, choices: Choices, limits: Limits): NextVisit {
  const { use, hoursPerWeek } = judged.sheet.job ?? {};
  const habits = habitsOf(judged);
  const share = habits.length > 0 ? Math.min(1, limits['visit.habit'].value / 100) : 1;
  const weeks = usualWeeks(use, limits) * share;
  const least = limits['visit.weeks.least'].value;
  const due = hoursPerWeek ? firstDue(judged, choices, limits) : null;
  const byWear = due && hoursPerWeek ? due.hours / hoursPerWeek : Infinity;
  const days = Math.max(1, Math.round(DAYS * Math.max(least, Math.min(weeks, byWear))));
  if (due && hoursPerWeek && byWear < weeks)
    return { days, because: { code: 'wear', part: due.part, hours: due.hours, hoursPerWeek }, habits: [] };
  return { days, because: { code: 'use', use: use ?? null, weeks: days / DAYS }, habits };
}
