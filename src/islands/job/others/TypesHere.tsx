import { PencilLine } from 'lucide-react';
import { useTypingAt } from './use-typing-at';
import * as texts from '#language/screens/job';

/** That somebody else types into a field just now: what is typed here too will meet theirs. */
export function TypesHere({ path }: { readonly path: string }) {
  const who = useTypingAt(path);
  if (who === null) return null;
  return (
    <p className="flex items-center gap-1 text-sm font-semibold text-steel">
      <PencilLine size={14} aria-hidden="true" className="flex-none" />
      {texts.typesHere(who)}
    </p>
  );
}
