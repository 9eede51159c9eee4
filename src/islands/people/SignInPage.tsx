import { useEffect } from 'react';
import type { SessionView } from '../../contract';
import { api } from '../frame/api';
import { Form, Refusal, SendButton, TextField, useSentForm } from '../frame/form';
import { useHydrated } from '../frame/hydrated';
import { remember } from '../frame/preferences';
import { Mark } from '../frame/Mark';
import { PasswordField } from '../frame/PasswordField';
import { onwardFrom } from './onward';
import * as texts from '#language/screens/people';

interface SignInPageProps {
  /** Who was at this bench last; empty where nobody was. */
  readonly who: string;
}

/** Somebody signs in, and goes on to where they were going. */
export function SignInPage({ who }: SignInPageProps) {
  const form = useSentForm({
    start: { name: who, password: '' },
    send: async (given) => {
      await api.post('/api/session', given);
      remember('who', given.name.trim());
      window.location.replace(onwardFrom(window.location));
    },
    otherwise: texts.notSignedIn,
  });
  const { setFocus } = form;
  useEffect(() => setFocus(who === '' ? 'name' : 'password'), [setFocus, who]);
  useEffect(() => {
    // A link from elsewhere brings no session along, though there is one: it is asked for from here.
    void api.get<SessionView>('/api/session').then(
      ({ isClosed, me }) => (!isClosed || me) && window.location.replace(onwardFrom(window.location)),
      () => undefined,
    );
  }, []);
  return (
    <main data-ready={useHydrated()} className="mx-auto grid min-h-dvh w-full max-w-sm content-center gap-5 px-5 py-8">
      <p className="flex items-center gap-3">
        <Mark />
        <span className="text-2xl font-extrabold tracking-tight">Serrata</span>
      </p>
      <h1 className="text-3xl font-extrabold">{texts.signIn}</h1>
      <Form form={form} className="grid gap-4">
        <TextField
          form={form}
          name="name"
          label={texts.name}
          autoComplete="username"
          maxLength={80}
          rules={{ validate: (name) => name.trim() !== '' || texts.writeTheName }}
        />
        <PasswordField form={form} name="password" label={texts.password} />
        <Refusal form={form} />
        <SendButton form={form} busy={texts.signingIn}>
          {texts.signIn}
        </SendButton>
      </Form>
      <p className="text-sm text-ink-soft">{texts.forgotten}</p>
    </main>
  );
}
