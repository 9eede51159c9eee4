import type { Action } from '../../core/sheet';

/** What a drive sprocket in this state does to a chain. */
const AND_CHAIN: Record<Action, string> = {
  keep: 'It can take a new chain.',
  clean: 'It can take a new chain once it is clean.',
  recondition: 'It can take a new chain once the work on it is done.',
  replace:
    'A new chain on it would be ruined: the worn grooves take its drive links out of pitch, it jumps and cuts slowly. Another sprocket goes on with the chain.',
  undecided:
    'A worn sprocket ruins the next chain’s drive links: measure it, or compare it by eye, before one goes on.',
};

export const sprocketAndChain = (action: Action): string => AND_CHAIN[action];

/** Cautions of putting another drive sprocket on. */
export const REPLACE_CAUTIONS: readonly string[] = [
  'Battery out, or spark lead off, and the chain brake released: the drum does not come off under a set brake.',
  'The same pitch on all three wheels. The saw maker’s approved combinations and torque come first.',
];
