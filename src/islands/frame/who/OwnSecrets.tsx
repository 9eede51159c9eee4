import { useState } from 'react';
import { Notice } from '../../../ui/parts/Notice';
import { api } from '../api';
import { Form, Refusal, SendButton, TextField, useSentForm } from '../form';
import { PasswordField } from '../PasswordField';
import * as texts from '#language/screens/people';

/** Somebody sets their own password, and the PIN they take a bench over with. */
export function OwnSecrets({ hasPin }: { readonly hasPin: boolean }) {
  return (
    <div className="grid grid-cols-2 gap-6 max-md:grid-cols-1">
      <OwnPassword />
      {hasPin && <OwnPin />}
    </div>
  );
}

function OwnPassword() {
  const [isSet, setIsSet] = useState(false);
  const form = useSentForm({
    start: { old: '', password: '' },
    send: async (given) => {
      await api.put('/api/session/password', given);
      form.reset();
      setIsSet(true);
    },
    otherwise: texts.notSet,
  });
  return (
    <Form form={form}>
      <PasswordField form={form} name="old" label={texts.yourPassword} />
      <PasswordField form={form} name="password" label={texts.newPassword} isNew />
      <Refusal form={form} />
      {isSet && <Notice kind="good">{texts.passwordIsSet}</Notice>}
      <SendButton form={form} className="justify-self-start">
        {texts.setPassword}
      </SendButton>
    </Form>
  );
}

function OwnPin() {
  const [done, setDone] = useState<string | null>(null);
  const form = useSentForm({
    start: { password: '', pin: '' },
    send: async ({ password, pin }) => {
      await api.put('/api/session/pin', { password, pin: pin === '' ? null : pin });
      form.reset();
      setDone(pin === '' ? texts.pinIsGone : texts.pinIsSet);
    },
    otherwise: texts.notSet,
  });
  const isEmpty = form.watch('pin') === '';
  return (
    <Form form={form}>
      <PasswordField form={form} name="password" label={texts.yourPassword} />
      <TextField form={form} name="pin" label={texts.newPin} type="password" inputMode="numeric" autoComplete="off" />
      <Refusal form={form} />
      {done && <Notice kind="good">{done}</Notice>}
      <SendButton form={form} className="justify-self-start">
        {isEmpty ? texts.takePinAway : texts.setPin}
      </SendButton>
    </Form>
  );
}
