import type { Action } from '../sheet';
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

/** How sure the verdict on a part is. */
export function doubtOf(factors: readonly Factor[], action: Action): PartDoubt {
  const shares = sharesOf(factors);
  return { shares, wrong: wrongOf(shares, action) };
}
