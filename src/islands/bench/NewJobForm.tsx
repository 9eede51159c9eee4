import { useEffect, type ChangeEvent } from 'react';
import { isSameName } from '../../core/same-name';
import { LONGEST_CUSTOMER, type CreateJob, type OwnerView } from '../../contract';
import { api } from '../frame/api';
import { Form, Labelled, Refusal, SendButton, TextField, useSentForm, type SentForm } from '../frame/form';
import { useFrame } from '../frame/frame-context';
import { isAsked, ServerData, useFound, useServerData } from '../frame/server-data';
import { sentOnce } from '../frame/sent-once';
import { UNNAMED } from '../../wording';
import * as common from '#language/screens/common';
import * as texts from '#language/screens/bench';

/** What is typed so far. */
export interface Draft {
  readonly customer: string;
  readonly saw: string;
  readonly mount: string;
  readonly complaint: string;
  readonly promisedFor: string;
  readonly sheet: { readonly name: string; readonly document: unknown } | null;
}

const sawName = (saw: { label: string; tag: string }): string => [saw.label, saw.tag].filter(Boolean).join(', ');

function request(draft: Draft, customers: readonly OwnerView[], by: string): Omit<CreateJob, 'id'> {
  const customer = customers.find(({ name }) => isSameName(name, draft.customer));
  const saw = customer?.saws.find((each) => isSameName(sawName(each), draft.saw) || isSameName(each.label, draft.saw));
  const newSaw = draft.saw.trim() === '' ? null : { label: draft.saw.trim(), mount: draft.mount.trim() || null };
  return {
    by,
    customer: customer ? { id: customer.id } : { name: draft.customer.trim() },
    saw: saw ? { id: saw.id } : newSaw,
    complaint: draft.complaint,
    promisedFor: draft.promisedFor || null,
    ...(draft.sheet ? { sheet: draft.sheet.document } : {}),
  };
}

/** Where customers are found by what is typed of their name. */
const ownersAt = (typed: string): string => `/api/customers?name=${encodeURIComponent(typed.trim())}`;

const NOBODY: readonly OwnerView[] = [];

/**
 * Customers to offer: who came last, and those whose names begin so once enough is typed; and why there are none, where
 * they cannot be asked for.
 */
function useOwners(typed: string): { readonly customers: readonly OwnerView[]; readonly trouble: string | null } {
  const first = useServerData(ownersAt(''), NOBODY, { shown: ['gear'], isWhole: false });
  const { items, older, trouble } = useFound<OwnerView>(typed, ownersAt);
  return { customers: isAsked(typed) ? (items ?? older) : first, trouble };
}

interface NewJobFormProps {
  readonly kept: Draft;
  readonly onKeep: (draft: Draft) => void;
}

/** Takes in a job: whose, which saw, what ails it. Known customers and saws are offered; new ones are simply typed. */
export function NewJobForm(props: NewJobFormProps) {
  return (
    <ServerData>
      <Fields {...props} />
    </ServerData>
  );
}

function Fields({ kept, onKeep }: NewJobFormProps) {
  const { who } = useFrame();
  const form = useSentForm<Draft>({
    start: kept,
    send: async (draft) => {
      // Asked once more by the whole name: what is offered may be behind what was typed.
      const owners = await api.get<readonly OwnerView[]>(ownersAt(draft.customer));
      const asked = request(draft, owners, who || UNNAMED);
      const job = await sentOnce(draft, (id) => api.post<{ id: string }>('/api/jobs', { id, ...asked }));
      window.location.assign(`/jobs/${job.id}?step=take-in&go=field`);
    },
    otherwise: texts.theJobWasNotSaved,
  });
  // What is typed is handed back when the dialog closes, so that nothing is lost by a wrong key.
  const { getValues } = form;
  useEffect(() => () => onKeep(getValues()), [getValues, onKeep]);
  const typed = form.watch();
  const { customers, trouble } = useOwners(typed.customer);
  const known = customers.find(({ name }) => isSameName(name, typed.customer));
  const knownSaw = known?.saws.some((saw) => isSameName(sawName(saw), typed.saw)) ?? false;
  const named = (customer: unknown) => String(customer).trim() !== '' || texts.whoseJob;
  return (
    <Form form={form}>
      <TextField
        form={form}
        name="customer"
        label={texts.customer}
        maxLength={LONGEST_CUSTOMER}
        offers={customers.map(({ name }) => name)}
        rules={{ validate: named }}
      />
      {trouble && (
        <p role="status" className="text-sm font-semibold text-oxide">
          {texts.knownCustomersCannotBeOffered(trouble)}
        </p>
      )}
      <div className="grid grid-cols-[minmax(0,1fr)_8rem] gap-3">
        <TextField
          form={form}
          name="saw"
          label={texts.sawIfThereIsOne}
          maxLength={120}
          offers={known?.saws.map(sawName) ?? []}
        />
        {knownSaw ? (
          <p className="self-end pb-2.5 text-sm text-ink-soft">{texts.knownHere}</p>
        ) : (
          <TextField form={form} name="mount" label={texts.mount} maxLength={40} placeholder="M2" />
        )}
      </div>
      <Labelled form={form} name="complaint" label={texts.whatAilsIt}>
        {() => <textarea className="entry py-2" rows={2} maxLength={2000} {...form.register('complaint')} />}
      </Labelled>
      <TextField
        form={form}
        name="promisedFor"
        label={texts.promisedFor}
        type="date"
        look="figures"
        className="justify-self-start"
      />
      <ImportSheet form={form} name={typed.sheet?.name ?? null} />
      <Refusal form={form} />
      <SendButton form={form} className="justify-self-start">
        {common.putItOnTheBench}
      </SendButton>
    </Form>
  );
}

/** A bench sheet from a file to start from. */
function ImportSheet({ form, name }: { form: SentForm<Draft>; name: string | null }) {
  const read = async (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0];
    if (!file) return;
    try {
      form.setValue('sheet', { name: file.name, document: JSON.parse(await file.text()) as unknown });
      form.clearErrors('root');
    } catch {
      form.setError('root', { message: texts.notJson(file.name) });
    }
  };
  return (
    <label className="grid gap-1">
      <span className="text-sm font-semibold text-ink-soft">{texts.startFromABenchSheet}</span>
      <input
        type="file"
        accept="application/json,.json"
        onChange={(event) => void read(event)}
        className="min-h-11 py-2 file:mr-3 file:min-h-10 file:rounded-[3px] file:border file:border-line-strong file:bg-sheet file:px-3"
      />
      {name !== null && <span className="text-sm">{texts.willBeRead(name)}</span>}
    </label>
  );
}
