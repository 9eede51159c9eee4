import type { ShopView } from '../../contract';
import { api } from './api';
import { Form, Refusal, SendButton, TextField, useSentForm } from './form';

/** Somebody who was not here before. */
export function AddPerson({ onAdded }: { onAdded: (shop: ShopView, name: string) => void }) {
  const form = useSentForm<{ name: string }>({
    start: { name: '' },
    send: async ({ name }) => onAdded(await api.post<ShopView>('/api/people', { name }), name.trim()),
    otherwise: 'The name was not saved.',
  });
  return (
    <Form form={form}>
      <TextField
        form={form}
        name="name"
        label="Name"
        maxLength={80}
        rules={{ validate: (name) => name.trim() !== '' || 'Write the name that readings are to be stored under.' }}
      />
      <Refusal form={form} />
      <SendButton form={form} className="justify-self-start">
        Come to the bench
      </SendButton>
    </Form>
  );
}
