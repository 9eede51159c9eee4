import { eq } from 'drizzle-orm';
import type { Study } from '../../core/hand';
import { INSTRUMENT_IDS, type Mm } from '../../core/quantity';
import { append } from '../chain/append';
import { handStudy } from '../schema';
import type { Transaction } from '../store';

/** A study as it was stored, and who set it aside. */
export interface StudyRecord extends Study {
  readonly id: string;
  readonly note: string;
  readonly at: string;
  readonly setAside: { readonly at: string; readonly by: string } | null;
}

/** A row as the store has it. */
export type StudyRow = Omit<typeof handStudy.$inferSelect, 'seq'>;

/** Studies of rows in the order in which they were stored. A tool that has gone from the programme since has none. */
export function studiesFrom(rows: readonly StudyRow[]): readonly StudyRecord[] {
  const aside = new Map(rows.flatMap(({ setsAside, at, by }) => (setsAside === null ? [] : [[setsAside, { at, by }]])));
  return rows.flatMap(({ setsAside, knownDoubt, ...row }): StudyRecord[] => {
    const instrument = INSTRUMENT_IDS.find((id) => id === row.instrument);
    if (!instrument || setsAside !== null) return [];
    const { id, note, at, by, known, takes } = row;
    return [
      {
        id,
        by,
        instrument,
        on: at.slice(0, 10),
        takes: takes as Mm[],
        known: known === null ? null : { value: known as Mm, u: knownDoubt ?? 0 },
        note,
        at,
        setAside: aside.get(id) ?? null,
      },
    ];
  });
}

/** Stores a study; sent twice it is stored once. */
export async function addStudy(tx: Transaction, study: Omit<StudyRecord, 'setAside' | 'on'>): Promise<void> {
  const { id, by, instrument, takes, known, note, at } = study;
  const [again] = await tx.select({ id: handStudy.id }).from(handStudy).where(eq(handStudy.id, id)).limit(1);
  if (again) return;
  await append(tx, handStudy, [
    { id, by, instrument, takes, known: known?.value ?? null, knownDoubt: known?.u ?? null, note, at },
  ]);
}

/** Sets a study aside: what it says counts no more, that it was made stays. */
export async function setStudyAside(
  tx: Transaction,
  { id, instrument }: Pick<StudyRecord, 'id' | 'instrument'>,
  { rowId, at, by }: { readonly rowId: string; readonly at: string; readonly by: string },
): Promise<void> {
  await append(tx, handStudy, [{ id: rowId, by, instrument, takes: [], setsAside: id, at }]);
}
