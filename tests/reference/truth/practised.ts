import { appraise, DEFAULT_RULES } from '../../../src/core/assess';
import { answer, everything, LEVELS, makeTruth, PRACTICE_PARTS, type Level } from '../../../src/core/practice';
import { sheetFromEntries, type EntryBy } from '../../../src/core/sheet';

/** How the judgement did on sets that are made for practice, every reading taken once with its usual tool. */
export interface Practised {
  /** Of all parts those that were judged as they were made. */
  readonly verdicts: number;
  /** Of all causes of complaints those among the three in front. */
  readonly causes: number;
  /** What was judged otherwise, to be looked at. */
  readonly otherwise: readonly string[];
}

const THEMES = ['any', 'two-at-once'] as const;

/** Judges sets of so many seeds, each level and theme in turn. */
export function practised(runs: number): Practised {
  const levels = Object.keys(LEVELS) as Level[];
  const otherwise: string[] = [];
  let [parts, right, causes, inThree] = [0, 0, 0, 0];
  for (let seed = 0; seed < runs; seed += 1) {
    const recipe = {
      seed,
      level: levels[seed % levels.length]!,
      theme: THEMES[Math.floor(seed / levels.length) % THEMES.length]!,
    };
    const truth = makeTruth(recipe);
    const said = { unit: 'mm', at: '', by: '' } as const;
    const entries: EntryBy[] = everything(truth).map((ask) => ({ ...answer(truth, ask)!, by: '' }));
    const told = truth.complaint === null ? [] : [{ ...said, path: 'job.symptoms', text: truth.complaint }];
    const { sheet } = sheetFromEntries([...entries, ...told], []);
    const { verdicts, diagnoses } = appraise(sheet, DEFAULT_RULES, null);
    for (const part of PRACTICE_PARTS) {
      const { action } = verdicts[part];
      parts += 1;
      if ((truth.actions[part] as readonly string[]).includes(action)) right += 1;
      else otherwise.push(`${seed} ${recipe.level} ${truth.faults.join('+')}: ${part} ${action}`);
    }
    const front = diagnoses.find(({ symptom }) => symptom === truth.complaint)?.causes.slice(0, 3) ?? [];
    for (const cause of truth.causes) {
      causes += 1;
      if (front.some((each) => each.cause === cause)) inThree += 1;
      else otherwise.push(`${seed} ${recipe.level} ${truth.faults.join('+')}: ${truth.complaint}, not ${cause}`);
    }
  }
  return { verdicts: right / parts, causes: inThree / causes, otherwise };
}
