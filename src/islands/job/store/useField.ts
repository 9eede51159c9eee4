import { useMemo } from 'react';
import type { InstrumentId } from '../../../core/quantity';
import type { EntryProblem, ReadingPath } from '../../../core/sheet';
import { entryProblem, UNNAMED } from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { lengthAt, nextTool, takeTool, toolFor, useToolsInHand } from '../tools/tool-in-hand';
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
  /** What stands there was measured with, where it is not the usual tool. */
  readonly tool: InstrumentId | null;
}

/** What can be done to any place of the sheet. */
export interface FieldActions {
  /** @param tool where the reading comes from a tool of its own, as the caliper's does; else the tool in hand */
  readonly type: (path: string, text: string, tool?: InstrumentId) => void;
  readonly enter: (path: string) => void;
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

/** Finds what a field shows. */
export function fieldState(
  path: string,
  { standing, drafts }: Pick<Snapshot, 'standing' | 'drafts'>,
  { refused }: Pick<Meaning['entered'], 'refused'>,
  unit: 'mm' | 'in',
): FieldState {
  const draft = drafts.get(path);
  const there = standing.get(path);
  const isLength = lengthAt(path) !== null;
  const problem: EntryProblem | undefined = refused.find((each) => each.path === path)?.problem;
  return {
    path,
    // What is refused stands as it was typed: its reason speaks of it.
    text: draft?.text ?? (problem ? (there?.text ?? '') : shownText(there, unit, isLength)),
    refused: problem && !draft ? entryProblem(problem, unit) : null,
    wrong: problem !== undefined,
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
  const { snapshot, entered } = useJob();
  const { unit } = useFrame();
  const { type, enter, set, resolve, cycleTool } = useFieldActions();
  return {
    ...fieldState(path, snapshot, entered, unit),
    type: (text, tool) => type(path, text, tool),
    enter: () => enter(path),
    cycleTool: () => cycleTool(path),
    set: (text) => set(path, text),
    resolve: (keep) => resolve(path, keep),
  };
}
