import { createHash } from 'node:crypto';
import {
  findJob,
  lastHandOver,
  lastReading,
  movementsFor,
  ordersFor,
  partsBySku,
  shopStanding,
  signOffsOf,
} from '../../data/repositories';
import type { Queryable } from '../../data/store';
import { rulesMark, rulesOf, factsOf } from './shop';

/**
 * Names all that a hand-over rests on: the job and whose it is, its readings, the sign-off with its plan, parts taken
 * and ordered with their prices, the rules, and what the shop says of itself. Two are alike only where none of it has
 * moved.
 */
export async function revisionOf(db: Queryable, jobId: string): Promise<string> {
  const [job, readings, [signed], movements, orders, standing, given] = await Promise.all([
    findJob(db, jobId),
    lastReading(db, jobId),
    signOffsOf(db, jobId),
    movementsFor(db, jobId),
    ordersFor(db, jobId),
    shopStanding(db),
    lastHandOver(db, jobId),
  ]);
  const skus = [...new Set([...movements, ...orders].map(({ sku }) => sku))];
  const parts = (await partsBySku(db, skus)).map(({ sku, name, priceCents }) => [sku, name, priceCents]);
  const shop = factsOf(standing);
  const { id, tag, state, promisedFor, customer, saw } = job!;
  return createHash('sha256')
    .update(
      JSON.stringify([
        { id, tag, state, promisedFor, customer, saw },
        readings,
        signed?.id,
        movements.map((movement) => movement.id),
        orders.map(({ id: order, events }) => [order, events.length]),
        parts,
        rulesMark(rulesOf(standing)),
        shop,
        given?.id,
      ]),
    )
    .digest('base64url');
}
