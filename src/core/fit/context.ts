import type { Identity } from '../identify';
import { brought, type Verdict } from '../judge';
import { estimate, type LengthReading, type Mm } from '../quantity';
import { PARTS, type Part } from '../reading';
import type { BenchSheet } from '../sheet';
import type { FitContext } from './rules';

const valueOf = (reading: LengthReading | undefined): Mm | null =>
  reading ? (estimate(reading)?.value ?? null) : null;

/** What decides the kickback class of an order. */
export type ClassKnown = Pick<FitContext, 'kickbackClass' | 'operatorTrained' | 'kickbackChoice'>;

/** What is known of the kickback class on a sheet. */
export function classKnown({ job, chain }: BenchSheet): ClassKnown {
  return {
    kickbackClass: chain?.kickbackClass ?? null,
    operatorTrained: job?.operatorTrained ?? null,
    kickbackChoice: job?.kickbackChoice?.trim() || null,
  };
}

/**
 * What the fit rules look at.
 * @param sound whether the drive sprocket is within its limit; null when not measured
 * @param verdicts null where nobody has judged the parts, as at the counter
 */
export function fitContext(
  sheet: BenchSheet,
  identity: Identity,
  sound: boolean | 'close' | null,
  verdicts: Readonly<Record<Part, Verdict>> | null,
): FitContext {
  const { bar, saw, chain } = sheet;
  const judged = (action: Verdict['action']) =>
    verdicts ? PARTS.filter((part) => brought(sheet, part) && verdicts[part].action === action) : [];
  return {
    identity,
    tang: valueOf(chain?.tang),
    barMount: bar?.mount ?? null,
    sawMount: saw?.mount ?? null,
    barOilHole: bar?.oilHole ?? null,
    sawOilHole: saw?.oilHole ?? null,
    nose: { hard: bar?.nose === 'hard', teeth: bar?.noseTeeth ?? null, thickness: valueOf(bar?.thickness) },
    ...classKnown(sheet),
    sprocketSound: sound,
    condemned: judged('replace'),
    undecided: judged('undecided'),
  };
}
