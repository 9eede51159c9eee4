import type { Misfit, RECORD_KINDS } from '../../core/records';

/** What a record that never changes is. */
export const recordWord: Readonly<Record<(typeof RECORD_KINDS)[number], string>> = {
  reading: 'a reading',
  sign_off: 'a sign-off',
  limit_change: 'a change of a limit',
  shop_change: 'a change of the shop',
  hand_study: 'a study of a hand',
  gear_change: 'something said of gear',
  stock_movement: 'a movement of the shelf',
  part_order: 'an order',
  part_order_event: 'news of an order',
  hand_over: 'a hand-over',
  people_event: 'something that happened with people',
};

/** The same by the name of its table; the first link of all is no record. */
export const recordKind = (record: string): string =>
  (recordWord as Readonly<Record<string, string>>)[record] ?? 'the beginning of the chain';

const named = (record: string, key: string): string => `${recordKind(record)} (${record} ${key})`;

/** What does not fit in the chain of records, in a sentence. */
export function misfitSentence(misfit: Misfit): string {
  switch (misfit.what) {
    case 'changed':
      return `Record ${misfit.seq}, ${named(misfit.record, misfit.key)}, is not what it was when it was written.`;
    case 'gone':
      return `Record ${misfit.seq}, ${named(misfit.record, misfit.key)}, is gone.`;
    case 'links-gone':
      return `From record ${misfit.seq} on, records were cut out.`;
    case 'foreign': {
      const name = named(misfit.record, misfit.key);
      return `${name.charAt(0).toUpperCase()}${name.slice(1)} stands there that Serrata did not write.`;
    }
    case 'other-chain':
      return `A hand-over (${misfit.key}) carries the code ${misfit.code}, which no record here has: what came before it was written anew.`;
    case 'backup':
      return `The backup ${misfit.name} holds record ${misfit.seq}, and the store does not: records were cut off since, or written anew.`;
    case 'no-chain':
      return 'The chain of records is gone.';
  }
}

/** How the chain of records stands, in a sentence. */
export const recordsStand = (count: number, misfits: number): string =>
  misfits === 0
    ? `All ${count} records are as they were written.`
    : misfits === 1
      ? 'One thing in the records does not fit:'
      : `${misfits} things in the records do not fit:`;
