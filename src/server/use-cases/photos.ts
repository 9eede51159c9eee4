import { subDays } from 'date-fns';
import { UNNAMED } from '../../wording';
import { addPhoto, findPhoto, letPhotosGo, photosOf, takeAwayPhoto } from '../../data/repositories';
import type { PhotoView } from '../../contract';
import type { Context } from '../context';
import { notFound, Refusal } from '../refusal';
import { MAX_PHOTO_BYTES } from '../http/guard';
import { pictureHeader, type PictureHeader } from '../picture-header';
import { mustFindJob } from './jobs';
import * as texts from '#language/server';

/** A job is documented by a handful of pictures. */
export const MOST_PHOTOS = 12;
/** Longest side taken, pixels. */
const MOST_PIXELS = 8000;
/** Pixels in all: a few bytes of file may unfold to hundreds of megabytes in whoever looks at them. */
const MOST_AREA = 16_000_000;

/** What the bytes really are, whatever the request called them. */
function look(bytes: Buffer): PictureHeader {
  const header = pictureHeader(bytes);
  if (!header) throw new Refusal(415, 'not-a-photo', texts.noPicture);
  if (Math.max(header.width, header.height) > MOST_PIXELS)
    throw new Refusal(413, 'too-large', texts.tooManyPixels(MOST_PIXELS));
  if (header.width * header.height > MOST_AREA)
    throw new Refusal(
      413,
      'too-large',
      texts.tooLargeAnArea(Math.round((header.width * header.height) / 1e6), MOST_AREA / 1e6),
    );
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
  if (bytes.length > MAX_PHOTO_BYTES) throw new Refusal(413, 'too-large', texts.pictureTooLarge(MAX_PHOTO_BYTES / 1e6));
  const about = look(bytes);
  await context.store.write(async (tx) => {
    if ((await photosOf(tx, jobId)).length >= MOST_PHOTOS)
      throw new Refusal(409, 'too-many', texts.tooManyPictures(MOST_PHOTOS));
    await addPhoto(tx, {
      id: context.newId(),
      jobId,
      ...about,
      bytes,
      at: context.now().toISOString(),
      by: by || UNNAMED,
    });
  });
  return views(context, jobId);
}

/**
 * A picture taken away by mistake can be asked back from a backup for as long as this; then its bytes go from the
 * store.
 */
const KEPT_DAYS = 30;

/** Lets go the bytes of pictures that were taken away long ago. @returns how many */
export function letOldPhotosGo({ store, now }: Context): Promise<number> {
  const before = subDays(now(), KEPT_DAYS).toISOString();
  return store.write((tx) => letPhotosGo(tx, before));
}

/** Takes a photograph off the job. Its bytes stay in the store for {@link KEPT_DAYS} days. */
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
