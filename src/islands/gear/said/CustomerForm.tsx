import { LONGEST_CUSTOMER, type CustomerFactsView } from '../../../contract';
import { CheckField, Form, Refusal, SendButton, TextField, useSentForm } from '../../frame/form';
import { useSay } from './say';
import * as texts from '#language/screens/gear';

interface CustomerFormProps {
  /** The customer that is mended; nobody where one is entered. */
  readonly of: { readonly customerId: string; readonly was: CustomerFactsView } | null;
}

const NEW: CustomerFactsView = { name: '', contact: '', retired: false };

/** A customer is entered or mended: the name, and how they are reached. */
export function CustomerForm({ of }: CustomerFormProps) {
  const say = useSay();
  const form = useSentForm({
    start: of?.was ?? NEW,
    send: ({ name, contact, retired }) => {
      const facts = { name: name.trim(), contact: contact.trim(), retired };
      return say(of ? { say: 'customer-mended', ...of, facts } : { say: 'customer-entered', facts });
    },
    otherwise: texts.itWasNotSaved,
  });
  return (
    <Form form={form}>
      <TextField
        form={form}
        name="name"
        label={texts.customerName}
        maxLength={LONGEST_CUSTOMER}
        rules={{ validate: (text) => String(text).trim() !== '' || texts.writeTheName }}
      />
      <TextField form={form} name="contact" label={texts.howReached} maxLength={200} />
      {of && <CheckField form={form} name="retired" label={texts.offeredNoMore} />}
      <Refusal form={form} />
      <SendButton form={form} className="justify-self-start">
        {of ? texts.save : texts.enter}
      </SendButton>
    </Form>
  );
}
