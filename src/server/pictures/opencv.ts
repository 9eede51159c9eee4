import { createRequire } from 'node:module';
import type { OpenCv } from '../../sight';

type Loading = Partial<OpenCv> & { onRuntimeInitialized?: () => void };

/**
 * OpenCV, once it has made itself ready; only who measures a picture pays for it. It comes in a box: the library has a
 * `then` of its own, so that a promise of the bare library would wait for itself for ever.
 */
export async function openCv(): Promise<{ readonly cv: OpenCv }> {
  const loading = createRequire(import.meta.url)('@techstark/opencv-js') as Loading;
  if (!loading.Mat) await new Promise<void>((ready) => (loading.onRuntimeInitialized = ready));
  return { cv: loading as OpenCv };
}
