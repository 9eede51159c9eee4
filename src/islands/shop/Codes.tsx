import { useState } from 'react';
import type { KickbackClass } from '../../core/fit';
import { codeKey, type LearnedCode } from '../../core/identify';
import { GAUGE_IDS, type GaugeId, PITCH_MARKS, type PitchMark } from '../../core/families';
import type { LearnedCodeView } from '../../contract';
import { Empty, Notice } from '../../ui/parts/Notice';
import { gaugeLabel, kickbackClassWord, pitchMarkLabel, UNNAMED } from '../../wording';
import { api, failure } from '../frame/api';
import { Form, Refusal, SelectField, SendButton, TextField, useSentForm } from '../frame/form';
import { useFrame } from '../frame/frame-context';
import { useChangedHere } from '../frame/server-data';
import * as common from '#language/screens/common';
import * as texts from '#language/screens/shop';

interface Draft {
  readonly code: string;
  readonly pitch: PitchMark | '';
  readonly gauge: GaugeId | '';
  readonly driveLinks: string;
  readonly kickbackClass: KickbackClass | '';
  readonly replacedBy: string;
  readonly note: string;
}

const EMPTY: Draft = { code: '', pitch: '', gauge: '', driveLinks: '', kickbackClass: '', replacedBy: '', note: '' };

/** Codes punched into drive links, as the shop has learned them: makers use systems of their own. */
export function Codes({ codes }: { codes: readonly LearnedCodeView[] }) {
  const changedHere = useChangedHere();
  const { who } = useFrame();
  const [kept, setKept] = useState<string | null>(null);
  const forget = async (code: string) => {
    try {
      await api.post<LearnedCodeView[]>('/api/codes/forget', { by: who || UNNAMED, code });
      await changedHere();
      setKept(null);
    } catch (error) {
      setKept(failure(error, texts.notForgotten));
    }
  };
  return (
    <>
      <p className="mb-3 max-w-prose text-ink-soft">{texts.aCodeOnADrive}</p>
      <LearnCode codes={codes} />
      {kept && <Notice kind="error">{kept}</Notice>}
      {codes.length === 0 ? (
        <Empty title={texts.noCodeLearnedYet}>{texts.theNextMarkedChain}</Empty>
      ) : (
        <ul className="border-t-2 border-ink">
          {codes.map(({ code, pitch, gauge, driveLinks, kickbackClass, replacedBy, note, by }) => (
            <li
              key={code}
              className="grid grid-cols-[6rem_12rem_10rem_minmax(0,1fr)_auto] items-center gap-3 border-b border-line py-1.5 max-md:grid-cols-2"
            >
              <span className="figures text-lg font-bold">{code}</span>
              <span>{pitch ? pitchMarkLabel(pitch) : texts.pitchNotSaid}</span>
              <span>{gauge ? gaugeLabel(gauge) : texts.gaugeNotSaid}</span>
              <span className="text-sm text-ink-soft">
                {[
                  driveLinks && texts.links(driveLinks),
                  kickbackClass && kickbackClassWord[kickbackClass],
                  replacedBy && texts.replacedBy(replacedBy),
                  note,
                  texts.learnedBy(by),
                ]
                  .filter(Boolean)
                  .join('; ')}
              </span>
              <button
                type="button"
                className="quiet"
                aria-label={texts.forgetCode(code)}
                onClick={() => void forget(code)}
              >
                {texts.forget}
              </button>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}

/** Links that a loop may have, in figures. */
const isLinkCount = (text: string): boolean =>
  /^\d{2,3}$/.test(text.trim()) && Number(text) >= 20 && Number(text) <= 400;

/** A code as it was seen, without who taught it. */
const withoutTeacher = ({ at: _at, by: _by, ...code }: LearnedCodeView): LearnedCode => code;

/** A code and what it stands for. */
function LearnCode({ codes }: { codes: readonly LearnedCodeView[] }) {
  const { who } = useFrame();
  const changedHere = useChangedHere();
  const form = useSentForm<Draft>({
    start: EMPTY,
    send: async ({ code, pitch, gauge, driveLinks, kickbackClass, replacedBy, note }) => {
      const learned: LearnedCode = {
        code,
        pitch: pitch || null,
        gauge: gauge || null,
        driveLinks: driveLinks.trim() === '' ? null : Number(driveLinks),
        kickbackClass: kickbackClass || null,
        replacedBy,
        note,
      };
      const known = codes.find((each) => codeKey(each.code) === codeKey(code));
      const was = known ? withoutTeacher(known) : null;
      await api.put<LearnedCodeView[]>('/api/codes', { by: who || UNNAMED, code: learned, was }).finally(changedHere);
      form.reset();
    },
    otherwise: common.notStored,
  });
  const isCount = (links: string) => links.trim() === '' || isLinkCount(links) || texts.linksAreACount;
  const written = (code: string) => code.trim() !== '' || texts.writeTheCode;
  return (
    <Form form={form} className="mb-4 flex flex-wrap items-start gap-3">
      <TextField
        form={form}
        name="code"
        label={texts.code}
        maxLength={20}
        look="figures"
        className="w-36"
        rules={{ validate: written }}
      />
      <SelectField
        form={form}
        name="pitch"
        label={texts.pitch}
        nothing={texts.notSaid}
        options={PITCH_MARKS.map((mark) => [mark, pitchMarkLabel(mark)])}
      />
      <SelectField
        form={form}
        name="gauge"
        label={texts.gauge}
        nothing={texts.notSaid}
        options={GAUGE_IDS.map((id) => [id, gaugeLabel(id)])}
      />
      <TextField
        form={form}
        name="driveLinks"
        label={texts.linksOfTheLoop}
        maxLength={3}
        look="figures"
        className="w-28"
        rules={{ validate: isCount }}
      />
      <SelectField
        form={form}
        name="kickbackClass"
        label={texts.kickbackClass}
        nothing={texts.notSaid}
        options={(['low-kickback', 'standard'] as const).map((each) => [each, kickbackClassWord[each]])}
      />
      <TextField form={form} name="replacedBy" label={texts.replacedByLabel} maxLength={80} className="w-48" />
      <TextField form={form} name="note" label={texts.note} maxLength={200} className="flex-1" />
      <SendButton form={form} className="mt-6">
        {texts.learnIt}
      </SendButton>
      <div className="w-full">
        <Refusal form={form} />
      </div>
    </Form>
  );
}
