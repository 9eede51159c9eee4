import { useState } from 'react';
import { ROLES, type Role } from '../../../core/people';
import type { AccountView, ChangePerson } from '../../../contract';
import { Dialog } from '../../../ui/parts/Dialog';
import { Notice } from '../../../ui/parts/Notice';
import { roleSays, roleWord, sentence } from '../../../wording';
import { api } from '../../frame/api';
import { useFrame } from '../../frame/frame-context';
import { CheckField, Form, Refusal, SelectField, SendButton, TextField, useSentForm } from '../../frame/form';
import { useChangedHere } from '../../frame/server-data';
import { CustomerChoice, customerCalled } from './CustomerChoice';
import * as texts from '#language/screens/people';

const ROLE_OPTIONS = ROLES.map((role) => [role, sentence(roleWord[role])] as const);

/** Everybody of the shop, with what they may do, and a way to add somebody. */
export function Accounts({ accounts }: { readonly accounts: readonly AccountView[] }) {
  const here = accounts.filter(({ leftAt }) => leftAt === null);
  const gone = accounts.filter(({ leftAt }) => leftAt !== null);
  return (
    <section aria-labelledby="accounts">
      <h2 id="accounts" className="mb-2 text-lg font-bold">
        {texts.people}
      </h2>
      <ul className="border-t-2 border-ink">
        {[...here, ...gone].map((account) => (
          <AccountRow key={account.id} account={account} />
        ))}
      </ul>
      <AddSomebody />
    </section>
  );
}

function AccountRow({ account }: { readonly account: AccountView }) {
  const isOpen = useFrame().shop.me === null;
  const [doing, setDoing] = useState<'change' | 'password' | null>(null);
  const { name, role, customer, leftAt, hasPassword, hasPin } = account;
  const signsIn = [hasPassword && texts.hasPassword, hasPin && texts.hasPin].filter(Boolean).join(', ');
  const close = () => setDoing(null);
  return (
    <li className="grid grid-cols-[minmax(9rem,1fr)_minmax(8rem,1fr)_minmax(0,1fr)_auto] items-center gap-3 border-b border-line py-1.5 max-md:grid-cols-2">
      <span className="font-bold">{name}</span>
      <span>
        {sentence(roleWord[role])}
        {customer && <span className="block text-sm text-ink-soft">{customer}</span>}
      </span>
      <span className="text-sm text-ink-soft">
        {leftAt === null ? (isOpen ? '' : signsIn || texts.hasNothing) : texts.left}
      </span>
      <span className="flex flex-wrap gap-2">
        <button type="button" className="quiet" aria-label={texts.change(name)} onClick={() => setDoing('change')}>
          {texts.changeIt}
        </button>
        {!isOpen && leftAt === null && (
          <button
            type="button"
            className="quiet"
            aria-label={texts.givePassword(name)}
            onClick={() => setDoing('password')}
          >
            {texts.givePasswordShown}
          </button>
        )}
      </span>
      <Dialog title={texts.change(name)} open={doing === 'change'} onClose={close}>
        <ChangeSomebody account={account} onDone={close} />
      </Dialog>
      <Dialog title={texts.givePassword(name)} open={doing === 'password'} onClose={close}>
        <GivePassword account={account} onDone={close} />
      </Dialog>
    </li>
  );
}

interface OfAccount {
  readonly account: AccountView;
  readonly onDone: () => void;
}

interface Changed {
  readonly role: Role;
  readonly customer: string;
  readonly left: boolean;
}

/** Role and customer, as they are sent. */
async function roleSent(role: Role, customer: string): Promise<Pick<ChangePerson, 'role' | 'customerId'>> {
  return role === 'reader' ? { role, customerId: await customerCalled(customer) } : { role };
}

function ChangeSomebody({ account: { id, role, customer, leftAt }, onDone }: OfAccount) {
  const changedHere = useChangedHere();
  const form = useSentForm<Changed>({
    start: { role, customer: customer ?? '', left: leftAt !== null },
    send: async (given) => {
      await api.put(`/api/people/${id}`, { ...(await roleSent(given.role, given.customer)), left: given.left });
      await changedHere();
      onDone();
    },
    otherwise: texts.notChanged,
  });
  const chosen = form.watch('role');
  return (
    <Form form={form}>
      <SelectField form={form} name="role" label={texts.role} options={ROLE_OPTIONS} />
      <p className="text-sm text-ink-soft">{roleSays[chosen]}</p>
      {chosen === 'reader' && <CustomerChoice form={form} name="customer" typed={form.watch('customer')} />}
      <CheckField form={form} name="left" label={texts.isHereNoMore} />
      <Refusal form={form} />
      <SendButton form={form} className="justify-self-start">
        {texts.saveIt}
      </SendButton>
    </Form>
  );
}

function GivePassword({ account: { id }, onDone }: OfAccount) {
  const changedHere = useChangedHere();
  const form = useSentForm({
    start: { password: '' },
    send: async (given) => {
      await api.put(`/api/people/${id}/password`, given);
      await changedHere();
      onDone();
    },
    otherwise: texts.notSet,
  });
  return (
    <Form form={form}>
      <TextField
        form={form}
        name="password"
        label={texts.newPassword}
        autoComplete="off"
        rules={{ required: texts.newPasswordHint }}
      />
      <p className="text-sm text-ink-soft">
        {texts.newPasswordHint} {texts.tellThem}
      </p>
      <Refusal form={form} />
      <SendButton form={form} className="justify-self-start">
        {texts.setPassword}
      </SendButton>
    </Form>
  );
}

interface Added {
  readonly name: string;
  readonly role: Role;
  readonly customer: string;
}

function AddSomebody() {
  const changedHere = useChangedHere();
  const [added, setAdded] = useState<string | null>(null);
  const start: Added = { name: '', role: 'technician', customer: '' };
  const form = useSentForm<Added>({
    start,
    send: async ({ name, role, customer }) => {
      await api.post('/api/people', { name, ...(await roleSent(role, customer)) });
      await changedHere();
      form.reset(start);
      setAdded(name);
    },
    otherwise: texts.notAdded,
  });
  const chosen = form.watch('role');
  return (
    <Form form={form} className="mt-4 grid max-w-xl gap-3">
      <h3 className="font-bold">{texts.addSomebody}</h3>
      <div className="grid grid-cols-2 gap-3 max-md:grid-cols-1">
        <TextField
          form={form}
          name="name"
          label={texts.name}
          maxLength={80}
          autoComplete="off"
          rules={{ validate: (name) => String(name).trim() !== '' || texts.writeTheName }}
        />
        <SelectField form={form} name="role" label={texts.role} options={ROLE_OPTIONS} />
      </div>
      <p className="text-sm text-ink-soft">{roleSays[chosen]}</p>
      {chosen === 'reader' && <CustomerChoice form={form} name="customer" typed={form.watch('customer')} />}
      <Refusal form={form} />
      {added && !form.formState.isDirty && <Notice kind="good">{added}</Notice>}
      <SendButton form={form} className="justify-self-start">
        {texts.add}
      </SendButton>
    </Form>
  );
}
