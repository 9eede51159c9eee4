import { useMemo } from 'react';
import { entryPlace, type EntryProblem } from '../../../core/sheet';
import { entryProblem } from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { UNNAMED } from '../../frame/preferences';
import { useJob, useJobStore } from './JobContext';
import type { Snapshot, Standing } from './job-store';
import type { Meaning } from './meaning';

/** What stands at one place of the sheet, as a field shows it. */
export interface FieldState {
  readonly path: string;
  /** As typed; a bare number typed under the other unit carries that unit. */
  readonly text: string;
  /** Why the entry is refused; null while it is being typed or when it is right. */
  readonly refused: string | null;
  /** True when what stands there now, even half typed, cannot be used. */
  readonly wrong: boolean;
  readonly conflict: Standing['conflict'];
}

/** What can be done to any place of the sheet. */
export interface FieldActions {
  readonly type: (path: string, text: string) => void;
  readonly enter: (path: string) => void;
  /** Types and enters in one go. */
  readonly set: (path: string, text: string) => void;
  readonly resolve: (path: string, keep: 'theirs' | 'ours') => void;
}

/** One place of the sheet as a field needs it. */
export interface Field extends FieldState {
  readonly type: (text: string) => void;
  readonly enter: () => void;
  readonly set: (text: string) => void;
  readonly resolve: (keep: 'theirs' | 'ours') => void;
}

/** Shows a bare number typed under the other unit with that unit, so that it cannot be misread. */
function shownText(standing: Standing | undefined, unit: 'mm' | 'in', isLength: boolean): string {
  if (!standing) return '';
  const bare = /^[\d.,\s;]+$/.test(standing.text.trim()) && standing.text.trim() !== '';
  return isLength && bare && standing.unit !== unit ? `${standing.text} ${standing.unit}` : standing.text;
}

/** Finds what a field shows. */
export function fieldState(
  path: string,
  { standing, drafts }: Pick<Snapshot, 'standing' | 'drafts'>,
  { refused }: Pick<Meaning['entered'], 'refused'>,
  unit: 'mm' | 'in',
): FieldState {
  const draft = drafts.get(path);
  const there = standing.get(path);
  const isLength = entryPlace(path)?.field.kind === 'quantity';
  const problem: EntryProblem | undefined = refused.find((each) => each.path === path)?.problem;
  return {
    path,
    text: draft?.text ?? shownText(there, unit, isLength),
    refused: problem && !draft ? entryProblem(problem, unit) : null,
    wrong: problem !== undefined,
    conflict: there?.conflict ?? null,
  };
}

/** The acts on fields, in the unit of the screen and the name of who is at the bench. */
export function useFieldActions(): FieldActions {
  const store = useJobStore();
  const { unit, who: named } = useFrame();
  const who = named || UNNAMED;
  return useMemo(
    () => ({
      type: (path, text) => store.type(path, text, unit),
      enter: (path) => store.enter(path, who),
      set: (path, text) => store.set(path, text, unit, who),
      resolve: (path, keep) => store.resolve(path, keep, who),
    }),
    [store, unit, who],
  );
}

/** Connects a field with its place of the sheet. */
export function useField(path: string): Field {
  const { snapshot, entered } = useJob();
  const { unit } = useFrame();
  const { type, enter, set, resolve } = useFieldActions();
  return {
    ...fieldState(path, snapshot, entered, unit),
    type: (text) => type(path, text),
    enter: () => enter(path),
    set: (text) => set(path, text),
    resolve: (keep) => resolve(path, keep),
  };
}
