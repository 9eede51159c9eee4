import { sql } from 'drizzle-orm';
import { LIMIT_IDS, type LimitOverrides } from '../../core/limits';
import { handStudy, learnedCode, limitChange, person, shopFact } from '../schema';
import type { Queryable } from '../store';
import { builtOnce } from './built-once';
import type { LearnedCodeRecord } from './codes';
import type { Person } from './shop';
import { studiesFrom, type StudyRecord, type StudyRow } from './studies';

/** What the shop says of itself, who works there, and all that it judges by. */
export interface ShopStanding {
  /** Facts about the shop, its supplier and its schools, by key. */
  readonly facts: Readonly<Record<string, string>>;
  readonly people: readonly Person[];
  /** The changes of limits that stand: the newest of each, where it is not a return to the default. */
  readonly overrides: LimitOverrides;
  readonly codes: readonly LearnedCodeRecord[];
  /** Every study in the order in which they were stored, those set aside included. */
  readonly studies: readonly StudyRecord[];
}

interface Written extends Omit<ShopStanding, 'studies'> {
  readonly studies: readonly StudyRow[];
}

/**
 * How the shop stands. Nearly every page and judgement needs it, and asking costs more than answering: it is one
 * question, and one text comes back. Of each limit the newest change is one look into an index, however often it was
 * changed.
 */
export async function shopStanding(db: Queryable): Promise<ShopStanding> {
  const [row] = await asked(db).execute();
  const { studies, ...others } = JSON.parse(row!.standing) as Written;
  return { ...others, studies: studiesFrom(studies) };
}

const KNOWN_LIMITS = JSON.stringify(LIMIT_IDS);

const standing = sql<string>`
    json_object(
      'facts', (SELECT json_group_object(${shopFact.key}, ${shopFact.value}) FROM ${shopFact}),
      'people', (
        SELECT json_group_array(json_object('id', ${person.id}, 'name', ${person.name}) ORDER BY ${person.name})
        FROM ${person} WHERE ${person.leftAt} IS NULL AND ${person.role} <> 'reader'
      ),
      'overrides', (
        SELECT json_group_object(id, json(value)) FROM (
          SELECT known.value AS id, (
            SELECT ${limitChange.value} FROM ${limitChange} WHERE ${limitChange.limitId} = known.value
            ORDER BY ${limitChange.seq} DESC LIMIT 1
          ) AS value FROM json_each(${KNOWN_LIMITS}) AS known
        ) WHERE json_type(value) <> 'null'
      ),
      'codes', (
        SELECT json_group_array(
          json_object(
            'code', ${learnedCode.code}, 'pitch', ${learnedCode.pitch}, 'gauge', ${learnedCode.gauge},
            'driveLinks', ${learnedCode.driveLinks}, 'kickbackClass', ${learnedCode.kickbackClass},
            'replacedBy', ${learnedCode.replacedBy}, 'note', ${learnedCode.note}, 'at', ${learnedCode.at}, 'by', ${learnedCode.by}
          ) ORDER BY ${learnedCode.key}
        ) FROM ${learnedCode}
      ),
      'studies', (
        SELECT json_group_array(
          json_object(
            'id', ${handStudy.id}, 'instrument', ${handStudy.instrument}, 'takes', json(${handStudy.takes}),
            'known', ${handStudy.known}, 'knownDoubt', ${handStudy.knownDoubt}, 'note', ${handStudy.note},
            'setsAside', ${handStudy.setsAside}, 'at', ${handStudy.at}, 'by', ${handStudy.by}
          ) ORDER BY ${handStudy.seq}
        ) FROM ${handStudy}
      )
    )`;
const asked = builtOnce((db) =>
  db
    .select({ standing })
    .from(sql`(SELECT 1)`)
    .prepare(),
);
