import { assess } from '../../core/assess';
import { barWork } from '../../core/bar/checks';
import { EDGES } from '../../core/bar';
import type { WorkCardView } from '../../contract';
import {
  shopDay,
  effortSentence,
  exceptionSentence,
  LEVELLING_STEPS,
  operationWord,
  REWORK_CAUTIONS,
  schoolAnswer,
  sentence,
  verdictHeadline,
} from '../../wording';
import type { Context } from '../context';
import { jobSheet, jobView } from './jobs';
import { rulesInForce } from './shop';

/** The work card of a job's bar, ready to print. */
export async function workCardView(context: Context, jobId: string): Promise<WorkCardView> {
  const [view, { sheet }, { limits, codes, schools }] = await Promise.all([
    jobView(context, jobId),
    jobSheet(context, jobId),
    rulesInForce(context),
  ]);
  const { bar, verdicts } = assess(sheet, limits, codes, schools);
  const advised = EDGES.flatMap((edge) => {
    const { stations, dressing } = bar.edges[edge];
    return dressing?.advised ? [{ edge, stations, dressing }] : [];
  });
  return {
    shop: view.shop,
    tag: view.job.tag,
    customer: view.customer.name,
    saw: view.saw && [view.saw.label, view.saw.tag].filter(Boolean).join(', '),
    date: shopDay(context.now().toISOString(), view.shop),
    verdict: verdictHeadline(verdicts.bar),
    operations: barWork(sheet, bar, verdicts.bar, schools).map((operation) => sentence(operationWord[operation])),
    levelling: { school: schoolAnswer.levelling[schools.levelling], steps: LEVELLING_STEPS[schools.levelling] },
    edges: advised.map(({ edge, stations, dressing }) => ({
      edge,
      effort: effortSentence(dressing),
      rows: stations.map(({ at }, i) => ({
        at,
        near: dressing.plan.removeNear[i] ?? null,
        far: dressing.plan.removeFar[i] ?? null,
      })),
    })),
    left: advised.flatMap(({ stations, dressing }) => [
      ...dressing.exceptions.map(({ station, saves }) => exceptionSentence(stations[station]!.at, saves)),
      ...stations
        .filter(({ leaveLow }) => leaveLow)
        .map(({ at }) => `The dip at ${Math.round(at)} mm is left as it is.`),
    ]),
    cautions: REWORK_CAUTIONS,
  };
}
