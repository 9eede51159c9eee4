import { FAMILIES, FAMILY_IDS, GAUGE_IDS } from '../../core/families';
import { familyLabel } from '../../wording';
import type { SupplierAnswer, SupplierMood } from '../../contract';
import { spread } from './spread';

/** What the stand-in supplier is asked for: a chain by its three numbers. */
export interface SupplierQuestion {
  readonly pitch: string;
  readonly gauge: string;
  readonly links: number;
  readonly standard: boolean;
}

/** What the stand-in does with a question: it takes its time, then answers, or the line is dead. */
export type SupplierBehaviour =
  { readonly line: 'up'; readonly waitMs: number; readonly answer: SupplierAnswer } | { readonly line: 'dead' };

const USUAL_WAIT_MS = 900;
const SLOW_WAIT_MS = 9000;
/** One question in so many finds the shelf empty, one in so many the line dead. */
const EMPTY_EVERY = 6;
const DEAD_EVERY = 11;

function offers({ pitch, gauge, links, standard }: SupplierQuestion): SupplierAnswer['offers'] {
  const family = FAMILY_IDS.find((id) => id === pitch);
  if (!family || !GAUGE_IDS.some((id) => id === gauge)) return [];
  const seed = spread(`${pitch}${gauge}${links}`);
  const each = Math.round(links * (18 + (seed % 5)) + FAMILIES[family].pitch * 20);
  const name = `Chain ${familyLabel(family)} ${gauge} ${links} links`;
  const low = { sku: `CW-${seed}-${links}`, name, kickbackClass: 'low-kickback' as const, priceCents: each };
  return [
    { ...low, days: 1 + (seed % 4) },
    ...(standard
      ? [
          {
            sku: `CW-${seed}-${links}S`,
            name: `${name}, standard`,
            kickbackClass: 'standard' as const,
            priceCents: each + 90,
            days: 2 + (seed % 3),
          },
        ]
      : []),
  ];
}

/**
 * The simulated supplier: slow by nature, sometimes out of stock, sometimes not to be reached. What it does follows
 * from the question alone, so that it can be repeated; the shop may set a mood to practise with.
 */
export function simulatedSupplier(mood: SupplierMood, question: SupplierQuestion): SupplierBehaviour {
  const seed = spread(`${question.pitch}|${question.gauge}|${question.links}`);
  const usual = mood === 'usual';
  if (mood === 'unreachable' || (usual && seed % DEAD_EVERY === 0)) return { line: 'dead' };
  const empty = mood === 'out-of-stock' || (usual && seed % EMPTY_EVERY === 0);
  return {
    line: 'up',
    waitMs: mood === 'slow' ? SLOW_WAIT_MS : USUAL_WAIT_MS,
    answer: { offers: empty ? [] : offers(question) },
  };
}
