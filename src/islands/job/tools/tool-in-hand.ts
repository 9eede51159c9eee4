import { useSyncExternalStore } from 'react';
import {
  FIELD_KINDS,
  INSTRUMENT_IDS,
  toolsAt,
  type FieldKind,
  type FieldSpec,
  type InstrumentId,
} from '../../../core/quantity';
import { readingAt } from '../../../core/sheet';

/** The tool in hand for each kind of reading; what is not named is measured with the usual one. */
export type ToolsInHand = Readonly<Partial<Record<FieldKind, InstrumentId>>>;

const KEY = 'serrata:tools';
const USUAL: ToolsInHand = {};

/** What this device remembers; anything that is no tool of its kind is left out. */
export function toolsFrom(text: string | null): ToolsInHand {
  let given: unknown;
  try {
    given = JSON.parse(text ?? '{}');
  } catch {
    return USUAL;
  }
  if (typeof given !== 'object' || given === null) return USUAL;
  const kinds = Object.keys(FIELD_KINDS) as FieldKind[];
  return Object.fromEntries(
    Object.entries(given).filter(
      ([kind, tool]) => kinds.some((each) => each === kind) && INSTRUMENT_IDS.some((each) => each === tool),
    ),
  ) as ToolsInHand;
}

let held: ToolsInHand | null = null;
const listeners = new Set<() => void>();

const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

function now(): ToolsInHand {
  try {
    held ??= toolsFrom(window.localStorage.getItem(KEY));
  } catch {
    held ??= USUAL;
  }
  return held;
}

/** Takes a tool in hand for a kind of reading. It stays there until another is taken. */
export function takeTool(kind: FieldKind, tool: InstrumentId): void {
  held = { ...now(), [kind]: tool };
  try {
    window.localStorage.setItem(KEY, JSON.stringify(held));
  } catch {
    // A browser that keeps nothing holds it until the page is left.
  }
  for (const listener of listeners) listener();
}

/** The tools in hand on this device. */
export function useToolsInHand(): ToolsInHand {
  return useSyncExternalStore(subscribe, now, () => USUAL);
}

/** The length that stands at a place of the sheet; null for anything else. */
export function lengthAt(path: string): {
  readonly spec: FieldSpec;
  readonly kind: FieldKind;
  readonly usual: InstrumentId;
  readonly tools: readonly InstrumentId[];
} | null {
  const reading = readingAt(path);
  if (reading?.kind.kind !== 'length') return null;
  const { spec } = reading.kind;
  return { spec, kind: spec.kind, usual: spec.instrument, tools: toolsAt(spec.kind, reading.id) };
}

/** The tool that a reading typed at a place is stored with: null where it is the usual one. */
export function toolFor(path: string, tools: ToolsInHand): InstrumentId | null {
  const length = lengthAt(path);
  if (!length) return null;
  const tool = tools[length.kind] ?? length.usual;
  return tool === length.usual ? null : tool;
}

/** The next of the tools that are offered, round and round. */
export const nextTool = (tools: readonly InstrumentId[], tool: InstrumentId): InstrumentId =>
  tools[(tools.indexOf(tool) + 1) % tools.length]!;

/** The key that takes the next tool in hand, while the caret stands in a length. */
export const TOOL_KEY = 'F8';
