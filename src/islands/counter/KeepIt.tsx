import { useEffect, useState } from 'react';
import type { KnownSawView } from '../../contract';
import { Dialog } from '../../ui/parts/Dialog';
import { Notice } from '../../ui/parts/Notice';
import { api } from '../frame/api';
import { useFrame } from '../frame/frame-context';
import { UNNAMED } from '../../wording';
import { opened } from '../frame/opened';
import { sentOnce } from '../frame/sent-once';
import type { Counter } from './use-counter';
import type { Whose } from './WhoseForm';
import * as common from '#language/screens/common';
import * as texts from '#language/screens/counter';

/** The form is fetched when there is something to keep. */
const WhoseForm = opened(() => import('./WhoseForm').then(({ WhoseForm: View }) => View));

/** What becomes of it: a slip, a job, a memory of the saw; or the next caller. */
export function KeepIt({ counter }: { counter: Counter }) {
  const { who } = useFrame();
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
      sequence: reply.order.sequence ?? '',
      counted: reply.order.counted ? 'yes' : 'no',
      saw: saw?.label ?? '',
      customer: saw?.customer ?? '',
    }).toString()}`;
  const nothing = entries.length === 0;
  useEffect(() => {
    if (!nothing) WhoseForm.fetch();
  }, [nothing]);
  const whose = { customer: saw?.customer ?? '', saw: saw?.label ?? '' };
  const by = who || UNNAMED;
  return (
    <div className="border-t border-line pt-3">
      <div className="flex flex-wrap gap-2">
        <button type="button" className="quiet" disabled={nothing} onClick={() => setOpen('job')}>
          {texts.makeItAJob}
        </button>
        <button type="button" className="quiet" disabled={nothing} onClick={() => setOpen('memory')}>
          {texts.rememberTheSaw}
        </button>
        {/* Behind the others, so that none of them moves when the answer comes. */}
        {slip && (
          <a className="grid quiet place-items-center" href={slip}>
            {texts.orderSlip}
          </a>
        )}
        <button
          type="button"
          className="ml-auto quiet"
          disabled={nothing && !saw}
          onClick={() => {
            counter.clear();
            setDone(null);
          }}
        >
          {texts.nextCaller}
        </button>
      </div>
      {done && (
        <div className="mt-2">
          <Notice kind="good">{done}</Notice>
        </div>
      )}
      <Dialog title={texts.makeItAJob} open={open === 'job'} onClose={() => setOpen(null)}>
        <WhoseForm start={whose} action={common.putItOnTheBench} onSend={(given) => makeJob(counter, given, by)} />
      </Dialog>
      <Dialog title={texts.rememberTheSaw} open={open === 'memory'} onClose={() => setOpen(null)}>
        <WhoseForm
          start={whose}
          action={texts.rememberIt}
          onSend={async (given) => {
            const known = await remember(counter, given, by);
            setDone(texts.sawIsRemembered(known.label, known.customer));
            setOpen(null);
          }}
        />
      </Dialog>
    </div>
  );
}

async function makeJob(counter: Counter, { customer, saw }: Whose, by: string): Promise<void> {
  const asked = {
    by,
    customer: { name: customer },
    saw: saw === '' ? null : { label: saw, mount: counter.text('saw.mount') || null },
    complaint: '',
    promisedFor: null,
    entries: counter.entries,
  };
  const job = await sentOnce(asked, (id) => api.post<{ id: string }>('/api/jobs', { id, ...asked }));
  window.location.assign(`/jobs/${job.id}?step=identify&go=field`);
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
