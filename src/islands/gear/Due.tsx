import type { DueGear } from '../../contract';
import { customText, partName, reachSentence } from '../../wording';
import { isDue, useWords } from './words';
import * as texts from '#language/screens/gear';

function why({ because }: DueGear, { show, day }: ReturnType<typeof useWords>): string {
  return because.code === 'limit' ? reachSentence(because.reach, show, day) : customText(because.custom, day);
}

/** What needs somebody now: by custom, or past its likely day. */
const isNow = ({ because }: DueGear, today: string): boolean =>
  because.code === 'custom' || isDue(because.reach, today);

interface DueProps {
  /** Whether these are saws of one page of several. */
  readonly isPart: boolean;
  readonly due: readonly DueGear[];
  readonly customerId: string;
  readonly today: string;
}

/** What is due of a customer's saws within a year, the soonest first; given out as a list and as a calendar. */
export function Due({ due, customerId, today, isPart }: DueProps) {
  const words = useWords();
  const files = `/api/gear/customers/${customerId}/due`;
  return (
    <section aria-labelledby="gear-due" className="no-print mt-6">
      <div className="flex flex-wrap items-end gap-x-4">
        <h2 id="gear-due" className="text-lg font-extrabold">
          {texts.dueWithinAYear}
        </h2>
        {(due.length > 0 || isPart) && (
          <>
            <a className="grid min-h-11 place-items-center underline" href={`${files}.csv`} download>
              {texts.asCsv}
            </a>
            <a className="grid min-h-11 place-items-center underline" href={`${files}.ics`} download>
              {texts.asCalendar}
            </a>
          </>
        )}
      </div>
      {isPart && <p className="text-sm text-ink-soft">{texts.dueOfThisPage}</p>}
      {due.length === 0 ? (
        <p className="text-ink-soft">{texts.nothingDue}</p>
      ) : (
        <ul className="border-t border-line-strong">
          {due.map((each) => (
            <li
              key={`${each.piece} ${each.because.code}`}
              className="grid grid-cols-[17rem_1fr] items-center gap-x-4 border-b border-line px-2 max-md:grid-cols-1 max-md:py-1"
            >
              <a className="flex min-h-11 flex-wrap items-center gap-x-2" href={`/gear/pieces/${each.piece}`}>
                <span className="font-bold underline">{partName[each.part]}</span>
                <span className="text-ink-soft">
                  {each.saw.label} <span className="figures">{each.saw.tag}</span>
                </span>
              </a>
              <span className={isNow(each, today) ? 'font-semibold text-oxide' : ''}>{why(each, words)}</span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
