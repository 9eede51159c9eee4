import type { JobView } from '../../contract';
import type { Step } from '../../core/reading';
import { fetchStep } from './steps';
import { begunOn, type Begun } from './store/JobContext';

export { Job } from './Job';
export { JobProvider, type Begun } from './store/JobContext';

/** What a job begins with. */
interface Given {
  readonly view: JobView;
  /** Who is at the bench. */
  readonly who: string;
  /** The step that is opened. */
  readonly step: Step;
}

/**
 * Begins a job: works out what its readings mean while its step is fetched.
 * @param onView hears of limits, codes, schools, photographs and sign-offs that were changed elsewhere
 * @returns null where it was left meanwhile
 */
export async function begin(
  { view, who, step }: Given,
  onView: (view: JobView) => void,
  isGone: () => boolean,
): Promise<Begun | null> {
  const [begun] = await Promise.all([begunOn(view, who, onView, isGone), fetchStep(step)]);
  return begun;
}
