import type { Study } from '../hand';
import type { LearnedCode } from '../identify';
import { DEFAULTS, type Limits } from '../limits';
import { DEFAULT_SCHOOLS, type Schools } from '../schools';

/** All that a judgement is made with beside the sheet, as one shop has it. */
export interface Rules {
  /** Limits, and the rates that plans are reckoned with. */
  readonly limits: Limits;
  /** Drive-link codes the shop has learned. */
  readonly codes: readonly LearnedCode[];
  /** Schools the shop follows where practitioners disagree. */
  readonly schools: Schools;
  /** Studies of hands and tools: readings of these hands carry their own figures. */
  readonly studies: readonly Study[];
}

/** The rules of nobody in particular: what the command line judges by. */
export const DEFAULT_RULES: Rules = { limits: DEFAULTS, codes: [], schools: DEFAULT_SCHOOLS, studies: [] };
