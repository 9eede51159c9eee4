import { Notice } from '../../../ui/parts/Notice';
import { isReadingPath } from '../../../core/sheet';
import { actionWord, partName, readingName, sentence } from '../../../wording';
import type { News } from './use-news';
import * as texts from '#language/screens/job';

/** Readings named one by one; of more only the number is said. */
const NAMED = 3;

/** That a verdict changed under somebody's eyes: by whom, and by which reading. */
export function NewsOfOthers({ news, onSeen }: { readonly news: News; readonly onSeen: () => void }) {
  const { came, changed } = news;
  const named = came.filter(({ path }) => isReadingPath(path)).slice(0, NAMED);
  const more = came.length - named.length;
  return (
    <section aria-label={texts.changedElsewhere} className="border-b border-line text-sm">
      <Notice kind="caution">
        {changed.map(({ part, was, is }) => (
          <p key={part} className="font-bold">
            {texts.becameOf(sentence(partName[part]), actionWord[is], actionWord[was])}
          </p>
        ))}
        {came.length === 0 && <p>{texts.rulesWereChanged}</p>}
        {named.map(({ path, by }) => (
          <p key={path}>{texts.cameIn(by, isReadingPath(path) ? readingName(path) : path)}</p>
        ))}
        {more > 0 && <p>{texts.andMore(more)}</p>}
        <button type="button" className="mt-1 quiet" onClick={onSeen}>
          {texts.seen}
        </button>
      </Notice>
    </section>
  );
}
