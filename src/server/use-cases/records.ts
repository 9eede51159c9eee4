import { codeFrom, codeOf } from '../../data/chain/link';
import { findLink } from '../../data/chain/find';
import { withFileOf } from '../../data/keeping/over-the-wire';
import { verifyRecords } from '../../data/keeping/records';
import { noteCheck, recordsStanding } from '../../data/repositories';
import { FIRST_SHOP } from '../../data/shops/names';
import type { CheckedRecords } from '../../core/records';
import type { FoundRecord, RecordsView } from '../../contract';
import type { Context } from '../context';
import { sent } from '../errands/send';
import { Refusal } from '../refusal';
import { alone } from './alone';
import * as texts from '#language/server';

/** How the records stand, as was found last. */
export async function recordsView({ store }: Context): Promise<RecordsView> {
  const { head, began, checked } = await recordsStanding(store.of(FIRST_SHOP).db);
  return { count: head.seq, code: codeOf(head), began, checked };
}

/** Goes through all records and writes down what was found: long work, for a process of its own. */
export async function checkRecords({ store, now }: Context): Promise<CheckedRecords> {
  const { head, misfits } = await withFileOf(store.url, (file) => verifyRecords(file));
  const checked = { at: now().toISOString(), count: head.seq, misfits: [...misfits] };
  await store.write((tx) => noteCheck(tx, checked));
  return checked;
}

/** Has all records gone through while the shop goes on. */
export function verifyNow(context: Context): Promise<RecordsView> {
  return alone(async () => {
    await sent('verify');
    return recordsView(context);
  });
}

/** The record that a code from a paper names. */
export async function recordOfCode({ store }: Context, typed: string): Promise<FoundRecord> {
  const code = codeFrom(typed);
  if (code === null) throw new Refusal(422, 'no-code', texts.noRecordCode);
  return { found: await findLink(store.whole.db, code) };
}
