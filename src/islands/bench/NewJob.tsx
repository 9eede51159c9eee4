import { useState, type ChangeEvent, type FormEvent } from 'react';
import type { BenchView, CreateJob } from '../../contract';
import { Dialog } from '../../ui/parts/Dialog';
import { Notice } from '../../ui/parts/Notice';
import { api, RequestFailed } from '../frame/api';
import { useFrame } from '../frame/frame-context';
import { UNNAMED } from '../frame/preferences';

type Customers = BenchView['customers'];

/** What is typed so far. Kept while the sheet is closed, so that nothing is lost by a wrong key. */
interface Draft {
  readonly customer: string;
  readonly saw: string;
  readonly mount: string;
  readonly complaint: string;
  readonly promisedFor: string;
  readonly sheet?: { readonly name: string; readonly document: unknown };
}

const EMPTY: Draft = { customer: '', saw: '', mount: '', complaint: '', promisedFor: '' };

const same = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();
const sawName = (saw: { label: string; tag: string }): string => [saw.label, saw.tag].filter(Boolean).join(', ');

function request(draft: Draft, customers: Customers, by: string): CreateJob {
  const customer = customers.find(({ name }) => same(name, draft.customer));
  const saw = customer?.saws.find((each) => same(sawName(each), draft.saw) || same(each.label, draft.saw));
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

/** Takes in a job: whose, which saw, what ails it. Known customers and saws are offered; new ones are simply typed. */
export function NewJob({ customers, open, onClose }: { customers: Customers; open: boolean; onClose: () => void }) {
  const { who } = useFrame();
  const [draft, setDraft] = useState<Draft>(EMPTY);
  const [problems, setProblems] = useState<readonly string[]>([]);
  const [saving, setSaving] = useState(false);
  const known = customers.find(({ name }) => same(name, draft.customer));
  const knownSaw = known?.saws.some((saw) => same(sawName(saw), draft.saw)) ?? false;
  const set = (field: keyof Omit<Draft, 'sheet'>) => (event: ChangeEvent<HTMLInputElement | HTMLTextAreaElement>) =>
    setDraft({ ...draft, [field]: event.target.value });
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    if (draft.customer.trim() === '') return setProblems(['Whose job is it? Write the customer’s name.']);
    setSaving(true);
    try {
      const { id } = await api.post<{ id: string }>('/api/jobs', request(draft, customers, who || UNNAMED));
      window.location.assign(`/jobs/${id}?step=take-in`);
    } catch (error) {
      setProblems(
        error instanceof RequestFailed
          ? (error.reply.problems ?? [error.message])
          : ['The job was not saved. What you typed is still here: try again.'],
      );
      setSaving(false);
    }
  };
  return (
    <Dialog title="Take in a job" open={open} onClose={onClose}>
      <form onSubmit={(event) => void submit(event)} noValidate className="grid gap-3">
        <label className="grid gap-1">
          <span className="text-sm font-semibold text-ink-soft">Customer</span>
          <input
            className="entry"
            list="known-customers"
            value={draft.customer}
            onChange={set('customer')}
            autoComplete="off"
            maxLength={160}
          />
          <datalist id="known-customers">
            {customers.map(({ id, name }) => (
              <option key={id} value={name} />
            ))}
          </datalist>
        </label>
        <div className="grid grid-cols-[minmax(0,1fr)_8rem] gap-3">
          <label className="grid gap-1">
            <span className="text-sm font-semibold text-ink-soft">Saw, if there is one</span>
            <input
              className="entry"
              list="known-saws"
              value={draft.saw}
              onChange={set('saw')}
              autoComplete="off"
              maxLength={120}
            />
            <datalist id="known-saws">
              {known?.saws.map((saw) => (
                <option key={saw.id} value={sawName(saw)} />
              ))}
            </datalist>
          </label>
          {knownSaw ? (
            <p className="self-end pb-2.5 text-sm text-ink-soft">known here</p>
          ) : (
            <label className="grid gap-1">
              <span className="text-sm font-semibold text-ink-soft">Mount</span>
              <input
                className="entry w-full min-w-0"
                value={draft.mount}
                onChange={set('mount')}
                maxLength={40}
                placeholder="M2"
              />
            </label>
          )}
        </div>
        <label className="grid gap-1">
          <span className="text-sm font-semibold text-ink-soft">What ails it, in the customer’s words</span>
          <textarea
            className="entry py-2"
            rows={2}
            value={draft.complaint}
            onChange={set('complaint')}
            maxLength={2000}
          />
        </label>
        <label className="grid gap-1 justify-self-start">
          <span className="text-sm font-semibold text-ink-soft">Promised for</span>
          <input className="entry figures" type="date" value={draft.promisedFor} onChange={set('promisedFor')} />
        </label>
        <ImportSheet
          draft={draft}
          onRead={(sheet) => setDraft({ ...draft, sheet })}
          onProblem={(problem) => setProblems([problem])}
        />
        {problems.length > 0 && (
          <Notice kind="error">
            {problems.slice(0, 6).map((problem) => (
              <p key={problem}>{problem}</p>
            ))}
          </Notice>
        )}
        <button type="submit" className="act justify-self-start" disabled={saving}>
          {saving ? 'Saving…' : 'Put it on the bench'}
        </button>
      </form>
    </Dialog>
  );
}

/** A bench sheet from a file to start from. */
function ImportSheet({
  draft,
  onRead,
  onProblem,
}: {
  draft: Draft;
  onRead: (sheet: NonNullable<Draft['sheet']>) => void;
  onProblem: (problem: string) => void;
}) {
  const read = async (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0];
    if (!file) return;
    try {
      onRead({ name: file.name, document: JSON.parse(await file.text()) as unknown });
    } catch {
      onProblem(`${file.name} is not a bench sheet: it is not JSON.`);
    }
  };
  return (
    <label className="grid gap-1">
      <span className="text-sm font-semibold text-ink-soft">Start from a bench sheet (JSON), if you have one</span>
      <input
        type="file"
        accept="application/json,.json"
        onChange={(event) => void read(event)}
        className="min-h-11 py-2 file:mr-3 file:min-h-10 file:rounded-[3px] file:border file:border-line-strong file:bg-sheet file:px-3"
      />
      {draft.sheet && <span className="text-sm">{draft.sheet.name} will be read in.</span>}
    </label>
  );
}
