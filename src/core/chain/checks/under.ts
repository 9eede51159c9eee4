import type { Limit } from '../../limits';
import { countOf, type Estimate } from '../../quantity';
import { measuredChecks, workCheck, type Check } from '../../judge';
import type { ChainContext } from './context';

const part = 'chain' as const;

/**
 * Burred tangs up to this many are filed; more condemn the chain and ask for a look at the groove (common practice, no
 * source).
 */
const FEW_BURRED_TANGS = 4;

/** A count as it was counted: nobody miscounts a few by much. */
const counted = (value: number): Estimate<'count'> => ({ value: countOf(value), u: 0 });

const none: Limit<'count'> = { value: 0, unit: 'count', role: 'max', provenance: 'practice' };

function tangsCheck(burred: number): Check {
  const many = burred > FEW_BURRED_TANGS;
  const work = { operation: 'file-tangs', from: 'fail' } as const;
  const limit = many ? { ...none, value: FEW_BURRED_TANGS } : none;
  return workCheck({ id: 'chain.tangs', part, condemns: many, work }, counted(burred), limit);
}

/** What is counted and measured on the undersides: burred tangs, the worst burr, joints that do not swing. */
export function undersideChecks({ chain, limits }: ChainContext): readonly Check[] {
  const { burredTangs, tightJoints } = chain.checks ?? {};
  const freed = { operation: 'free-tight-joints', from: 'fail' } as const;
  return [
    ...(burredTangs === undefined ? [] : [tangsCheck(burredTangs)]),
    ...measuredChecks(part, 'chain.checks', chain.checks ?? {}, limits),
    ...(tightJoints === undefined
      ? []
      : [workCheck({ id: 'chain.tight-joints', part, work: freed }, counted(tightJoints), none)]),
  ];
}
