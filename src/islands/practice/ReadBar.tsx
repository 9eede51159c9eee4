import { minutesNext } from '../../core/practice';
import { stationOf } from '../../core/declared';
import { readingAt, type ReadingPath } from '../../core/sheet';
import { choiceLabel, instrumentHeld, instrumentName, readingName, sentence } from '../../wording';
import { lengthAt, useToolsInHand } from '../job/tools/tool-in-hand';
import type { RoundHere } from './use-round';
import * as texts from '#language/screens/practice';

/** How something is read: how the tool in hand is held, or how one looks. Always there, so that nothing moves. */
function HowToRead({ path }: { readonly path: ReadingPath | null }) {
  const tools = useToolsInHand();
  const length = path === null ? null : lengthAt(path);
  const tool = length && (tools[length.kind] ?? length.usual);
  const held = tool && instrumentHeld(tool);
  return (
    <details className="basis-full text-sm">
      <summary className="min-h-11 content-center font-semibold">{texts.howToRead}</summary>
      <p className="pb-1">{tool && held ? texts.withTool(instrumentName(tool), held) : texts.howToLook}</p>
    </details>
  );
}

interface ReadBarProps {
  readonly round: RoundHere;
  /** The field that is chosen; null before one is. */
  readonly path: ReadingPath | null;
  readonly isRead: boolean;
  readonly onRead: (path: ReadingPath) => Promise<void>;
}

/** What was read at a place: a word as it is said, a length with its unit. */
const saidAt = (path: ReadingPath, text: string): string =>
  readingAt(path)?.kind.kind === 'length' ? `${text} mm` : choiceLabel(path, text);

/** What the last reading came to. */
function lastSaid({ view: { taken } }: RoundHere): string | null {
  const last = taken.at(-1);
  if (!last) return null;
  const what = sentence(readingName(last.path));
  const { entries } = last;
  if (entries.length === 0) return texts.cameToNothing(what);
  const shown = entries.filter(({ path }) => stationOf(path)?.field !== 'at');
  return texts.came(what, shown.map(({ path, text }) => saidAt(path as ReadingPath, text)).join(', '));
}

/** At the foot: what the chosen field costs to read, the act, and what the last one came to. */
export function ReadBar({ round, path, isRead, onRead }: ReadBarProps) {
  const { view, isBusy } = round;
  const said = lastSaid(round);
  return (
    <section
      aria-label={texts.step}
      className="sticky bottom-0 z-10 mt-3 flex flex-wrap items-center gap-x-4 gap-y-1 border-t-2 border-ink bg-sheet px-3 py-2"
    >
      <p className="min-h-12 min-w-0 flex-1 basis-56">
        {path === null ? (
          <span className="text-ink-soft">{texts.chooseAField}</span>
        ) : (
          <>
            <span className="font-bold">{sentence(readingName(path))}</span>{' '}
            <span className="figures whitespace-nowrap text-ink-soft">
              {texts.costs(minutesNext(view.taken, path))}
            </span>
          </>
        )}
        <span className="block text-sm" role="status">
          {isBusy ? texts.reading : said}
        </span>
      </p>
      {/* Always there: what moves under a finger takes the tap away from what was tapped. */}
      <button
        type="button"
        className={isRead ? 'quiet' : 'act'}
        disabled={path === null}
        aria-label={path === null ? texts.read : texts.readsWhat(readingName(path))}
        onClick={() => path !== null && void onRead(path)}
      >
        {isRead ? texts.readAgain : texts.read}
      </button>
      {view.kind !== 'paper' && <HowToRead path={path} />}
    </section>
  );
}
