import Papa from 'papaparse';
import { isSameName } from '../../../core/same-name';
import { RECORD_KINDS } from '../../../core/records';
import { recordsBefore, type AuditRecord, type RecordKind } from '../../../data/repositories';
import { letOthers } from '../../../data/turn';
import { auditAskedSchema, type AuditAsked, type AuditKind, type AuditRow, type AuditView } from '../../../contract';
import { auditSays, calendarDay } from '../../../wording';
import type { Context } from '../../context';
import { nobodyWaits } from '../../refusal';
import { shopView } from '../shop';

/** What each kind of record is about. */
const KIND_OF: Readonly<Record<RecordKind, AuditKind>> = {
  reading: 'jobs',
  sign_off: 'jobs',
  hand_over: 'jobs',
  part_order: 'jobs',
  part_order_event: 'jobs',
  stock_movement: 'stock',
  gear_change: 'gear',
  limit_change: 'shop',
  shop_change: 'shop',
  hand_study: 'shop',
  people_event: 'people',
};

const recordsAbout = (kind: AuditKind | null): readonly RecordKind[] =>
  RECORD_KINDS.filter((record) => kind === null || KIND_OF[record] === kind);

/** Rows told at once, and links that are looked at for them: whoever asks for what is rare asks again. */
const ROWS = 100;
const SLICE = 1000;
const MOST_LINKS = 20_000;
/** Rows of a file. */
const MOST_IN_FILE = 50_000;

const rowOf = ({ seq, record, at, by, job, told }: AuditRecord): AuditRow => ({
  ...{ seq, at, by, job },
  kind: KIND_OF[record],
  says: auditSays(record, told),
});

/** What an audit is narrowed to, as an address has it. */
export const auditAsked = (params: URLSearchParams): AuditAsked =>
  auditAskedSchema.parse(Object.fromEntries([...params].filter(([, value]) => value !== '')));

/** Whether a record is among those that were asked for. */
function isAsked({ by, from, until }: AuditAsked, timeZone: string): (record: AuditRecord) => boolean {
  return (record) => {
    if (by !== '' && !isSameName(record.by, by)) return false;
    if (from === null && until === null) return true;
    const day = calendarDay(new Date(record.at), timeZone);
    return (from === null || day >= from) && (until === null || day <= until);
  };
}

/** Who did what, the newest first, slice by slice of the chain, until enough was found or looked at. */
async function lookedThrough(
  context: Context,
  asked: AuditAsked,
  { rows, links }: { readonly rows: number; readonly links: number },
): Promise<AuditView> {
  const { db } = context.store;
  const { timeZone } = await shopView(context);
  const fits = isAsked(asked, timeZone);
  const found: AuditRow[] = [];
  let { before } = asked;
  for (let looked = 0; looked < links; looked += SLICE) {
    if (context.isLeft?.()) throw nobodyWaits();
    const slice = await recordsBefore(db, before, recordsAbout(asked.kind), SLICE);
    for (const record of slice.found.filter(fits)) {
      found.push(rowOf(record));
      if (found.length === rows) return { rows: found, before: record.seq };
    }
    before = slice.before;
    if (before === null) break;
    await letOthers();
  }
  return { rows: found, before };
}

/** Who did what, the newest first. */
export const auditView = (context: Context, asked: AuditAsked): Promise<AuditView> =>
  lookedThrough(context, asked, { rows: ROWS, links: MOST_LINKS });

/** The same as CSV, a line each. */
export async function auditAsCsv(context: Context, asked: AuditAsked): Promise<string> {
  const { rows } = await lookedThrough(context, { ...asked, before: null }, { rows: MOST_IN_FILE, links: Infinity });
  const lines = rows.map(({ seq, at, by, kind, job, says }) => [seq, at, by, kind, job?.tag ?? '', says]);
  return Papa.unparse([['record', 'at', 'by', 'about', 'job', 'what'], ...lines], {
    newline: '\n',
    escapeFormulae: true,
  });
}
