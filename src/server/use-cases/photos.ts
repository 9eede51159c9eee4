import { addPhoto, findPhoto, photosOf, takeAwayPhoto } from '../../data/repositories';
import type { PhotoView } from '../../contract';
import type { Context } from '../context';
import { notFound, Refusal } from '../refusal';
import { MAX_PHOTO_BYTES } from '../http/guard';
import { pictureHeader, type PictureHeader } from '../picture-header';
import { mustFindJob } from './jobs';

/** A job is documented by a handful of pictures. */
export const MOST_PHOTOS = 12;
/** Longest side taken, pixels. */
const MOST_PIXELS = 8000;

/** What the bytes really are, whatever the request called them. */
function look(bytes: Buffer): PictureHeader {
  const header = pictureHeader(bytes);
  if (!header) throw new Refusal(415, 'not-a-photo', 'This is no PNG or JPEG picture.');
  if (Math.max(header.width, header.height) > MOST_PIXELS)
    throw new Refusal(413, 'too-large', `The picture is more than ${MOST_PIXELS} pixels on a side.`);
  return header;
}

const views = async (context: Context, jobId: string): Promise<readonly PhotoView[]> =>
  (await photosOf(context.store.db, jobId)).map(({ jobId: _jobId, ...about }) => about);

/** Stores a photograph with its job. */
export async function storePhoto(
  context: Context,
  jobId: string,
  by: string,
  sent: ArrayBuffer,
): Promise<readonly PhotoView[]> {
  await mustFindJob(context, jobId);
  const bytes = Buffer.from(sent);
  if (bytes.length > MAX_PHOTO_BYTES)
    throw new Refusal(413, 'too-large', `The picture is larger than ${MAX_PHOTO_BYTES / 1e6} MB.`);
  const about = look(bytes);
  await context.store.write(async (tx) => {
    if ((await photosOf(tx, jobId)).length >= MOST_PHOTOS)
      throw new Refusal(409, 'too-many', `A job keeps ${MOST_PHOTOS} pictures: take one away first.`);
    await addPhoto(tx, { id: context.newId(), jobId, ...about, bytes, at: context.now().toISOString(), by });
  });
  return views(context, jobId);
}

/** Takes a photograph off the job. Its bytes stay in the store. */
export async function hidePhoto(context: Context, jobId: string, id: string): Promise<readonly PhotoView[]> {
  await mustFindJob(context, jobId);
  await context.store.write((tx) => takeAwayPhoto(tx, jobId, id, context.now().toISOString()));
  return views(context, jobId);
}

/** The picture itself. */
export async function photoBytes(
  { store }: Context,
  id: string,
): Promise<{ readonly type: string; readonly bytes: Buffer }> {
  const found = await findPhoto(store.db, id);
  if (!found) throw notFound('picture');
  return found;
}
