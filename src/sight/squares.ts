import type { FoundSquare, Gray, Pixel } from '../core/picture';

/** What is freed by hand: the library's memory is its own. */
interface Freed {
  delete(): void;
}
interface Mat extends Freed {
  readonly data: Uint8Array;
  readonly data32F: Float32Array;
  readonly data32S: Int32Array;
  readonly rows: number;
}
interface Mats extends Freed {
  size(): number;
  get(at: number): Mat;
}
interface Detector extends Freed {
  detectMarkers(picture: Mat, corners: Mats, ids: Mat, rejected: Mats): void;
}
interface Parameters extends Freed {
  adaptiveThreshWinSizeMin: number;
  adaptiveThreshWinSizeMax: number;
  adaptiveThreshWinSizeStep: number;
  adaptiveThreshConstant: number;
}

/** What is used of OpenCV. */
export interface OpenCv {
  readonly CV_8UC1: number;
  readonly INTER_AREA: number;
  readonly DICT_4X4_50: number;
  readonly Mat: new (rows?: number, columns?: number, type?: number) => Mat;
  readonly MatVector: new () => Mats;
  readonly Size: new (width: number, height: number) => object;
  readonly aruco_ArucoDetector: new (dictionary: Freed, parameters: Parameters, refine: Freed) => Detector;
  readonly aruco_DetectorParameters: new () => Parameters;
  readonly aruco_RefineParameters: new (distance: number, correction: number, checkOrders: boolean) => Freed;
  getPredefinedDictionary(which: number): Freed;
  resize(from: Mat, to: Mat, size: object, fx: number, fy: number, how: number): void;
}

/** Long sides at which squares are looked for, pixels: what blur or noise hides at one is seen at another. */
const LONG_SIDES = [1250, 2000, 3200];

/** Thresholds by which squares are told from what is about them: the usual ones miss clear squares. */
const WINDOW = { least: 5, most: 45, step: 10, constant: 5 };

/** Two finds of one number nearer to each other than this share of a side are one square. */
const ONE_SQUARE = 0.5;

function detectorOf(cv: OpenCv): { readonly detector: Detector; readonly parts: readonly Freed[] } {
  const dictionary = cv.getPredefinedDictionary(cv.DICT_4X4_50);
  const parameters = new cv.aruco_DetectorParameters();
  parameters.adaptiveThreshWinSizeMin = WINDOW.least;
  parameters.adaptiveThreshWinSizeMax = WINDOW.most;
  parameters.adaptiveThreshWinSizeStep = WINDOW.step;
  parameters.adaptiveThreshConstant = WINDOW.constant;
  const refine = new cv.aruco_RefineParameters(10, 3, true);
  const detector = new cv.aruco_ArucoDetector(dictionary, parameters, refine);
  return { detector, parts: [detector, refine, parameters, dictionary] };
}

const cornersIn = ({ data32F }: Mat, scale: number): FoundSquare['corners'] => {
  const at = (i: number): Pixel => ({
    x: (data32F[2 * i]! + 0.5) * scale - 0.5,
    y: (data32F[2 * i + 1]! + 0.5) * scale - 0.5,
  });
  return [at(0), at(1), at(2), at(3)];
};

function squaresAt(cv: OpenCv, detector: Detector, whole: Mat, { width, height }: Gray, long: number): FoundSquare[] {
  const scale = Math.max(1, Math.max(width, height) / long);
  const [smaller, corners, ids, rejected] = [new cv.Mat(), new cv.MatVector(), new cv.Mat(), new cv.MatVector()];
  try {
    const size = new cv.Size(Math.round(width / scale), Math.round(height / scale));
    if (scale > 1) cv.resize(whole, smaller, size, 0, 0, cv.INTER_AREA);
    detector.detectMarkers(scale > 1 ? smaller : whole, corners, ids, rejected);
    return Array.from({ length: corners.size() }, (_, i) => {
      const corner = corners.get(i);
      const found = { id: ids.data32S[i]!, corners: cornersIn(corner, scale) };
      corner.delete();
      return found;
    });
  } finally {
    for (const each of [smaller, corners, ids, rejected]) each.delete();
  }
}

const isOneWith =
  (one: FoundSquare) =>
  (other: FoundSquare): boolean => {
    const [a, b] = [one.corners[0], one.corners[1]];
    const side = Math.hypot(b.x - a.x, b.y - a.y);
    const off = Math.hypot(other.corners[0].x - a.x, other.corners[0].y - a.y);
    return one.id === other.id && off < ONE_SQUARE * side;
  };

/** The coded squares of a picture, each once. */
export function squaresIn(cv: OpenCv, gray: Gray): readonly FoundSquare[] {
  const { detector, parts } = detectorOf(cv);
  const whole = new cv.Mat(gray.height, gray.width, cv.CV_8UC1);
  try {
    whole.data.set(gray.data);
    const found: FoundSquare[] = [];
    const long = Math.max(gray.width, gray.height);
    for (const side of LONG_SIDES.filter((each, i) => i === 0 || each < 1.2 * long))
      for (const square of squaresAt(cv, detector, whole, gray, side))
        if (!found.some(isOneWith(square))) found.push(square);
    return found;
  } finally {
    for (const each of [whole, ...parts]) each.delete();
  }
}
