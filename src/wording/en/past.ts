import type { Check, CheckNote } from '../../core/judge';
import type { UnitSystem } from '../../core/quantity';
import type { Foreseen } from '../../core/past';
import type { Askable } from '../../core/sheet';
import { checkName } from './checks-said';
import { wearName } from './life';
import { readingName } from './places';
import { list } from './sentence';
import { figure, valueWithDoubt } from './value';
import { dayFormat } from '../formats';

/** The look that something was foreseen from: `job SR-0007 of 3 Aug 2026`. */
export function lookName({ seen, on }: { readonly seen: string; readonly on: string }): string {
  const day = Number.isNaN(Date.parse(on))
    ? ''
    : dayFormat('en-GB', { dateStyle: 'medium', timeZone: 'UTC' }).format(new Date(on));
  const job = seen === '' ? 'the last service' : `job ${seen}`;
  return day === '' ? job : `${job} of ${day}`;
}

/** What stands for a reading that nobody took today. */
export const foreseenSentence = (
  check: Check,
  look: Extract<CheckNote, { code: 'foreseen' }>,
  unit: UnitSystem,
): string => {
  const limit = check.limit === null ? '' : `, limit ${figure(check.limit, check.unit, unit)}`;
  return `${checkName[check.id]} ${valueWithDoubt(check, unit)}${limit}: not measured today, foreseen from ${lookName(look)}.`;
};

/** What is said of a reading that was weighed with what was foreseen, or contradicts it. */
export function besideForeseen(
  item: Extract<CheckNote, { code: 'with-foreseen' | 'not-as-foreseen' }>,
  unit: Check['unit'],
  system: UnitSystem,
): string {
  const was = `${figure(item.foreseen, unit, system)} was foreseen from ${lookName(item)}`;
  if (item.code === 'with-foreseen') return `${was}: both have their say.`;
  return item.better
    ? `${was}, and nothing grows back: it is another part, or one reading is wrong. It counts as it was read today.`
    : `${was}: it wore faster, something happened, or one reading is wrong. It counts as it was read today.`;
}

/** One thing that is foreseen of a part, as a line: `Depth at the weakest place: 7.42 mm ± 0.30`. */
export function foreseenLine({ of, value, u }: Foreseen, system: UnitSystem): string {
  const unit = of === 'chain.elongation' ? '%' : 'mm';
  return `${wearName[of]}: ${valueWithDoubt({ value, unit, uncertainty: u, bound: null }, system)}`;
}

const named = (readings: readonly Askable[]): string => list([...new Set(readings.map(readingName))]);

/** What follows of a part's past, by what was said of the part. */
export function pastSays(
  same: boolean | null,
  { spared, wouldSpare }: { readonly spared: readonly Askable[]; readonly wouldSpare: readonly Askable[] },
): string {
  if (same === false) return 'Another part: none of it counts.';
  if (spared.length > 0) return `Not asked for any more: ${named(spared)}.`;
  if (wouldSpare.length > 0) return `If it is the same, this need not be measured: ${named(wouldSpare)}.`;
  return same
    ? 'Weighed together with what is measured today.'
    : 'If it is the same, what is measured today is weighed together with it.';
}
