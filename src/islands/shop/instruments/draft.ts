import type { InstrumentId } from '../../../core/quantity';

/** A study that is being made: everything as typed. */
export interface StudyDraft {
  readonly instrument: InstrumentId;
  readonly known: string;
  readonly knownDoubt: string;
  readonly note: string;
  readonly takes: readonly { readonly text: string }[];
}

/** Takes that a study begins with room for. */
export const TAKES_AT_FIRST = 10;

export const noTakes = (count = TAKES_AT_FIRST): StudyDraft['takes'] =>
  Array.from({ length: count }, () => ({ text: '' }));

export const EMPTY_DRAFT: StudyDraft = {
  instrument: 'caliper',
  known: '',
  knownDoubt: '',
  note: '',
  takes: noTakes(),
};

const KEPT_AT = 'serrata:study';

/** What was typed before the page was left; empty where there is nothing, or nothing that can be read. */
export function keptDraft(): StudyDraft {
  try {
    const kept = JSON.parse(window.localStorage.getItem(KEPT_AT) ?? 'null') as StudyDraft | null;
    return kept && Array.isArray(kept.takes) ? { ...EMPTY_DRAFT, ...kept } : EMPTY_DRAFT;
  } catch {
    return EMPTY_DRAFT;
  }
}

/** Keeps what is typed through a reload; null forgets it. Where the browser keeps nothing, the page still works. */
export function keepDraft(draft: StudyDraft | null): void {
  try {
    if (draft) window.localStorage.setItem(KEPT_AT, JSON.stringify(draft));
    else window.localStorage.removeItem(KEPT_AT);
  } catch {
    // A browser that keeps nothing is no reason to stop.
  }
}
