import { useState } from 'react';
import { ROLES, type Role } from '../../../core/people';
import { TOKEN_DAYS, type MadeToken, type TokenView } from '../../../contract';
import { Dialog } from '../../../ui/parts/Dialog';
import { Notice } from '../../../ui/parts/Notice';
import { roleWord, sentence, shopDay } from '../../../wording';
import { api, failure } from '../../frame/api';
import { useFrame } from '../../frame/frame-context';
import { Form, Refusal, SelectField, SendButton, TextField, useSentForm } from '../../frame/form';
import { useChangedHere } from '../../frame/server-data';
import { CustomerChoice, customerCalled } from './CustomerChoice';
import * as texts from '#language/screens/people';

/** Tokens of other programs, the newest first. */
export function Tokens({ tokens }: { readonly tokens: readonly TokenView[] }) {
  const [open, setOpen] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const changedHere = useChangedHere();
  const revoke = async (id: string) => {
    try {
      await api.delete(`/api/tokens/${id}`);
      await changedHere();
      setTrouble(null);
    } catch (error) {
      setTrouble(failure(error, texts.notRevoked));
    }
  };
  return (
    <section aria-labelledby="tokens">
      <h2 id="tokens" className="mb-1 text-lg font-bold">
        {texts.programs}
      </h2>
      <p className="mb-2 text-sm text-ink-soft">{texts.programsSay}</p>
      {trouble && <Notice kind="error">{trouble}</Notice>}
      {tokens.length === 0 ? (
        <p className="text-ink-soft">{texts.noToken}</p>
      ) : (
        <ul className="border-t-2 border-ink">
          {tokens.map((token) => (
            <TokenRow key={token.id} token={token} onRevoke={() => void revoke(token.id)} />
          ))}
        </ul>
      )}
      <div className="mt-3 flex flex-wrap items-center gap-3">
        <button type="button" className="quiet" onClick={() => setOpen(true)}>
          {texts.makeAToken}
        </button>
        <a className="grid min-h-11 content-center underline" href="/programs">
          {texts.whatProgramsMayAsk}
        </a>
      </div>
      <Dialog title={texts.makeAToken} open={open} onClose={() => setOpen(false)}>
        <MakeToken />
      </Dialog>
    </section>
  );
}

function TokenRow({ token, onRevoke }: { readonly token: TokenView; readonly onRevoke: () => void }) {
  const { shop } = useFrame();
  const { name, role, customer, endsAt, by, state } = token;
  const stands = {
    counts: texts.countsUntil(shopDay(endsAt, shop)),
    'run-out': texts.hasRunOut,
    revoked: texts.isRevoked,
  }[state];
  return (
    <li className="flex flex-wrap items-center gap-x-3 border-b border-line py-1.5">
      <span className="min-w-0 flex-1">
        <span className="font-bold">{name}</span>
        <span className="block text-sm text-ink-soft">
          {[roleWord[role], customer, stands, texts.madeBy(by)].filter(Boolean).join('; ')}
        </span>
      </span>
      {state === 'counts' && (
        <button type="button" className="quiet" aria-label={texts.revokeToken(name)} onClick={onRevoke}>
          {texts.revokeIt}
        </button>
      )}
    </li>
  );
}

interface Draft {
  readonly name: string;
  readonly role: Role;
  readonly customer: string;
  readonly days: string;
}

const USUAL_DAYS = '90';

function MakeToken() {
  const changedHere = useChangedHere();
  const [made, setMade] = useState<string | null>(null);
  const form = useSentForm<Draft>({
    start: { name: '', role: 'counter', customer: '', days: USUAL_DAYS },
    send: async ({ name, role, customer, days }) => {
      const customerId = role === 'reader' ? await customerCalled(customer) : null;
      const { token } = await api.post<MadeToken>('/api/tokens', { name, role, customerId, days: Number(days) });
      setMade(token);
      await changedHere();
    },
    otherwise: texts.notMade,
  });
  if (made !== null)
    return (
      <div className="grid gap-2">
        <Notice kind="good">{texts.theToken}</Notice>
        <p className="border border-line-strong p-3 figures break-all select-all">{made}</p>
      </div>
    );
  return (
    <Form form={form}>
      <TextField
        form={form}
        name="name"
        label={texts.nameOfProgram}
        maxLength={80}
        autoComplete="off"
        rules={{ validate: (name) => String(name).trim() !== '' || texts.nameOfProgram }}
      />
      <SelectField
        form={form}
        name="role"
        label={texts.role}
        options={ROLES.map((role) => [role, sentence(roleWord[role])] as const)}
      />
      {form.watch('role') === 'reader' && <CustomerChoice form={form} name="customer" typed={form.watch('customer')} />}
      <TextField
        form={form}
        name="days"
        label={texts.countsDays}
        type="number"
        min={TOKEN_DAYS.least}
        max={TOKEN_DAYS.most}
      />
      <Refusal form={form} />
      <SendButton form={form} className="justify-self-start">
        {texts.makeIt}
      </SendButton>
    </Form>
  );
}
