const DAY_MS = 86_400_000;
const SUNDAY = 0;
const SATURDAY = 6;

/** A day so many days later, as an ISO date. */
export const daysAfter = (day: string, days: number): string =>
  new Date(Date.parse(`${day}T00:00:00Z`) + days * DAY_MS).toISOString().slice(0, 10);

const isWeekend = (day: string): boolean => [SUNDAY, SATURDAY].includes(new Date(`${day}T00:00:00Z`).getUTCDay());

/**
 * The day so many working days later, Monday to Friday; holidays are not known here.
 * @param day ISO date
 * @param days whole working days from 0
 * @example workingDaysAfter('2026-11-27', 1) // '2026-11-30', a Monday
 */
export function workingDaysAfter(day: string, days: number): string {
  let [at, left] = [day, days];
  while (left > 0 || isWeekend(at)) {
    at = daysAfter(at, 1);
    if (!isWeekend(at)) left = Math.max(0, left - 1);
  }
  return at;
}
