import type { AccountView } from '../../../contract';
import { Notice } from '../../../ui/parts/Notice';
import { api } from '../../frame/api';
import { useFrame } from '../../frame/frame-context';
import { Form, Refusal, SelectField, SendButton, useSentForm } from '../../frame/form';
import { PasswordField } from '../../frame/PasswordField';
import * as texts from '#language/screens/people';

interface Draft {
  readonly id: string;
  readonly password: string;
}

/** With the first password, an owner's, people sign in from then on. */
export function FirstOwner({ accounts }: { readonly accounts: readonly AccountView[] }) {
  const { who } = useFrame();
  const here = accounts.filter(({ role, leftAt }) => role !== 'reader' && leftAt === null);
  const first = here.find(({ role }) => role === 'owner') ?? here.find(({ name }) => name === who) ?? here[0];
  const form = useSentForm<Draft>({
    start: { id: first?.id ?? '', password: '' },
    send: async ({ id, password }) => {
      if (here.find((each) => each.id === id)?.role !== 'owner') await api.put(`/api/people/${id}`, { role: 'owner' });
      await api.put(`/api/people/${id}/password`, { password });
      window.location.reload();
    },
    otherwise: texts.notChanged,
  });
  return (
    <section aria-labelledby="first-owner" className="border border-line-strong bg-sheet p-4">
      <h2 id="first-owner" className="mb-2 text-lg font-bold">
        {texts.firstOwner}
      </h2>
      <Notice kind="info">{texts.nobodySignsIn}</Notice>
      {here.length > 0 && (
        <Form form={form} className="mt-3 grid max-w-md gap-3">
          <SelectField
            form={form}
            name="id"
            label={texts.whoIsOwner}
            options={here.map(({ id, name }) => [id, name] as const)}
          />
          <PasswordField form={form} name="password" label={texts.password} isNew />
          <Refusal form={form} />
          <SendButton form={form} className="justify-self-start">
            {texts.beginSigningIn}
          </SendButton>
        </Form>
      )}
    </section>
  );
}
