import { flatMap } from '../flat-map';
import { placeAt, type GroupPlace, type Seen } from '../reading';
import { READINGS, SHEET, type GroupId, type ReadingPath, type SeenCheckId, type SeenId } from '../sheet';
import type { Check, CheckId } from './check';
import { make, type Head } from './make-check';

/** What may be said of a finding beside its word. */
type Beside = Partial<Omit<Head, 'id' | 'part'>>;

/** What the word of a finding says of its part, as it is declared. */
function judged(seen: Seen, word: string | undefined, more: Beside): Check {
  const said = word === undefined ? null : seen.words[word]!;
  return make(
    { id: seen.check as SeenCheckId, part: seen.part, condemns: seen.condemns, ...more },
    {
      condemns: seen.condemns,
      kind: 'observation',
      outcome: said?.outcome ?? 'not-measured',
      provenance: 'practice',
      observed: word ?? null,
      work: (said?.work ?? null) as Check['work'],
    },
  );
}

/** Findings by the group that they stand in, looked up once. */
const FINDINGS = new Map<GroupId, readonly (readonly [key: string, seen: Seen, nose: string | undefined])[]>();

function findingsIn(group: GroupId) {
  const known = FINDINGS.get(group);
  if (known) return known;
  const { members } = placeAt(SHEET, group) as GroupPlace;
  const found = flatMap([...members], ([key, member]) => {
    const { seen, nose } = member.is === 'reading' ? member.reading.told : {};
    return seen ? [[key, seen, nose] as const] : [];
  });
  FINDINGS.set(group, found);
  return found;
}

/**
 * The checks of all findings that are judged by their word alone. Those that nobody looked for are left out, but for
 * the few that are always listed.
 * @param found the group as read
 */
export function seenChecks(
  part: Seen['part'],
  group: GroupId,
  found: Readonly<Record<string, unknown>>,
  nose: 'sprocket' | 'hard' = 'sprocket',
): Check[] {
  return flatMap(findingsIn(group), ([key, seen, ownNose]) => {
    const isAsked = seen.part === part && !seen.together && (ownNose ?? nose) === nose;
    const word = found[key] as string | undefined;
    return isAsked && (seen.always || word !== undefined) ? [judged(seen, word, {})] : [];
  });
}

/** The check of each finding and each judged length with its reading, looked up once. */
const READING_OF = new Map<string, ReadingPath>(
  flatMap(READINGS, ({ id, told: { seen, judged } }) => {
    const check = (seen ?? judged)?.check;
    return check === undefined ? [] : [[check, id as ReadingPath] as const];
  }).reverse(),
);

/**
 * The one reading that a check comes from, whatever edge or member of a list it belongs to; null where it is computed
 * of several.
 */
export const readingOf = (check: CheckId): ReadingPath | null => READING_OF.get(check) ?? null;

/** What is told of each finding, whatever edge or member of a list it belongs to. */
const SEEN = new Map(flatMap(READINGS, ({ id, told: { seen } }) => (seen ? [[id, seen] as const] : [])));

/** The check of one finding that is judged beside others, or stands at a place of its own. */
export const seenCheck = (id: SeenId, word: string | undefined, more: Beside = {}): Check =>
  judged(SEEN.get(id)!, word, more);
