import { useState } from 'react';
import { useInfiniteQuery } from '@tanstack/react-query';
import { AUDIT_KINDS, type AuditRow, type AuditView } from '../../../contract';
import { Empty, Notice } from '../../../ui/parts/Notice';
import { sentence, shopMoment } from '../../../wording';
import { api, failure } from '../../frame/api';
import { useFrame } from '../../frame/frame-context';
import * as texts from '#language/screens/people';

interface Asked {
  readonly by: string;
  readonly kind: string;
  readonly from: string;
  readonly until: string;
}
const ANYTHING: Asked = { by: '', kind: '', from: '', until: '' };

const queryOf = (asked: Asked): URLSearchParams =>
  new URLSearchParams(Object.entries(asked).filter(([, value]) => value !== ''));

/** Who did what, the newest first, narrowed and given out as a file. */
export function Audit() {
  const [asked, setAsked] = useState(ANYTHING);
  const { data, error, hasNextPage, fetchNextPage, isFetching } = useInfiniteQuery({
    queryKey: ['audit', asked],
    queryFn: ({ pageParam }) => {
      const query = queryOf(asked);
      if (pageParam !== null) query.set('before', String(pageParam));
      return api.get<AuditView>(`/api/audit?${query.toString()}`);
    },
    initialPageParam: null as number | null,
    getNextPageParam: ({ before }) => before,
  });
  const rows = data?.pages.flatMap((page) => page.rows) ?? [];
  return (
    <section>
      <Narrowing asked={asked} onAsk={setAsked} />
      {error && <Notice kind="error">{failure(error, texts.auditFailed)}</Notice>}
      {rows.length === 0 && !isFetching && !error ? (
        <Empty title={texts.audit}>{texts.nothingFound}</Empty>
      ) : (
        <Rows rows={rows} />
      )}
      <div className="mt-3 flex items-center gap-3" aria-live="polite">
        {hasNextPage && (
          <button type="button" className="quiet" disabled={isFetching} onClick={() => void fetchNextPage()}>
            {isFetching ? texts.looking : texts.further}
          </button>
        )}
        <span className="text-sm text-ink-soft">
          {isFetching && !hasNextPage ? texts.looking : texts.rowsShown(rows.length)}
        </span>
      </div>
    </section>
  );
}

function Narrowing({ asked, onAsk }: { readonly asked: Asked; readonly onAsk: (asked: Asked) => void }) {
  const { people } = useFrame().shop;
  const field = (name: keyof Asked) => ({
    className: 'entry',
    value: asked[name],
    onChange: ({ target }: { target: { value: string } }) => onAsk({ ...asked, [name]: target.value }),
  });
  const label = 'grid gap-1 text-sm font-semibold text-ink-soft';
  return (
    <div className="mb-4 flex flex-wrap items-end gap-3">
      <label className={label}>
        {texts.by}
        <select {...field('by')}>
          <option value="">{texts.anybody}</option>
          {people.map(({ id, name }) => (
            <option key={id}>{name}</option>
          ))}
        </select>
      </label>
      <label className={label}>
        {texts.about}
        <select {...field('kind')}>
          <option value="">{texts.anything}</option>
          {AUDIT_KINDS.map((kind) => (
            <option key={kind} value={kind}>
              {sentence(texts.aboutWords[kind])}
            </option>
          ))}
        </select>
      </label>
      <label className={label}>
        {texts.from}
        <input type="date" {...field('from')} />
      </label>
      <label className={label}>
        {texts.until}
        <input type="date" {...field('until')} />
      </label>
      <a className="grid quiet place-items-center" href={`/api/audit.csv?${queryOf(asked).toString()}`} download>
        {texts.asCsv}
      </a>
    </div>
  );
}

function Rows({ rows }: { readonly rows: readonly AuditRow[] }) {
  const { shop } = useFrame();
  return (
    <table className="w-full border-collapse">
      <thead>
        <tr className="border-b-2 border-ink text-left text-sm">
          <th scope="col" className="py-1 pr-4">
            {texts.when}
          </th>
          <th scope="col" className="py-1 pr-4">
            {texts.by}
          </th>
          <th scope="col" className="py-1">
            {texts.what}
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ seq, at, by, says, job }) => (
          <tr key={seq} className="border-b border-line align-top">
            <td className="py-1.5 pr-4 figures text-sm whitespace-nowrap">{shopMoment(at, shop)}</td>
            <td className="py-1.5 pr-4">{by}</td>
            <td className="py-1.5 wrap-anywhere">
              {job && (
                <a className="mr-2 figures font-bold underline" href={`/jobs/${job.id}`}>
                  {job.tag}
                </a>
              )}
              {says}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
