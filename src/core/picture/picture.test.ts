import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  angleOf,
  CARDS,
  cornersOf,
  distanceOf,
  homographyOf,
  isSeenFlat,
  measureRun,
  offsetOf,
  planeOf,
  runFit,
  squaresOf,
  throughHomography,
  type CardId,
  type FoundSquare,
  type Marked,
  type Plane,
  type Told,
} from '.';

/** A camera of the tests' own: it looks at a place on the card from some way off, and shares no code with the core. */
interface Look {
  readonly distance: number;
  /** Tilt, the way it leans to, and the roll of the camera, radians. */
  readonly tilt: number;
  readonly toward: number;
  readonly roll: number;
  readonly view: number;
  readonly radial: number;
  readonly width: number;
  readonly height: number;
}

type Vector = readonly [number, number, number];
const dot = (a: Vector, b: Vector) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const cross = (a: Vector, b: Vector): Vector => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
const scaled = (a: Vector, by: number): Vector => [a[0] * by, a[1] * by, a[2] * by];
const unit = (a: Vector): Vector => scaled(a, 1 / Math.sqrt(dot(a, a)));

function photographed({ distance, tilt, toward, roll, view, radial, width, height }: Look) {
  const up: Vector = [Math.sin(tilt) * Math.cos(toward), Math.sin(tilt) * Math.sin(toward), Math.cos(tilt)];
  const eye = scaled(up, distance);
  const ahead = scaled(up, -1);
  const level = unit(cross(ahead, [Math.sin(roll), Math.cos(roll), 0.01]));
  const down = cross(ahead, level);
  const focal = Math.max(width, height) / 2 / Math.tan(view / 2);
  return (x: number, y: number, z = 0) => {
    const from: Vector = [x - eye[0], y - eye[1], z - eye[2]];
    const depth = dot(from, ahead);
    const [u, v] = [(focal * dot(from, level)) / depth, (focal * dot(from, down)) / depth];
    const bent = 1 + (radial * (u * u + v * v)) / (width * width + height * height) / 0.25;
    return { x: width / 2 + u * bent, y: height / 2 + v * bent };
  };
}

/** Random numbers of the tests' own, about zero with a spread of one. */
function noiseOf(seed: number) {
  let state = seed * 2654435761 + 12345;
  const uniform = () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return (state + 0.5) / 2 ** 32;
  };
  return () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
}

const LOOK: Look = {
  ...{ distance: 320, tilt: 0.25, toward: 1, roll: 0.1, view: 1.13, radial: 0.004, width: 2400, height: 1800 },
};
const told = ({ width, height }: Look, over: Partial<Told> = {}): Told => ({
  size: { width, height },
  ...{ focal35: null, line: 100, blur: null },
  ...over,
});

/** The squares of a card as a picture shows them. @param lifted how high the card stands up at a place, mm */
function squaresSeen(look: Look, card: CardId, noise: () => number, lifted: (x: number) => number = () => 0) {
  const see = photographed(look);
  return squaresOf(card).map((square): FoundSquare => {
    const corners = cornersOf(square).map(({ x, y }) => {
      const at = see(x, y, lifted(x));
      return { x: at.x + 0.08 * noise(), y: at.y + 0.08 * noise() };
    });
    return { id: square.id, corners: corners as unknown as FoundSquare['corners'] };
  });
}

function planeSeen(look: Look, card: CardId, noise: () => number, over: Partial<Told> = {}): Plane {
  const plane = planeOf(squaresSeen(look, card, noise), told(look, over));
  if (!plane.ok) throw new Error(JSON.stringify(plane.error));
  return plane.value;
}

const LIFT = { h: 3, u: 0.2 };

/** Rivets of a chain as a picture shows them, 3 mm up. */
const rivetsSeen = (look: Look, pitch: number, count: number, noise: () => number): readonly Marked[] => {
  const see = photographed(look);
  return Array.from({ length: count }, (_, i) => {
    const along = 2 * pitch * Math.floor(i / 2) + (i % 2) * pitch * 0.95 - (pitch * count) / 2;
    const at = see(along * 0.98, along * 0.199, 3);
    return { x: at.x + 0.4 * noise(), y: at.y + 0.4 * noise(), u: 0.4 };
  });
};

const looks = fc.record({
  distance: fc.double({ min: 250, max: 450, noNaN: true }),
  tilt: fc.double({ min: 0, max: 0.65, noNaN: true }),
  toward: fc.double({ min: -3.1, max: 3.1, noNaN: true }),
  roll: fc.double({ min: -3.1, max: 3.1, noNaN: true }),
  view: fc.double({ min: 1.02, max: 1.24, noNaN: true }),
  radial: fc.double({ min: -0.008, max: 0.008, noNaN: true }),
  width: fc.constant(2400),
  height: fc.constant(1800),
});

describe('a homography', () => {
  it('of the unit square is what Heckbert derives (Fundamentals of Texture Mapping, 1989, 2.2.3)', () => {
    const square = [0, 1, 1, 0].map((x, i) => ({ x, y: i < 2 ? 0 : 1 }));
    const quad = [
      { x: 10, y: 20 },
      { x: 110, y: 35 },
      { x: 95, y: 140 },
      { x: 5, y: 120 },
    ] as const;
    const [p0, p1, p2, p3] = quad;
    const [dx1, dx2, sx] = [p1.x - p2.x, p3.x - p2.x, p0.x - p1.x + p2.x - p3.x];
    const [dy1, dy2, sy] = [p1.y - p2.y, p3.y - p2.y, p0.y - p1.y + p2.y - p3.y];
    const det = dx1 * dy2 - dx2 * dy1;
    const [g, h] = [(sx * dy2 - dx2 * sy) / det, (dx1 * sy - sx * dy1) / det];
    const expected = [
      ...[p1.x - p0.x + g * p1.x, p3.x - p0.x + h * p3.x, p0.x],
      ...[p1.y - p0.y + g * p1.y, p3.y - p0.y + h * p3.y, p0.y],
      ...[g, h, 1],
    ];
    homographyOf(square, quad)!.forEach((each, i) => expect(each).toBeCloseTo(expected[i]!, 8));
    expect(throughHomography(homographyOf(square, quad)!, { x: 1, y: 1 }).x).toBeCloseTo(95, 8);
  });

  it('is none where the places lie in one line', () => {
    const line = [0, 1, 2, 3].map((x) => ({ x, y: 2 * x }));
    expect(homographyOf(line, line)).toBeNull();
  });
});

describe('a run of rivets', () => {
  it('has twice the pitch over two steps (model, §17)', () => {
    expect(runFit([0, 9.2, 19.05, 28.25, 38.1])).toMatchObject({
      period: expect.closeTo(19.05, 9) as number,
      width: expect.closeTo(9.2, 9) as number,
    });
  });

  it('tells the pitch within its doubt whatever the camera, and is the same from either end', () => {
    let [inside, all, off, stated] = [0, 0, 0, 0];
    fc.assert(
      fc.property(looks, fc.constantFrom(6.35, 8.255, 9.3, 9.525), fc.nat(), (look, pitch, seed) => {
        const noise = noiseOf(seed);
        const plane = planeSeen(look, 'A5', noise);
        const rivets = rivetsSeen(look, pitch, 13, noise);
        const run = measureRun(plane, rivets, LIFT);
        if (!run.ok) throw new Error(JSON.stringify(run.error));
        const { value, u } = run.value.pitch;
        const back = measureRun(plane, rivets.toReversed(), LIFT);
        expect(back.ok && back.value.pitch.value).toBeCloseTo(value, 9);
        all += 1;
        inside += Number(Math.abs(value - pitch) < 2 * u);
        off += Math.abs(value / pitch - 1);
        stated += u / pitch;
      }),
      { seed: 33, numRuns: 60 },
    );
    expect(inside / all).toBeGreaterThanOrEqual(0.95);
    expect(off / all).toBeLessThan(0.0015);
    // Honest, and not so wide that it says nothing.
    expect(stated / all).toBeLessThan(0.003);
  });

  it('is refused where it is short, bows, or is no row of rivets', () => {
    const noise = noiseOf(5);
    const plane = planeSeen(LOOK, 'A5', noise);
    const rivets = rivetsSeen(LOOK, 9.525, 9, noise);
    const code = (marks: readonly Marked[]) => {
      const run = measureRun(plane, marks, LIFT);
      return run.ok ? null : run.error.code;
    };
    expect(code(rivets)).toBeNull();
    expect(code(rivets.slice(0, 2))).toBe('few-rivets');
    expect(code(rivets.map((mark, i) => ({ ...mark, y: mark.y + 4 * (i - 4) ** 2 })))).toBe('not-taut');
    expect(code(rivets.filter((_, i) => i !== 3))).toBe('not-alternating');
  });

  it('reads long where the lift is left out', () => {
    const noise = noiseOf(6);
    const plane = planeSeen({ ...LOOK, tilt: 0, distance: 300 }, 'A5', noise);
    const rivets = rivetsSeen({ ...LOOK, tilt: 0, distance: 300 }, 9.525, 13, noise);
    const [flat, lifted] = [measureRun(plane, rivets, { h: 0, u: 0 }), measureRun(plane, rivets, LIFT)];
    // Z/(Z − h) at 300 mm: one percent.
    expect(flat.ok && lifted.ok && flat.value.pitch.value / lifted.value.pitch.value).toBeCloseTo(300 / 297, 3);
  });
});

describe('a card in a picture', () => {
  const refusal = (found: readonly FoundSquare[], over: Partial<Told> = {}, look = LOOK) => {
    const plane = planeOf(found, told(look, over));
    return plane.ok ? null : plane.error.code;
  };

  it('knows where the camera stands', () => {
    const plane = planeSeen({ ...LOOK, view: 1.13 }, 'A6', noiseOf(1), { focal35: 28.5 });
    expect(plane.tilt).toBeCloseTo((0.25 * 180) / Math.PI, 0);
    expect(Math.abs(plane.height / (320 * Math.cos(0.25)) - 1)).toBeLessThan(0.05);
    expect(plane.card).toBe('A6');
  });

  it('is refused by the reason: none, two, too few squares, steep, blurred, another print', () => {
    const found = squaresSeen(LOOK, 'A5', noiseOf(2));
    expect(refusal(found)).toBeNull();
    expect(refusal([])).toBe('no-card');
    expect(refusal([{ ...found[0]!, id: 40 }])).toBe('no-card');
    expect(refusal([...found, ...squaresSeen(LOOK, 'A6', noiseOf(3))])).toBe('two-cards');
    expect(refusal([...found, found[0]!])).toBe('two-cards');
    expect(refusal(found.slice(0, 2))).toBe('too-few-squares');
    expect(refusal(found, { blur: 3.4 })).toBe('blurred');
    expect(refusal(found, { line: 80 })).toBe('print-scale');
    expect(refusal(found, { line: Number.NaN })).toBe('print-scale');
    const steep = { ...LOOK, tilt: 0.95, distance: 420 };
    expect(refusal(squaresSeen(steep, 'A5', noiseOf(4)), {}, steep)).toBe('steep');
  });

  it('is refused where it is bent by two millimetres, however it is looked at', () => {
    fc.assert(
      fc.property(looks, fc.constantFrom<CardId>('A5', 'A6'), fc.nat(), (look, card, seed) => {
        const arch = (x: number) => 2 * Math.cos((Math.PI * x) / CARDS[card].width);
        expect(refusal(squaresSeen(look, card, noiseOf(seed), arch), {}, look)).toBe('bent');
      }),
      { seed: 17, numRuns: 60 },
    );
  });

  it('is refused by the corner squares alone, or says that its bend is not seen', () => {
    fc.assert(
      fc.property(looks, fc.constantFrom<CardId>('A5', 'A6'), fc.nat(), (look, card, seed) => {
        const arch = (x: number) => 2 * Math.cos((Math.PI * x) / CARDS[card].width);
        const plane = planeOf(squaresSeen(look, card, noiseOf(seed), arch).slice(0, 4), told(look));
        if (plane.ok) expect(isSeenFlat(plane.value)).toBe(false);
      }),
      { seed: 19, numRuns: 60 },
    );
  });

  it('doubts a length the more, the less of its bend is seen', () => {
    const found = squaresSeen(LOOK, 'A5', noiseOf(8));
    const rivets = rivetsSeen(LOOK, 9.525, 13, noiseOf(9));
    const doubtBy = (squares: readonly FoundSquare[]) => {
      const plane = planeOf(squares, told(LOOK));
      const run = plane.ok && measureRun(plane.value, rivets, LIFT);
      return run && run.ok ? run.value.pitch.u : Number.NaN;
    };
    expect(doubtBy(found.slice(0, 4))).toBeGreaterThan(doubtBy(found));
  });

  it('makes nothing wrong of numbers that are none', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            id: fc.integer({ min: -2, max: 20 }),
            corners: fc.array(fc.record({ x: fc.double(), y: fc.double() }), { minLength: 4, maxLength: 4 }),
          }),
          { maxLength: 9 },
        ),
        (found) => {
          const plane = planeOf(found as unknown as FoundSquare[], told(LOOK));
          if (plane.ok) expect(Number.isFinite(plane.value.height)).toBe(true);
        },
      ),
      { seed: 18, numRuns: 100 },
    );
  });

  it('moves every length by the share of its print, and no angle', () => {
    const found = squaresSeen(LOOK, 'A5', noiseOf(7));
    const see = photographed(LOOK);
    const at = (x: number, y: number): Marked => ({ ...see(x, y), u: 0.2 });
    const marks = [at(-40, 0), at(30, 10), at(10, -30)] as const;
    const flat = { h: 0, u: 0 };
    const planeFor = (line: number) => {
      const plane = planeOf(found, told(LOOK, { line }));
      if (!plane.ok) throw new Error(plane.error.code);
      return plane.value;
    };
    const [usual, larger] = [planeFor(100), planeFor(103)];
    const long = (plane: Plane) => distanceOf(plane, [marks[0], marks[1]], flat).value;
    expect(long(usual)).toBeCloseTo(Math.hypot(70, 10), 0);
    expect(long(larger) / long(usual)).toBeCloseTo(1.03, 6);
    expect(offsetOf(larger, marks, flat).value / offsetOf(usual, marks, flat).value).toBeCloseTo(1.03, 6);
    expect(angleOf(larger, marks, flat).value).toBeCloseTo(angleOf(usual, marks, flat).value, 6);
  });
});
