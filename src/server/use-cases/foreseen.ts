import { foreseeAt, lifeOf } from '../../core/life';
import type { Entry } from '../../core/sheet';
import { calendarDay } from '../../wording';
import type { Context } from '../context';
import { piecesOfSaws } from './gear/pieces';
import { shopAndRules } from './shop';

/** Digits of what is foreseen: no doubt of a forecast is finer. */
const DIGITS = 3;
const LEAST = 10 ** -DIGITS;

/**
 * What earlier jobs of a saw let foresee of the parts on it now, as first entries of the next job's sheet: with it the
 * sheet tells the same wherever it is read, whatever becomes of the records.
 */
export async function foreseenEntries(context: Context, sawId: string): Promise<readonly Entry[]> {
  const { shop, rules } = await shopAndRules(context);
  const { pieces } = await piecesOfSaws(context, [sawId], rules);
  const now = context.now().toISOString();
  // Which of the chains that go in turn comes with a job, nobody knows before it is looked at.
  const on = pieces.filter(({ saw, ended, turns }) => saw === sawId && ended === null && turns === 1);
  const foreseen = on.flatMap((piece) => foreseeAt(lifeOf(piece, rules.limits), now));
  return foreseen.flatMap(({ wear, value, u, where, tag, at }, i) =>
    Object.entries({
      of: wear,
      value: Math.max(0, value).toFixed(DIGITS),
      doubt: Math.max(LEAST, u).toFixed(DIGITS),
      ...(where ? { edge: where.edge, at: where.at.toFixed(0) } : {}),
      seen: tag,
      on: calendarDay(new Date(at), shop.timeZone),
    }).map(([name, text]): Entry => ({ path: `saw.foreseen.${i}.${name}`, text, unit: 'mm' })),
  );
}
