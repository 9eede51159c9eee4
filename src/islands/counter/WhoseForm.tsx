import { LONGEST_CUSTOMER } from '../../contract';
import { Form, Refusal, SendButton, TextField, useSentForm } from '../frame/form';

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
    otherwise: 'It was not stored. What you typed is still here: try again.',
  });
  const given = (customer: string) => customer.trim() !== '' || 'Whose is it? Write the customer’s name.';
  return (
    <Form form={form}>
      <TextField
        form={form}
        name="customer"
        label="Customer"
        maxLength={LONGEST_CUSTOMER}
        rules={{ validate: given }}
      />
      <TextField form={form} name="saw" label="Saw" maxLength={120} />
      <Refusal form={form} />
      <SendButton form={form}>{action}</SendButton>
    </Form>
  );
}
