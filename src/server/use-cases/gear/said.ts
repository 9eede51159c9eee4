import { namedBy } from '../../../core/life';
import { PARTS } from '../../../core/reading';
import {
  findSaw,
  saidOfGear,
  saidOfModels,
  sawLists,
  sawsById,
  sawsOfCustomer,
  tagsOfJobs,
  type SaidOf,
  type SaidRecord,
} from '../../../data/repositories';
import type { Queryable } from '../../../data/store';
import type { GearSaidView, SawName } from '../../../contract';
import type { Context } from '../../context';
import { notFound } from '../../refusal';
import { me } from '../people/me';

/** Of what was said so much is told; all of it is in the records. */
const MOST_SAID = 40;
/** Saws that are offered to choose from. */
const MOST_OTHERS = 500;

/** The part and the job that something is said of. */
function toldOf({ piece, said }: SaidRecord) {
  const told = (said ?? {}) as { readonly part?: string; readonly jobId?: string };
  const named = piece === null ? null : namedBy(piece);
  return { part: PARTS.find((each) => each === told.part) ?? named?.part ?? null, jobId: told.jobId ?? null };
}

/**
 * What was said of a customer, a saw or a piece, with the names of the saws and jobs that it speaks of: the shop's own
 * talk, which no reader hears.
 */
export async function saidView(db: Queryable, of: SaidOf): Promise<readonly GearSaidView[]> {
  if (me()?.role === 'reader') return [];
  return named(db, await saidOfGear(db, of, MOST_SAID));
}

/** Lists of saws that are told of where they were taken in. */
const MOST_LISTS = 3;

/** Lists of saws that were taken in lately. */
export const listsView = async (db: Queryable): Promise<readonly GearSaidView[]> =>
  named(db, await sawLists(db, MOST_LISTS));

/** What was said of models lately. */
export const modelsSaidView = async (db: Queryable): Promise<readonly GearSaidView[]> =>
  named(db, await saidOfModels(db, MOST_SAID));

async function named(db: Queryable, records: readonly SaidRecord[]): Promise<readonly GearSaidView[]> {
  const ids = records.flatMap(({ sawId, otherSawId }) => [sawId, otherSawId].filter((id) => id !== null));
  const [found, tags] = await Promise.all([
    sawsById(db, [...new Set(ids)]),
    tagsOfJobs(
      db,
      records.flatMap((record) => toldOf(record).jobId ?? []),
    ),
  ]);
  const saws = new Map(found.map(({ saw }) => [saw.id, sawName(saw)]));
  return records.map((record): GearSaidView => {
    const { id, what, sawId, otherSawId, said, before, at, by, undone } = record;
    const { part, jobId } = toldOf(record);
    const tag = tags.get(jobId ?? '');
    return {
      ...{ id, what, part, said, before, at, by, undone },
      job: jobId !== null && tag !== undefined ? { id: jobId, tag } : null,
      saw: saws.get(sawId ?? '') ?? null,
      other: saws.get(otherSawId ?? '') ?? null,
    };
  });
}

const sawName = ({ id, label, tag }: SawName): SawName => ({ id, label, tag });

/** The other saws of the customer of one, in use: those that it may be one with, or that its pieces may go over to. */
export async function otherSawsOf({ store: { db } }: Context, sawId: string): Promise<readonly SawName[]> {
  const saw = await findSaw(db, sawId);
  if (!saw) throw notFound('saw');
  const saws = await sawsOfCustomer(db, saw.customerId, { limit: MOST_OTHERS, offset: 0 });
  return saws.filter(({ id, retiredAt }) => id !== saw.id && retiredAt === null).map(sawName);
}
