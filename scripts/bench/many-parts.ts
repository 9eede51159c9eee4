import { FAMILY_IDS, GAUGES_OF_FAMILY } from '../../src/core/families';
import { familyLabel } from '../../src/wording';
import { NOTHING_SAID, type StockPart } from '../../src/core/stock';

const MOUNTS = ['M1', 'M2', 'M3', 'M4', 'M5'];

/** So many chains and bars, spread over all families, gauges and counts. */
export function manyParts(count: number): readonly StockPart[] {
  return Array.from({ length: count }, (_, i): StockPart => {
    const pitch = FAMILY_IDS[i % FAMILY_IDS.length]!;
    const gauges = GAUGES_OF_FAMILY[pitch];
    const gauge = gauges[Math.floor(i / 5) % gauges.length]!;
    const driveLinks = 40 + (Math.floor(i / 15) % 60);
    const bar = i % 10 === 0;
    return {
      ...NOTHING_SAID,
      sku: `BM-${i}`,
      kind: bar ? 'bar' : 'chain',
      name: `${bar ? 'Bar' : 'Chain'} ${familyLabel(pitch)} ${gauge} ${driveLinks}`,
      pitch,
      gauge,
      driveLinks,
      kickbackClass: bar ? null : i % 3 === 0 ? 'standard' : 'low-kickback',
      mount: bar ? MOUNTS[i % MOUNTS.length]! : null,
      listedInches: bar ? 12 + 2 * (i % 7) : null,
      quantity: i % 4,
      minimum: 1,
      priceCents: 1000 + (i % 997),
    };
  });
}
