import type { PartStory } from '../../../core/course';
import { partName } from '../../../wording';
import { useNewPart } from '../store/use-new-part';
import * as texts from '#language/screens/job-rework';

/** A part that goes by the signed plan: what takes its place. Nothing where it stays. */
export function FitNew({ story }: { readonly story: PartStory | undefined }) {
  return story ? <New story={story} /> : null;
}

function New({ story }: { readonly story: PartStory }) {
  const newPart = useNewPart(story);
  if (newPart === null) return null;
  return (
    <section aria-label={texts.newPart(partName[story.part])} className="border-y border-line py-4">
      <h3 className="text-lg font-bold">{texts.newPart(partName[story.part])}</h3>
      <p className="mt-1 text-lg">{newPart}</p>
      <p className="mt-1 text-ink-soft">{texts.fitItUnderRefit}</p>
    </section>
  );
}
