import { flatMap } from '../flat-map';
import { err, ok, type Result } from '../result';
import { cameraFrom, halfDiagonal, seenAt, standsAt, turnBy, type Camera, type Size } from './camera';
import {
  cardOfSquare,
  CARDS,
  cornersOf,
  isCornerSquare,
  SCALE_LINE,
  squaresOf,
  type CardId,
  type FoundSquare,
  type OnCard,
  type Pixel,
  type PrintedSquare,
} from './card';
import { homographyOf, product, throughHomography, type Homography } from './homography';
import { leastSquares } from './solve';

/** Why a picture cannot be measured. */
export type Refusal =
  | { readonly code: 'no-card' }
  | { readonly code: 'two-cards' }
  | { readonly code: 'too-few-squares'; readonly found: number }
  | { readonly code: 'bent'; readonly residual: number; readonly most: number; readonly arch: number }
  | { readonly code: 'steep'; readonly tilt: number }
  | { readonly code: 'blurred'; readonly blur: number }
  | { readonly code: 'print-scale'; readonly line: number };

/** What is told of a picture beside its squares. */
export interface Told {
  readonly size: Size;
  /** Focal length as for a frame 36 mm wide, mm, where the picture says it; null otherwise. */
  readonly focal35: number | null;
  /** Length of the printed scale line as it was measured, mm; null where nobody did. */
  readonly line: number | null;
  /** Width over which the edges of the squares rise, pixels; null where it was not looked at. */
  readonly blur: number | null;
}

/** What was measured, in the unit of what was asked for, with its standard uncertainty. */
export interface Measured {
  readonly value: number;
  readonly u: number;
}

/** A card in a picture: what it makes of pixels. */
export interface Plane {
  readonly card: CardId;
  readonly camera: Camera;
  /** Covariance of what was fitted, in the order of {@link movedBy}. */
  readonly covariance: Float64Array;
  /** Squares that it rests on. */
  readonly squares: readonly number[];
  /** Root mean square of what is left at the corners, pixels. */
  readonly residual: number;
  /** How high the card stands in its middle, mm: along its width, along its height. */
  readonly arches: readonly Measured[];
  /** Between the view and the upright over the middle of the card, degrees. */
  readonly tilt: number;
  /** Of the camera over the card, mm. */
  readonly height: number;
  /** Of the print to what it should be, and its standard doubt, share: the camera is fitted to the card as it should be. */
  readonly scale: number;
  readonly scaleDoubt: number;
}

/** Doubt of a corner, pixels (tried on rendered cards). */
const CORNER_DOUBT = 0.08;
/** Field of view across the long side where nothing is told, degrees, and its doubt (shop's figures). */
const USUAL_VIEW = 65;
const VIEW_DOUBT = 8;
/** Share by which a told focal length may be off. */
const TOLD_FOCAL_DOUBT = 0.04;
/** Distortion moves a corner of the picture by up to one percent (shop's figure). */
const RADIAL_DOUBT = 0.01 / Math.sqrt(3);
/** Middle of the lens beside that of the picture, share of its diagonal. */
const MIDDLE_DOUBT = 0.006;
/** Scale of a print that was measured with a rule, and of one that nobody measured, share. */
const MEASURED_SCALE_DOUBT = 0.0005;
const UNMEASURED_SCALE_DOUBT = 0.0008;
/** A print that is further off was fitted to another paper. */
const MOST_OFF_SCALE = 0.1;

/** Most that may be left at the corners, pixels in a picture 2 400 wide; pictures of fewer pixels are no better than this. */
const MOST_RESIDUAL = 0.2;
const USUAL_WIDTH = 2400;
const LEAST_ALLOWED = 0.16;
const MOST_TILT = 45;
const MOST_BLUR = 3;
/** Squares that a plane rests on at least. */
const LEAST_SQUARES = 3;

/** Focal length in pixels, and the doubt of its logarithm. */
function focalPrior({ size, focal35 }: Told): { readonly focal: number; readonly u: number } {
  const long = Math.max(size.width, size.height);
  if (focal35 !== null) return { focal: (focal35 / 36) * long, u: TOLD_FOCAL_DOUBT };
  const at = (degrees: number) => long / 2 / Math.tan((degrees * Math.PI) / 360);
  return { focal: at(USUAL_VIEW), u: Math.log(at(USUAL_VIEW - VIEW_DOUBT) / at(USUAL_VIEW)) };
}

/** A camera with its unknowns moved: three of its turn, three of its place, focal length, distortion, middle. */
export function movedBy(camera: Camera, by: ArrayLike<number>): Camera {
  const [x, y, z] = camera.shift;
  return {
    size: camera.size,
    turn: product(turnBy(by[0]!, by[1]!, by[2]!), camera.turn),
    // Distances are moved by their share: all unknowns are then of one size.
    shift: [x + by[3]! * z, y + by[4]! * z, z * Math.exp(by[5]!)],
    focal: camera.focal * Math.exp(by[6]!),
    radial: camera.radial + by[7]!,
    middle: { x: camera.middle.x + by[8]! * camera.focal, y: camera.middle.y + by[9]! * camera.focal },
  };
}
export const UNKNOWNS = 10;

/** A corner where it is printed, and where it is seen. */
interface Seen {
  readonly on: OnCard;
  readonly at: Pixel;
}

interface Placed {
  readonly card: CardId;
  readonly squares: readonly number[];
  readonly seen: readonly Seen[];
  readonly rough: Homography;
}

/** The printed square that a found one is: numbers of the sides stand where they are seen to stand. */
function printedFor({ id, corners }: FoundSquare, card: CardId, rough: Homography): PrintedSquare | null {
  const squares = squaresOf(card);
  if (isCornerSquare(id)) return squares.find((square) => square.id === id) ?? null;
  const middle = (axis: 'x' | 'y') => corners.reduce((sum, corner) => sum + corner[axis] / 4, 0);
  const off = (square: PrintedSquare) => {
    const at = throughHomography(rough, square);
    return Math.hypot(at.x - middle('x'), at.y - middle('y'));
  };
  const sides = squares.filter((square) => !isCornerSquare(square.id));
  const [nearest] = sides.toSorted((one, other) => off(one) - off(other));
  return nearest ?? null;
}

function placedSquares(found: readonly FoundSquare[]): Result<Placed, Refusal> {
  const known = found.filter(({ id }) => cardOfSquare(id) !== null);
  const [first] = known;
  if (!first) return err({ code: 'no-card' });
  const cards = new Set(known.map(({ id }) => cardOfSquare(id)!));
  if (cards.size > 1 || new Set(known.map(({ id }) => id)).size < known.length) return err({ code: 'two-cards' });
  const card = cardOfSquare(first.id)!;
  const atCorners = known.filter(({ id }) => isCornerSquare(id));
  const printed = (id: number) => squaresOf(card).find((square) => square.id === id)!;
  const sure = flatMap(atCorners, ({ id, corners }) =>
    cornersOf(printed(id)).map((on, i): Seen => ({ on, at: corners[i]! })),
  );
  if (atCorners.length < LEAST_SQUARES) return err({ code: 'too-few-squares', found: known.length });
  const rough = homographyOf(
    sure.map(({ on }) => on),
    sure.map(({ at }) => at),
  );
  if (!rough) return err({ code: 'too-few-squares', found: known.length });
  const seen = flatMap(known, (square): readonly Seen[] => {
    const there = printedFor(square, card, rough);
    return there ? cornersOf(there).map((on, i) => ({ on, at: square.corners[i]! })) : [];
  });
  return ok({ card, squares: known.map(({ id }) => id), seen, rough });
}

/** What a card may stand up by in its middle, mm: along its width and along its height, asked for behind the other unknowns. */
const ARCHES = 2;
const ARCH_DOUBT = 1.5;
/** A card that may stand up by more than this is bent, mm; where nothing shows how it lies, that is said instead. */
const MOST_ARCH = 0.85;
const ARCH_UNSEEN = 0.6;
/** How a card that is taped down lies where nothing shows it, mm (shop's figure): it is told to be, and asked for. */
const TAPED = 0.5;

/** How high a card stands at a place, mm. */
const archAt = (card: CardId, { x, y }: OnCard, along: number, up: number): number =>
  along * (1 - (x / CARDS[card].x) ** 2) + up * (1 - (y / CARDS[card].y) ** 2);

/** What is left at the corners, and how far the unknowns lie from what is usual: all in units of their doubt. */
function residualsOf(begin: Camera, { card, seen }: Placed, told: Told, corner: number) {
  const prior = focalPrior(told);
  const half = halfDiagonal(told.size);
  return (by: Float64Array): Float64Array => {
    const camera = movedBy(begin, by);
    const [along, up] = [by[UNKNOWNS]!, by[UNKNOWNS + 1]!];
    const out = new Float64Array(2 * seen.length + 4 + ARCHES);
    seen.forEach(({ on, at }, i) => {
      const there = seenAt(camera, { ...on, z: archAt(card, on, along, up) });
      out[2 * i] = (there.x - at.x) / corner;
      out[2 * i + 1] = (there.y - at.y) / corner;
    });
    out.set(
      [
        Math.log(camera.focal / prior.focal) / prior.u,
        camera.radial / RADIAL_DOUBT,
        (camera.middle.x - told.size.width / 2) / (2 * half * MIDDLE_DOUBT),
        (camera.middle.y - told.size.height / 2) / (2 * half * MIDDLE_DOUBT),
        along / ARCH_DOUBT,
        up / ARCH_DOUBT,
      ],
      2 * seen.length,
    );
    return out;
  };
}

/** The most that may be left, pixels. */
export const mostResidual = ({ width, height }: Size): number =>
  Math.max(LEAST_ALLOWED, (MOST_RESIDUAL * Math.max(width, height)) / USUAL_WIDTH);

const refusedFor = (plane: Plane, told: Told): Refusal | null => {
  const most = mostResidual(told.size);
  const arch = Math.max(...plane.arches.map(({ value, u }) => Math.abs(value) + (u > ARCH_UNSEEN ? 0 : u)));
  if (told.blur !== null && told.blur > MOST_BLUR) return { code: 'blurred', blur: told.blur };
  if (plane.tilt > MOST_TILT) return { code: 'steep', tilt: plane.tilt };
  return plane.residual > most || arch > MOST_ARCH ? { code: 'bent', residual: plane.residual, most, arch } : null;
};

/** A fit about where a camera stands: the camera moved, what is left at the corners, and the covariance. */
interface Fitted {
  readonly camera: Camera;
  readonly unknowns: Float64Array;
  readonly covariance: Float64Array;
  readonly residual: number;
}

function fittedAbout(
  begin: Camera,
  placed: Placed,
  told: Told,
  corner: number,
  arches: readonly number[],
): Fitted | null {
  const residuals = residualsOf(begin, placed, told, corner);
  const solved = leastSquares(residuals, Float64Array.from([...new Array<number>(UNKNOWNS).fill(0), ...arches]));
  if (!solved) return null;
  const corners = residuals(solved.unknowns).subarray(0, 2 * placed.seen.length);
  const residual = corner * Math.sqrt(corners.reduce((sum, each) => sum + each * each, 0) / corners.length);
  return { ...solved, camera: movedBy(begin, solved.unknowns), residual };
}

/** Unknowns that the corners themselves settle: what is left is spread over the rest. */
const SETTLED = 8;

/** The upper left block of a covariance: what is known of some unknowns, whatever the others are. */
const ofFirst = (covariance: Float64Array, of: number, size: number): Float64Array =>
  Float64Array.from({ length: size * size }, (_, i) => covariance[Math.floor(i / size) * of + (i % size)]!);

/**
 * The plane of a card: homography to begin with, then least squares on pose, focal length, distortion and middle of the
 * lens, and on how the card stands up in its middle, each with what is usual for it; what is left at the corners says
 * how well a pixel is known.
 * @param found coded squares with their corners refined
 */
export function planeOf(found: readonly FoundSquare[], told: Told): Result<Plane, Refusal> {
  const scale = told.line === null ? 1 : told.line / SCALE_LINE;
  if (!(Math.abs(scale - 1) <= MOST_OFF_SCALE)) return err({ code: 'print-scale', line: told.line! });
  const placed = placedSquares(found);
  if (!placed.ok) return placed;
  const { card, squares, seen, rough } = placed.value;
  const begin = cameraFrom(rough, focalPrior(told).focal, told.size);
  const first = begin && fittedAbout(begin, placed.value, told, CORNER_DOUBT, [0, 0]);
  // Once more about where it came to rest, with the doubt that the corners themselves show.
  const numbers = 2 * seen.length;
  const corner = first && Math.max(CORNER_DOUBT / 2, first.residual * Math.sqrt(numbers / (numbers - SETTLED)));
  const rested =
    first && corner && fittedAbout(first.camera, placed.value, told, corner, [...first.unknowns.subarray(UNKNOWNS)]);
  if (!rested) return err({ code: 'too-few-squares', found: squares.length });
  const { camera, unknowns, covariance, residual } = rested;
  const { x, y, z } = standsAt(camera);
  const all = UNKNOWNS + ARCHES;
  const arches = [UNKNOWNS, UNKNOWNS + 1].map((i) => ({
    value: unknowns[i]!,
    u: Math.sqrt(covariance[i * all + i]!),
  }));
  const plane: Plane = {
    ...{ card, camera, squares, residual, arches, scale, height: z * scale },
    covariance: ofFirst(covariance, all, UNKNOWNS),
    tilt: (Math.atan2(Math.hypot(x, y), z) * 180) / Math.PI,
    scaleDoubt: told.line === null ? UNMEASURED_SCALE_DOUBT : MEASURED_SCALE_DOUBT,
  };
  const refused = refusedFor(plane, told);
  return refused ? err(refused) : ok(plane);
}

/** Whether the card was seen to lie flat: a part that hides the middle of its sides hides how it bends. */
export const isSeenFlat = ({ arches }: Plane): boolean => arches.every(({ u }) => u <= ARCH_UNSEEN);

/** How well the height of the card itself is known under what lies on it, mm: by its arches, seen or not. */
export const archDoubt = ({ arches }: Plane): number =>
  Math.hypot(...flatMap(arches, ({ value, u }) => (u > ARCH_UNSEEN ? [TAPED] : [value, Math.min(u, TAPED)])));

/** How far a place lies outside the sheet of a card, mm; 0 on it. */
export function outsideOf({ card }: Plane, { x, y }: OnCard): number {
  const { width, height } = CARDS[card];
  return Math.hypot(Math.max(0, Math.abs(x) - width / 2), Math.max(0, Math.abs(y) - height / 2));
}
