import type { ShopView } from '../../contract';
import { Dialog } from '../../ui/parts/Dialog';
import { api } from './api';
import { Form, Refusal, SendButton, TextField, useSentForm } from './form';
import * as texts from '#language/screens/frame';

interface AddPersonProps {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly onAdded: (shop: ShopView, name: string) => void;
}

/** Somebody who was not here before. */
export function AddPerson({ open, onClose, onAdded }: AddPersonProps) {
  return (
    <Dialog title={texts.whoIsAtTheBench} open={open} onClose={onClose}>
      <Newcomer onAdded={onAdded} />
    </Dialog>
  );
}

function Newcomer({ onAdded }: Pick<AddPersonProps, 'onAdded'>) {
  const form = useSentForm<{ name: string }>({
    start: { name: '' },
    send: async ({ name }) => onAdded(await api.post<ShopView>('/api/people', { name }), name.trim()),
    otherwise: texts.theNameWasNotSaved,
  });
  return (
    <Form form={form}>
      <TextField
        form={form}
        name="name"
        label={texts.name}
        maxLength={80}
        rules={{ validate: (name) => name.trim() !== '' || texts.writeTheName }}
      />
      <Refusal form={form} />
      <SendButton form={form} className="justify-self-start">
        {texts.comeToTheBench}
      </SendButton>
    </Form>
  );
}
