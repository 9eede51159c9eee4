import { memo } from 'react';
import * as texts from '#language/screens/controls';

/** One plate of the row: a part and its three numbers, each as far as it is known. */
export interface Plate {
  readonly name: string;
  readonly pitch: string | null;
  readonly gauge: string | null;
  readonly links: string | null;
  /** Numbers this part has at all: a sprocket has no gauge. */
  readonly shows: readonly ('pitch' | 'gauge' | 'links')[];
  /** Numbers that one mark alone says, each with the sentence that says so and what confirms it. */
  readonly onMark?: Readonly<Partial<Record<'pitch' | 'gauge' | 'links', string>>>;
  /** Said instead of numbers, where a part has none. */
  readonly note?: string;
}

/** One rule between two parts: whether it holds, and why. */
export interface Joint {
  /** What the rule is about, in a word. */
  readonly name: string;
  readonly state: 'match' | 'clash' | 'unknown';
  readonly sentence: string;
}

const WORD = { match: texts.match, clash: texts.clash, unknown: texts.notKnown };
const TONE = { match: 'text-leaf', clash: 'text-oxide', unknown: 'text-steel' } as const;

/** Two link plates and a rivet: closed for a match, torn for a clash, dotted while not known. */
function JointMark({ state }: { state: Joint['state'] }) {
  return (
    <svg viewBox="0 0 48 20" width="38" height="16" aria-hidden="true" className={TONE[state]}>
      <g stroke="currentColor" strokeWidth="2.2" fill="none">
        {state === 'match' && (
          <>
            <path d="M0 10 H17 M31 10 H48" />
            <circle cx="24" cy="10" r="7" fill="currentColor" />
          </>
        )}
        {state === 'clash' && (
          <>
            <path d="M0 10 H14 M34 10 H48" />
            <path d="M17 3 L24 10 L17 17 M31 3 L24 10 L31 17" strokeWidth="2.8" />
          </>
        )}
        {state === 'unknown' && (
          <>
            <path d="M0 10 H15 M33 10 H48" strokeDasharray="3 3" />
            <circle cx="24" cy="10" r="6.6" strokeDasharray="3.2 2.6" />
          </>
        )}
      </g>
    </svg>
  );
}

const LABEL = { pitch: texts.pitch, gauge: texts.gauge, links: texts.links };

function PlateCard({ plate }: { plate: Plate }) {
  return (
    <div className="min-w-0 flex-1 rounded-[3px] border border-line-strong bg-sheet px-2.5 py-1 max-lg:px-2">
      <p className="text-xs leading-tight font-semibold tracking-wide text-ink-soft">{plate.name}</p>
      <p className="flex gap-3">
        {plate.note}
        {plate.shows.map((number) => (
          <span key={number} className="min-w-0">
            <span className="sr-only">{LABEL[number]} </span>
            <span className={`truncate figures text-[15px] ${plate[number] ? 'font-semibold' : 'text-ink-soft'}`}>
              {plate[number] ?? '?'}
            </span>
            {plate.onMark?.[number] ? (
              <abbr title={plate.onMark[number]} className="ml-1 text-[11px] font-semibold text-brass no-underline">
                {texts.byMark}
                <span className="sr-only">. {plate.onMark[number]}</span>
              </abbr>
            ) : (
              <span aria-hidden="true" className="ml-1 text-[11px] text-ink-soft max-lg:hidden">
                {LABEL[number]}
              </span>
            )}
          </span>
        ))}
      </p>
    </div>
  );
}

/** One rule's joint; opening it shows its sentence. */
function JointCard({ joint, end }: { joint: Joint; end: boolean }) {
  return (
    <details className="group relative flex items-center" name="joint">
      <summary
        className={`flex min-h-11 w-[3.9rem] list-none flex-col items-center justify-center text-center text-[11px] leading-[1.05] font-semibold max-lg:w-[3.3rem] ${TONE[joint.state]} [&::-webkit-details-marker]:hidden`}
      >
        <JointMark state={joint.state} />
        <span>{joint.name}</span>
        <span className={joint.state === 'match' ? 'sr-only' : 'whitespace-nowrap max-lg:whitespace-normal'}>
          {WORD[joint.state]}
        </span>
      </summary>
      <div
        className={`absolute top-full z-20 w-72 border border-line-strong bg-sheet p-3 text-sm shadow-lg ${end ? 'right-0' : 'left-1/2 -translate-x-1/2'} max-md:fixed max-md:inset-x-3 max-md:top-auto max-md:bottom-24 max-md:w-auto max-md:translate-x-0`}
      >
        {joint.sentence}
      </div>
    </details>
  );
}

interface PlatesProps {
  readonly plates: readonly Plate[];
  /** Rules between each plate and the next. */
  readonly joints: readonly (readonly Joint[])[];
  /** Rules of the set that stand between no two plates: mount, oil hole, kickback class. */
  readonly others: readonly Joint[];
}

/**
 * Linked plates: four parts in a row, joined like a chain, with a joint for every rule. Opening a joint shows its
 * sentence. Drawn anew only when one of them says something else.
 */
export const Plates = memo(function Plates({ plates, joints, others }: PlatesProps) {
  return (
    <section
      aria-label={texts.linkedPlatesWhatBelongsTogether}
      className="flex items-stretch max-md:relative max-md:gap-1 max-md:overflow-x-auto"
    >
      {plates.map((plate, i) => (
        <div
          key={plate.name}
          className={`flex min-w-0 items-stretch max-md:flex-none ${i < plates.length - 1 ? 'flex-auto' : 'flex-1 basis-28 max-md:basis-auto'}`}
        >
          <PlateCard plate={plate} />
          {joints[i]?.map((joint) => (
            <JointCard key={joint.name} joint={joint} end={false} />
          ))}
        </div>
      ))}
      <div
        role="group"
        aria-label={texts.rulesOfTheWholeSet}
        className="ml-2 flex border-l border-line pl-1 max-md:ml-0 max-md:flex-none"
      >
        {others.map((joint) => (
          <JointCard key={joint.name} joint={joint} end />
        ))}
      </div>
    </section>
  );
});
