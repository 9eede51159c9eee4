import type { Askable, Action } from '../sheet';
import type { Factor } from './factors';

/** Verdicts that a part may turn out to deserve. */
export const DESERVED = ['keep', 'clean', 'recondition', 'replace'] as const;
export type Deserved = (typeof DESERVED)[number];
export type Shares = Readonly<Record<Deserved, number>>;

/** How sure a verdict is. */
export interface PartDoubt {
  /** Chance of each verdict that the part may deserve; they sum to 1. */
  readonly shares: Shares;
  /** Chance that the verdict shown is wrong; of an undecided one, that the likeliest is. */
  readonly wrong: number;
}

/** A reading with its share of what all of them would take off the chance of a wrong verdict. */
export interface Mover {
  readonly measure: Askable;
  readonly share: number;
}

/** Chance that all factors of one kind come out well: groups are independent, and within a group the worst decides. */
function allWell(factors: readonly Factor[], calls: Factor['calls']): number {
  const worst = new Map<string, number>();
  for (const { group, well, calls: own } of factors)
    if (own === calls) worst.set(group, Math.min(worst.get(group) ?? 1, well));
  return [...worst.values()].reduce((chance, well) => chance * well, 1);
}

/** Chance of each verdict, in closed form. */
export function sharesOf(factors: readonly Factor[]): Shares {
  const stays = allWell(factors, 'replace');
  const [noWork, noCleaning] = [allWell(factors, 'recondition'), allWell(factors, 'clean')];
  return {
    keep: stays * noWork * noCleaning,
    clean: stays * noWork * (1 - noCleaning),
    recondition: stays * (1 - noWork),
    replace: 1 - stays,
  };
}

/** Chance that a verdict is wrong; of an undecided one, that the likeliest is. */
export const wrongOf = (shares: Shares, action: Action): number =>
  Math.max(0, 1 - (action === 'undecided' ? Math.max(...Object.values(shares)) : shares[action]));

/** The same factors once it is known how those of a group come out. */
const known = (factors: readonly Factor[], group: string, isWell: boolean): readonly Factor[] =>
  factors.map((factor) => (factor.group === group ? { ...factor, well: isWell ? 1 : 0 } : factor));

/** Chance that the best verdict is wrong once a group's outcome is known, over how it may come out. */
function wrongOnceKnown(factors: readonly Factor[], group: string): number {
  const own = factors.filter((factor) => factor.group === group);
  const well = Math.min(...own.map((factor) => factor.well));
  const best = (isWell: boolean) => 1 - Math.max(...Object.values(sharesOf(known(factors, group, isWell))));
  return well * best(true) + (1 - well) * best(false);
}

/** How sure the verdict on a part is. */
export function doubtOf(factors: readonly Factor[], action: Action): PartDoubt {
  const shares = sharesOf(factors);
  return { shares, wrong: wrongOf(shares, action) };
}

/** Readings by how much knowing what they rest on would take off the chance of a wrong verdict, the most first. */
export function moversOf(factors: readonly Factor[]): readonly Mover[] {
  const guess = 1 - Math.max(...Object.values(sharesOf(factors)));
  const drops = [...new Set(factors.map(({ group }) => group))].flatMap((group) => {
    const measure = factors.find((factor) => factor.group === group)?.measure ?? null;
    const drop = guess - wrongOnceKnown(factors, group);
    return measure && drop > LEAST_DROP ? [{ measure, drop }] : [];
  });
  const all = drops.reduce((sum, { drop }) => sum + drop, 0);
  return drops.sort((a, b) => b.drop - a.drop).map(({ measure, drop }) => ({ measure, share: drop / all }));
}

/** A drop less than this is none. */
const LEAST_DROP = 1e-9;
