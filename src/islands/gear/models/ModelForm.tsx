import { useState } from 'react';
import { SPROCKET_KINDS, type SprocketKind } from '../../../core/declared';
import { COUNTS, punched, type NumberName } from '../../../core/saw-model';
import type { ModelFactsView, ModelOffer } from '../../../contract';
import { sprocketKindWord } from '../../../wording';
import { api, failure } from '../../frame/api';
import { CheckField, Form, Refusal, SelectField, SendButton, TextField, useSentForm } from '../../frame/form';
import { useSay } from '../said/say';
import * as texts from '#language/screens/gear';

interface ModelFormProps {
  /** The model that is mended; null where one is entered. */
  readonly of: { readonly modelId: string; readonly was: ModelFactsView } | null;
}

const NEW: ModelFactsView = {
  ...{ name: '', bar: '', mount: null, pitch: '', gauge: '', links: '' },
  ...{ sprocketKind: null, teeth: null, splines: null, retired: false },
};

/** A model as it stands in the fields of its form. */
const asTyped = (facts: ModelFactsView) => ({
  ...facts,
  mount: facts.mount ?? '',
  links: facts.links.replace(/DL$/, ''),
  sprocketKind: facts.sprocketKind ?? '',
  teeth: facts.teeth?.toString() ?? '',
  splines: facts.splines?.toString() ?? '',
});
type Typed = ReturnType<typeof asTyped>;

const countOf = (text: string): number | null => (text.trim() === '' ? null : Number(text));

const asFacts = ({ name, bar, mount, sprocketKind, teeth, splines, ...rest }: Typed): ModelFactsView => ({
  ...rest,
  ...{ name: name.trim(), bar: bar.trim(), mount: mount.trim() || null },
  sprocketKind: (sprocketKind || null) as SprocketKind | null,
  ...{ teeth: countOf(teeth), splines: countOf(splines) },
});

const isNumber = (number: NumberName, wrong: string) => (text: unknown) =>
  String(text).trim() === '' || punched(number, String(text).trim()) !== null || wrong;

const isCount =
  ({ from, to }: { readonly from: number; readonly to: number }) =>
  (text: unknown) =>
    /^\s*\d*\s*$/.test(String(text)) && (String(text).trim() === '' || (Number(text) >= from && Number(text) <= to))
      ? true
      : texts.countBetween(from, to);

/** A model is entered or mended: its name and bar, and what is usual for it. */
export function ModelForm({ of }: ModelFormProps) {
  const say = useSay();
  const form = useSentForm<Typed>({
    start: asTyped(of?.was ?? NEW),
    send: (typed) => {
      const facts = asFacts(typed);
      return say(of ? { say: 'model-mended', ...of, facts } : { say: 'model-entered', facts });
    },
    otherwise: texts.itWasNotSaved,
  });
  return (
    <Form form={form}>
      <div className="grid grid-cols-2 gap-3 max-md:grid-cols-1">
        <TextField
          form={form}
          name="name"
          label={texts.modelName}
          maxLength={120}
          rules={{ validate: (text) => String(text).trim() !== '' || texts.writeTheModel }}
        />
        <TextField form={form} name="bar" label={texts.modelBar} maxLength={40} />
      </div>
      <Offer form={form} />
      <div className="grid grid-cols-3 gap-3 max-md:grid-cols-2">
        <TextField
          form={form}
          name="pitch"
          label={texts.pitch}
          rules={{ validate: isNumber('pitch', texts.noPitch) }}
        />
        <TextField
          form={form}
          name="gauge"
          label={texts.gauge}
          rules={{ validate: isNumber('gauge', texts.noGauge) }}
        />
        <TextField
          form={form}
          name="links"
          label={texts.links}
          inputMode="numeric"
          rules={{ validate: isNumber('links', texts.noLinks) }}
        />
        <TextField form={form} name="mount" label={texts.itsMount} maxLength={40} />
        <SelectField
          form={form}
          name="sprocketKind"
          label={texts.itsSprocket}
          nothing={texts.notKnown}
          options={SPROCKET_KINDS.map((kind) => [kind, sprocketKindWord[kind]] as const)}
        />
        <TextField
          form={form}
          name="teeth"
          label={texts.itsTeeth}
          inputMode="numeric"
          rules={{ validate: isCount(COUNTS.teeth) }}
        />
        <TextField
          form={form}
          name="splines"
          label={texts.itsSplines}
          inputMode="numeric"
          rules={{ validate: isCount(COUNTS.splines) }}
        />
      </div>
      {of && <CheckField form={form} name="retired" label={texts.modelOfferedNoMore} />}
      <Refusal form={form} />
      <SendButton form={form} className="justify-self-start">
        {of ? texts.save : texts.enter}
      </SendButton>
    </Form>
  );
}

/** Fills in what was measured on the shop's saws of that name, for a person to look over. */
function Offer({ form }: { readonly form: ReturnType<typeof useSentForm<Typed>> }) {
  const [said, setSaid] = useState('');
  const ask = async () => {
    const name = form.getValues('name').trim();
    if (name === '') return setSaid(texts.writeTheModel);
    try {
      const { saws, numbers } = await api.get<ModelOffer>(`/api/gear/models/offer?name=${encodeURIComponent(name)}`);
      setSaid(saws === 0 ? texts.nothingMeasuredOn(name) : texts.measuredOn(saws));
      const typed = asTyped({ ...asFacts(form.getValues()), ...numbers });
      if (saws > 0)
        for (const field of ['mount', 'pitch', 'gauge', 'links', 'sprocketKind', 'teeth'] as const)
          if (typed[field] !== '') form.setValue(field, typed[field], { shouldDirty: true });
    } catch (error) {
      setSaid(failure(error, texts.itWasNotFetched));
    }
  };
  return (
    <div className="flex flex-wrap items-center gap-3">
      <button type="button" className="quiet" onClick={() => void ask()}>
        {texts.takeWhatWasMeasured}
      </button>
      <p role="status" className="text-sm">
        {said}
      </p>
    </div>
  );
}
