import { assess, type Appraisal } from '../../../core/assess';
import { stepStates, type StepState } from '../../../core/workflow';
import { sheetFromEntries, type EnteredSheet } from '../../../core/sheet';
import type { JobView } from '../../../contract';
import type { Snapshot } from './job-store';

/** What the readings on this screen mean. */
export interface Meaning {
  readonly entered: Omit<EnteredSheet, 'written'>;
  readonly appraisal: Appraisal;
  readonly steps: readonly StepState[];
}

/** Reads what was typed, entered or not, as a sheet and assesses it. */
export function meaningOf(
  { standing, drafts }: Pick<Snapshot, 'standing' | 'drafts'>,
  { limits, codes, schools }: Pick<JobView, 'limits' | 'codes' | 'schools'>,
  signedOff: boolean,
): Meaning {
  const { sheet, refused, stationKeys } = sheetFromEntries([...standing.values(), ...drafts.values()]);
  const appraisal = assess(sheet, limits, codes, schools);
  return { entered: { sheet, refused, stationKeys }, appraisal, steps: stepStates(sheet, appraisal, signedOff) };
}
