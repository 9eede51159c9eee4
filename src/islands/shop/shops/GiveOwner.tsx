import { api } from '../../frame/api';
import { Form, Refusal, SendButton, TextField, useSentForm } from '../../frame/form';
import { useChangedHere } from '../../frame/server-data';
import { OwnersPassword } from './OwnersPassword';
import * as texts from '#language/screens/shops';

/** A shop gets an owner who can sign in, or its owner another password. */
export function GiveOwner({ shop, onDone }: { readonly shop: string; readonly onDone: () => void }) {
  const changedHere = useChangedHere();
  const form = useSentForm({
    start: { name: '', password: '' },
    send: async (given) => {
      await api.post(`/api/shops/${encodeURIComponent(shop)}/owner`, given);
      await changedHere();
      onDone();
    },
    otherwise: texts.notChanged,
  });
  return (
    <Form form={form}>
      <TextField
        form={form}
        name="name"
        label={texts.ownersName}
        maxLength={80}
        autoComplete="off"
        rules={{ required: texts.writeOwnersName }}
      />
      <OwnersPassword form={form} name="password" />
      <Refusal form={form} />
      <SendButton form={form} className="justify-self-start">
        {texts.setOwner}
      </SendButton>
    </Form>
  );
}
