import { and, asc, eq, isNull, lt, sql } from 'drizzle-orm';
import { photo } from '../schema';
import type { Queryable, Transaction } from '../store';
import { builtOnce } from './built-once';

export type PhotoRecord = Omit<typeof photo.$inferSelect, 'takenAwayAt'>;

const about = {
  id: photo.id,
  jobId: photo.jobId,
  type: photo.type,
  width: photo.width,
  height: photo.height,
  at: photo.at,
  by: photo.by,
};

/**
 * Pictures of a job that were not taken away, without their bytes, in the order in which they were stored, whatever the
 * clock said.
 */
export const photosOf = (db: Queryable, jobId: string): Promise<readonly Omit<PhotoRecord, 'bytes'>[]> =>
  photosOfJob(db).execute({ jobId });

const photosOfJob = builtOnce((db) =>
  db
    .select(about)
    .from(photo)
    .where(and(eq(photo.jobId, sql.placeholder('jobId')), isNull(photo.takenAwayAt)))
    .orderBy(asc(sql`rowid`))
    .prepare(),
);

export async function findPhoto(db: Queryable, id: string): Promise<Pick<PhotoRecord, 'type' | 'bytes'> | null> {
  const [row] = await db
    .select({ type: photo.type, bytes: photo.bytes })
    .from(photo)
    .where(and(eq(photo.id, id), isNull(photo.takenAwayAt)))
    .limit(1);
  return row ?? null;
}

export async function addPhoto(tx: Transaction, record: PhotoRecord): Promise<void> {
  await tx.insert(photo).values(record);
}

/**
 * Lets the bytes go of pictures that were taken away before a moment; that they were there stays written down. @returns
 * how many
 */
export async function letPhotosGo(tx: Transaction, takenAwayBefore: string): Promise<number> {
  const gone = await tx
    .update(photo)
    .set({ bytes: Buffer.alloc(0) })
    .where(and(lt(photo.takenAwayAt, takenAwayBefore), sql`length(${photo.bytes}) > 0`))
    .returning({ id: photo.id });
  return gone.length;
}

/** The job that a picture is of, whether or not it was taken away; null where no picture is called so. */
export async function jobOfPhoto(db: Queryable, id: string): Promise<string | null> {
  const [row] = await db.select({ jobId: photo.jobId }).from(photo).where(eq(photo.id, id)).limit(1);
  return row?.jobId ?? null;
}

/** Hides a picture; its bytes stay for a while. */
export async function takeAwayPhoto(tx: Transaction, jobId: string, id: string, at: string): Promise<void> {
  await tx
    .update(photo)
    .set({ takenAwayAt: at })
    .where(and(eq(photo.id, id), eq(photo.jobId, jobId)));
}
