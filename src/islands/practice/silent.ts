import type { Appraisal } from '../../core/assess';
import { EDGES } from '../../core/declared';

type EdgeOf = Appraisal['bar']['edges']['A'];

/** An edge as it is drawn, without what the bench makes of it. */
const asDrawn = (edge: EdgeOf): EdgeOf => ({ ...edge, belief: null, dressing: null, called: false });

/**
 * What readings come to, as the drawings of instruments need it, with every judgement held back: in a round of practice
 * the learner judges.
 * @param nothing the appraisal of a sheet with nothing on it
 */
export function silent({ bar }: Appraisal, nothing: Appraisal): Appraisal {
  const edges = Object.fromEntries(EDGES.map((edge) => [edge, asDrawn(bar.edges[edge])])) as Appraisal['bar']['edges'];
  return { ...nothing, bar: { ...nothing.bar, edges, standing: edges, setting: bar.setting } };
}
