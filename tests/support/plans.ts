import fc from 'fast-check';
import { appraise, DEFAULT_RULES } from '../../src/core/assess';
import type { Judged } from '../../src/core/plan';
import { readSheet, type WrittenBenchSheet } from '../../src/core/sheet';
import { NOTHING_SAID, type StockPart } from '../../src/core/stock';

const PITCHES = ['325', '38lp'] as const;
const GAUGES = ['.050', '.058'] as const;
const LINKS = [64, 72] as const;

/** Sets whose numbers are settled, with parts that are good, worth work, condemned or not decided. */
export const judgedSet: fc.Arbitrary<Judged> = fc
  .record({
    pitch: fc.constantFrom(...PITCHES),
    gauge: fc.constantFrom(...GAUGES),
    links: fc.constantFrom(...LINKS),
    depth: fc.constantFrom(4, 8, 8, 8),
    far: fc.constantFrom(0, 0.5),
    cutters: fc.constantFrom('3.5 mm', '6.0 mm', '6.0 mm'),
    damage: fc.boolean(),
    wear: fc.constantFrom('0.05 mm', '0.35 mm', '0.8 mm'),
    noseTurns: fc.constantFrom('free', 'free', 'seized'),
    noseReplaceable: fc.boolean(),
    teeth: fc.constantFrom(6, 7),
    brings: fc.constantFrom('all', 'bar', 'chain'),
    trained: fc.boolean(),
  })
  .map((given) => {
    const mark = given.pitch === '325' ? '.325' : '3/8LP';
    const stamp = `16 in ${mark} ${given.gauge} ${given.links}DL`;
    const station = {
      at: '60 mm',
      near: `${given.depth} mm`,
      far: `${given.depth - given.far} mm`,
      mouth: given.gauge === '.050' ? '1.34 mm' : '1.54 mm',
    };
    const bar: WrittenBenchSheet['bar'] = {
      stamp,
      mount: 'M1',
      noseReplaceable: given.noseReplaceable,
      noseTeeth: 10,
      thickness: '4.2 mm',
      checks: { crack: 'no', bow: '0 mm', noseTurns: given.noseTurns as 'free', straightEdge: 'gap-stays' },
      edges: { A: { stations: [station] }, B: { stations: [{ ...station, far: `${given.depth} mm` }] } },
    };
    const chain: WrittenBenchSheet['chain'] = {
      stamp: `${mark} ${given.gauge}`,
      driveLinks: [given.links, given.links],
      driveLinkThickness: given.gauge === '.050' ? '1.26 mm' : '1.46 mm',
      cuttersLeft: [given.cutters],
      cuttersRight: [given.cutters],
      kickbackClass: 'low-kickback',
      checks: { crack: 'no' },
      pushPull: { joints: 60, closed: '495.0 mm', pulled: '498.0 mm' },
      ...(given.damage ? { damage: [{ side: 'left' as const, cutter: 1, setBack: '0.4 mm' }] } : {}),
    };
    const read = readSheet({
      format: 'serrata-bench-sheet',
      version: 1,
      job: { operatorTrained: given.trained },
      saw: { mount: 'M1' },
      ...(given.brings === 'chain' ? {} : { bar }),
      ...(given.brings === 'bar' ? {} : { chain }),
      ...(given.brings === 'all'
        ? { driveSprocket: { pitch: given.pitch, teeth: given.teeth, wear: given.wear, type: 'rim' } }
        : {}),
    });
    if (!read.ok) throw new Error(JSON.stringify(read.error));
    return { sheet: read.value, ...appraise(read.value, DEFAULT_RULES, null) };
  });

const KINDS = ['chain', 'bar', 'drive-sprocket', 'nose'] as const;

/** Parts of every kind, about those that such sets need. */
export const anyStock = (most: number): fc.Arbitrary<StockPart[]> =>
  fc
    .array(
      fc.record({
        kind: fc.constantFrom(...KINDS),
        pitch: fc.constantFrom(...PITCHES),
        gauge: fc.constantFrom(...GAUGES),
        driveLinks: fc.constantFrom(...LINKS),
        kickbackClass: fc.constantFrom('low-kickback', 'low-kickback', 'standard'),
        mount: fc.constantFrom('M1', 'M1', 'M2'),
        listedInches: fc.constantFrom(16, 16, 18),
        teeth: fc.constantFrom(6, 7, 10),
        sprocketKind: fc.constantFrom('rim', 'rim', 'spur'),
        quantity: fc.constantFrom(0, 1, 3),
        priceCents: fc.integer({ min: 100, max: 9000 }),
      }),
      { minLength: Math.ceil(most / 2), maxLength: most },
    )
    .map((rows) =>
      rows.map(({ kind, ...row }, i): StockPart => {
        const chain = kind === 'chain';
        const bar = kind === 'bar';
        return {
          ...NOTHING_SAID,
          sku: `P-${i}`,
          kind,
          name: `Part ${i}`,
          pitch: row.pitch,
          gauge: chain || bar ? row.gauge : null,
          driveLinks: chain || bar ? row.driveLinks : null,
          kickbackClass: chain ? (row.kickbackClass as 'standard') : null,
          mount: bar ? row.mount : null,
          listedInches: bar ? row.listedInches : null,
          teeth: chain || bar ? null : row.teeth,
          sprocketKind: kind === 'drive-sprocket' ? (row.sprocketKind as 'rim') : null,
          quantity: row.quantity,
          minimum: 0,
          priceCents: row.priceCents,
        };
      }),
    );
