import { useMemo } from 'react';
import type { InstrumentId } from '../../../core/quantity';
import { sheetFromEntries, type Entry, type EntryProblem, type ReadingPath } from '../../../core/sheet';
import { entryProblem, UNNAMED } from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { lengthAt, nextTool, takeTool, toolFor, useToolsInHand } from '../tools/tool-in-hand';
import { useJob, useJobStore, useOfStore } from './JobContext';
import type { Snapshot, Standing } from './job-store';
import type { Meaning } from './meaning';

/** What stands at one place of the sheet, as a field shows it. */
export interface FieldState {
  readonly path: string;
  /** As typed; a bare number typed under the other unit carries that unit. */
  readonly text: string;
  /** Why the entry is refused; null while it is being typed or when it is right. */
  readonly refused: string | null;
  readonly conflict: Standing['conflict'];
  /** What stands there was measured with, where it is not the usual tool. */
  readonly tool: InstrumentId | null;
}

/** What can be done to any place of the sheet. */
export interface FieldActions {
  /** @param tool where the reading comes from a tool of its own, as the caliper's does; else the tool in hand */
  readonly type: (path: string, text: string, tool?: InstrumentId) => void;
  readonly enter: (path: string) => void;
  /** Whether what stands at a place at this moment can be used; an empty place can. */
  readonly isRight: (path: string) => boolean;
  /** Takes the next tool in hand for a place's kind of reading, and for what stands there; false where no length is. */
  readonly cycleTool: (path: string) => boolean;
  /** Says what a reading that stands was measured with; null for the usual tool. */
  readonly setTool: (path: string, tool: InstrumentId | null) => void;
  /** Types and enters in one go. */
  readonly set: (path: string, text: string) => void;
  readonly resolve: (path: string, keep: 'theirs' | 'ours') => void;
}

/** One place of the sheet as a field needs it. */
export interface Field extends FieldState {
  readonly type: (text: string, tool?: InstrumentId) => void;
  readonly enter: () => void;
  /** Whether what stands here at this moment can be used; an empty place can. */
  readonly isRight: () => boolean;
  /** Takes the next tool in hand, for this kind of reading and for what stands here; false where no length is. */
  readonly cycleTool: () => boolean;
  readonly set: (text: string) => void;
  readonly resolve: (keep: 'theirs' | 'ours') => void;
}

/** Bare numbers, or one number with its unit: of several the unit of the last says nothing of the others. */
const NUMBER = /^(?:([\d.,\s;]*\d)|([\d.,]*\d)\s*(mm|in))$/;

/**
 * Shows a length like its neighbours: without the unit of the screen, which stands beside the field, and with the other
 * one, so that it cannot be misread, whether it was typed or not. What is no number stands as it was typed.
 */
function shownText(standing: Standing | undefined, unit: 'mm' | 'in', isLength: boolean): string {
  if (!standing) return '';
  const [, bare, measured, typed] = (isLength && NUMBER.exec(standing.text.trim())) || [];
  const number = bare ?? measured;
  if (number === undefined) return standing.text;
  const own = typed ?? standing.unit;
  return own === unit ? number : `${number} ${own}`;
}

/** What a place of the sheet holds. */
interface Held {
  readonly there: Standing | undefined;
  readonly draft: Entry | undefined;
}

/** What a place holds in one picture of the job. */
export const heldAt = (path: string, { standing, drafts }: Pick<Snapshot, 'standing' | 'drafts'>): Held => ({
  there: standing.get(path),
  draft: drafts.get(path),
});

/** Finds what a field shows. */
export function fieldState(
  path: string,
  { there, draft }: Held,
  { refused }: Pick<Meaning['entered'], 'refused'>,
  unit: 'mm' | 'in',
): FieldState {
  const isLength = lengthAt(path) !== null;
  const problem: EntryProblem | undefined = refused.find((each) => each.path === path)?.problem;
  return {
    path,
    // What is refused stands as it was typed: its reason speaks of it.
    text: draft?.text ?? (problem ? (there?.text ?? '') : shownText(there, unit, isLength)),
    refused: problem && !draft ? entryProblem(problem, unit) : null,
    conflict: there?.conflict ?? null,
    tool: (draft ?? there)?.instrument ?? null,
  };
}

/** A tool as it is stored: nothing for the usual one of the place. */
const ownTool = (path: string, tool: InstrumentId): InstrumentId | null =>
  lengthAt(path)?.usual === tool ? null : tool;

/** The acts on fields, in the unit of the screen and the name of who is at the bench. */
export function useFieldActions(): FieldActions {
  const store = useJobStore();
  const { unit, who: named } = useFrame();
  const who = named || UNNAMED;
  const tools = useToolsInHand();
  return useMemo(
    () => ({
      type: (path, text, tool) => store.type(path, text, unit, tool ? ownTool(path, tool) : toolFor(path, tools)),
      enter: (path) => store.enter(path, who),
      isRight: (path) => {
        const { drafts, standing } = store.getSnapshot();
        const there = drafts.get(path) ?? standing.get(path);
        return !there || sheetFromEntries([there]).refused.length === 0;
      },
      setTool: (path, tool) => store.setTool(path, tool, who),
      cycleTool: (path) => {
        const length = lengthAt(path);
        if (!length) return false;
        const { drafts, standing } = store.getSnapshot();
        const own = (drafts.get(path) ?? standing.get(path))?.instrument;
        const taken = nextTool(length.tools, own ?? tools[length.kind] ?? length.usual);
        takeTool(length.kind, taken);
        store.setTool(path, ownTool(path, taken), who);
        return true;
      },
      set: (path, text) => store.set(path, text, unit, who),
      resolve: (path, keep) => store.resolve(path, keep, who),
    }),
    [store, unit, who, tools],
  );
}

/** Connects a field with its place of the sheet. */
export function useField(path: ReadingPath): Field {
  const { entered } = useJob();
  const { unit } = useFrame();
  const there = useOfStore(({ standing }) => standing.get(path));
  const draft = useOfStore(({ drafts }) => drafts.get(path));
  const { type, enter, isRight, set, resolve, cycleTool } = useFieldActions();
  return {
    ...fieldState(path, { there, draft }, entered, unit),
    type: (text, tool) => type(path, text, tool),
    enter: () => enter(path),
    isRight: () => isRight(path),
    cycleTool: () => cycleTool(path),
    set: (text) => set(path, text),
    resolve: (keep) => resolve(path, keep),
  };
}
