import type { CounterNumberView } from '../../contract';
import { kickbackClassWord } from '../../wording';
import { CounterField } from './fields';
import { Notice } from '../../ui/parts/Notice';
import type { Counter } from './use-counter';
import * as texts from '#language/screens/counter';

const STATUS = {
  settled: { word: texts.settled, look: 'border-leaf bg-leaf-pale', tone: 'text-leaf' },
  open: { word: texts.open, look: 'border-steel bg-steel-pale', tone: 'text-steel' },
  unknown: { word: texts.notKnown, look: 'border-steel bg-steel-pale', tone: 'text-steel' },
  conflict: { word: texts.contradicted, look: 'border-oxide bg-oxide-pale', tone: 'text-oxide' },
} as const;

/** The right side's head: the three numbers, the one question to ask next, and what must be said. */
export function Answer({ counter }: { counter: Counter }) {
  const { reply, trouble } = counter;
  return (
    <div className="grid content-start gap-3">
      {trouble && <Notice kind="error">{texts.answerMayBeOld(trouble)}</Notice>}
      <div className="grid grid-cols-3 gap-2" aria-live="polite">
        {(reply?.numbers ?? []).map((number) => (
          <NumberBox key={number.property} number={number} />
        ))}
      </div>
      {reply?.clashes.length ? (
        <Notice kind="error">
          <p className="font-bold">{texts.thesePartsDoNotBelong}</p>
          {reply.clashes.map((text) => (
            <p key={text}>{text}</p>
          ))}
        </Notice>
      ) : null}
      <NextQuestion counter={counter} />
      {reply && reply.cautions.length > 0 && (
        <Notice kind="caution">
          {reply.cautions.map((text) => (
            <p key={text}>{text}</p>
          ))}
        </Notice>
      )}
      {reply?.order?.kickbackClass && (
        <details open={counter.text('job.kickbackChoice') !== ''}>
          <summary className="py-1 text-sm font-semibold">
            {texts.kickbackClass(
              kickbackClassWord[reply.order.kickbackClass],
              counter.text('job.kickbackChoice') === '' && reply.order.kickbackClass === 'low-kickback'
                ? texts.standardChainInstead
                : '',
            )}
          </summary>
          <CounterField
            counter={counter}
            path="job.kickbackChoice"
            label={texts.standardChainIsChosenBecause}
            hint={texts.neverSteppedUpInSilence}
          />
        </details>
      )}
    </div>
  );
}

function NumberBox({ number: { name, status, value, why } }: { number: CounterNumberView }) {
  const { word, look, tone } = STATUS[status];
  return (
    <section aria-label={`${name}: ${word}`} className={`min-w-0 border-t-4 px-2.5 py-1.5 ${look}`}>
      <p className="flex flex-wrap justify-between gap-x-2 text-sm">
        <span className="font-semibold">{name}</span>
        <span className={`font-bold ${tone}`}>{word}</span>
      </p>
      <p className={`figures leading-snug font-bold ${value.length > 12 ? 'text-base' : 'text-[24px]'}`}>{value}</p>
      {why.length > 0 && (
        <details className="text-sm">
          <summary className="py-0.5 text-ink-soft underline">{texts.why}</summary>
          {why.map((text) => (
            <p key={text}>{text}</p>
          ))}
        </details>
      )}
    </section>
  );
}

function NextQuestion({ counter }: { counter: Counter }) {
  const { reply } = counter;
  if (!reply) return <p className="text-ink-soft">{texts.looking}</p>;
  if (!reply.question) return <Notice kind="good">{texts.nothingLeftToAsk}</Notice>;
  return (
    <section aria-label={texts.askNext} className="border-2 border-pine bg-sheet px-4 py-3">
      <p className="text-sm font-semibold text-pine">{texts.askNext}</p>
      <p className="text-xl leading-snug font-extrabold">{reply.question.ask}</p>
      <div className="mt-1 flex flex-wrap items-center justify-between gap-2">
        <p className="text-sm text-ink-soft">{reply.question.why}</p>
        <button type="button" className="act" onClick={counter.goOn}>
          {texts.answerIt}
        </button>
      </div>
    </section>
  );
}
