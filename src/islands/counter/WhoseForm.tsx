import { LONGEST_CUSTOMER } from '../../contract';
import { Form, Refusal, SendButton, TextField, useSentForm } from '../frame/form';
import * as texts from '#language/screens/counter';

export interface Whose {
  readonly customer: string;
  readonly saw: string;
}

/** Whose it is, and which saw: asked before a call is kept. */
export function WhoseForm({
  start,
  action,
  onSend,
}: {
  start: Whose;
  action: string;
  onSend: (whose: Whose) => Promise<void>;
}) {
  const form = useSentForm<Whose>({
    start,
    send: ({ customer, saw }) => onSend({ customer: customer.trim(), saw: saw.trim() }),
    otherwise: texts.itWasNotStored,
  });
  const given = (customer: string) => customer.trim() !== '' || texts.whose;
  return (
    <Form form={form}>
      <TextField
        form={form}
        name="customer"
        label={texts.customer}
        maxLength={LONGEST_CUSTOMER}
        rules={{ validate: given }}
      />
      <TextField form={form} name="saw" label={texts.saw} maxLength={120} />
      <Refusal form={form} />
      <SendButton form={form}>{action}</SendButton>
    </Form>
  );
}
