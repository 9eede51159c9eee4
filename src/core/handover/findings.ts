import { flatMap } from '../flat-map';
import { FORESEEN_CHECKS, GOING_OUT_CHECKS, type Check } from '../judge';
import type { Part } from '../reading';

/** What was found of one thing, before the work and after it. */
export interface Finding {
  readonly part: Part;
  readonly before: Check | null;
  readonly after: Check | null;
}

/** Figures that a customer is told even where nothing is wrong with them. */
const ALWAYS_TOLD: readonly Check['id'][] = [
  'bar.depth',
  'bar.play',
  'chain.cutter',
  'chain.elongation',
  'sprocket.wear',
];

const NO_FINDING: readonly Check['id'][] = [...GOING_OUT_CHECKS, ...FORESEEN_CHECKS];

const WORST_FIRST: readonly Check['outcome'][] = ['fail', 'undecided', 'watch', 'ok', 'not-measured'];
const rank = ({ outcome }: Check): number => WORST_FIRST.indexOf(outcome);

/** Of several checks of one thing the one that says most. */
function telling(checks: readonly Check[], id: Check['id']): Check | null {
  const own = checks.filter((check) => check.id === id && check.outcome !== 'not-measured');
  return own.reduce<Check | null>((most, check) => (most && rank(most) <= rank(check) ? most : check), null);
}

const isWorthTelling = (check: Check | null): boolean => check !== null && check.outcome !== 'ok';

/**
 * What was found before the work and stands after it: all that was wrong or near it, and the figures that are always
 * told. Checks of what dressing would leave are no finding; how it goes out is told by itself.
 * @param before checks of the sheet as the parts came
 * @param standing checks of the sheet as it stands
 * @param renewed parts that went: what was found of them does not go out
 */
export function findingsOf(
  before: readonly Check[],
  standing: readonly Check[],
  renewed: readonly Part[],
): readonly Finding[] {
  const after = standing.filter(({ part }) => !renewed.includes(part));
  const told = [...before, ...after].filter(({ id }) => !NO_FINDING.includes(id));
  const ids = [...new Set(told.map(({ id }) => id))];
  return flatMap(ids, (id): Finding[] => {
    const finding = { before: telling(before, id), after: telling(after, id) };
    const there = finding.after ?? finding.before;
    if (!there) return [];
    const isTold = isWorthTelling(finding.before) || isWorthTelling(finding.after) || ALWAYS_TOLD.includes(id);
    return isTold ? [{ part: there.part, ...finding }] : [];
  });
}
