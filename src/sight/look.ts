import { planeOf, refinedSquare, type Gray, type Plane, type Refusal, type Told } from '../core/picture';
import { median } from '../core/quantity';
import { err, type Result } from '../core/result';
import { squaresIn, type OpenCv } from './squares';

/** The card in a picture, with its squares' edges looked at closely. */
export function cardIn(cv: OpenCv, gray: Gray, told: Omit<Told, 'size' | 'blur'>): Result<Plane, Refusal> {
  const found = squaresIn(cv, gray);
  const refined = found.map((square) => refinedSquare(gray, square)).filter((square) => square !== null);
  if (found.length > 0 && refined.length === 0) return err({ code: 'too-few-squares', found: 0 });
  return planeOf(
    refined.map(({ square }) => square),
    {
      ...told,
      size: { width: gray.width, height: gray.height },
      blur: refined.length > 0 ? median(refined.map(({ blur }) => blur)) : null,
    },
  );
}
