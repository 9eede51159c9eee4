import {
  measured,
  mm,
  placingUncertainty,
  standardUncertainty,
  type InstrumentId,
  type LengthReading,
} from '../quantity';
import type { Askable } from '../sheet';
import type { Repeat } from './check';

/** The finer of two tools by what one placing of it is worth. */
const finer = (a: InstrumentId, b: InstrumentId): InstrumentId =>
  standardUncertainty(measured([mm(0)], a)) <= standardUncertainty(measured([mm(0)], b)) ? a : b;

/**
 * The reading to take again for a check, with the tool it was made with or the usual one where that is finer.
 * @param usual the tool a place is usually measured with
 */
export function repeatOf(
  measure: Askable,
  reading: LengthReading | undefined,
  usual: InstrumentId | null = null,
): Repeat | null {
  const used = reading?.kind === 'measured' ? reading.instrument : usual;
  if (!used) return null;
  const tool = usual ? finer(usual, used) : used;
  const placing = reading?.kind === 'measured' && tool === reading.instrument ? reading : { instrument: tool };
  return { measure, tool, u: placingUncertainty(placing) };
}
