import { entryPlace, type EntryProblem } from '../../../core/sheet';
import { entryProblem } from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { UNNAMED } from '../../frame/preferences';
import { useJob } from './JobContext';
import type { Standing } from './job-store';

/** One place of the sheet as a field needs it. */
export interface Field {
  readonly path: string;
  /** As typed; a bare number typed under the other unit carries that unit. */
  readonly text: string;
  /** Why the entry is refused; null while it is being typed or when it is right. */
  readonly refused: string | null;
  readonly conflict: Standing['conflict'];
  readonly type: (text: string) => void;
  readonly enter: () => void;
  /** Types and enters in one go. */
  readonly set: (text: string) => void;
  readonly resolve: (keep: 'theirs' | 'ours') => void;
}

/** Shows a bare number typed under the other unit with that unit, so that it cannot be misread. */
function shownText(standing: Standing | undefined, unit: 'mm' | 'in', isLength: boolean): string {
  if (!standing) return '';
  const bare = /^[\d.,\s;]+$/.test(standing.text.trim()) && standing.text.trim() !== '';
  return isLength && bare && standing.unit !== unit ? `${standing.text} ${standing.unit}` : standing.text;
}

/** Connects a field with its place of the sheet. */
export function useField(path: string): Field {
  const { store, snapshot, entered } = useJob();
  const { unit, who: named } = useFrame();
  const who = named || UNNAMED;
  const draft = snapshot.drafts.get(path);
  const standing = snapshot.standing.get(path);
  const isLength = entryPlace(path)?.field.kind === 'quantity';
  const problem: EntryProblem | undefined = draft
    ? undefined
    : entered.refused.find((refused) => refused.path === path)?.problem;
  return {
    path,
    text: draft?.text ?? shownText(standing, unit, isLength),
    refused: problem ? entryProblem(problem, unit) : null,
    conflict: standing?.conflict ?? null,
    type: (text) => store.type(path, text, unit),
    enter: () => store.enter(path, who),
    set: (text) => store.set(path, text, unit, who),
    resolve: (keep) => store.resolve(path, keep, who),
  };
}
