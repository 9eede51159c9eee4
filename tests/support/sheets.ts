import fc from 'fast-check';
import type { WrittenBenchSheet } from '../../src/core/sheet';

const mm = (min: number, max: number) =>
  fc.integer({ min: min * 100, max: max * 100 }).map((hundredths) => `${hundredths / 100} mm`);
const maybe = <T>(arbitrary: fc.Arbitrary<T>) => fc.option(arbitrary, { nil: undefined, freq: 3 });
const word = <T extends string>(...words: T[]) => fc.constantFrom(...words);

/** Takes out what is undefined, as JSON would. */
const tidy = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

const station = fc.record({
  at: fc.integer({ min: 20, max: 600 }).map((at) => `${at} mm`),
  near: maybe(mm(3, 10)),
  far: maybe(mm(3, 10)),
  mouth: maybe(mm(1, 2)),
  deep: maybe(mm(1, 1.7)),
  deepAt: maybe(mm(1, 4)),
  burrNear: maybe(word('none', 'felt', 'heavy')),
});

const edge = fc.record({ stations: fc.array(station, { maxLength: 6 }) });

const bar = fc.record({
  stamp: maybe(word('18 in 325 .050 72DL', '3/8 .058', '3/8LP 52E', '.404 1.6', '50', 'K-77')),
  nose: maybe(word('sprocket', 'hard')),
  noseReplaceable: maybe(fc.boolean()),
  mount: maybe(word('M1', 'M2')),
  thickness: maybe(mm(3, 6)),
  overallLength: maybe(fc.integer({ min: 300, max: 700 }).map((length) => `${length} mm`)),
  checks: maybe(
    fc.record({
      bow: maybe(mm(0, 1)),
      crack: maybe(word('no', 'yes', 'unsure')),
      blueing: maybe(word('no', 'light', 'heavy')),
      slot: maybe(word('ok', 'worn', 'wallowed')),
      oilHoles: maybe(word('clear', 'blocked')),
      groove: maybe(word('clean', 'packed')),
      noseTurns: maybe(word('free', 'rough', 'seized')),
      hardNose: maybe(word('good', 'worn', 'through')),
      tipPlay: maybe(word('none', 'slight', 'loose')),
      straightEdge: maybe(word('gap-stays', 'gap-closes', 'passes-beyond')),
    }),
  ),
  edges: maybe(fc.record({ A: edge, B: edge })),
});

const chain = fc.record({
  stamp: maybe(word('', '.325 .050', '3/8LP', '.404 .063')),
  span: maybe(fc.record({ rivets: fc.integer({ min: 2, max: 20 }), length: mm(6, 200) })),
  chassis: maybe(word('small', 'large')),
  driveLinkThickness: maybe(mm(1, 1.8)),
  driveLinks: maybe(fc.array(fc.integer({ min: 50, max: 53 }), { maxLength: 4 })),
  cutters: maybe(fc.integer({ min: 20, max: 40 })),
  sequence: maybe(word('full-complement', 'semi-skip', 'full-skip')),
  tang: maybe(mm(3, 7)),
  kerf: maybe(mm(5, 9)),
  tipHeight: maybe(mm(8, 13)),
  cuttersLeft: maybe(fc.array(mm(3, 9), { maxLength: 3 })),
  cuttersRight: maybe(fc.array(mm(3, 9), { maxLength: 3 })),
  damage: maybe(
    fc.array(fc.record({ side: word('left', 'right'), cutter: fc.integer({ min: 1, max: 5 }), setBack: mm(0, 2) }), {
      maxLength: 2,
    }),
  ),
  pushPull: maybe(fc.record({ joints: fc.integer({ min: 20, max: 60 }), closed: mm(300, 500), pulled: mm(300, 520) })),
  checks: maybe(
    fc.record({
      crack: maybe(word('no', 'yes', 'unsure')),
      strapBurrs: maybe(word('none', 'light', 'heavy')),
      burredTangs: maybe(fc.integer({ min: 0, max: 9 })),
      tightJoints: maybe(fc.integer({ min: 0, max: 3 })),
    }),
  ),
  kickbackClass: maybe(word('low-kickback', 'standard')),
});

const driveSprocket = fc.record({
  pitch: maybe(word('325', '38', '38lp', '3/8')),
  wear: maybe(mm(0, 1)),
  chainsRun: maybe(fc.integer({ min: 0, max: 4 })),
  turns: maybe(word('free', 'rough', 'seized')),
});

/** Any half-finished bench sheet a bench could produce. */
export const anySheet: fc.Arbitrary<WrittenBenchSheet> = fc
  .record({
    job: maybe(
      fc.record({ operatorTrained: maybe(fc.boolean()), turnOver: maybe(word('never', 'sometimes', 'every-chain')) }),
    ),
    saw: maybe(fc.record({ mount: maybe(word('M1', 'M2')) })),
    bar: maybe(bar),
    chain: maybe(chain),
    driveSprocket: maybe(driveSprocket),
  })
  .map((parts) => tidy({ format: 'serrata-bench-sheet', version: 1, ...parts }) as WrittenBenchSheet);

/** The same sheet seen in a mirror: near for far on every station. */
export function mirrored(written: WrittenBenchSheet): WrittenBenchSheet {
  const copy = structuredClone(written);
  for (const edge of [copy.bar?.edges?.A, copy.bar?.edges?.B]) {
    for (const station of edge?.stations ?? []) {
      const { near, far } = station;
      delete station.near;
      delete station.far;
      if (far !== undefined) station.near = far;
      if (near !== undefined) station.far = near;
    }
  }
  return copy;
}
