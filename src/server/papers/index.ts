import { assess } from '../../core/assess';
import type { UnitSystem } from '../../core/quantity';
import { PAPERS, type Paper, type PaperId } from '../../contract';
import type { Context } from '../context';
import { notFound } from '../refusal';
import { handOverOf } from '../use-cases/hand-over';
import { jobSheet, mustFindJob } from '../use-cases/jobs';
import { rulesInForce, shopView } from '../use-cases/shop';
import { slipView } from '../use-cases/stock';
import { workCardView } from '../use-cases/work-card';
import { condemnedPaper } from './condemned';
import { customerPaper } from './customer';
import { slipPaper } from './slip';
import { tagPaper } from './tag';
import { workCardPaper } from './work-card';

export { slipPaper } from './slip';

interface Wanted {
  readonly unit: UnitSystem;
  /** Where the application is reached, so that a code can lead back to it. */
  readonly origin: string;
}

/** A paper of a job, by its name. */
export async function jobPaper(
  context: Context,
  jobId: string,
  name: string,
  { unit, origin }: Wanted,
): Promise<Paper> {
  const id: PaperId | undefined = PAPERS.find((each) => each === name);
  if (!id) throw notFound('paper');
  if (id === 'slip') return slipPaper(await slipView(context, jobId));
  if (id === 'work-card') return workCardPaper(await workCardView(context, jobId), unit);
  const [document, shop, { promisedFor }] = await Promise.all([
    handOverOf(context, jobId),
    shopView(context),
    mustFindJob(context, jobId),
  ]);
  if (id === 'condemned') return condemnedPaper(document, shop);
  if (id === 'tag') return tagPaper(document, shop, `${origin}/jobs/${jobId}`, promisedFor);
  const [{ sheet }, { limits, codes, schools }] = await Promise.all([jobSheet(context, jobId), rulesInForce(context)]);
  return customerPaper(document, assess(sheet, limits, codes, schools).bar, shop, unit);
}
