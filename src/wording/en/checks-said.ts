import type { CheckId } from '../../core/judge';
import type { LimitId } from '../../core/limits';
import { READINGS, type JudgedId, type JudgedLimitsAt, type SeenId } from '../../core/sheet';
import { COMPUTED_WORDS, type Say } from './computed-checks';
import { READING_WORDS } from './readings';
import type { FindingWords, JudgedWords } from './readings/reading-words';

/** Words of findings by the check they make; both rails' burrs make one. */
const FINDINGS = new Map<string, FindingWords[SeenId]>(
  READINGS.flatMap(({ id, told: { seen } }) => (seen ? [[seen.check, READING_WORDS[id as SeenId]] as const] : [])),
);

/** Judged lengths with their words. */
const LENGTHS = READINGS.flatMap(({ id, told: { judged } }) =>
  judged ? [{ judged, words: READING_WORDS[id as JudgedId] as JudgedWords[JudgedId] }] : [],
);

/** Sentences of checks of a value, each where it has one of its own. */
interface Said {
  readonly fail?: Say;
  readonly watch?: Say;
  readonly ok?: Say;
}

const SAID: Readonly<Partial<Record<string, Said>>> = {
  ...COMPUTED_WORDS,
  ...Object.fromEntries(
    LENGTHS.map(({ judged, words: { fail, watch } }) => [judged.check, { fail, ...(watch && { watch: watch.says }) }]),
  ),
};

const OBSERVED: Readonly<Partial<Record<string, { readonly says?: Readonly<Record<string, string>> }>>> =
  COMPUTED_WORDS;

/** What is said of a check of a value; nothing where the plain sentences do. */
export const wordsOfCheck = (id: CheckId): Said | undefined => SAID[id];

/** What each check is about, as a short heading. */
export const checkName = Object.fromEntries<string>([
  ...[...FINDINGS].map(([check, words]) => [check, words.check] as const),
  ...LENGTHS.map(({ judged, words }) => [judged.check, words.check] as const),
  ...Object.entries(COMPUTED_WORDS).map(([check, words]) => [check, words.check] as const),
]) as Readonly<Record<CheckId, string>>;

/** What the limits are for that are told with a reading. */
export const toldLimitName = Object.fromEntries<string>(
  LENGTHS.flatMap(({ judged: { check, watch }, words }) => [
    [check, words.limit] as const,
    ...(watch && words.watch ? [[watch.id, words.watch.limit] as const] : []),
  ]),
) as Readonly<Record<Extract<LimitId, JudgedLimitsAt<JudgedId>>, string>>;

/** The sentence for a word that was observed, or for nobody having looked; null where there is none of its own. */
export function observedSentence(check: CheckId, word: string | null): string | null {
  const words = FINDINGS.get(check);
  if (word === null) return words?.unseen ?? null;
  const says: Readonly<Record<string, string>> | undefined = words?.says ?? OBSERVED[check]?.says;
  return says?.[word] ?? null;
}
