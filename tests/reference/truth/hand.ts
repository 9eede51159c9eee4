import { INSTRUMENTS, type InstrumentId } from '../../../src/core/quantity';
import type { WrittenBenchSheet } from '../../../src/core/sheet';
import type { Random } from './random';

/** A quantity as it is written into a sheet. */
export type Written = NonNullable<NonNullable<WrittenBenchSheet['bar']>['thickness']>;

/** One tool in one hand for one job: its own error is drawn once, each placing anew. */
export interface Hand {
  readonly tool: InstrumentId;
  readonly read: (truth: number, repeats?: number) => Written;
}

const rounded = (value: number, step: number): number => Math.round(value / step) * step;

/**
 * A hand that measures as model §1 says: the tool's error anywhere within its bounds and the same in every reading, the
 * hand's placing normal, the scale read to its step.
 * @param placing where it differs from the tool's usual, mm
 */
export function hand(tool: InstrumentId, { between, normal }: Random, placing = INSTRUMENTS[tool].placing): Hand {
  const { maxError, resolution } = INSTRUMENTS[tool];
  const bias = between(-maxError, maxError);
  return {
    tool,
    read: (truth, repeats = 1) => ({
      instrument: tool,
      repeats: Array.from({ length: repeats }, () => {
        const shown = Math.max(0, rounded(truth + bias + normal(placing), resolution));
        return `${shown.toFixed(3)} mm`;
      }),
    }),
  };
}
