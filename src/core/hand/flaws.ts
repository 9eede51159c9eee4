import { DEGREES_NEEDED, INSTRUMENTS, MAD_OF_NORMAL, median } from '../quantity';
import { isBelieved, studyResult, type Study } from './study';

/** What speaks against a study, or against the tool that it tells of. */
export type StudyFlaw =
  /** Too few takes to count. */
  | { readonly code: 'too-few'; readonly needed: number }
  /** The bias is one that no tool has: the size of the block, or the tool, is wrong. It does not count. */
  | { readonly code: 'not-believed'; readonly by: number }
  /** It counts, but its standard deviation is known only roughly. */
  | { readonly code: 'few' }
  /** Every take is the same: the tool's step hides the scatter. */
  | { readonly code: 'no-scatter' }
  /** A take lies far from all others: a slip, or something moved. */
  | { readonly code: 'stray'; readonly take: number }
  | { readonly code: 'old'; readonly days: number }
  /** The tool shows too much or too little, by more than it is trusted with. */
  | { readonly code: 'biased'; readonly by: number }
  /** The hand scatters more than is usual with this tool. */
  | { readonly code: 'scatters'; readonly times: number };

/** From so many takes on a standard deviation is known well enough (common practice, no source). */
export const TAKES_WANTED = 10;
/** A hand changes, and a tool wears: after so many days a study is old (shop's figure). */
export const OLD_AFTER_DAYS = 365;
/** A take further from the middle than so many usual distances is a stray: robust, so that it does not hide itself. */
const STRAY_BEYOND = 5;
const SCATTERS_FROM = 2;

const DAY_MS = 86_400_000;

/** The take that lies far from all others, counted from 1; null where none does. */
function strayOf({ takes, instrument }: Study): number | null {
  const centre = median(takes);
  const distances = takes.map((take) => Math.abs(take - centre));
  const usual = Math.max(median(distances) / MAD_OF_NORMAL, INSTRUMENTS[instrument].resolution / Math.sqrt(12));
  const furthest = distances.indexOf(Math.max(...distances));
  return distances[furthest]! > STRAY_BEYOND * usual ? furthest + 1 : null;
}

/**
 * What must be said beside a study, the gravest first.
 * @param today as an ISO date; a study is old from this day's view
 */
export function flawsOf(study: Study, today: string): readonly StudyFlaw[] {
  const result = studyResult(study);
  const { sd, between, bias } = result;
  const believed = isBelieved(study, result);
  const { resolution, placing, maxError } = INSTRUMENTS[study.instrument];
  const usual = Math.hypot(placing, resolution / Math.sqrt(12));
  const days = Math.floor((Date.parse(today) - Date.parse(study.on)) / DAY_MS);
  const stray = strayOf(study);
  const tooFew = study.takes.length - 1 < DEGREES_NEEDED;
  return [
    ...(tooFew ? [{ code: 'too-few', needed: DEGREES_NEEDED + 1 } as const] : []),
    ...(bias && !believed ? [{ code: 'not-believed', by: bias.value } as const] : []),
    ...(stray === null ? [] : [{ code: 'stray', take: stray } as const]),
    ...(bias && believed && Math.abs(bias.value) > Math.max(maxError, 2 * bias.u)
      ? [{ code: 'biased', by: bias.value } as const]
      : []),
    ...(between && between[0] > usual && sd > SCATTERS_FROM * usual
      ? [{ code: 'scatters', times: sd / usual } as const]
      : []),
    ...(days > OLD_AFTER_DAYS ? [{ code: 'old', days } as const] : []),
    ...(!tooFew && study.takes.length < TAKES_WANTED ? [{ code: 'few' } as const] : []),
    ...(study.takes.length > 1 && sd === 0 ? [{ code: 'no-scatter' } as const] : []),
  ];
}
