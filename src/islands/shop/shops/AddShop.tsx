import { useState } from 'react';
import type { AddShop as Asked } from '../../../contract';
import { Notice } from '../../../ui/parts/Notice';
import { api } from '../../frame/api';
import { CheckField, Form, Refusal, SendButton, TextField, useSentForm } from '../../frame/form';
import { useChangedHere } from '../../frame/server-data';
import { OwnersPassword } from './OwnersPassword';
import * as texts from '#language/screens/shops';

const START: Asked = { name: '', owner: '', password: '', sharesGear: true };

const said = (text: unknown): boolean => String(text).trim() !== '';

/** Another shop begins on this store, with its first owner. */
export function AddShop({ isClosed }: { readonly isClosed: boolean }) {
  const changedHere = useChangedHere();
  const [added, setAdded] = useState<string | null>(null);
  const form = useSentForm<Asked>({
    start: START,
    send: async (asked) => {
      await api.post('/api/shops', asked);
      await changedHere();
      form.reset(START);
      setAdded(asked.name);
    },
    otherwise: texts.notAdded,
  });
  return (
    <Form form={form} className="grid max-w-xl gap-3">
      <h2 className="text-lg font-bold">{texts.addAShop}</h2>
      <TextField
        form={form}
        name="name"
        label={texts.nameOfTheShop}
        maxLength={80}
        autoComplete="off"
        rules={{ validate: (name) => said(name) || texts.writeItsName }}
      />
      <TextField
        form={form}
        name="owner"
        label={texts.ownersName}
        maxLength={80}
        autoComplete="off"
        rules={{ validate: (name) => said(name) || texts.writeOwnersName }}
      />
      {isClosed && <OwnersPassword form={form} name="password" />}
      <CheckField form={form} name="sharesGear" label={texts.itSharesGear} />
      <Refusal form={form} />
      {added && !form.formState.isDirty && <Notice kind="good">{texts.added(added)}</Notice>}
      <SendButton form={form} className="justify-self-start">
        {texts.addIt}
      </SendButton>
    </Form>
  );
}
