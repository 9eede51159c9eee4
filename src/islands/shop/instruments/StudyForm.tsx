import { useEffect, useId, useState, type KeyboardEvent } from 'react';
import { useFieldArray } from 'react-hook-form';
import { figuresOf, flawsOf, studyResult, type Study } from '../../../core/hand';
import { INSTRUMENT_IDS, parseLength, type Mm } from '../../../core/quantity';
import type { StudyView } from '../../../contract';
import { biasSentence, flawSentence, instrumentTitle, readingProblem, scatterSentence } from '../../../wording';
import { CaliperPanel } from '../../caliper/CaliperPanel';
import { api } from '../../frame/api';
import { Form, Refusal, SelectField, SendButton, TextField, useSentForm } from '../../frame/form';
import { useFrame } from '../../frame/frame-context';
import { useChangedHere } from '../../frame/server-data';
import { sentOnce } from '../../frame/sent-once';
import { EMPTY_DRAFT, keepDraft, keptDraft, noTakes, type StudyDraft } from './draft';
import { StudyPlot } from './StudyPlot';
import * as texts from '#language/screens/shop-instruments';

const isTyped = ({ text }: { text: string }): boolean => text.trim() !== '';

/** The takes that can be read, with the study that they make; null while there is none. */
function studyOf(draft: StudyDraft, unit: 'mm' | 'in', by: string, on: string): Study | null {
  const read = (text: string): readonly Mm[] => {
    const length = parseLength(text, 'block', unit);
    return length.ok ? [length.value.length] : [];
  };
  const takes = draft.takes.flatMap(({ text }) => (isTyped({ text }) ? read(text) : []));
  const [size] = draft.known.trim() === '' ? [] : read(draft.known);
  const [doubt = 0] = draft.knownDoubt.trim() === '' ? [] : read(draft.knownDoubt);
  if (takes.length === 0) return null;
  return { by, instrument: draft.instrument, on, takes, known: size === undefined ? null : { value: size, u: doubt } };
}

/** A new study: the tool, a block or one place, and the takes, each entered by number and Enter or by the caliper. */
export function StudyForm({ today }: { today: string }) {
  const { who, unit } = useFrame();
  const changedHere = useChangedHere();
  const [caliper, setCaliper] = useState(false);
  const [stored, setStored] = useState(false);
  const form = useSentForm<StudyDraft>({
    start: EMPTY_DRAFT,
    send: async ({ takes, known, knownDoubt, ...draft }) => {
      const study = {
        ...draft,
        by: who,
        unit,
        takes: takes.filter(isTyped).map(({ text }) => text),
        known: known.trim() === '' ? null : known,
        knownDoubt: knownDoubt.trim() === '' ? null : knownDoubt,
      };
      await sentOnce(study, (id) => api.post<StudyView[]>('/api/studies', { id, ...study })).finally(changedHere);
      keepDraft(null);
      form.reset({ ...EMPTY_DRAFT, instrument: draft.instrument });
      setStored(true);
    },
    otherwise: texts.theStudyWasNotStored,
  });
  const { fields, append } = useFieldArray({ control: form.control, name: 'takes' });
  const { reset, watch } = form;
  useEffect(() => {
    reset(keptDraft());
    const { unsubscribe } = watch((draft) => {
      setStored(false);
      keepDraft(draft as StudyDraft);
    });
    return unsubscribe;
  }, [reset, watch]);
  const draft = watch();
  const study = studyOf(draft, unit, who, today);
  const readable = (text: unknown) => {
    if (typeof text !== 'string' || text.trim() === '') return true;
    const read = parseLength(text, 'block', unit);
    return read.ok || readingProblem(read.error, unit);
  };
  return (
    <section aria-labelledby="study" className="border-t-2 border-ink pt-3">
      <div className="flex flex-wrap items-center gap-3">
        <h2 id="study" className="text-lg font-extrabold">
          {texts.studyAHand}
        </h2>
        <button
          type="button"
          className="quiet px-2.5 aria-pressed:bg-ink aria-pressed:text-sheet"
          aria-pressed={caliper}
          onClick={() => setCaliper(!caliper)}
        >
          {texts.caliper}
        </button>
        <p className="text-sm text-ink-soft">{texts.tenTakesOfOnePlace}</p>
      </div>
      {caliper && <CaliperPanel onClose={() => setCaliper(false)} />}
      <Form form={form} className="mt-2 grid grid-cols-[minmax(0,1fr)_26rem] gap-x-6 gap-y-3 max-lg:grid-cols-1">
        <div className="grid content-start gap-3">
          <div className="flex flex-wrap items-start gap-3">
            <SelectField
              form={form}
              name="instrument"
              label={texts.tool}
              options={INSTRUMENT_IDS.map((id) => [id, instrumentTitle(id)])}
            />
            <TextField
              form={form}
              name="known"
              label={texts.sizeOfTheBlock}
              look="figures"
              className="w-48"
              rules={{ validate: readable }}
            />
            <TextField
              form={form}
              name="knownDoubt"
              label={texts.itsDoubtStandard}
              look="figures"
              className="w-40"
              rules={{ validate: readable }}
            />
            <TextField form={form} name="note" label={texts.note} maxLength={200} className="min-w-40 flex-1" />
          </div>
          <ol className="grid grid-cols-5 gap-2 max-md:grid-cols-2">
            {fields.map((field, i) => (
              <li key={field.id}>
                <Take form={form} index={i} validate={readable} />
              </li>
            ))}
          </ol>
          <div className="flex flex-wrap items-center gap-3">
            <SendButton form={form}>{texts.storeTheStudy}</SendButton>
            <button type="button" className="quiet" onClick={() => append(noTakes(1)[0]!)}>
              {texts.oneMoreTake}
            </button>
            <p role="status" className="text-sm">
              {who === '' ? texts.sayWhoIsHereFirst : texts.ofTheHand(who)}
              {stored && <span className="ml-2 font-semibold text-leaf">{texts.storedItCountsFromNow}</span>}
            </p>
          </div>
          <Refusal form={form} />
        </div>
        <div className="min-h-[220px]">{study ? <Found study={study} today={today} /> : <NothingYet />}</div>
      </Form>
    </section>
  );
}

const NothingYet = () => <p className="text-ink-soft">{texts.theTakesAreDrawnHere}</p>;

/** What the takes show so far. */
function Found({ study, today }: { study: Study; today: string }) {
  const found = studyResult(study);
  return (
    <>
      <StudyPlot takes={study.takes} mean={found.mean} sd={found.sd} known={study.known?.value ?? null} />
      <p className="text-sm">{scatterSentence(found)}</p>
      {study.known && <p className="text-sm">{biasSentence(found, figuresOf(study) !== null)}</p>}
      {flawsOf(study, today).map((flaw) => (
        <p key={flaw.code} className="text-sm font-semibold text-brass">
          {flawSentence(flaw)}
        </p>
      ))}
    </>
  );
}

interface TakeProps {
  readonly form: ReturnType<typeof useSentForm<StudyDraft>>;
  readonly index: number;
  readonly validate: (text: string) => true | string;
}

/** One take; Enter goes on to the next, and from the last to storing. */
function Take({ form, index, validate }: TakeProps) {
  const walkOn = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key !== 'Enter') return;
    event.preventDefault();
    const own = event.currentTarget.form!;
    const takes = [...own.querySelectorAll<HTMLInputElement>('input[data-path^="takes."]')];
    const next = takes[takes.indexOf(event.currentTarget) + 1];
    (next ?? own.querySelector<HTMLButtonElement>('button[type="submit"]'))?.focus();
  };
  const name = `takes.${index}.text` as const;
  const errorId = useId();
  const { error } = form.getFieldState(name, form.formState);
  return (
    <div className="grid gap-0.5">
      <label className="grid gap-0.5">
        <span className="text-sm text-ink-soft">{texts.takeNumbered(index + 1)}</span>
        <input
          className="entry w-full figures"
          data-path={name}
          inputMode="decimal"
          autoComplete="off"
          aria-invalid={error !== undefined}
          aria-describedby={errorId}
          {...form.register(name, { validate })}
          onKeyDown={walkOn}
        />
      </label>
      {error?.message && (
        <span id={errorId} role="alert" className="text-sm font-semibold text-oxide">
          {error.message}
        </span>
      )}
    </div>
  );
}
