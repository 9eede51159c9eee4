import { sequenceOf, type Identity } from '../identify';
import { brought, type Verdict } from '../judge';
import { estimate, type LengthReading, type Mm } from '../quantity';
import { PARTS, type Part } from '../reading';
import type { BenchSheet } from '../sheet';
import { DEFAULT_SCHOOLS, type Schools } from '../schools';
import type { FitContext } from './rules';

/** Whether anything says that the chain came off while it ran. */
const hasDerailed = ({ chain, job }: BenchSheet): boolean =>
  chain?.checks?.derailed === 'yes' ||
  (chain?.checks?.burredTangs ?? 0) > 0 ||
  (job?.symptoms ?? []).includes('chain-comes-off');

const valueOf = (reading: LengthReading | undefined): Mm | null =>
  reading ? (estimate(reading)?.value ?? null) : null;

/** What decides the kickback class of an order. */
export type ClassKnown = Pick<FitContext, 'kickbackClass' | 'operatorTrained' | 'kickbackChoice' | 'classSchool'>;

/**
 * What is known of the kickback class on a sheet. Bumper links are a mark of low-kickback chain where nobody has said
 * the class; after them a code of the shop may name it.
 */
export function classKnown(
  { job, chain }: BenchSheet,
  { codeClass }: Pick<Identity, 'codeClass'>,
  schools: Schools = DEFAULT_SCHOOLS,
): ClassKnown {
  return {
    classSchool: schools.lowKickback,
    kickbackClass: chain?.kickbackClass ?? (chain?.bumperLinks ? 'low-kickback' : codeClass),
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
  schools: Schools = DEFAULT_SCHOOLS,
): FitContext {
  const { bar, saw, chain, driveSprocket } = sheet;
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
    ...classKnown(sheet, identity, schools),
    guards: { chainCatcher: saw?.checks?.chainCatcher ?? null, rearGuard: saw?.checks?.rearGuard ?? null },
    derailed: hasDerailed(sheet),
    sprocketSound: sound,
    sequence: { ...sequenceOf(sheet, identity.chain.driveLinks.value), ticked: chain?.sequence ?? null },
    drive: {
      type: driveSprocket?.type ?? null,
      sprocketKind: saw?.sprocketKind ?? null,
      splines: driveSprocket?.splines ?? null,
      sawSplines: saw?.splines ?? null,
    },
    condemned: judged('replace'),
    undecided: judged('undecided'),
  };
}
