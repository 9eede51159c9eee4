import type { SawGear, WhoseView } from '../../contract';
import { marksText, partName, reachBrief, shopDay } from '../../wording';
import { useFrame } from '../frame/frame-context';
import { isDue, useJobAddress, useWords } from './words';
import * as texts from '#language/screens/gear';

/** The piece of a saw that reaches a limit first. */
function firstOf({ set }: SawGear) {
  const foreseen = set.flatMap(({ part, first }) => (first ? [{ part, first }] : []));
  return foreseen.reduce<(typeof foreseen)[number] | null>((soonest, each) => {
    const [one, other] = [soonest?.first.on.middle ?? null, each.first.on.middle];
    return soonest === null || (other !== null && (one === null || other < one)) ? each : soonest;
  }, null);
}

function FirstDue({ gear, today }: { gear: SawGear; today: string }) {
  const words = useWords();
  const due = firstOf(gear);
  if (!due) return <span className="text-ink-soft">{texts.nothingToForesee}</span>;
  const isLate = isDue(due.first, today);
  return (
    <span className={isLate ? 'font-semibold text-oxide' : ''}>
      {partName[due.part]}: {reachBrief(due.first, words.show, words.day)}
    </span>
  );
}

interface SawRowsProps {
  readonly saws: readonly (SawGear & { readonly customer?: WhoseView })[];
  readonly today: string;
}

/** Saws, a line each: which, its numbers, what is due first, and its last job. */
export function SawRows({ saws, today }: SawRowsProps) {
  const { shop } = useFrame();
  const jobAddress = useJobAddress();
  return (
    <ul className="border-t border-line-strong">
      {saws.map((gear) => {
        const { saw, numbers, last, customer } = gear;
        const known = [
          saw.mount && texts.mount(saw.mount),
          marksText(numbers.marks),
          numbers.told !== '' && texts.toldAs(numbers.told),
          saw.retired && texts.retired,
        ]
          .filter(Boolean)
          .join(' · ');
        return (
          <li
            key={saw.id}
            className="grid grid-cols-[minmax(11rem,1fr)_minmax(14rem,1.6fr)_minmax(14rem,1.4fr)_10rem] items-center gap-x-4 gap-y-0.5 border-b border-line px-2 py-2 max-md:grid-cols-1"
          >
            <span className="min-w-0">
              <a className="flex min-h-11 flex-wrap items-center gap-x-2" href={`/gear/saws/${saw.id}`}>
                <span className="font-bold underline">{saw.label}</span>
                {saw.tag && <span className="figures text-ink-soft">{saw.tag}</span>}
              </a>
              {customer && (
                <a
                  className="block truncate text-sm text-ink-soft underline max-md:grid max-md:min-h-[44px] max-md:content-center"
                  href={`/gear/customers/${customer.id}`}
                >
                  {customer.name}
                </a>
              )}
            </span>
            <span className="figures text-sm">{known === '' ? texts.notKnownYet : known}</span>
            <span>
              <FirstDue gear={gear} today={today} />
            </span>
            <span className="text-sm text-ink-soft">
              {last && (
                <>
                  <a
                    className="figures underline max-md:inline-grid max-md:min-h-[44px] max-md:content-center"
                    href={jobAddress(last.jobId)}
                  >
                    {last.tag}
                  </a>{' '}
                  {shopDay(last.came, shop)}
                </>
              )}
            </span>
          </li>
        );
      })}
    </ul>
  );
}

/** What the columns of the lines are. */
export function SawHeads() {
  return (
    <p
      aria-hidden="true"
      className="grid grid-cols-[minmax(11rem,1fr)_minmax(14rem,1.6fr)_minmax(14rem,1.4fr)_10rem] gap-x-4 px-2 pb-1 text-sm font-semibold text-ink-soft max-md:hidden"
    >
      <span>{texts.saw}</span>
      <span>{texts.numbers}</span>
      <span>{texts.firstDue}</span>
      <span>{texts.lastJob}</span>
    </p>
  );
}
