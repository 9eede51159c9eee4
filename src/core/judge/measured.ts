import { flatMap } from '../flat-map';
import type { Limits } from '../limits';
import { boundsOf, estimate, type LengthReading } from '../quantity';
import { placeAt, type GroupPlace, type Judged } from '../reading';
import {
  READINGS,
  SHEET,
  type GroupId,
  type JudgedCheckId,
  type JudgedId,
  type JudgedLimitsAt,
  type Operation,
  type ReadingPath,
} from '../sheet';
import type { Check } from './check';
import { missingCheck, readingCheck, workCheck, type Head } from './make-check';
import { repeatOf } from './repeat';

type LimitOf = Limits[JudgedLimitsAt<JudgedId>];

/** What a length is held against: its own limits, or others where a school of the shop says so. */
interface HeldAgainst {
  readonly limit: LimitOf;
  readonly watch: LimitOf | null;
}

const ownLimits = ({ check, watch }: Judged, limits: Limits): HeldAgainst => ({
  limit: limits[check as JudgedCheckId],
  watch: watch && limits[watch.id as JudgedLimitsAt<JudgedId>],
});

function judged(
  id: string,
  told: Judged,
  reading: LengthReading | undefined,
  { limit, watch }: HeldAgainst,
): Check | null {
  const { part, condemns, work } = told;
  const place = id as ReadingPath;
  const head: Head = {
    ...{ id: told.check as JudgedCheckId, part, condemns },
    ...(work ? { work: { ...work, operation: work.operation as Operation } } : {}),
  };
  if (!reading) return missingCheck(head, limit.provenance, { code: 'needs', readings: [place] });
  if (condemns) return readingCheck({ ...head, repeat: repeatOf(place, reading) }, reading, limit, watch);
  // What only calls for work is judged by what is known of it, be it a bound.
  const { lo, hi } = boundsOf(reading);
  const value = estimate(reading) ?? lo ?? hi;
  return value && workCheck(head, value, limit, watch);
}

/** Judged lengths by the group that they stand in, looked up once. */
const LENGTHS = new Map<GroupId, readonly (readonly [key: string, id: string, told: Judged])[]>();

function lengthsIn(group: GroupId) {
  const known = LENGTHS.get(group);
  if (known) return known;
  const { members } = placeAt(SHEET, group) as GroupPlace;
  const found = flatMap([...members], ([key, member]) => {
    if (member.is !== 'reading') return [];
    const { id, told } = member.reading;
    return told.judged ? [[key, id, told.judged] as const] : [];
  });
  LENGTHS.set(group, found);
  return found;
}

/**
 * The checks of all lengths of a group that are judged by themselves. What nobody measured is left out, but for what is
 * always listed.
 * @param found the group as read
 */
export function measuredChecks(
  part: Judged['part'],
  group: GroupId,
  found: Readonly<Record<string, unknown>>,
  limits: Limits,
): Check[] {
  return flatMap(lengthsIn(group), ([key, id, told]) => {
    const reading = found[key] as LengthReading | undefined;
    if (told.part !== part || told.together || !(told.always || reading)) return [];
    const check = judged(id, told, reading, ownLimits(told, limits));
    return check ? [check] : [];
  });
}

/** What is told of each judged length, whatever edge or member of a list it belongs to. */
const JUDGED = new Map(flatMap(READINGS, ({ id, told }) => (told.judged ? [[id, told.judged] as const] : [])));

/** The check of one length that condemns and is judged beside others, or by a school of the shop. */
export const measuredCheck = (
  id: JudgedId,
  reading: LengthReading | undefined,
  limits: Limits,
  held: HeldAgainst = ownLimits(JUDGED.get(id)!, limits),
): Check => judged(id, JUDGED.get(id)!, reading, held)!;
