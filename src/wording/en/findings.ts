import { READINGS, type SeenCheckId, type SeenId } from '../../core/sheet';
import { READING_WORDS } from './readings';
import type { FindingWords } from './readings/reading-words';

/** The words of the finding that makes a check. */
type WordsOfFinding = FindingWords[SeenId];

/** Words of findings by the check they make; both rails' burrs make one. */
const BY_CHECK = new Map<string, WordsOfFinding>(
  READINGS.flatMap(({ id, told: { seen } }) => (seen ? [[seen.check, READING_WORDS[id as SeenId]] as const] : [])),
);

/** Headings of the checks that findings make. */
export const findingNames = Object.fromEntries([...BY_CHECK].map(([check, words]) => [check, words.check])) as Record<
  SeenCheckId,
  string
>;

/** The sentence for a word that was seen, or for nobody having looked; null where the check is not a finding's. */
export function findingSentence(check: string, word: string | null): string | null {
  const words = BY_CHECK.get(check);
  if (!words) return null;
  if (word === null) return words.unseen ?? null;
  return (words.says as Readonly<Record<string, string>>)[word] ?? null;
}
