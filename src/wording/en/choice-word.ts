/** One word to choose, as it is stored and as it is said. */
export interface ChoiceWord {
  readonly value: string;
  readonly label: string;
}

/** Words to choose from in the order they are written, for screens that do without the sheet itself. */
export const choiceWords = (words: Readonly<Record<string, string>>): readonly ChoiceWord[] =>
  Object.entries(words).map(([value, label]) => ({ value, label }));
