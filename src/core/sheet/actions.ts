import {
  BAR_OPERATIONS,
  BAR_WORK,
  CHAIN_OPERATIONS,
  CHAIN_WORK,
  SPROCKET_OPERATIONS,
  SPROCKET_WORK,
} from '../declared';
import type { Work } from '../reading';

/** What to do with a part. */
export const ACTIONS = ['keep', 'clean', 'recondition', 'replace', 'undecided'] as const;
export type Action = (typeof ACTIONS)[number];

/** Named work on a part, in working order: clean before judging, level before deburring. */
export const OPERATIONS = [...BAR_OPERATIONS, ...CHAIN_OPERATIONS, ...SPROCKET_OPERATIONS] as const;
export type Operation = (typeof OPERATIONS)[number];

const WORK: Readonly<Record<Operation, Work>> = { ...BAR_WORK, ...CHAIN_WORK, ...SPROCKET_WORK };
const workThat = (is: keyof Work): readonly Operation[] => OPERATIONS.filter((operation) => WORK[operation][is]);

/** Work that is only cleaning: with nothing else to do the verdict is `clean`. */
export const CLEANING = workThat('cleans');

/** Work that shows by itself that it is done; all other work is done when its reading says so. */
export const SEEN_TO_BE_DONE = workThat('shows');

/** Work that is done at every service and tells nothing of the part. */
export const SERVICE = workThat('service');

/** Work that takes metal: only a second measurement tells what is left. */
export const MEASURED_AGAIN = workThat('metal');

/** Work that keeps a chain sharp and nothing else. */
export const FILING = workThat('files');
