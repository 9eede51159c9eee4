import { subDays } from 'date-fns';
import { z } from 'zod';
import { barePicture } from '../../data/pictures/bare-picture';
import { pictureHeader, type PictureHeader } from '../../data/pictures/picture-header';
import { addPhoto, findPhoto, jobOfPhoto, letPhotosGo, photosOf, takeAwayPhoto } from '../../data/repositories';
import type { PhotoView } from '../../contract';
import type { Context } from '../context';
import { notFound, Refusal } from '../refusal';
import { MAX_PHOTO_BYTES } from '../http/guard';
import { mustFindJob, mustNotHaveGone } from './jobs';
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

/**
 * The id that a picture is sent with; undefined where none is.
 * @throws Refusal where it is no UUID
 */
export function photoId(asked: URLSearchParams): string | undefined {
  const id = asked.get('id');
  if (id === null) return undefined;
  if (!z.uuid().safeParse(id).success) throw new Refusal(422, 'no-uuid', texts.idIsNoUuid);
  return id;
}

const views = async (context: Context, jobId: string): Promise<readonly PhotoView[]> =>
  (await photosOf(context.store.db, jobId)).map(({ jobId: _jobId, ...about }) => about);

/**
 * Stores a photograph with its job: the picture alone, without what a camera wrote into it.
 * @param id given by who sends it, so that one that comes twice is kept once
 */
export async function storePhoto(
  context: Context,
  jobId: string,
  by: string,
  sent: ArrayBuffer,
  id = context.newId(),
): Promise<readonly PhotoView[]> {
  await mustFindJob(context, jobId);
  const given = Buffer.from(sent);
  if (given.length > MAX_PHOTO_BYTES) throw new Refusal(413, 'too-large', texts.pictureTooLarge(MAX_PHOTO_BYTES / 1e6));
  const { type } = look(given);
  const bare = await barePicture(given, type);
  if (!bare) throw new Refusal(415, 'not-a-photo', texts.noPicture);
  await context.store.write(async (tx) => {
    const known = await jobOfPhoto(tx, id);
    if (known === jobId) return;
    if (known !== null) throw new Refusal(409, 'id-taken', texts.idOfAnotherPicture);
    await mustNotHaveGone(tx, jobId);
    if ((await photosOf(tx, jobId)).length >= MOST_PHOTOS)
      throw new Refusal(409, 'too-many', texts.tooManyPictures(MOST_PHOTOS));
    await addPhoto(tx, {
      id,
      jobId,
      type,
      ...bare,
      at: context.now().toISOString(),
      by,
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
