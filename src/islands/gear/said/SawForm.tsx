import type { SawFactsView } from '../../../contract';
import { CheckField, Form, Refusal, SendButton, TextField, useSentForm } from '../../frame/form';
import { useSay } from './say';
import * as texts from '#language/screens/gear';

interface SawFormProps {
  /** The saw that is mended, or whose a new one is. */
  readonly of: { readonly sawId: string; readonly was: SawFactsView } | { readonly customerId: string };
}

const NEW: SawFactsView = { label: '', tag: '', mount: null, maxRpm: null, retired: false };

/** A saw is entered or mended: what it is called, the tag on it, its mount and its most revolutions. */
export function SawForm({ of }: SawFormProps) {
  const say = useSay();
  const was = 'was' in of ? of.was : NEW;
  const form = useSentForm({
    start: { ...was, mount: was.mount ?? '', maxRpm: was.maxRpm?.toString() ?? '' },
    send: ({ label, tag, mount, maxRpm, retired }) => {
      const rpm = maxRpm.trim();
      const facts = {
        ...{ label: label.trim(), tag: tag.trim(), retired },
        mount: mount.trim() === '' ? null : mount.trim(),
        maxRpm: rpm === '' ? null : Number(rpm),
      };
      return 'was' in of
        ? say({ say: 'saw-mended', sawId: of.sawId, facts, was: of.was })
        : say({ say: 'saw-entered', customerId: of.customerId, facts });
    },
    otherwise: texts.itWasNotSaved,
  });
  return (
    <Form form={form}>
      <TextField
        form={form}
        name="label"
        label={texts.whatItIsCalled}
        maxLength={120}
        rules={{ validate: (text) => String(text).trim() !== '' || texts.writeWhatItIsCalled }}
      />
      <TextField form={form} name="tag" label={texts.tagOnIt} maxLength={40} />
      <TextField form={form} name="mount" label={texts.itsMount} maxLength={40} />
      <TextField
        form={form}
        name="maxRpm"
        label={texts.itsMostRpm}
        inputMode="numeric"
        rules={{ validate: (text) => /^\s*(\d{4,5})?\s*$/.test(String(text)) || texts.rpmAsNumber }}
      />
      {'was' in of && <CheckField form={form} name="retired" label={texts.offeredNoMore} />}
      <Refusal form={form} />
      <SendButton form={form} className="justify-self-start">
        {'was' in of ? texts.save : texts.enter}
      </SendButton>
    </Form>
  );
}
