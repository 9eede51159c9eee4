import { useState, type FormEvent } from 'react';
import type { KnownSawView } from '../../contract';
import { Dialog } from '../../ui/parts/Dialog';
import { Notice } from '../../ui/parts/Notice';
import { api, failure } from '../frame/api';
import { useFrame } from '../frame/frame-context';
import { UNNAMED } from '../frame/preferences';
import type { Counter } from './use-counter';

/** What becomes of it: a slip, a job, a memory of the saw; or the next caller. */
export function KeepIt({ counter }: { counter: Counter }) {
  const [open, setOpen] = useState<'job' | 'memory' | null>(null);
  const [done, setDone] = useState<string | null>(null);
  const { reply, saw, entries } = counter;
  const slip =
    reply?.order &&
    `/counter/slip?${new URLSearchParams({
      pitch: reply.order.pitch,
      gauge: reply.order.gauge,
      links: String(reply.order.links),
      class: reply.order.kickbackClass ?? '',
      counted: reply.order.counted ? 'yes' : 'no',
      saw: saw?.label ?? '',
      customer: saw?.customer ?? '',
    }).toString()}`;
  const nothing = entries.length === 0;
  return (
    <div className="border-t border-line pt-3">
      <div className="flex flex-wrap gap-2">
        {slip && (
          <a className="grid quiet place-items-center" href={slip}>
            Order slip
          </a>
        )}
        <button type="button" className="quiet" disabled={nothing} onClick={() => setOpen('job')}>
          Make it a job
        </button>
        <button type="button" className="quiet" disabled={nothing} onClick={() => setOpen('memory')}>
          Remember the saw
        </button>
        <button
          type="button"
          className="ml-auto quiet"
          disabled={nothing && !saw}
          onClick={() => {
            counter.clear();
            setDone(null);
          }}
        >
          Next caller
        </button>
      </div>
      {done && (
        <div className="mt-2">
          <Notice kind="good">{done}</Notice>
        </div>
      )}
      <Dialog title="Make it a job" open={open === 'job'} onClose={() => setOpen(null)}>
        <WhoseForm counter={counter} action="Put it on the bench" send={makeJob} />
      </Dialog>
      <Dialog title="Remember the saw" open={open === 'memory'} onClose={() => setOpen(null)}>
        <WhoseForm
          counter={counter}
          action="Remember it"
          send={async (...given) => {
            const known = await remember(...given);
            setDone(`${known.label} of ${known.customer} is remembered for next time.`);
            setOpen(null);
          }}
        />
      </Dialog>
    </div>
  );
}

interface Whose {
  readonly customer: string;
  readonly saw: string;
}

async function makeJob(counter: Counter, { customer, saw }: Whose, by: string): Promise<void> {
  const { id } = await api.post<{ id: string }>('/api/jobs', {
    by,
    customer: { name: customer },
    saw: saw === '' ? null : { label: saw, mount: counter.text('saw.mount') || null },
    complaint: '',
    promisedFor: null,
    entries: counter.entries,
  });
  window.location.assign(`/jobs/${id}?step=identify`);
}

function remember(counter: Counter, { customer, saw }: Whose, by: string): Promise<KnownSawView> {
  const known = counter.saw;
  const same = known && known.label === saw && known.customer === customer;
  return api.post<KnownSawView>('/api/counter/saws', {
    by,
    saw: same ? { id: known.id } : { customer, label: saw },
    entries: counter.entries,
  });
}

function WhoseForm({
  counter,
  action,
  send,
}: {
  counter: Counter;
  action: string;
  send: (counter: Counter, whose: Whose, by: string) => Promise<void>;
}) {
  const { who } = useFrame();
  const [customer, setCustomer] = useState(counter.saw?.customer ?? '');
  const [saw, setSaw] = useState(counter.saw?.label ?? '');
  const [refused, setRefused] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    if (customer.trim() === '') return setRefused('Whose is it? Write the customer’s name.');
    setBusy(true);
    try {
      await send(counter, { customer: customer.trim(), saw: saw.trim() }, who || UNNAMED);
    } catch (error) {
      setRefused(failure(error, 'It was not stored. What you typed is still here: try again.'));
      setBusy(false);
    }
  };
  return (
    <form noValidate onSubmit={(event) => void submit(event)} className="grid gap-3">
      <label className="grid gap-1">
        <span className="text-sm font-semibold text-ink-soft">Customer</span>
        <input
          className="entry"
          value={customer}
          maxLength={160}
          onChange={({ target }) => setCustomer(target.value)}
        />
      </label>
      <label className="grid gap-1">
        <span className="text-sm font-semibold text-ink-soft">Saw</span>
        <input className="entry" value={saw} maxLength={120} onChange={({ target }) => setSaw(target.value)} />
      </label>
      {refused && <Notice kind="error">{refused}</Notice>}
      <button type="submit" className="act" disabled={busy}>
        {action}
      </button>
    </form>
  );
}
