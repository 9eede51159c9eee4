import { flatMap } from '../flat-map';
import type { Limits } from '../limits';
import { costOfWork, renewalCost } from '../plan';
import { PARTS, type Part } from '../reading';
import { CLEANING, FILING, SERVICE, type Operation } from '../sheet';
import type { VisitFacts } from './visit';

/** What mending parts kept in customers' pockets: a new part and its fitting, less the work. */
export interface KeptMoney {
  readonly part: Part;
  /** How often such a part was mended and stayed. */
  readonly times: number;
  /** Smallest units of the currency; below 0 where the work was dearer than a new part. */
  readonly cents: number;
}

/** Whether work makes a part good again: what cleans or files, and what is done at every service, does not. */
const mends = (operation: Operation): boolean => ![...CLEANING, ...SERVICE, ...FILING].includes(operation);

/** Whether a part was mended and stayed. Work on a nose keeps its bar: a nose is greased or renewed. */
export const isSaved = ({ worked, renewed }: VisitFacts, part: Part): boolean =>
  part !== 'nose' && !renewed.includes(part) && (worked[part]?.some(mends) ?? false);

/**
 * What was kept by mending parts in place of renewing them, by the figures in force: what a new one costs and its
 * fitting, less the minutes of the work and what it uses up.
 * @param visits of jobs that went
 */
export const keptMoney = (visits: readonly VisitFacts[], limits: Limits): readonly KeptMoney[] =>
  flatMap(PARTS, (part) => {
    const saved = visits.filter((visit) => isSaved(visit, part));
    const cents = saved.reduce(
      (sum, { worked }) => sum + renewalCost(part, null, limits) - costOfWork(worked[part]!, limits),
      0,
    );
    return saved.length === 0 ? [] : [{ part, times: saved.length, cents }];
  });
