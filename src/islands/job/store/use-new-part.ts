import { isRenewed, type PartStory } from '../../../core/course';
import { useJob } from './JobContext';
import * as texts from '#language/screens/job';

/** What goes on in the place of a part that the signed plan renews; null where it renews it not. */
export function useNewPart(story: PartStory): string | null {
  const { view } = useJob();
  if (!isRenewed(story)) return null;
  const fitted = view.signOffs[0]?.plan?.parts?.find((each) => each.part === story.part);
  if (fitted) return `${fitted.sku}, ${fitted.name}`;
  return story.withBar ? texts.comesWithTheNewBar : texts.newOneOfThePlan;
}
