import { createEmptyCard, fsrs, Rating, type Card } from 'ts-fsrs';
import { FAULT_IDS, type FaultId } from '../../core/practice';
import type { RoundRecord } from '../../data/repositories';
import type { SkillView } from '../../contract';

/** When something comes again: what was missed sooner, what was found later and later. Nothing of it is left to chance. */
const scheduler = fsrs({ enable_fuzz: false });

/** What somebody made of one fault, over all rounds that had it. */
interface Kept {
  readonly met: number;
  readonly found: number;
  readonly card: Card;
}

/** Goes through answered rounds, the oldest first. */
function keptOf(answered: readonly RoundRecord[]): ReadonlyMap<FaultId, Kept> {
  const kept = new Map<FaultId, Kept>();
  for (const round of answered) {
    if (!round.score) continue;
    const at = new Date(round.answeredAt!);
    const { found, missed } = round.score.faults;
    for (const fault of [...found, ...missed]) {
      const before = kept.get(fault) ?? { met: 0, found: 0, card: createEmptyCard(at) };
      const isFound = found.includes(fault);
      const { card } = scheduler.next(before.card, at, isFound ? Rating.Good : Rating.Again);
      kept.set(fault, { met: before.met + 1, found: before.found + Number(isFound), card });
    }
  }
  return kept;
}

/** How somebody does with each fault. */
export function skillsOf(answered: readonly RoundRecord[], now: Date): readonly SkillView[] {
  const kept = keptOf(answered);
  return FAULT_IDS.map((fault) => {
    const one = kept.get(fault);
    if (!one) return { fault, met: 0, found: 0, due: null, isDue: false };
    const { met, found, card } = one;
    return { fault, met, found, due: card.due.toISOString(), isDue: card.due <= now };
  });
}

/** The fault that is to come next: of those that are due the longest, else one that was never met; null where none is. */
export function dueNext(skills: readonly SkillView[]): FaultId | null {
  const due = skills.filter(({ isDue }) => isDue).toSorted((one, other) => one.due!.localeCompare(other.due!));
  return (due[0] ?? skills.find(({ met }) => met === 0))?.fault ?? null;
}
